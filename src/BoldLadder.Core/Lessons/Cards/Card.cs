using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Cards;

/// <summary>What a set of cards is of. Source: docs/handbook.md, section 6 (cards).</summary>
public enum CardKind
{
    Graphemes,
    Words,
    Tricky,
    Pictures,
    Sounds,
    Tiles,
}

/// <summary>A sound as a card has it.</summary>
/// <param name="Sounds">Symbols, joined by +.</param>
public sealed record CardSays(string Sounds, string KeyWord);

/// <summary>One side of a card: what of it is empty is not there.</summary>
/// <param name="Text">Letters or a word, as children read them.</param>
/// <param name="Marks">For each letter the place of its grapheme, where its marks are shown.</param>
/// <param name="Tricky">Places of the graphemes of the tricky part.</param>
/// <param name="Picture">A picture's name.</param>
/// <param name="Says">The sounds that the letters say.</param>
/// <param name="Phrase">The school's memory phrase.</param>
/// <param name="Graphemes">The spellings of a sound.</param>
public sealed record CardFace(
    string Text,
    ImmutableArray<int> Marks,
    ImmutableArray<int> Tricky,
    string? Picture,
    ImmutableArray<CardSays> Says,
    string Phrase,
    ImmutableArray<string> Graphemes
)
{
    public static CardFace Empty { get; } =
        new(Text: "", Marks: [], Tricky: [], Picture: null, Says: [], Phrase: "", Graphemes: []);

    /// <summary>Letters or a word alone.</summary>
    public static CardFace Of(string text) => Empty with { Text = text };
}

/// <summary>A card with its two sides, made of the items of a lesson that is shown.</summary>
/// <param name="Key">What it shows, the same for cards that can stand for each other.</param>
public sealed record Card(CardKind Kind, string Key, CardFace Front, CardFace Back)
{
    /// <summary>
    /// All on its front, for a wall: what hangs there is seen from one side. What the back tells goes under it.
    /// </summary>
    public Card ForWall() =>
        Kind is CardKind.Graphemes or CardKind.Sounds
            ? this with
            {
                Front = Front with
                {
                    Says = Front.Says.IsEmpty ? Back.Says : Front.Says,
                    Picture = Front.Picture ?? Back.Picture,
                    Phrase = Front.Phrase.Length > 0 ? Front.Phrase : Back.Phrase,
                    Graphemes = Back.Graphemes,
                },
            }
            : this;

    /// <param name="picture">Of the key word; null where there is none.</param>
    public static Card OfGrapheme(CardItem card, string? picture) =>
        new(
            CardKind.Graphemes,
            card.Grapheme,
            CardFace.Of(card.Grapheme),
            CardFace.Empty with
            {
                Picture = picture,
                Phrase = card.Own?.Phrase ?? "",
                Says =
                [
                    new CardSays(card.Sounds, card.KeyWord),
                    .. (card.Also ?? []).Select(a => new CardSays(a.Sounds, a.KeyWord)),
                ],
            }
        );

    /// <summary>The word; behind it its marks, and its picture where there is one.</summary>
    public static Card OfWord(WordItem word) =>
        new(
            word.Tricky.IsEmpty ? CardKind.Words : CardKind.Tricky,
            word.Word,
            CardFace.Of(word.Word),
            CardFace.Of(word.Word) with
            {
                Marks = word.Marks,
                Tricky = word.Tricky,
                Picture = word.Picture,
            }
        );

    public static Card OfPicture(string word, string picture, ImmutableArray<int> marks) =>
        new(
            CardKind.Pictures,
            word,
            CardFace.Empty with
            {
                Picture = picture,
            },
            CardFace.Of(word) with
            {
                Marks = marks,
            }
        );

    /// <summary>A sound with its key word; behind it the spellings of it that were taught.</summary>
    public static Card OfSound(SpellingsItem sound, string phrase, string? picture) =>
        new(
            CardKind.Sounds,
            sound.Sounds,
            CardFace.Empty with
            {
                Says = [new CardSays(sound.Sounds, sound.KeyWord)],
                Phrase = phrase,
                Picture = picture,
            },
            CardFace.Empty with
            {
                Graphemes = sound.Graphemes,
            }
        );

    public static Card OfTile(string grapheme) => new(CardKind.Tiles, grapheme, CardFace.Of(grapheme), CardFace.Empty);
}

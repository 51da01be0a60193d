using System.Collections.Immutable;
using BoldLadder.Core.Randomness;

namespace BoldLadder.Core.Lessons.Home;

/// <summary>
/// What a lesson was about, for families: nothing of any child. Source: docs/handbook.md, section 6 (home sheet).
/// </summary>
/// <param name="News">What was new, with how it is said; empty where the day brought nothing new.</param>
/// <param name="Patterns">Ids of patterns that were new.</param>
/// <param name="Words">At most six to read, easy first.</param>
/// <param name="Tricky">At most two, what is new before the others.</param>
/// <param name="Sentence">One to read; null where the lesson has none.</param>
/// <param name="Game">Which of <see cref="Games"/>: screens own its sentence.</param>
public sealed record HomeSheet(
    ImmutableArray<CardItem> News,
    ImmutableArray<string> Patterns,
    ImmutableArray<WordItem> Words,
    ImmutableArray<WordItem> Tricky,
    string? Sentence,
    string Game
)
{
    private const int MostWords = 6;
    private const int MostTricky = 2;

    /// <summary>Things to play with a handful of words and no more than paper and pencil.</summary>
    public static ImmutableArray<string> Games { get; } =
    ["under-cup", "robot", "post", "steps", "silly-voice", "vanish", "snatch", "wall-run"];

    /// <param name="lesson">As it is shown, the school's way laid over it.</param>
    /// <param name="spare">Words of the same day, for a lesson that reads fewer than there is room for.</param>
    public static HomeSheet Of(Lesson lesson, IEnumerable<WordItem> spare)
    {
        IEnumerable<T> Items<T>(params ActivityKind[] kinds) =>
            kinds.SelectMany(k => lesson.Activities.Where(a => a.Kind == k)).SelectMany(a => a.Items).OfType<T>();
        ImmutableArray<WordItem> words =
        [
            .. Items<WordItem>(ActivityKind.ReadWords, ActivityKind.SpellWords, ActivityKind.RecentWords)
                .Concat(spare)
                .Where(w => !w.Oral && w.Tricky.IsEmpty)
                .DistinctBy(w => w.Word)
                .Take(MostWords)
                .OrderBy(w => w.Taps),
        ];
        // Families look for the letters in the word that is named: the school's key word, else one of the sheet's own.
        CardItem Told(CardItem card) =>
            card.Own is { KeyWord.Length: > 0 }
                ? card
                : card with
                {
                    KeyWord = words.FirstOrDefault(w => w.Graphemes.Split('|').Contains(card.Grapheme))?.Word
                        ?? card.KeyWord,
                };
        return new HomeSheet(
            News: [.. Items<CardItem>(ActivityKind.NewCorrespondence).DistinctBy(c => c.Correspondence).Select(Told)],
            Patterns: lesson.Patterns,
            Words: words,
            Tricky:
            [
                .. Items<WordItem>(ActivityKind.NewTrickyWord, ActivityKind.TrickySoFar, ActivityKind.SpellTricky)
                    .DistinctBy(w => w.Word)
                    .Take(MostTricky),
            ],
            Sentence: Items<SentenceItem>(
                    ActivityKind.ReadSentence,
                    ActivityKind.DictateSentence,
                    ActivityKind.PhraseToPicture,
                    ActivityKind.PhraseSheet
                )
                .Select(s => s.Text)
                .Concat(Items<TextItem>(ActivityKind.ReadText).SelectMany(t => t.Sentences).Select(s => s.Text))
                .FirstOrDefault(),
            Game: Games[
                Seeded
                    .For(0, $"home:{lesson.Title.Rung}:{string.Join(' ', words.Select(w => w.Word))}")
                    .Below(Games.Length)
            ]
        );
    }
}

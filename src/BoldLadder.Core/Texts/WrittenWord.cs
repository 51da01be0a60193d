using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>
/// A word as it stands in a text or was typed, with what it is read as: looked up once, for every question that is
/// asked of it. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
/// <param name="Plain">The form words are looked up by.</param>
/// <param name="HasCapital">True where it was written with a capital letter.</param>
/// <param name="Parts">What it is read as: itself, or the parts between its hyphens; none when nothing is known for
/// sure.</param>
public sealed record WrittenWord(string Plain, bool HasCapital, ImmutableArray<Word> Parts)
{
    /// <summary>True for a word that no list has.</summary>
    public bool IsUnknown => Parts.IsEmpty;

    /// <summary>The word; null for an unknown one, and for one that is read as its parts.</summary>
    public Word? Word => Parts is [var one] ? one : null;

    /// <summary>True for a first name or a place.</summary>
    public bool IsName => Parts is [var one] && char.IsUpper(one.Spelling[0]);

    /// <summary>True for a word that is not for children, or that the school has banned.</summary>
    public bool IsNever => Parts.Any(p => p.Suitability == Suitability.Never);

    /// <param name="written">With its capital letters; without the punctuation round it.</param>
    public static WrittenWord Of(string written, WordFinder finder)
    {
        var plain = WordFinder.Plain(written);
        // The pronoun is no capital that has to be taught.
        var capital = plain != written && plain != "i" && written.Any(char.IsUpper);
        return new WrittenWord(plain, capital, finder.Parts(plain, capital));
    }

    /// <summary>
    /// The word of a piece between two spaces, with whatever punctuation stands on it. Two words without a space
    /// between them (cat/dog) are read as both.
    /// </summary>
    public static WrittenWord InPrint(string printed, WordFinder finder)
    {
        var found = new List<WrittenWord>();
        var tokens = new TokenReader(new StringReader(printed));
        while (tokens.Read())
        {
            if (tokens.Kind == TokenKind.Word)
                found.Add(Of(tokens.Token.ToString(), finder));
            else if (tokens.Kind is TokenKind.Number or TokenKind.TooLong)
                found.Add(new WrittenWord(tokens.Token.ToString(), false, []));
        }
        return found is [var one]
            ? one
            : new WrittenWord(
                string.Concat(found.Select(f => f.Plain)),
                found.Exists(f => f.HasCapital),
                found.Exists(f => f.IsUnknown) ? [] : [.. found.SelectMany(f => f.Parts)]
            );
    }
}

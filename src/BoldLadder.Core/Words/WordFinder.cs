using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>How a word's segmentation is known.</summary>
public enum WordSource
{
    /// <summary>It stands in the lexicon, or in the list of names.</summary>
    Lexicon,

    /// <summary>It is made from words that do.</summary>
    Derived,

    /// <summary>Its letters were read: likely, not known. Screens mark it as guessed.</summary>
    Guessed,

    /// <summary>Nothing can be said of it.</summary>
    Unknown,
}

/// <summary>A word as it was written, with what is known of it.</summary>
/// <param name="Word">Null when the source is <see cref="WordSource.Unknown"/>.</param>
/// <param name="Readings">All readings, the likeliest first: of a heteronym, or of a guessed word.</param>
public sealed record FoundWord(Word? Word, WordSource Source, ImmutableArray<Segmentation> Readings);

/// <summary>
/// Finds any word a teacher or a text may write: in the lexicon, as a name, made from known words, or guessed from its
/// letters.
/// Letter case and the kind of apostrophe don't matter. Source: docs/handbook.md, section 4; docs/data.md.
/// </summary>
public sealed class WordFinder(Lexicon lexicon)
{
    private static readonly char[] Hyphens = ['-', '‐', '‑'];
    private static readonly FoundWord Nothing = new(null, WordSource.Unknown, []);

    private readonly Derivation derivation = new(s => lexicon.Find(s) ?? lexicon.FindName(s));

    public Lexicon Lexicon => lexicon;

    /// <summary>What is known for sure; null for a word that could only be guessed.</summary>
    /// <param name="plain">The word in its <see cref="Plain"/> form.</param>
    /// <param name="capital">True when it was written with a capital letter: then a name comes before a rarer
    /// word.</param>
    public (Word Word, WordSource Source)? Known(string plain, bool capital)
    {
        var word = lexicon.Find(plain);
        var name = lexicon.FindName(plain);
        if (
            name is not null
            && (word is null || (capital && !word.Flags.HasFlag(WordFlags.Capital) && word.Zipf < name.Zipf))
        )
            return (name, WordSource.Lexicon);
        if (word is not null)
            return (word, WordSource.Lexicon);
        return plain.Length <= Guesser.LongestWord && derivation.Of(plain) is { } made
            ? (made, WordSource.Derived)
            : null;
    }

    /// <summary>
    /// The words that a written word is read as: itself, or, where only its parts are known, the parts between its
    /// hyphens; none when nothing is known for sure.
    /// </summary>
    /// <param name="plain">The word in its <see cref="Plain"/> form.</param>
    public ImmutableArray<Word> Parts(string plain, bool capital)
    {
        if (Known(plain, capital) is { } known)
            return [known.Word];
        if (plain.IndexOfAny(Hyphens) <= 0)
            return [];
        var parts = plain.Split(Hyphens).Select(p => Known(p, capital)?.Word).ToList();
        return parts.Contains(null) ? [] : [.. parts.OfType<Word>()];
    }

    /// <summary>The word with its readings; guessed from its letters when it is not known.</summary>
    public FoundWord Find(string written)
    {
        var plain = Plain(written);
        if (Known(plain, char.IsUpper(written, 0)) is { } known)
        {
            return new FoundWord(known.Word, known.Source, [known.Word.Segmentation, .. known.Word.Also]);
        }
        var readings = lexicon.Guesser.Read(plain).Select(g => g.Segmentation).ToImmutableArray();
        return readings.IsEmpty
            ? Nothing
            : new FoundWord(
                new Word(plain, readings[0], 0, Suitability.Ask, WordFlags.None, null),
                WordSource.Guessed,
                readings
            );
    }

    /// <summary>
    /// Lower case, without the marks of café and naïve, with the plain apostrophe: the form words are looked up by.
    /// </summary>
    public static string Plain(string written)
    {
        var lower = written.ToLowerInvariant();
        if (Ascii.IsValid(lower))
            return lower;
        // By runes first: half a surrogate pair can't be normalized.
        var bare = string.Concat(
            string.Concat(lower.EnumerateRunes())
                .Normalize(NormalizationForm.FormD)
                .Where(c => CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)
        );
        return bare.Normalize().Replace('’', '\'').Replace('ʼ', '\'');
    }
}

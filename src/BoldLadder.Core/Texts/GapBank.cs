using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>
/// A sentence with one word left out, and words to choose from that were put there by a person: of one class, near in
/// spelling, and only the first is right.
/// </summary>
/// <param name="Whole">The sentence with the right word.</param>
/// <param name="At">The place of that word.</param>
/// <param name="Options">The words, the right one first.</param>
public sealed record GapSentence(Sentence Whole, int At, ImmutableArray<Word> Options);

/// <summary>
/// Sentences with a gap, a line each: <c>The [goat/coat/gate] ran off.</c> Source: docs/handbook.md, section 6 (Apply).
/// </summary>
public sealed class GapBank
{
    private static readonly char[] Marks = ['[', ']'];

    public static GapBank Empty { get; } = new([]);

    /// <param name="lines">A line with a word that is not in the lexicon is left out, and so is one after #.</param>
    /// <exception cref="FormatException">A line without a gap, or with fewer than two words to choose from.</exception>
    public GapBank(IEnumerable<string> lines, Lexicon lexicon) =>
        Sentences = [
            .. lines.Where(l => l.Length > 0 && !l.StartsWith('#')).Select(l => Read(l, lexicon)).OfType<GapSentence>(),
        ];

    private GapBank(ImmutableArray<GapSentence> sentences) => Sentences = sentences;

    public ImmutableArray<GapSentence> Sentences { get; }

    /// <summary>The same sentences with the words as another lexicon has them.</summary>
    public GapBank With(Lexicon lexicon) =>
        new([
            .. Sentences.Select(s => new GapSentence(
                s.Whole.With(lexicon),
                s.At,
                [.. s.Options.Select(o => lexicon.Find(o.Spelling) ?? o)]
            )),
        ]);

    private static GapSentence? Read(string line, Lexicon lexicon)
    {
        var parts = line.Split(Marks);
        if (parts is not [var before, var options, var after] || options.Split('/') is not { Length: > 1 } words)
            throw new FormatException($"\"{line}\" needs one gap with words to choose from: [goat/coat/gate].");
        return
            Sentence.Read(before + words[0] + after, lexicon) is { } whole
            && words.Select(lexicon.Find).OfType<Word>().ToImmutableArray() is var found
            && found.Length == words.Length
            ? new GapSentence(whole, before.Split(' ', StringSplitOptions.RemoveEmptyEntries).Length, found)
            : null;
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>What a group can do with a word of a text.</summary>
public enum ReadingStatus
{
    Decodable,

    /// <summary>Not decodable, but taught as a tricky word.</summary>
    Tricky,

    /// <summary>Something in it has not been taught.</summary>
    NotYet,

    /// <summary>No list has it, or it is a numeral: nobody can say what reading it needs.</summary>
    Unknown,
}

/// <summary>The judgement of one word.</summary>
/// <param name="Needs">What is missing, in word order; none unless the status is
/// <see cref="ReadingStatus.NotYet"/>.</param>
/// <param name="WouldLetIn">The leniencies that would make it readable; none when there are none or it is
/// readable.</param>
public sealed record Judgement(ReadingStatus Status, ImmutableArray<Obstacle> Needs, Leniencies WouldLetIn)
{
    internal static readonly Judgement Decodable = new(ReadingStatus.Decodable, [], Leniencies.None);
    internal static readonly Judgement Tricky = new(ReadingStatus.Tricky, [], Leniencies.None);
    internal static readonly Judgement Unknown = new(ReadingStatus.Unknown, [], Leniencies.None);

    private string? needsText;

    /// <summary>True for a word that the group can read, decodable or tricky.</summary>
    public bool CanBeRead => Status is ReadingStatus.Decodable or ReadingStatus.Tricky;

    /// <summary>What is missing as notations and pattern ids, each once, with spaces between.</summary>
    public string NeedsText =>
        needsText ??= string.Join(' ', Needs.Where((n, i) => Needs.IndexOf(n) == i).Select(n => n.ToString()));
}

/// <summary>
/// The verdict on a written word, once for all of the product: what is typed into a lesson, what stands in a sentence
/// or a book, what was stored. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
/// <param name="tricky">The tricky words the group was taught, lower case.</param>
public sealed class WordJudge(WordFinder finder, Taught taught, IReadOnlySet<string> tricky)
{
    private readonly bool readsCapitals = ((taught.Patterns | taught.Free) & Patterns.Capitals) != Patterns.None;

    public WordFinder Finder => finder;

    public Taught Taught => taught;

    /// <summary>True for what is judged decodable or tricky, without saying what is missing: for many words.</summary>
    public bool CanRead(WrittenWord word) =>
        (readsCapitals || !word.HasCapital)
        && (
            tricky.Contains(word.Plain)
            || (!word.IsUnknown && word.Parts.All(p => taught.CanRead(p) || tricky.Contains(p.Spelling)))
        );

    public Judgement Of(string written) => Of(WrittenWord.Of(written, finder));

    public Judgement Of(WrittenWord word)
    {
        var whole =
            !word.IsUnknown && word.Parts.All(taught.CanRead) ? Judgement.Decodable
            : tricky.Contains(word.Plain) ? Judgement.Tricky
            : OfParts(word.Parts);
        return word.HasCapital && !readsCapitals ? WithoutCapitals(whole) : whole;
    }

    /// <summary>A hyphenated word is as readable as its hardest part.</summary>
    private Judgement OfParts(ImmutableArray<Word> parts)
    {
        if (parts.IsEmpty)
            return Judgement.Unknown;
        var needs = parts
            .Where(p => !tricky.Contains(p.Spelling))
            .SelectMany(p => taught.Obstacles(p))
            .ToImmutableArray();
        return needs.IsEmpty ? Judgement.Tricky : NotYet(needs);
    }

    /// <summary>A capital letter is a pattern of its own: a school may teach it later.</summary>
    private static Judgement WithoutCapitals(Judgement judgement) =>
        judgement.Status == ReadingStatus.Unknown || judgement.Needs.Any(n => n.Pattern == Patterns.Capitals)
            ? judgement
            : NotYet([.. judgement.Needs, new Obstacle(null, Patterns.Capitals)]);

    private static Judgement NotYet(ImmutableArray<Obstacle> needs) =>
        new(ReadingStatus.NotYet, needs, Obstacle.WouldLetIn(needs));
}

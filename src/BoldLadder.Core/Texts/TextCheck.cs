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

/// <summary>The judgement of one token.</summary>
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

    /// <summary>What is missing as notations and pattern ids, each once, with spaces between.</summary>
    public string NeedsText =>
        needsText ??= string.Join(' ', Needs.Where((n, i) => Needs.IndexOf(n) == i).Select(n => n.ToString()));
}

/// <summary>
/// Says of each word of a text whether a group can read it. Judges a spelling once and remembers it, so that a long
/// text costs little more than reading it; what it remembers is bounded. Not for several threads at once. Source:
/// docs/handbook.md, section 7 (Text check).
/// </summary>
/// <param name="tricky">The tricky words the group was taught, lower case.</param>
public sealed class TextCheck(WordFinder finder, Taught taught, IReadOnlySet<string> tricky)
{
    /// <summary>More different spellings than any language text has; beyond them nothing more is remembered.</summary>
    private const int MostRemembered = 200_000;

    private readonly Dictionary<string, Remembered> remembered = new(StringComparer.Ordinal);
    private readonly long[] forgotten = new long[Enum.GetValues<ReadingStatus>().Length];

    private sealed class Remembered(Judgement judgement)
    {
        public Judgement Judgement { get; } = judgement;

        public long Times { get; set; }
    }

    /// <summary>The shares of all words judged so far.</summary>
    public TextCount Count => new(remembered.Select(r => (r.Key, r.Value.Judgement.Status, r.Value.Times)), forgotten);

    /// <summary>Judges a token as it is written, and counts it when it is a word.</summary>
    public Judgement Judge(ReadOnlySpan<char> token, TokenKind kind)
    {
        if (kind != TokenKind.Word)
            return Judgement.Unknown;
        var known = remembered.GetAlternateLookup<ReadOnlySpan<char>>();
        if (!known.TryGetValue(token, out var found))
        {
            found = new Remembered(JudgeWord(token.ToString()));
            if (remembered.Count < MostRemembered)
                known[token] = found;
            else
                forgotten[(int)found.Judgement.Status]++;
        }
        found.Times++;
        return found.Judgement;
    }

    private Judgement JudgeWord(string written)
    {
        var plain = WordFinder.Plain(written);
        var capital = plain != written && written.Any(char.IsUpper);
        var parts = finder.Parts(plain, capital);
        var whole =
            !parts.IsEmpty && parts.All(taught.CanRead) ? Judgement.Decodable
            : tricky.Contains(plain) ? Judgement.Tricky
            : OfParts(parts);
        return WithCapital(whole, capital);
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
    private Judgement WithCapital(Judgement judgement, bool capital)
    {
        var missing =
            capital
            && judgement.Status != ReadingStatus.Unknown
            && ((taught.Patterns | taught.Free) & Patterns.Capitals) == Patterns.None
            && !judgement.Needs.Any(n => n.Pattern == Patterns.Capitals);
        return missing ? NotYet([.. judgement.Needs, new Obstacle(null, Patterns.Capitals)]) : judgement;
    }

    private static Judgement NotYet(ImmutableArray<Obstacle> needs) =>
        new(ReadingStatus.NotYet, needs, Obstacle.WouldLetIn(needs));
}

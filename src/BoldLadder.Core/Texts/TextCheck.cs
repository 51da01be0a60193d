using BoldLadder.Core.Decoding;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

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

    private readonly WordJudge judge = new(finder, taught, tricky);
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
            found = new Remembered(judge.Of(token.ToString()));
            if (remembered.Count < MostRemembered)
                known[token] = found;
            else
                forgotten[(int)found.Judgement.Status]++;
        }
        found.Times++;
        return found.Judgement;
    }
}

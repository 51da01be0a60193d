using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.MadeUp;

/// <summary>A made-up word with its one reading.</summary>
public sealed record MadeUpWord(string Spelling, Segmentation Segmentation);

/// <summary>
/// Makes words of one syllable that are no words, from beginnings and endings that English has and children were
/// taught; each passes <see cref="MadeUpJudge"/>. Seeded. Source: docs/handbook.md, section 7 (Made-up words).
/// </summary>
public sealed class MadeUpMaker
{
    /// <summary>Beginnings and endings that fewer words have look strange.</summary>
    private const int FewestWords = 3;
    private const int FewestMeetings = 2;
    private const int SoundsAtMost = 6;
    private const int FewestLetters = 3;

    private readonly MadeUpJudge judge;
    private readonly List<Piece> onsets;
    private readonly List<Piece> rimes;

    public MadeUpMaker(Lexicon lexicon, Taught taught)
    {
        judge = new MadeUpJudge(lexicon, taught, taught.Accent);
        var adjacent = taught.Patterns | taught.Free;
        onsets = Usable(judge.Shapes.Onsets, taught, o => o.Length < 2 || adjacent.HasFlag(Patterns.AdjacentStart));
        rimes = Usable(judge.Shapes.Rimes, taught, r => r.Length < 3 || adjacent.HasFlag(Patterns.AdjacentEnd));
    }

    /// <summary>As many as asked, or as there are; no two alike, few with the same ending.</summary>
    /// <param name="with">A correspondence each must have; none for any.</param>
    public ImmutableArray<MadeUpWord> Make(int count, long seed, IReadOnlyCollection<Correspondence>? with = null)
    {
        // Common beginnings and endings rather than rare ones, with luck on top; each pair's luck is its own, so that a
        // new word in the lexicon moves no other.
        var asked = with is null or { Count: 0 } ? null : with;
        var having = asked is null ? rimes : [.. rimes.Where(r => r.Parts.Any(asked.Contains))];
        var ordered = onsets
            .SelectMany(o =>
                (asked is not null && o.Parts.Any(asked.Contains) ? rimes : having)
                    .Where(r => Fits(o, r))
                    .Select(r => (Onset: o, Rime: r))
            )
            .Select(p =>
                (
                    p.Onset,
                    p.Rime,
                    Draw: Luck(seed, p.Onset.Key, p.Rime.Key) * Math.Sqrt(Worth(p.Onset) * Math.Min(p.Rime.Words, 20))
                )
            )
            .OrderByDescending(p => p.Draw)
            .ThenBy(p => p.Onset.Key, StringComparer.Ordinal)
            .ThenBy(p => p.Rime.Key, StringComparer.Ordinal)
            .ToList();
        var made = ImmutableArray.CreateBuilder<MadeUpWord>();
        var (seen, ends, starts) = (
            new HashSet<string>(StringComparer.Ordinal),
            new Dictionary<Correspondence[], int>(),
            new Dictionary<Correspondence[], int>()
        );
        for (var most = 1; most <= 64 && made.Count < count; most *= 2)
        {
            foreach (var (onset, rime, _) in ordered)
            {
                if (made.Count == count)
                    break;
                if (ends.GetValueOrDefault(rime.Parts) >= most || starts.GetValueOrDefault(onset.Parts) >= 3 * most)
                    continue;
                var segmentation = new Segmentation([.. onset.Parts, .. rime.Parts]);
                var spelling = segmentation.Rejoin();
                if (!seen.Add(spelling))
                    continue;
                if (judge.Judge(spelling) is not { WillDo: true } judged || !judged.Reading!.Equals(segmentation))
                    continue;
                made.Add(new MadeUpWord(spelling, segmentation));
                ends[rime.Parts] = ends.GetValueOrDefault(rime.Parts) + 1;
                starts[onset.Parts] = starts.GetValueOrDefault(onset.Parts) + 1;
            }
        }
        return made.ToImmutable();
    }

    private static List<Piece> Usable(
        IEnumerable<(Correspondence[] Parts, int Words)> pieces,
        Taught taught,
        Func<Correspondence[], bool> allowed
    ) =>
        [
            .. pieces
                .Where(p =>
                    p.Words >= FewestWords
                    && allowed(p.Parts)
                    && p.Parts.All(c => c.IsRegular && taught.Correspondences.Contains(c))
                )
                .Select(p => new Piece(p.Parts, p.Words, string.Join(' ', p.Parts.Select(c => c.Notation)))),
        ];

    private sealed record Piece(Correspondence[] Parts, int Words, string Key)
    {
        public int Letters { get; } = Parts.Sum(c => c.Grapheme.Letters.Length);
    }

    private static double Luck(long seed, string onset, string rime) => Seeded.For(seed, $"{onset}/{rime}").Fraction();

    private static int Worth(Piece onset) => onset.Parts.Length == 0 ? FewestWords : Math.Min(onset.Words, 60);

    private bool Fits(Piece onset, Piece rime) =>
        onset.Parts.Length + rime.Parts.Length is >= 2 and <= SoundsAtMost
        && onset.Letters + rime.Letters >= FewestLetters
        && rime.Parts[0].Sounds[0].Symbol != "ə"
        && !(rime.Parts.Length == 1 && rime.Parts[0].Grapheme.Text.Length == 1)
        && (onset.Parts.Length == 0 || judge.Shapes.Meetings(onset.Parts[^1], rime.Parts[0]) >= FewestMeetings);
}

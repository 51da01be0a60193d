using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>
/// What can be wrong with the tricky words along a ladder. Source: docs/handbook.md, section 4 (Tricky word) and
/// section 8.
/// </summary>
internal static class TrickyWarnings
{
    private const int Week = 5;
    private const int MostAWeek = 5;

    /// <summary>So many rungs without a new tricky word are long, while common words are still to come.</summary>
    private const int Long = 15;

    /// <summary>Common enough to be needed in children's sentences.</summary>
    private const double Common = 5.5;

    /// <param name="rungOf">For each word of the index the rung after which it is decodable.</param>
    public static IEnumerable<LadderWarning> Of(Ladder ladder, WordIndex index, ReadOnlyMemory<int> rungOf)
    {
        var places = new Dictionary<string, int>();
        var last = -1;
        for (var rung = 0; rung < ladder.Rungs.Length; rung++)
        {
            foreach (var tricky in ladder.Rungs[rung].Tricky)
            {
                if (index.PlaceOf(tricky) is { } word && rungOf.Span[word] is var readable && readable <= rung)
                {
                    yield return LadderWarning.On(rung, WarningKind.TrickyAfterReadable, tricky, readable + 1);
                }
                foreach (
                    var other in MixedUp
                        .Partners(tricky)
                        .Where(o => places.TryGetValue(o, out var at) && rung - at < Week)
                )
                {
                    yield return LadderWarning.On(rung, WarningKind.TrickyMixedUp, tricky, other);
                }
                places[tricky] = rung;
                last = rung;
            }
            var inWeek = ladder
                .Rungs.AsSpan()[Math.Max(0, rung - Week + 1)..(rung + 1)]
                .ToArray()
                .Sum(r => r.Tricky.Length);
            if (inWeek > MostAWeek && !ladder.Rungs[rung].Tricky.IsEmpty)
                yield return LadderWarning.On(rung, WarningKind.TooManyTricky, inWeek);
            if (rung - last == Long && CommonWordsAreMissing(index, rungOf, rung, places))
                yield return LadderWarning.On(rung, WarningKind.NoTrickyForLong, Long);
        }
    }

    private static bool CommonWordsAreMissing(
        WordIndex index,
        ReadOnlyMemory<int> rungOf,
        int rung,
        Dictionary<string, int> places
    ) =>
        index
            .Words.TakeWhile(w => w.Zipf >= Common)
            .Where(
                (w, i) =>
                    w.Suitability == Suitability.Use
                    && w.Suffix is null
                    && (w.Flags & (WordFlags.AmericanOnly | WordFlags.Contraction)) == WordFlags.None
                    && !places.ContainsKey(w.Spelling)
                    && rungOf.Span[i] > rung
            )
            .Any();
}

using System.Collections.Immutable;
using BoldLadder.Core.Ladders.Analysis;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// A shipped ladder as a school with another accent opens it: without what its accent does not tell apart, and without
/// tricky words that can be read by then. Source: docs/handbook.md, section 4 (Accent).
/// </summary>
public static class AccentFit
{
    public static Ladder Of(Ladder ladder, WordIndex index)
    {
        var warnings = LadderAnalysis.Of(ladder, index).Rungs;
        var rungs = ladder.Rungs.Select(
            (rung, i) =>
            {
                ImmutableArray<string> Named(WarningKind kind) =>
                    [.. warnings[i].Warnings.Where(w => w.Kind == kind).Select(w => w.Arguments[0])];
                var (merged, readable) = (Named(WarningKind.AccentMerges), Named(WarningKind.TrickyAfterReadable));
                return rung with
                {
                    Correspondences = rung.Correspondences.RemoveAll(c => merged.Contains(c.ReferenceNotation)),
                    Tricky = rung.Tricky.RemoveAll(readable.Contains),
                };
            }
        );
        // A rung that taught only what has gone stays as a review day, so that what is around it keeps its distance.
        return ladder with
        {
            Rungs =
            [
                .. rungs.Select(
                    (r, i) =>
                        r.TeachesSomething || !ladder.Rungs[i].TeachesSomething
                            ? r
                            : r with
                            {
                                Kind = RungKind.Review,
                                Tricky = [],
                                Reason = null,
                            }
                ),
            ],
        };
    }
}

using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// Finds rungs with too few usable words of their own. Source: docs/handbook.md, section 7 (Ladder analysis, thin
/// rung).
/// </summary>
public static class ThinRungs
{
    /// <summary>The reason given to a thin rung: its lesson leans on oral blending, spotting and formation.</summary>
    public const string OralReason = "oral-work";

    public static Ladder WithReasons(Ladder ladder, Lexicon lexicon)
    {
        var rungs = ladder.Rungs.Select(
            (rung, i) =>
            {
                if (!rung.TeachesSomething)
                    return rung;
                var after = ladder.TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish);
                return Usable.Showing(rung, after, lexicon.ForLessons).Take(Usable.Enough).Count() < Usable.Enough
                    ? rung with
                    {
                        Reason = OralReason,
                    }
                    : rung;
            }
        );
        return ladder with { Rungs = [.. rungs] };
    }
}

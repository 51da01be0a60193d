using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>Finds rungs with too few usable words of their own. Source: docs/handbook.md, section 7 (Ladder analysis, thin rung).</summary>
public static class ThinRungs
{
    /// <summary>A rung with fewer words than this is thin.</summary>
    public const int Enough = 5;

    /// <summary>The reason given to a thin rung: its lesson leans on oral blending, spotting and formation.</summary>
    public const string OralReason = "oral-work";

    public static Ladder WithReasons(Ladder ladder, Lexicon lexicon)
    {
        var rungs = ladder.Rungs.Select((rung, i) =>
        {
            if (!rung.TeachesSomething) return rung;
            var after = ladder.TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish);
            return Usable.Showing(rung, after, lexicon.ForLessons).Take(Enough).Count() < Enough ? rung with { Reason = OralReason } : rung;
        });
        return ladder with { Rungs = [.. rungs] };
    }
}

using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.School.Ladders;
using BoldLadder.School.Words;

namespace BoldLadder.Web.Setup;

/// <summary>
/// Looks at the first ladder and plans a few lessons for nobody right after the start, so that what is made once for a
/// lexicon stands ready, and the first teacher of the day does not wait for it.
/// </summary>
public static class WarmUp
{
    private static readonly int[] Rungs = [30, 80];

    public static void Run(WordData words, LadderStudy study)
    {
        study.Warm(words.LettersFirst, new WayOfReading(Accent.SouthernBritish, Leniencies.All));
        foreach (var rung in Rungs)
        {
            var series = new LessonSeries(
                words.LettersFirst,
                words.Materials,
                Leniencies.All,
                Accent.SouthernBritish,
                Pace.Lengths[^1],
                rung
            );
            series.Skip(rung);
            for (var i = 0; i < 3 && series.HasNext; i++)
                series.PlanNext();
        }
    }
}

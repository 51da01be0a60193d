using BoldLadder.Core.Randomness;
using BoldLadder.Core.Revisit;
using BoldLadder.School.Marks;

namespace BoldLadder.Web.Demo;

/// <summary>Marks as a teacher of the demo school makes them: all right but for some, more often the same children.
/// </summary>
public static class DemoMarks
{
    private const int MostWords = 5;
    private const int SlowEach = 5;
    private const double SlowMiss = 0.3;
    private const double UsualMiss = 0.06;

    public static async Task Add(MarkDesk desk, Guid lessonId, Seeded chance, DateTime at)
    {
        var there = (await desk.Show(lessonId)).Value;
        var marks = new List<MarkGiven>();
        MarkGiven Made(MarkKind kind, Guid? child, string word, int? place, string? written = null) =>
            new(
                Id: Guid.CreateVersion7(),
                Kind: kind,
                ChildId: child,
                Word: word,
                Place: place,
                Seen: kind == MarkKind.Miss ? Seen.Wrong : null,
                Written: written,
                Verdicts: null,
                MadeAt: at
            );
        foreach (var word in there.Words.Where(w => w.IsSpelled).Take(MostWords))
        {
            foreach (var (i, child) in there.Children.Index().Where(c => !c.Item.IsAway))
            {
                if (i % SlowEach == 1 && Confused(word.Graphemes) is { } written)
                    marks.Add(Made(MarkKind.Written, child.Id, word.Word, null, written));
                else if (chance.Fraction() < (i % SlowEach == 2 ? SlowMiss : UsualMiss))
                    marks.Add(Made(MarkKind.Miss, child.Id, word.Word, chance.Below(word.Graphemes.Count)));
            }
            marks.Add(Made(MarkKind.AllRight, null, word.Word, null));
        }
        if (marks.Count > 0)
            await desk.Take(lessonId, new MarksGiven(marks));
    }

    /// <summary>What some children write for some letters.</summary>
    private static readonly (string Letters, string Written)[] Confusions =
    [
        ("b", "d"),
        ("th", "f"),
        ("ch", "sh"),
        ("e", "i"),
        ("ai", "ay"),
    ];

    /// <summary>The word as one writes it who takes some letters for others; null where it has none of them.</summary>
    private static string? Confused(IReadOnlyList<string> graphemes)
    {
        // A split digraph is written round what stands between.
        if (graphemes.Any(g => g.Contains('-', StringComparison.Ordinal)))
            return null;
        var written = graphemes.Select(g =>
            Confusions.Where(c => c.Letters == g).Select(c => c.Written).FirstOrDefault(g)
        );
        return written.SequenceEqual(graphemes) ? null : string.Concat(written);
    }
}

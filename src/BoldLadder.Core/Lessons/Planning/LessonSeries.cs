using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>
/// One group's lessons up a ladder, a rung a lesson, each planned on what the ones before it taught and showed: a whole
/// year in one go. Not for several threads at once.
/// </summary>
public sealed class LessonSeries(
    Ladder ladder,
    Materials materials,
    Leniencies leniencies,
    Accent accent,
    int minutes,
    long seed
)
{
    private const int DaysInWeek = 5;

    private readonly Dictionary<Correspondence, int> seen = [];
    private readonly Dictionary<string, int> words = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> texts = new(StringComparer.Ordinal);
    private readonly Dictionary<ActivityKind, int> kinds = [];
    private readonly Dictionary<string, int> trickyRead = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> trickyWritten = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> written = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> readings = new(StringComparer.Ordinal);
    private readonly List<Correspondence> newest = [];
    private readonly List<string> tricky = [];
    private Taught before = ladder.TaughtAfter(0, leniencies, accent);

    /// <summary>How many lessons were planned: the index of the rung that comes next.</summary>
    public int Lessons { get; private set; }

    public bool HasNext => Lessons < ladder.Rungs.Length;

    /// <summary>What the next lesson is made from.</summary>
    public LessonRequest Next()
    {
        var at = Lessons;
        var memory = new Memory
        {
            Seen = seen.ToDictionary(s => s.Key, s => at - s.Value),
            Words = words.ToDictionary(w => w.Key, w => at - w.Value),
            Texts = texts.ToDictionary(t => t.Key, t => at - t.Value),
            Kinds = kinds.ToDictionary(k => k.Key, k => at - k.Value),
            TrickyRead = trickyRead.ToDictionary(k => k.Key, k => at - k.Value),
            TrickyWritten = trickyWritten.ToDictionary(k => k.Key, k => at - k.Value),
            Written = written.ToDictionary(),
            TextReadings = readings.ToDictionary(),
            Newest = [.. Enumerable.Reverse(newest)],
        };
        return new LessonRequest(
            Before: before,
            Today: QuietDay.Filled(ladder.Rungs[at], ladder, memory.Newest),
            Materials: materials,
            TrickyBefore: [.. tricky],
            Memory: memory,
            Minutes: minutes,
            Seed: seed + at
        )
        {
            LooksBackOn = at % DaysInWeek == DaysInWeek - 1 ? DaysInWeek - 1 : 0,
        };
    }

    /// <summary>Plans the next lesson and goes on past it.</summary>
    /// <param name="asked">What is changed of the request before; null for nothing.</param>
    public (LessonRequest Request, Lesson Lesson) PlanNext(Func<LessonRequest, LessonRequest>? asked = null)
    {
        var request = asked is null ? Next() : asked(Next());
        var lesson = LessonPlanner.Plan(request);
        Held(lesson);
        return (request, lesson);
    }

    /// <summary>Goes on past so many rungs as if they had been taught, without planning them.</summary>
    public void Skip(int rungs)
    {
        for (var i = 0; i < rungs && HasNext; i++)
            Teach(ladder.Rungs[Lessons]);
    }

    private void Held(Lesson lesson)
    {
        var tally = LessonTally.Of(lesson);
        foreach (var word in lesson.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Words))
            words[word] = Lessons;
        foreach (var kind in tally.Kinds)
            kinds[kind] = Lessons;
        foreach (var text in tally.Sentences.Concat(tally.Titles))
            texts[text] = Lessons;
        foreach (var card in tally.Cards)
            seen[card] = Lessons;
        foreach (var word in tally.TrickyRead)
            trickyRead[word] = Lessons;
        foreach (var word in tally.TrickyWritten)
        {
            trickyWritten[word] = Lessons;
            written[word] = written.GetValueOrDefault(word) + 1;
        }
        foreach (var title in tally.Titles)
            readings[title] = readings.GetValueOrDefault(title) + 1;
        Teach(ladder.Rungs[Lessons]);
    }

    private void Teach(Rung rung)
    {
        foreach (var one in rung.Correspondences)
        {
            seen[one] = Lessons;
            newest.Add(one);
        }
        tricky.AddRange(rung.Tricky.Except(tricky));
        before = before.With(rung.Correspondences, rung.Patterns);
        Lessons++;
    }
}

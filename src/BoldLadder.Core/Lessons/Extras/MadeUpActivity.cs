using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Randomness;

namespace BoldLadder.Core.Lessons.Extras;

/// <summary>Made-up words with what is new today, where the school has them in lessons. Source: docs/handbook.md, sections 5, 6 (Practise) and 7.</summary>
internal static class MadeUpActivity
{
    public const string Id = "practise-made-up";

    private const int Fewest = 3;

    /// <summary>Null where the school has none in lessons, or there are too few.</summary>
    public static Activity? Of(LessonRequest request, int count)
    {
        if (!request.MadeUpInLessons || request.Today.Correspondences.IsEmpty) return null;
        var shown = request.RecentMadeUp;
        var made = new MadeUpMaker(request.Lexicon, request.After).Make(count + shown.Count, unchecked((long)Seeded.For(request.Seed, Id).NextUInt64()), request.Today.Correspondences)
            .Where(m => !shown.Contains(m.Spelling)).Take(count).OrderBy(m => m.Segmentation.Taps).ToList();
        return made.Count < Fewest ? null : new Activity(Id, ActivityKind.MadeUpWords, ResponseMode.SayTogether, 0, [.. made.Select(m => Items.OfMadeUp(Id, m, request.Today))]);
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>A day that goes back to some of what was taught, and teaches nothing.</summary>
public static class GoingBack
{
    /// <param name="id">Names the day.</param>
    /// <param name="taught">What may be used on it.</param>
    /// <param name="tricky">Tricky words that may be used.</param>
    public static LessonRequest To(
        LessonRequest request,
        string id,
        ImmutableArray<Correspondence> about,
        Taught taught,
        ImmutableArray<string> tricky
    ) =>
        new(
            Before: taught,
            Today: new Rung(
                Id: id,
                Stage: "",
                Correspondences: about,
                Patterns: Patterns.None,
                Tricky: [],
                Reason: null,
                Kind: RungKind.Review
            ),
            Materials: request.Materials,
            TrickyBefore: tricky,
            Memory: request.Memory,
            Minutes: request.Minutes,
            Seed: request.Seed
        )
        {
            Avoid = request.Avoid,
            Names = request.Names,
            Chunks = request.Chunks,
            MeaningsInLessons = request.MeaningsInLessons,
        };
}

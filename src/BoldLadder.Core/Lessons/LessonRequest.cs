using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons;

/// <summary>Everything a lesson is made from. The same request gives the same lesson.</summary>
/// <param name="Before">What was taught before today: what Revisit may use.</param>
/// <param name="Today">What is new today.</param>
/// <param name="Lexicon">All words.</param>
/// <param name="TrickyBefore">Tricky words taught before today, oldest first.</param>
/// <param name="Recall">For each taught correspondence how many lessons ago it was last seen; what is longest unseen is due.</param>
/// <param name="Newest">What was taught last, the newest first.</param>
/// <param name="RecentWords">For words of recent lessons how many lessons ago they were used.</param>
/// <param name="Sentences">The bank of captions and sentences.</param>
/// <param name="Minutes">How long the lesson is: 15, 20, 25 or 30.</param>
/// <param name="Seed">Decides every draw.</param>
public sealed record LessonRequest(
    Taught Before,
    Rung Today,
    Lexicon Lexicon,
    ImmutableArray<string> TrickyBefore,
    IReadOnlyDictionary<Correspondence, int> Recall,
    ImmutableArray<Correspondence> Newest,
    IReadOnlyDictionary<string, int> RecentWords,
    SentenceBank Sentences,
    int Minutes,
    long Seed)
{
    /// <summary>False where the school has made-up words only in checks, or never.</summary>
    public bool MadeUpInLessons { get; init; } = true;

    /// <summary>Made-up words that are not to come again: those an activity has already.</summary>
    public IReadOnlySet<string> RecentMadeUp { get; init; } = ImmutableHashSet<string>.Empty;

    /// <summary>What Teach, Practise and Apply may use.</summary>
    public Taught After { get; } = Before.With(Today.Correspondences, Today.Patterns);

    /// <summary>Tricky words that may stand in a sentence today.</summary>
    public IEnumerable<string> TrickyToday => TrickyBefore.Concat(Today.Tricky);
}

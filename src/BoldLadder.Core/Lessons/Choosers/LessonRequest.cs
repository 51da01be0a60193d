using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>Everything a lesson is made from. The same request gives the same lesson.</summary>
/// <param name="Before">What was taught before today: what Revisit may use.</param>
/// <param name="Today">What is new today.</param>
/// <param name="Materials">All words, sentences, texts, meanings and pictures.</param>
/// <param name="TrickyBefore">Tricky words taught before today, oldest first.</param>
/// <param name="Memory">What the group has in memory, and what is due.</param>
/// <param name="Minutes">How long the lesson is: 15, 20, 25 or 30.</param>
/// <param name="Seed">Decides every draw.</param>
public sealed record LessonRequest(
    Taught Before,
    Rung Today,
    Materials Materials,
    ImmutableArray<string> TrickyBefore,
    Memory Memory,
    int Minutes,
    long Seed
)
{
    /// <summary>False where the school has made-up words only in checks, or never.</summary>
    public bool MadeUpInLessons { get; init; } = true;

    /// <summary>False where the school gives no one-line meanings.</summary>
    public bool MeaningsInLessons { get; init; } = true;

    /// <summary>Made-up words that are not to come again: those an activity has already.</summary>
    public IReadOnlySet<string> RecentMadeUp { get; init; } = FrozenSet<string>.Empty;

    /// <summary>How the words to read are released; null for all together.</summary>
    public ReleaseSteps? Release { get; init; }

    /// <summary>
    /// The school's own templates for this weekday; where it has none for the day's kind and length, the shipped one is
    /// used.
    /// </summary>
    public IReadOnlyList<LessonTemplate> Templates { get; init; } = [];

    /// <summary>How long the group takes for what is planned as 1, as its lessons showed.</summary>
    public double Pace { get; init; } = 1;

    /// <summary>The school's own memory phrases, by reference notation.</summary>
    public IReadOnlyDictionary<string, string> Phrases { get; init; } = FrozenDictionary<string, string>.Empty;

    /// <summary>The chunks that the school teaches, in its order.</summary>
    public IReadOnlyList<Chunk> Chunks { get; init; } = [];

    /// <summary>
    /// On the last day of a week, how many lessons it had before today: their words and text are looked back at; 0 on
    /// other days.
    /// </summary>
    public int LooksBackOn { get; init; }

    /// <summary>Words that are not to come in this group's lessons.</summary>
    public IReadOnlySet<string> Avoid { get; init; } = FrozenSet<string>.Empty;

    /// <summary>
    /// What the children of the group are called: nobody in a sentence has such a name, and no made-up word sounds like
    /// one. Letters count alike, small or capital. Source: docs/handbook.md, section 10.
    /// </summary>
    public IReadOnlySet<string> Names { get; init; } = FrozenSet<string>.Empty;

    public Lexicon Lexicon => Materials.Lexicon;

    /// <summary>What Teach, Practise and Apply may use.</summary>
    public Taught After { get; } = Before.With(Today.Correspondences, Today.Patterns);

    /// <summary>Tricky words that may stand in a sentence today.</summary>
    public IEnumerable<string> TrickyToday => TrickyBefore.Concat(Today.Tricky);
}

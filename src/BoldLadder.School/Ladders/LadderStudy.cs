using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Security.Cryptography;
using System.Text;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.School.Words;
using BoldLadder.School.Work;

namespace BoldLadder.School.Ladders;

/// <summary>
/// What is worked out of the shipped words and a ladder, once for all schools: an index of the words, facts, analyses.
/// An answer is kept under the ladder's content and the way of reading, never under an id, so that no other school's
/// and no rolled-back ladder can be meant.
/// </summary>
public sealed class LadderStudy(WordData words, WorkCache cache)
{
    private const int Suggested = 3;

    /// <summary>What a ladder is known by, worked out once while it is in use: it never changes.</summary>
    private static readonly ConditionalWeakTable<Ladder, string> Contents = [];

    // Roughly what each weighs in kilobytes.
    private const int OfAnIndex = 8 * 1024;
    private const int OfAnAnalysis = 256;
    private const int OfUnlocked = 1024;
    private const int OfAFact = 1;

    public WordIndex Index(WayOfReading way) =>
        cache.Of((nameof(WordIndex), way), OfAnIndex, () => new WordIndex(words.Lexicon, way.Leniencies, way.Accent));

    public CorrespondenceTable Facts(Accent accent) =>
        cache.Of((nameof(CorrespondenceTable), accent), OfAnIndex, () =>
            new CorrespondenceTable(words.Lexicon, accent)
        );

    public PositionFacts? Positions(Correspondence one) =>
        cache.Of((nameof(Positions), one.Notation), OfAFact, () => ItemMaker.Positions(one, words.Lexicon));

    public KeyWords KeyWords => cache.Of(nameof(KeyWords), OfAnIndex, () => new KeyWords(words.Lexicon));

    public LadderAnalysis Analysis(Ladder ladder, WayOfReading way) =>
        cache.Of(Key(nameof(Analysis), ladder, way), OfAnAnalysis, () => LadderAnalysis.Of(ladder, Index(way)));

    /// <summary>The words for lessons by the index of the rung that makes them readable.</summary>
    public ILookup<int, Word> Unlocked(Ladder ladder, WayOfReading way) =>
        cache.Of(Key(nameof(Unlocked), ladder, way), OfUnlocked, () =>
        {
            var reach = ladder.ReachIn(way.Leniencies, way.Accent);
            return words.Lexicon.ForLessons.ToLookup(w => reach.RungOf(w) ?? int.MaxValue);
        });

    /// <exception cref="OperationCanceledException">Stopped on the way.</exception>
    public ImmutableArray<MoveSuggestion> Suggestions(Ladder ladder, WayOfReading way, CancellationToken stop) =>
        cache.Of(Key(nameof(Suggestions), ladder, way), OfAnAnalysis, () =>
            MoveSuggestions.Of(ladder, Index(way), Suggested, HeavyWork.SideBySide, stop)
        );

    /// <exception cref="OperationCanceledException">Stopped on the way.</exception>
    public ImmutableArray<PlaceAnswer> Places(Ladder ladder, int rung, WayOfReading way, CancellationToken stop) =>
        cache.Of((Key(nameof(Places), ladder, way), rung), OfAnAnalysis, () =>
            PlaceAnswers.Of(ladder, rung, Index(way), sideBySide: HeavyWork.SideBySide, stop: stop)
        );

    /// <summary>Works out what the first look at a ladder needs, so that nobody waits for it.</summary>
    public void Warm(Ladder ladder, WayOfReading way)
    {
        Analysis(ladder, way);
        Unlocked(ladder, way);
        var (facts, keys) = (Facts(way.Accent), KeyWords);
        foreach (var one in ladder.Rungs.SelectMany(r => r.Correspondences).Distinct())
        {
            facts.Of(one);
            keys.Of(one);
            Positions(one);
        }
    }

    private static (string What, string Content, WayOfReading Way) Key(string what, Ladder ladder, WayOfReading way) =>
        (
            what,
            Contents.GetValue(ladder, l =>
                Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(LadderDocument.Write(l))))
            ),
            way
        );
}

using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Lessons.Extras;

/// <summary>A word chain for the board and the tiles: which place changed? Source: docs/handbook.md, sections 6 (Practise) and 7 (Chain).</summary>
internal static class ChainActivity
{
    public const string Id = "practise-chain";

    private const int Shortest = 4;

    /// <summary>Null where no chain has what is new today in two thirds of its words.</summary>
    public static Activity? Of(LessonRequest request, int count)
    {
        var with = request.Today.Correspondences.Any(c => c.Notation == "a=ɑː") ? request.Today.Correspondences.Add(Correspondence.BathA) : request.Today.Correspondences;
        var chain = new ChainMaker(request.Lexicon, request.After).Make(new ChainRequest(count, with, unchecked((long)Seeded.For(request.Seed, Id).NextUInt64())));
        var own = chain.Count(s => Usable.Shows(request.Today, s.Word));
        if (chain.Length < Shortest || own * 3 < chain.Length * 2) return null;
        return new Activity(Id, ActivityKind.WordChain, ResponseMode.ShowOnBoards, 0,
            [.. chain.Select(s => Items.OfWord(Id, s.Word, s.Change is { } change ? [Reason.Of($"changes-{change.ToString().ToLowerInvariant()}")] : []))]);
    }
}

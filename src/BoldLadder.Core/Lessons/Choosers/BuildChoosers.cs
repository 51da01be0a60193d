using System.Collections.Immutable;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Practise in which words of a kind are read together, and made-up words written. Source:
/// docs/handbook.md, section 6.
/// </summary>
internal static class BuildChoosers
{
    private const int WordsInLine = 4;
    private const int MostNames = 2;

    public static ImmutableArray<Chooser> All { get; } =
    [new(ActivityKind.LikeLines, LikeLines), new(ActivityKind.DictateName, DictateName)];

    /// <summary>
    /// A line of words that end alike, then a line of words that share only what is new: reading alike, then not.
    /// </summary>
    private static IEnumerable<Item> LikeLines(LessonWork work, string id, int count)
    {
        var own = work.Picked(work.Own).Where(w => w.IsKnown && w.Suffix is null).ToList();
        var like = work.Stream($"{id}:like")
            .Shuffle(own.GroupBy(RimeOf).Where(g => g.Count() >= WordsInLine - 1))
            .Take(Math.Max(1, count / 2))
            .Select(g => work.Choice($"{id}:{g.Key}").Take(g, WordsInLine))
            .ToList();
        if (like.Count == 0)
            return [];
        var used = like.SelectMany(l => l).ToHashSet();
        var unlike = own.Where(w => !used.Contains(w)).GroupBy(RimeOf).Select(g => g.First()).ToList();
        var line = work.Choice($"{id}:unlike").Take(unlike, WordsInLine);
        if (line.Count < WordsInLine - 1)
            return [];
        return like.Append(line)
            .Select(l => new LineItem(
                $"{id}:{l[0].Spelling}",
                false,
                [.. l.Select(w => ItemMaker.OfWord(id, w, WordChoice.Explain(work.Request, w)))]
            ));
    }

    private static string RimeOf(Word word) =>
        string.Join('|', word.Required.SkipWhile(p => !p.IsVowel).Select(p => p.Notation));

    /// <summary>A made-up word as somebody's name: it is written, capital letter and all.</summary>
    private static IEnumerable<Item> DictateName(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (
            !request.MadeUpInLessons
            || request.Today.Correspondences.IsEmpty
            || request.Before.Correspondences.Count < TeachChoosers.FirstWeeks
        )
            return [];
        var made = new MadeUpMaker(request.Lexicon, request.After).Make(
            count + request.RecentMadeUp.Count,
            unchecked((long)work.Stream(id).NextUInt64()),
            request.Today.Correspondences
        );
        return made.Where(m => !request.RecentMadeUp.Contains(m.Spelling))
            .Take(Math.Min(count, MostNames))
            .Select(m => ItemMaker.OfMadeUp(id, m, request.Today))
            .Select(m => m with { Reasons = m.Reasons.Add(Reason.Of("as-a-name")) });
    }
}

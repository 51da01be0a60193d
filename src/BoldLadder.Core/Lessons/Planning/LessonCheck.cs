using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>
/// Says what of a stored lesson a group can't read on its day: after a ladder was reordered, a lesson slipped, or a
/// word was corrected or banned.
/// Source: docs/handbook.md, section 4 (Decodable).
/// </summary>
public static class LessonCheck
{
    /// <summary>
    /// For each item in trouble its id and the reasons: not-taught with the notation, unknown-word, or left-out for a
    /// word that the school banned.
    /// </summary>
    public static ImmutableArray<ItemProblem> Problems(
        Lesson lesson,
        Taught before,
        Taught after,
        IReadOnlySet<string> tricky,
        Lexicon lexicon
    )
    {
        var problems = ImmutableArray.CreateBuilder<ItemProblem>();
        var finder = new WordFinder(lexicon);
        var (earlier, later) = (new WordJudge(finder, before, tricky), new WordJudge(finder, after, tricky));
        foreach (var part in lesson.Parts)
        {
            var judge = part.Kind == PartKind.Revisit ? earlier : later;
            foreach (
                var item in part.Activities.SelectMany(a =>
                    a.Items.Concat(a.Levels is { } levels ? levels.Support.Concat(levels.Stretch) : [])
                )
            )
            {
                var reasons = Reasons(item, judge).Distinct().ToImmutableArray();
                if (!reasons.IsEmpty)
                    problems.Add(new ItemProblem(item.Id, reasons));
            }
        }
        return problems.ToImmutable();
    }

    private static IEnumerable<Reason> Reasons(Item item, WordJudge judge) =>
        ReadByChildren
            .Words(item)
            .SelectMany(w => OfWord(w, judge))
            .Concat(
                ReadByChildren
                    .Correspondences(item)
                    .Where(c => !judge.Taught.Covers(c))
                    .Select(c => Reason.Of("not-taught", c.ToString()))
            );

    /// <summary>Of a stored word nothing says whether it is meant as a name: who can read that, can read it.</summary>
    private static IEnumerable<Reason> OfWord(string spelling, WordJudge judge)
    {
        if (judge.Finder.Lexicon.FindName(spelling) is { } name && judge.Taught.CanRead(name))
            return [];
        var word = WrittenWord.Of(spelling, judge.Finder);
        if (word.IsNever)
            return [Reason.Of("left-out", spelling)];
        var judgement = judge.Of(word);
        return judgement.Status == ReadingStatus.Unknown
            ? [Reason.Of("unknown-word", spelling)]
            : judgement.Needs.Select(o => Reason.Of("not-taught", o.ToString()));
    }
}

/// <summary>An item of a lesson that children can't read yet, and why.</summary>
public sealed record ItemProblem(string ItemId, ImmutableArray<Reason> Reasons);

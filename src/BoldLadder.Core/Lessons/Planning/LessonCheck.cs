using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
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
        foreach (var part in lesson.Parts)
        {
            var taught = part.Kind == PartKind.Revisit ? before : after;
            foreach (
                var item in part.Activities.SelectMany(a =>
                    a.Items.Concat(a.Levels is { } levels ? levels.Support.Concat(levels.Stretch) : [])
                )
            )
            {
                var reasons = Reasons(item, taught, tricky, finder).Distinct().ToImmutableArray();
                if (!reasons.IsEmpty)
                    problems.Add(new ItemProblem(item.Id, reasons));
            }
        }
        return problems.ToImmutable();
    }

    private static IEnumerable<Reason> Reasons(
        Item item,
        Taught taught,
        IReadOnlySet<string> tricky,
        WordFinder finder
    ) =>
        ReadByChildren
            .Words(item)
            .SelectMany(w => OfWord(w, taught, tricky, finder))
            .Concat(
                ReadByChildren
                    .Correspondences(item)
                    .Where(c => !taught.Covers(c))
                    .Select(c => Reason.Of("not-taught", c.ToString()))
            );

    private static IEnumerable<Reason> OfWord(
        string spelling,
        Taught taught,
        IReadOnlySet<string> tricky,
        WordFinder finder
    )
    {
        var name = finder.Lexicon.FindName(spelling);
        if (name is not null && taught.CanRead(name))
            return [];
        var parts = finder.Parts(spelling, false);
        if (parts.IsEmpty)
            return tricky.Contains(spelling) ? [] : [Reason.Of("unknown-word", spelling)];
        if (parts.Any(p => p.Suitability == Suitability.Never))
            return [Reason.Of("left-out", spelling)];
        return tricky.Contains(spelling)
            ? []
            : parts
                .Where(p => !tricky.Contains(p.Spelling))
                .SelectMany(p => taught.Obstacles(p))
                .Select(o => Reason.Of("not-taught", o.ToString()));
    }
}

/// <summary>An item of a lesson that children can't read yet, and why.</summary>
public sealed record ItemProblem(string ItemId, ImmutableArray<Reason> Reasons);

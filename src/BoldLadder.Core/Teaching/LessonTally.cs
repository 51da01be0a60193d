using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

/// <summary>What a lesson showed, each thing once: what the lessons after it have to know.</summary>
/// <param name="Sentences">Sentences that children read, those of texts too.</param>
/// <param name="Titles">Titles of texts.</param>
/// <param name="TrickyRead">Words read as tricky words, not those met in a sentence.</param>
/// <param name="TrickyWritten">Tricky words written from memory.</param>
/// <param name="Cards">Correspondences on cards.</param>
public sealed record LessonTally(
    ImmutableArray<string> Sentences,
    ImmutableArray<string> Titles,
    ImmutableArray<ActivityKind> Kinds,
    ImmutableArray<string> TrickyRead,
    ImmutableArray<string> TrickyWritten,
    ImmutableArray<Correspondence> Cards
)
{
    public static LessonTally Of(Lesson lesson)
    {
        var items = lesson.Activities.SelectMany(a => a.Items).ToList();
        return new LessonTally(
            Sentences: [.. items.Where(i => i is not WordItem).SelectMany(ReadByChildren.Sentences).Distinct()],
            Titles: [.. items.OfType<TextItem>().Select(t => t.Title).Distinct()],
            Kinds: [.. lesson.Activities.Select(a => a.Kind).Distinct()],
            TrickyRead:
            [
                .. WordsOf(lesson, ActivityKind.TrickySoFar, ActivityKind.TrickyAtSpeed, ActivityKind.NewTrickyWord),
            ],
            TrickyWritten: [.. WordsOf(lesson, ActivityKind.SpellTricky, ActivityKind.NewTrickyWord)],
            Cards:
            [
                .. items
                    .OfType<CardItem>()
                    .SelectMany(c => (c.Also ?? []).Select(a => a.Correspondence).Prepend(c.Correspondence))
                    .Select(n => Correspondence.TryParse(n, out var one) ? one : null)
                    .OfType<Correspondence>()
                    .Distinct(),
            ]
        );
    }

    private static IEnumerable<string> WordsOf(Lesson lesson, params ImmutableArray<ActivityKind> kinds) =>
        lesson
            .Activities.Where(a => kinds.Contains(a.Kind))
            .SelectMany(a => a.Items.OfType<WordItem>())
            .Select(w => w.Word)
            .Distinct();
}

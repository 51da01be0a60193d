using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>One rule of choosing as far as a lesson follows it.</summary>
/// <param name="Value">0, not at all, to 1, wholly.</param>
/// <param name="Weight">Its share in the whole.</param>
public readonly record struct QualityPart(string Rule, double Value, double Weight);

/// <summary>
/// How well a lesson follows the rules of choosing, for comparing choices and seeing a regression. For the engine and
/// its developers alone: never shown as a mark on a teacher. Source: docs/handbook.md, section 7 (Choosing words).
/// </summary>
public sealed record LessonScore(ImmutableArray<QualityPart> Parts)
{
    private const double EnoughSpread = 0.6;

    /// <summary>0 to 1.</summary>
    public double Total => Parts.Sum(p => p.Value * p.Weight) / Parts.Sum(p => p.Weight);

    public double Of(string rule) => Parts.Single(p => p.Rule == rule).Value;

    public static LessonScore Of(LessonRequest request, Lesson lesson)
    {
        var read = Words(request, lesson, ActivityKind.ReadWords);
        var practised = lesson
            .Parts.Where(p => p.Kind == PartKind.Practise)
            .SelectMany(p => p.Activities)
            .SelectMany(a => a.Items)
            .SelectMany(ReadByChildren.Words)
            .Select(request.Lexicon.Find)
            .OfType<Word>()
            .ToList();
        var applied = lesson
            .Parts.Where(p => p.Kind == PartKind.Apply)
            .SelectMany(p => p.Activities)
            .SelectMany(a => a.Items)
            .SelectMany(ReadByChildren.Words)
            .Select(request.Lexicon.Find)
            .OfType<Word>()
            .ToList();
        var own =
            practised.Count == 0 ? 1 : (double)practised.Count(w => Usable.Shows(request.Today, w)) / practised.Count;
        var asked = lesson.Parts.Where(p => p.Kind != PartKind.Revisit).SelectMany(p => p.Activities).Count();
        return new LessonScore([
            new(
                "target",
                request.Today.Kind == RungKind.Lesson && request.Today.IsInWords ? Math.Min(1, own * 3 / 2) : 1,
                Weights.QualityTarget
            ),
            new("known", Share(practised, w => w.IsKnown || request.Materials.Meanings.Has(w)), Weights.QualityKnown),
            new(
                "fresh",
                Share(read, w => !request.Memory.Words.TryGetValue(w.Spelling, out var ago) || ago > Memory.DueAfter),
                Weights.QualityFresh
            ),
            new("spread", Spread(read), Weights.QualitySpread),
            new("rising", Rising(read), Weights.QualityRising),
            new("shared", Shared(read, Words(request, lesson, ActivityKind.SpellWords)), Weights.QualityShared),
            new(
                "due",
                request.Memory.Seen.Values.Any(l => l >= Memory.DueAfter)
                    ? Share([.. read], w => w.Required.Any(c => request.Memory.IsDue(c))) is var due
                        ? Math.Min(1, due * 2)
                        : 0
                    : 1,
                Weights.QualityDue
            ),
            new(
                "apply",
                applied.Any(w => Usable.Shows(request.Today, w)) ? 1
                    : applied.Count > 0 ? 0.5
                    : 0,
                Weights.QualityApply
            ),
            new(
                "minutes",
                Math.Min(1, lesson.Parts.Sum(p => p.Seconds) / (request.Minutes * 60 * 0.85)),
                Weights.QualityMinutes
            ),
            new(
                "asked-for",
                asked == 0
                    ? 0
                    : 1 - (Math.Min(asked, lesson.Notes.Count(n => n.Code == "too-few-for")) / (double)asked),
                Weights.QualityAskedFor
            ),
        ]);
    }

    private static List<Word> Words(LessonRequest request, Lesson lesson, ActivityKind kind) =>
        [
            .. lesson
                .Activities.Where(a => a.Kind == kind)
                .SelectMany(a => a.Items)
                .OfType<WordItem>()
                .Select(i => request.Lexicon.Find(i.Word))
                .OfType<Word>(),
        ];

    private static double Share(List<Word> words, Func<Word, bool> holds) =>
        words.Count == 0 ? 1 : (double)words.Count(holds) / words.Count;

    /// <summary>
    /// Different vowels, first sounds and lengths among the words; so many of them in ten are as good as all.
    /// </summary>
    private static double Spread(List<Word> words) =>
        words.Count < 2
            ? 1
            : Math.Min(
                1,
                new[]
                {
                    words.Select(w => w.Required.FirstOrDefault(c => c.IsVowel)?.Index).Distinct().Count(),
                    words.Select(w => w.Required[0].Index).Distinct().Count(),
                    words.Select(w => Lexicon.SoundsIn(Accent.SouthernBritish, w)).Distinct().Count(),
                }.Average() / (EnoughSpread * words.Count)
            );

    private static double Rising(List<Word> words) =>
        words.Count < 2
            ? 1
            : words.Zip(words.Skip(1)).Count(p => p.First.Segmentation.Taps <= p.Second.Segmentation.Taps)
                / (double)(words.Count - 1);

    private static double Shared(List<Word> read, List<Word> spelled) =>
        spelled.Count == 0 ? 1 : spelled.Count(read.Contains) / (double)spelled.Count;
}

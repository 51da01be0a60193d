using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Sheets;

/// <summary>
/// Makes sheets of what a lesson is made of, by the same choosers: nothing stands on a sheet that the group can't read
/// or spell on its day. Source: docs/handbook.md, section 6 (sheets).
/// </summary>
public static class SheetMaker
{
    /// <summary>With fewer words of a level than this, all are taken.</summary>
    private const int FewestOfLevel = 6;

    /// <param name="words">Readable words that the sheet is to be about; null for all that have what is new.</param>
    /// <returns>Null where there is too little for the sheet.</returns>
    public static PaperSheet? Make(
        LessonRequest request,
        SheetKind kind,
        SheetLevel level,
        IReadOnlySet<Word>? words = null
    )
    {
        if (words is not null)
            request = ChosenWords.Over(request, words);
        if (level == SheetLevel.Same)
            return Make(request, kind, level, level, words);
        return Make(request, kind, level, level, words)
            ?? Make(request, kind, level, SheetLevel.Same, words)
            // As it is, then: better the same sheet than none.
            ?? (
                Make(request, kind, SheetLevel.Same, SheetLevel.Same, words) is { } same
                    ? same with
                    {
                        Level = level,
                    }
                    : null
            );
    }

    /// <param name="of">Of which words: where those of the level are too few, all are taken.</param>
    private static PaperSheet? Make(
        LessonRequest request,
        SheetKind kind,
        SheetLevel level,
        SheetLevel of,
        IReadOnlySet<Word>? words
    )
    {
        var facts = SheetFacts.Of(kind);
        var count = facts.Counts[(int)level];
        var work = new LessonWork(request)
        {
            SetSize = Math.Max(count, facts.Fewest),
            Only = WordsOf(new LessonWork(request), kind, of, words),
            OnlyThese = words is not null || kind == SheetKind.MissingGrapheme,
        };
        var items = new List<Item>();
        foreach (var activity in facts.Activities)
        {
            var chosen = Chooser.All[activity].Choose(work, $"sheet-{kind}", count).DistinctBy(i => i.Id).ToList();
            work.Settle(chosen);
            if (activity == facts.Activities[^1] && chosen.Count < facts.Fewest)
                return null;
            items.AddRange(chosen.Take(count));
        }
        return new PaperSheet(
            kind,
            level,
            [.. items],
            items
                .OfType<IOfWord>()
                .Select(i => i.Word)
                .Distinct()
                .Where(request.Materials.Pictures.ContainsKey)
                .ToImmutableSortedDictionary(w => w, w => request.Materials.Pictures[w], StringComparer.Ordinal),
            [.. work.Stream($"bank:{kind}").Shuffle(BankOf(kind, items))]
        );
    }

    /// <summary>The kinds of which there is a sheet.</summary>
    public static IEnumerable<SheetKind> Can(LessonRequest request, IReadOnlySet<Word>? words = null) =>
        Enum.GetValues<SheetKind>().Where(k => Make(request, k, SheetLevel.Same, words) is not null);

    internal static IEnumerable<string> BankOf(SheetKind kind, IEnumerable<Item> items) =>
        kind is SheetKind.JoinPictures or SheetKind.GapSentences
            ? items.OfType<IOfWord>().Select(i => i.Word).Distinct()
            : [];

    /// <summary>The words that a sheet may have: those asked for, and of them the shorter or the longer half.</summary>
    private static IReadOnlySet<Word> WordsOf(
        LessonWork work,
        SheetKind kind,
        SheetLevel level,
        IReadOnlySet<Word>? words
    )
    {
        // On paper nobody says the word that has a gap: its picture does.
        var own = work
            .Own.Where(w =>
                (words is null || words.Contains(w))
                && (kind != SheetKind.MissingGrapheme || work.Request.Materials.Pictures.ContainsKey(w.Spelling))
                // One sock and two socks look alike.
                && (kind != SheetKind.JoinPictures || w.Suffix is null)
            )
            .ToList();
        if (level == SheetLevel.Same || own.Count == 0)
            return own.ToHashSet();
        var middle = own.Select(w => w.Segmentation.Taps).Order().ElementAt(own.Count / 2);
        var half = own.Where(w =>
                level == SheetLevel.Easier
                    ? w.Segmentation.Taps <= middle && w.Suffix is null
                    : w.Segmentation.Taps >= middle
            )
            .ToHashSet();
        return half.Count >= FewestOfLevel ? half : own.ToHashSet();
    }
}

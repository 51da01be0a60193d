using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Sheets of paper for the day of a group. Source: docs/handbook.md, section 6 (sheets).</summary>
public class SheetTests
{
    private static readonly SheetKind[] Kinds = Enum.GetValues<SheetKind>();

    private static readonly SheetLevel[] Levels = Enum.GetValues<SheetLevel>();

    /// <summary>Days spread over each year, with the sheets that can be made for them.</summary>
    private static IEnumerable<(LessonRequest Request, PaperSheet Sheet, string Where)> Sheets() =>
        from year in PlannedYears.All
        from day in PlannedYears.Of(year).Where((_, i) => i % 31 == 12)
        from kind in Kinds
        from level in Levels
        let sheet = SheetMaker.Make(day.Request, kind, level)
        where sheet is not null
        select (
            day.Request,
            sheet,
            $"{Given.Ladders.ElementAt(year.Ladder).Id} {year.Accent} {year.Minutes} "
                + $"{day.Request.Today.Id} {kind} {level}"
        );

    [Fact]
    public void Nothing_stands_on_a_sheet_that_the_group_can_not_read_or_spell_on_its_day()
    {
        var seen = new HashSet<SheetKind>();
        foreach (var (request, sheet, where) in Sheets())
        {
            seen.Add(sheet.Kind);
            Assert.Empty(Problems(request, sheet).Select(p => $"{where}: {p}"));
            Assert.Subset(sheet.Items.SelectMany(ReadByChildren.Words).ToHashSet(), sheet.Bank.ToHashSet());
            Assert.All(sheet.Pictures, p => Assert.Equal(request.Materials.Pictures[p.Key], p.Value));
            if (sheet.Kind == SheetKind.JoinPictures)
                Assert.Equal(sheet.Items.Length, sheet.Items.Cast<PictureItem>().DistinctBy(i => i.Picture).Count());
            Assert.Equal(sheet.Items.Length, sheet.Items.Select(i => i.Id).Distinct().Count());
        }
        Assert.Equal(Kinds, seen.Order());
    }

    [Fact]
    public void An_easier_sheet_has_no_longer_words_and_no_more_of_them_than_a_harder_one()
    {
        var sheets = Sheets()
            .Where(s => s.Sheet.Kind is SheetKind.Boxes or SheetKind.ReadAndMark)
            .GroupBy(s => s.Where[..s.Where.LastIndexOf(' ')])
            .Select(g => g.ToDictionary(s => s.Sheet.Level, s => s.Sheet.Items.OfType<WordItem>().ToList()))
            .Where(g => g.Count == Levels.Length)
            .ToList();
        Assert.True(sheets.Count > 20, $"{sheets.Count}");
        double Length(SheetLevel level) => sheets.Average(s => s[level].Average(w => w.Taps));
        Assert.True(Length(SheetLevel.Easier) < Length(SheetLevel.Same));
        Assert.True(Length(SheetLevel.Same) < Length(SheetLevel.Harder));
        Assert.All(sheets, s => Assert.True(s[SheetLevel.Easier].Count <= s[SheetLevel.Harder].Count));
    }

    [Fact]
    public void A_sheet_can_be_about_words_that_were_chosen_and_is_none_where_they_are_too_few()
    {
        var request = PlannedYears.Of(PlannedYears.All.First())[60].Request;
        var own = new LessonWork(request).Own.Where(w => w.IsKnown).Take(8).ToHashSet();
        var sheet = SheetMaker.Make(request, SheetKind.ReadAndMark, SheetLevel.Same, own)!;
        Assert.Subset(
            own.Select(w => w.Spelling).ToHashSet(),
            sheet.Items.OfType<WordItem>().Select(i => i.Word).ToHashSet()
        );
        Assert.Null(SheetMaker.Make(request, SheetKind.MissingGrapheme, SheetLevel.Same, new HashSet<Word>()));
    }

    [Fact]
    public void What_can_be_had_as_it_is_can_be_had_easier_and_harder()
    {
        foreach (var year in PlannedYears.All)
        foreach (var (request, _) in PlannedYears.Of(year).Where((_, i) => i % 29 == 7))
        foreach (var kind in SheetMaker.Can(request))
        foreach (var level in Levels)
            Assert.NotNull(SheetMaker.Make(request, kind, level));
    }

    [Fact]
    public void Chosen_words_need_not_have_what_is_new()
    {
        var request = PlannedYears.Of(PlannedYears.All.First())[60].Request;
        var chosen = new[] { "cat", "dog", "sun", "pig", "bed", "net" }.Select(w => Given.Lexicon.Find(w)!).ToHashSet();
        Assert.All(chosen, w => Assert.True(request.Before.CanRead(w)));
        foreach (var kind in new[] { SheetKind.ReadAndMark, SheetKind.Boxes, SheetKind.JoinPictures })
        {
            var sheet = SheetMaker.Make(request, kind, SheetLevel.Same, chosen)!;
            Assert.True(sheet.Items.Length >= SheetFacts.Of(kind).Fewest);
            Assert.Subset(
                chosen.Select(w => w.Spelling).ToHashSet(),
                sheet.Items.OfType<IOfWord>().Select(i => i.Word).ToHashSet()
            );
        }
    }

    [Fact]
    public void The_answers_of_a_sheet_match_what_it_asks()
    {
        foreach (var (_, sheet, where) in Sheets())
        {
            foreach (var item in sheet.Items)
                Assert.True(Matches(item, sheet), $"{where}: {item.Id}");
            if (sheet.Kind is SheetKind.JoinPictures or SheetKind.GapSentences)
                Assert.Equal(
                    sheet.Items.Cast<IOfWord>().Select(i => i.Word).Order(),
                    sheet.Bank.Order(StringComparer.Ordinal)
                );
        }
    }

    private static bool Matches(Item item, PaperSheet sheet) =>
        item switch
        {
            GapItem gap => Letters(gap.Word, gap.Marks, gap.Gap) == Part(gap.Graphemes, gap.Gap)
                && sheet.Pictures.ContainsKey(gap.Word),
            ChoiceItem choice => choice.Options.Contains(Part(choice.Graphemes, choice.Gap))
                && choice.Options.Distinct().Count() == choice.Options.Length,
            SortItem sort => sort.Words.All(w => w.Heading >= 0 && w.Heading < sort.Headings.Length)
                && sort.Headings.Select((_, h) => h).All(h => sort.Words.Any(w => w.Heading == h))
                && (sort.By != "spelling" || sort.Words.All(w => Has(w.Word, sort.Headings[w.Heading]))),
            HuntItem hunt => hunt.Words.All(w =>
                w.Target < 0
                    ? hunt.Targets.All(t => !Given.Word(w.Word).Contains(Correspondence.Parse(t)))
                    : Given.Word(w.Word).Contains(Correspondence.Parse(hunt.Targets[w.Target]))
            ),
            MissingWordItem missing => sheet.Bank.Contains(missing.Word) && missing.Whole.Contains(missing.Word),
            SentenceItem { Pictures: { } pictures } => pictures.Length >= 2
                && pictures.Distinct().Count() == pictures.Length,
            WordItem word when sheet.Kind == SheetKind.Boxes => word.Taps == word.Graphemes.Split('|').Length,
            CrosswordItem crossword => Crosses(crossword),
            _ => true,
        };

    /// <summary>Every box has one letter, whichever of its words it is read in.</summary>
    private static bool Crosses(CrosswordItem crossword)
    {
        var boxes = new Dictionary<(int, int), char>();
        return crossword.Lines.All(l =>
            (l.Clue is not null || l.Picture is not null)
            && l.Word.Index()
                .All(c =>
                {
                    var at = (l.Row + (l.Across ? 0 : c.Index), l.Column + (l.Across ? c.Index : 0));
                    if (!boxes.TryAdd(at, c.Item))
                        return boxes[at] == c.Item;
                    return at.Item1 < crossword.Height && at.Item2 < crossword.Width;
                })
        );
    }

    private static string Part(string graphemes, int at) => graphemes.Split('|')[at];

    private static string Letters(string word, ImmutableArray<int> marks, int part)
    {
        var letters = word.Where((_, i) => marks[i] == part).ToArray();
        return letters.Length == 2 && word.Length > 2 && marks.LastIndexOf(part) - marks.IndexOf(part) > 1
            ? $"{letters[0]}-{letters[1]}"
            : new string(letters);
    }

    private static bool Has(string word, string grapheme) =>
        Given.Word(word).Segmentation.Graphemes.Split('|').Contains(grapheme);

    private static IEnumerable<string> Problems(LessonRequest request, PaperSheet sheet)
    {
        var facts = SheetFacts.Of(sheet.Kind);
        var activity = new Activity("a", facts.Activities[^1], ResponseMode.SayTogether, 0, sheet.Items);
        var lesson = new Lesson(
            Format: Lesson.CurrentFormat,
            Title: new LessonTitle("r", "r", ""),
            Target: [],
            Patterns: [],
            Parts: [new LessonPart(PartKind.Practise, [activity])],
            Notes: []
        );
        return LessonCheck
            .Problems(lesson, request.Before, request.After, request.TrickyToday.ToHashSet(), Given.Lexicon)
            .Select(p => p.ItemId);
    }
}

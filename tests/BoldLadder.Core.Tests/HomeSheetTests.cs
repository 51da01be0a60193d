using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Home;
using BoldLadder.Core.Lessons.Sheets;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>What families get. Source: docs/handbook.md, section 6 (home sheet).</summary>
public class HomeSheetTests
{
    [Fact]
    public void A_home_sheet_has_what_was_new_words_and_a_sentence_of_its_lesson()
    {
        var (sheets, full, sentences) = (0, 0, 0);
        PlannedYears.Keep(
            (request, lesson) =>
            {
                var sheet = HomeSheet.Of(
                    lesson,
                    SheetMaker.Make(request, SheetKind.ReadAndMark, SheetLevel.Same)?.Items.OfType<WordItem>() ?? []
                );
                sheets++;
                if (sheet.Words.Length == 6)
                    full++;
                if (sheet.Sentence is not null)
                    sentences++;
                return Faults(request, lesson, sheet);
            }
        );
        Assert.True(full > 0.9 * sheets, $"{full} of {sheets} have six words");
        Assert.True(sentences > 0.8 * sheets, $"{sentences} of {sheets} have a sentence");
    }

    /// <summary>Days that bring nothing new are called alike: their families play something else each time.</summary>
    [Fact]
    public void Review_days_have_more_than_one_thing_to_play()
    {
        var quiet = PlannedYears
            .All.SelectMany(PlannedYears.Of)
            .Select(d => d.Lesson)
            .Where(l => l.Target.IsEmpty && l.Patterns.IsEmpty)
            .Select(l => HomeSheet.Of(l, []).Game)
            .ToList();
        Assert.True(quiet.Distinct().Count() > 3, string.Join(' ', quiet));
    }

    private static IEnumerable<string> Faults(LessonRequest request, Lesson lesson, HomeSheet sheet)
    {
        if (!lesson.Target.All(t => sheet.News.Any(n => n.Correspondence == t)))
            yield return "something new is not on it";
        if (sheet.News.Any(n => sheet.Words.Any(w => Has(w, n)) && !sheet.Words.Any(w => w.Word == n.KeyWord)))
            yield return "a key word without the letters that are new";
        if (sheet.Words.Length > 6 || sheet.Tricky.Length > 2)
            yield return "more than it has room for";
        if (sheet.Words.Any(w => !request.After.CanRead(Given.Lexicon.Find(w.Word)!)))
            yield return "a word that can't be read";
        if (sheet.Tricky.Any(t => !request.TrickyToday.Contains(t.Word)))
            yield return "a tricky word that was not taught";
    }

    private static bool Has(WordItem word, CardItem card) => word.Graphemes.Split('|').Contains(card.Grapheme);
}

using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Texts;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Texts;

/// <summary>A line of a text, its words with where the letters of the day stand.</summary>
public sealed record ReadingLine(IReadOnlyList<SentenceWord> Words);

/// <summary>A text to hunt through and to read again on three days.</summary>
/// <param name="Targets">Graphemes that are hunted.</param>
/// <param name="Words">The different words that have what is hunted.</param>
/// <param name="LookAlikes">Words whose letters look the same and have another job.</param>
/// <param name="Days">Three lesson days, each with what the reading is for.</param>
public sealed record ReadingView(
    string Title,
    string GroupName,
    DateOnly Date,
    IReadOnlyList<string> Targets,
    IReadOnlyList<ReadingLine> Lines,
    IReadOnlyList<string> Words,
    IReadOnlyList<string> LookAlikes,
    IReadOnlyList<string> Questions,
    IReadOnlyList<string> FirstWords,
    IReadOnlyList<NextReading> Days
);

/// <summary>
/// The story hunt and the plan of readings of a kept text. Source: docs/handbook.md, section 6 (hunt it through a text;
/// re-read over days for fluency).
/// </summary>
public sealed class ReadingDesk(SchoolScope scope, ReadersLevels levels)
{
    public async Task<Answer<ReadingView>> Show(Guid textId, Guid groupId, DateOnly? date)
    {
        var text = await scope
            .Store.OwnTexts.AsNoTracking()
            .SingleOrDefaultAsync(t => t.Id == textId && (t.IsShared || t.AuthorId == scope.UserId), scope.Stop);
        if (text is null)
            return Refusal.NotFound("unknown-text");
        var on = date ?? scope.Today;
        var level = await levels.Of(new LevelAsked(groupId, on), text.First);
        if (level.Refusal is { } refused)
            return refused;
        var group = await scope.Group(groupId);
        var (judge, targets) = (level.Value.Judge, level.Value.Targets);
        var hunting = new Hunting(targets, judge.Finder, scope.Accent);
        var lines = SentenceCut
            .Of(text.Body, judge.Finder, byLine: text.Kind != Store.OwnTextKind.Story)
            .Select(l => new ReadingLine([
                .. l.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                    .Select(w => new SentenceWord(w, StatusOf(w, judge, text.Told), hunting.In(w))),
            ]))
            .ToList();
        var words = lines.SelectMany(l => l.Words).Where(w => w.Hunt is not null).ToList();
        return new ReadingView(
            Title: text.Title,
            GroupName: group.Value.Name,
            Date: on,
            Targets: [.. targets.Select(t => t.Grapheme.Text).Distinct()],
            Lines: lines,
            Words: Different(words.Where(w => w.Hunt!.Value.Any(h => h.IsTarget))),
            LookAlikes: Different(words.Where(w => !w.Hunt!.Value.Any(h => h.IsTarget))),
            Questions: text.Questions,
            FirstWords: text.First,
            Days: await Days(group.Value, on)
        );
    }

    private static string StatusOf(string printed, WordJudge judge, List<string> told)
    {
        var word = WrittenWord.InPrint(printed, judge.Finder);
        return told.Contains(word.Plain)
            ? SentenceWord.Told
            : judge.Of(word).Status switch
            {
                ReadingStatus.Decodable => "decodable",
                ReadingStatus.Tricky => "tricky",
                _ => SentenceWord.Told,
            };
    }

    private static List<string> Different(IEnumerable<SentenceWord> words) =>
        [.. words.Select(w => Sentence.Plain(w.Text)).Distinct()];

    private async Task<List<NextReading>> Days(Store.Group group, DateOnly from)
    {
        var calendar = await scope.Calendar(group);
        var days = new List<NextReading>();
        var day = from;
        foreach (var focus in ReReading.Focuses)
        {
            if (calendar.OnOrAfter(day) is not { } next)
                break;
            days.Add(new NextReading(focus, next));
            day = next.AddDays(1);
        }
        return days;
    }
}

using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Home;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;

namespace BoldLadder.School.Printing;

/// <param name="Greeting">The school's own; empty for ours.</param>
public sealed record HomeView(string GroupName, DateOnly Date, string RungLabel, string Greeting, HomeSheet Sheet);

/// <summary>What families get of a lesson: nothing of any child. Source: docs/handbook.md, section 6 (home
/// sheet).</summary>
public sealed class HomeDesk(SchoolScope scope, PaperDays days, StyleDesk style)
{
    public async Task<Answer<HomeView>> Show(Guid groupId, DateOnly date)
    {
        var found = await days.Of(groupId, date);
        if (found.Refusal is { } refusal)
            return refusal;
        if (found.Value.Lesson is not { } lesson)
            return Refused.NoLesson;
        var way = await style.Way();
        return new HomeView(
            found.Value.Group.Name,
            date,
            lesson.Document.Title.Label,
            scope.Style.Greeting,
            HomeSheet.Of(
                way.Over(lesson.Document),
                SheetMaker.Make(found.Value.Request, SheetKind.ReadAndMark, SheetLevel.Same)?.Items.OfType<WordItem>()
                    ?? []
            )
        );
    }
}

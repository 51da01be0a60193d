using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Sheets;

/// <param name="Kinds">The sheets that there is enough for, neither easier nor harder.</param>
public sealed record SheetsView(string GroupName, DateOnly Date, string RungLabel, IReadOnlyList<SheetKind> Kinds);

/// <summary>
/// Sheets of paper for the day of a group: made when they are asked for, the same for the same seed. Source:
/// docs/handbook.md, section 6 (sheets).
/// </summary>
public sealed class SheetDesk(SchoolScope scope, GroupDays groupDays, LessonRequests requests, StyleDesk style)
{
    private const int MostWords = 60;

    /// <summary>The sheets that can be made for a day.</summary>
    public async Task<Answer<SheetsView>> Show(Guid groupId, DateOnly date)
    {
        var found = await Request(groupId, date, 0);
        return found.Refusal is { } refusal
            ? refusal
            : new SheetsView(
                found.Value.GroupName,
                date,
                found.Value.Request.Today.Label,
                [.. SheetMaker.Can(found.Value.Request)]
            );
    }

    /// <param name="words">Spellings that it is to be about, with commas; null for all of the day.</param>
    public async Task<Answer<PaperSheet>> Make(
        Guid groupId,
        DateOnly date,
        SheetKind? kind,
        SheetLevel? level,
        long seed,
        string? words
    )
    {
        if (kind is not { } asked || level is not { } how)
            return Refusal.Unusable("unknown-sheet");
        var chosen = words
            ?.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .ToHashSet(StringComparer.Ordinal);
        if (chosen?.Count > MostWords)
            return Refusal.Unusable("too-many-words", ("most", MostWords));
        var found = await Request(groupId, date, seed);
        if (found.Refusal is { } refusal)
            return refusal;
        return SheetMaker.Make(found.Value.Request, asked, how, chosen) is { } made
            ? (await style.Way()).Over(made)
            : Refusal.Unusable("too-little-for-sheet");
    }

    private async Task<Answer<(string GroupName, LessonRequest Request)>> Request(
        Guid groupId,
        DateOnly date,
        long seed
    )
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var day = await groupDays.Day(found.Value, date);
        if (!day.Calendar.IsTeachingDay(date))
            return Refusal.Unusable("outside-calendar");
        var stored = await scope
            .DailyLessons.AsNoTracking()
            .SingleOrDefaultAsync(l => l.GroupId == groupId && l.Date == date, scope.Stop);
        var rung = stored is null ? day.Rung : day.RungOf(stored.Document);
        return rung is null
            ? Refused.LadderClimbed
            : (found.Value.Name, await requests.ForPlanning(day, rung, (stored?.Stamp.Seed ?? 0) + seed));
    }
}

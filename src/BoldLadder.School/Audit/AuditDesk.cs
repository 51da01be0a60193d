using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Audit;

/// <param name="Earlier">True when there are older lines: ask again with the last one's time.</param>
public sealed record AuditView(IReadOnlyList<AuditLine> Lines, bool Earlier);

/// <summary>Something that someone did; never what was typed.</summary>
/// <param name="Who">Null for a cover adult, and where no account has the address that was typed.</param>
/// <param name="Action">A code: lesson-closed, signed-in.</param>
/// <param name="About">The group, ladder or day it was about; null for the whole school, or what is gone.</param>
public sealed record AuditLine(DateTime At, string? Who, string Action, string? About, DateOnly? Day);

/// <summary>Who did what in the school, and who signed in; for leads. Source: docs/handbook.md, section 10.</summary>
public sealed class AuditDesk(SchoolScope scope)
{
    private const int PageLines = 200;

    /// <param name="before">Only lines older than this instant.</param>
    public async Task<Answer<AuditView>> Show(DateTime? before = null)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var store = scope.Store;
        var until = (before ?? scope.UtcNow.AddDays(1)).ToUniversalTime();
        var members = await store
            .Users.Where(u => store.Memberships.Any(m => m.UserId == u.Id))
            .ToDictionaryAsync(u => u.Id, u => u.DisplayName, scope.Stop);
        var done = await store
            .Audit.Where(a => a.At < until)
            .OrderByDescending(a => a.At)
            .Take(PageLines)
            .Select(a => new
            {
                a.At,
                a.UserId,
                a.Action,
                a.Subject,
            })
            .ToListAsync(scope.Stop);
        var door = await store
            .AccountEvents.Where(e =>
                e.At < until && e.UserId != null && store.Memberships.Any(m => m.UserId == e.UserId)
            )
            .OrderByDescending(e => e.At)
            .Take(PageLines)
            .Select(e => new
            {
                e.At,
                UserId = e.UserId!.Value,
                e.Action,
            })
            .ToListAsync(scope.Stop);
        var subjects = done.Select(d => d.Subject).Distinct().ToList();
        var lessons = await store
            .Lessons.Where(l => subjects.Contains(l.Id))
            .Select(l => new
            {
                l.Id,
                l.GroupId,
                l.Date,
            })
            .ToDictionaryAsync(l => l.Id, scope.Stop);
        var names = await store
            .Groups.Select(g => new { g.Id, g.Name })
            .Concat(store.Ladders.Select(l => new { l.Id, l.Name }))
            .ToDictionaryAsync(n => n.Id, n => n.Name, scope.Stop);
        var lines = done.Select(d =>
                lessons.GetValueOrDefault(d.Subject) is var lesson && lesson is null
                    ? new AuditLine(
                        d.At,
                        members.GetValueOrDefault(d.UserId),
                        d.Action,
                        names.GetValueOrDefault(d.Subject),
                        null
                    )
                    : new AuditLine(
                        d.At,
                        members.GetValueOrDefault(d.UserId),
                        d.Action,
                        names.GetValueOrDefault(lesson.GroupId),
                        lesson.Date
                    )
            )
            .Concat(door.Select(e => new AuditLine(e.At, members.GetValueOrDefault(e.UserId), e.Action, null, null)))
            .OrderByDescending(l => l.At)
            .ToList();
        return new AuditView(
            [.. lines.Take(PageLines)],
            lines.Count > PageLines || done.Count == PageLines || door.Count == PageLines
        );
    }
}

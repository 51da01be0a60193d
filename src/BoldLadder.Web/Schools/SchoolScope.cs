using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Style;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace BoldLadder.Web.Schools;

/// <summary>The school of the request: who asks, in which role, and its settings. Filled by <see cref="SchoolFilter"/>.</summary>
public sealed class SchoolScope(BoldContext store, Clock clock)
{
    private School? school;
    private IDbContextTransaction? transaction;

    public School School => school ?? throw new InvalidOperationException("This endpoint is not inside a school.");

    public Guid UserId { get; private set; }

    public Role Role { get; private set; }

    public BoldContext Store => store;

    /// <summary>The school's own layer over the words.</summary>
    public IReadOnlyList<StoredWord> Words { get; private set; } = [];

    public DateOnly Today => clock.Today(School);

    public DateTime UtcNow => clock.UtcNow;

    /// <summary>Our school's way.</summary>
    public HouseStyle Style => School.Style ?? HouseStyle.Usual;

    public Accent Accent => Style.On(Accent.Parse(School.Accent));

    public Leniencies Leniencies => Style.Lenient;

    public Rhythm Rhythm => new(School.ReviewWeeks, School.CheckWeeks, School.RecapWeeks);

    /// <summary>Opens the transaction that the request runs in; disposing of it takes back what was not committed.</summary>
    public async Task<IAsyncDisposable> Begin() => transaction = await store.Database.BeginTransactionAsync();

    /// <summary>
    /// Commits what was done and gives the connection back: at the end of a request, or before computing for long. Nothing of the school can be read or changed afterwards.
    /// </summary>
    public async Task Release()
    {
        if (transaction is not { } open) return;
        transaction = null;
        await open.CommitAsync();
        await open.DisposeAsync();
    }

    /// <summary>Fills the scope; false when the person does not belong to the school.</summary>
    public async Task<bool> Enter(Guid userId, Guid schoolId)
    {
        await store.EnterSchool(userId, schoolId);
        var membership = await store.Memberships.AsNoTracking().SingleOrDefaultAsync(m => m.UserId == userId);
        if (membership is null) return false;
        (UserId, Role) = (userId, membership.Role);
        await Load();
        return true;
    }

    /// <summary>Fills the scope for who has no account: a cover adult, once the pass was found good. False when there is no such school.</summary>
    public async Task<bool> EnterAsCover(Guid schoolId)
    {
        await store.EnterSchool(Guid.Empty, schoolId);
        if (!await store.Schools.AnyAsync()) return false;
        (UserId, Role) = (Guid.Empty, Role.Teacher);
        await Load();
        return true;
    }

    private async Task Load()
    {
        school = await store.Schools.AsNoTracking().SingleAsync();
        Words = await store.SchoolWords.AsNoTracking().ToListAsync();
    }

    /// <summary>Reads the settings again: after waiting for a lock they may be others.</summary>
    public Task Refresh() => Load();

    /// <summary>The groups this person may see: all for a lead, their own for a teacher.</summary>
    public IQueryable<Group> Groups => Role == Role.Lead
        ? store.Groups
        : store.Groups.Where(g => store.GroupTeachers.Any(t => t.GroupId == g.Id && t.UserId == UserId));

    /// <summary>The school's calendar, or that of a group with lesson days of its own.</summary>
    public async Task<SchoolCalendar> Calendar(Group? group = null) => new(
        (await store.Terms.AsNoTracking().ToListAsync()).Select(t => (t.First, t.Last)),
        await store.ClosedDays.Select(d => d.Date).ToListAsync(),
        (group?.LessonDays ?? School.LessonDays).Select(SchoolWeekday.DayOfWeek), Rhythm);

    public async Task<Ladder?> Ladder(Guid ladderId, int version) =>
        (await store.LadderVersions.AsNoTracking().SingleOrDefaultAsync(v => v.LadderId == ladderId && v.Version == version))?.Document;

    /// <summary>The school's settings as this request changed them.</summary>
    public void Changed(School changed) => school = changed;

    /// <summary>The answer to who is not a lead; null for a lead.</summary>
    public ProblemHttpResult? LeadOnly() => Role == Role.Lead ? null
        : Problem.Of(StatusCodes.Status403Forbidden, "lead-only", "Only the phonics lead changes this. Ask them, or go on looking at it.");

    /// <summary>One at a time for the school's settings, until the request ends; what is read afterwards is as the last one left it.</summary>
    public Task LockSettings() => Lock(School.SchoolId);

    /// <summary>One at a time for a subject, until the request ends.</summary>
    public Task Lock(Guid subject) => store.Database.ExecuteSqlAsync($"select pg_advisory_xact_lock(hashtextextended({subject.ToString()}, 0))");

    public void Audit(string action, Guid subject) => store.Audit.Add(new AuditEntry
    {
        SchoolId = School.SchoolId,
        Id = Guid.CreateVersion7(),
        UserId = UserId,
        At = UtcNow,
        Action = action,
        Subject = subject,
    });
}

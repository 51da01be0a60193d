using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Style;
using BoldLadder.School.Refusals;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace BoldLadder.School.Schools;

/// <summary>
/// A unit of work in one school: who asks, in which role, and the school's settings, in one transaction that names the
/// school to the database.
/// A request, a job or a test opens it, does what it has to do, and releases it; disposing of one that was not released
/// takes everything back.
/// </summary>
public sealed class SchoolScope(BoldContext store, SchoolLayers layers, WorkCache cache, Clock clock) : IAsyncDisposable
{
    private const int LadderKilobytes = 512;
    private StoredSchool? school;
    private SchoolLayer? layer;
    private (List<(DateOnly First, DateOnly Last)> Terms, List<DateOnly> Closed)? days;
    private readonly Dictionary<string, SchoolCalendar> calendars = [];
    private IDbContextTransaction? transaction;
    private readonly List<Func<Task>> afterwards = [];

    public StoredSchool School => school ?? throw new InvalidOperationException("No school has been opened.");

    public Guid UserId { get; private set; }

    public Role Role { get; private set; }

    public BoldContext Store => store;

    /// <summary>Asks to stop: whoever opened the scope has gone. Every query of the scope is given it.</summary>
    public CancellationToken Stop { get; private set; }

    /// <summary>The words as this school sees them.</summary>
    public SchoolLayer Words => layer ?? throw new InvalidOperationException("No school has been opened.");

    public DateOnly Today => clock.Today(School);

    public DateTime UtcNow => clock.UtcNow;

    /// <summary>Our school's way.</summary>
    public HouseStyle Style => School.Style ?? HouseStyle.Usual;

    public Accent Accent => Style.On(Accent.Parse(School.Accent));

    public Leniencies Leniencies => Style.Lenient;

    /// <summary>In which accent, and with what let in, this school reads.</summary>
    public WayOfReading Way => new(Accent, Leniencies);

    public Rhythm Rhythm => new(School.ReviewWeeks, School.CheckWeeks, School.RecapWeeks);

    /// <summary>Opens the school for a person; false when they don't belong to it.</summary>
    public async Task<bool> Open(Guid userId, Guid schoolId, CancellationToken stop)
    {
        await Begin(stop);
        return await Enter(userId, schoolId);
    }

    /// <summary>
    /// Opens the school for who has no account here: a cover adult, or who comes by a link, whose pass is looked at
    /// next. False when there is no such school.
    /// </summary>
    public async Task<bool> OpenForGuest(Guid schoolId, CancellationToken stop)
    {
        await Begin(stop);
        store.EnterSchool(Guid.Empty, schoolId);
        if (await store.Schools.AsNoTracking().SingleOrDefaultAsync(stop) is not { } found)
            return false;
        (UserId, Role) = (Guid.Empty, Role.Teacher);
        await Fill(found);
        return true;
    }

    /// <summary>
    /// Fills the scope inside a transaction that someone else opened; false when the person does not belong to the
    /// school.
    /// </summary>
    public async Task<bool> Enter(Guid userId, Guid schoolId)
    {
        store.EnterSchool(userId, schoolId);
        var found = await store
            .Memberships.Where(m => m.UserId == userId && m.IsActive)
            .Join(store.Schools, m => m.SchoolId, s => s.SchoolId, (m, s) => new { m.Role, School = s })
            .AsNoTracking()
            .SingleOrDefaultAsync(Stop);
        if (found is null)
            return false;
        (UserId, Role) = (userId, found.Role);
        await Fill(found.School);
        return true;
    }

    private async Task Begin(CancellationToken stop)
    {
        Stop = stop;
        transaction = await store.Database.BeginTransactionAsync(stop);
    }

    /// <summary>
    /// Commits what was done and gives the connection back: at the end, or before computing for long. Nothing of the
    /// school can be read or changed afterwards.
    /// What is done is not stopped half-way.
    /// </summary>
    public async Task Release()
    {
        if (transaction is not { } open)
            return;
        transaction = null;
        await open.CommitAsync(CancellationToken.None);
        await open.DisposeAsync();
        foreach (var next in afterwards)
            await next();
        afterwards.Clear();
    }

    /// <summary>Does this once what was done is committed, and never if it is taken back.</summary>
    public void AfterRelease(Func<Task> next) => afterwards.Add(next);

    public async ValueTask DisposeAsync()
    {
        if (transaction is { } open)
            await open.DisposeAsync();
        transaction = null;
    }

    private async Task Fill(StoredSchool found)
    {
        (school, days) = (found, null);
        calendars.Clear();
        layer = await layers.Of(found, store, Stop);
    }

    /// <summary>Reads the settings again: after waiting for a lock, or after a change, they may be others.</summary>
    public async Task Refresh() => await Fill(await store.Schools.AsNoTracking().SingleAsync(Stop));

    /// <summary>The groups this person may see: all for a lead and a head, their own for others.</summary>
    public IQueryable<Group> Groups
    {
        get
        {
            var today = Today;
            var going = store.Groups.Where(g => g.EndedOn == null || g.EndedOn > today);
            return Role.SeesAllGroups()
                ? going
                : going.Where(g => store.GroupTeachers.Any(t => t.GroupId == g.Id && t.UserId == UserId));
        }
    }

    /// <summary>The lessons of days: what a group does beside them is not among them.</summary>
    public IQueryable<StoredLesson> DailyLessons => store.Lessons.Where(l => l.Kind == SessionKind.Lesson);

    /// <summary>A group this person may see.</summary>
    public async Task<Answer<Group>> Group(Guid groupId) =>
        await Groups.AsNoTracking().SingleOrDefaultAsync(g => g.Id == groupId, Stop) is { } group
            ? group
            : Refused.UnknownGroup;

    /// <summary>
    /// The school's calendar, or that of a group with lesson days of its own. Terms and closed days are read once.
    /// </summary>
    public async Task<SchoolCalendar> Calendar(Group? group = null)
    {
        days ??= await ReadDays();
        var lessonDays = group?.LessonDays ?? School.LessonDays;
        var key = string.Join(',', lessonDays);
        if (!calendars.TryGetValue(key, out var known))
            calendars[key] = known = new SchoolCalendar(
                days.Value.Terms,
                days.Value.Closed,
                lessonDays.Select(SchoolWeekday.DayOfWeek),
                Rhythm
            );
        return known;
    }

    /// <summary>Terms and closed days in one query.</summary>
    private async Task<(List<(DateOnly First, DateOnly Last)> Terms, List<DateOnly> Closed)> ReadDays()
    {
        var rows = await store
            .Terms.Select(t => new
            {
                IsTerm = true,
                t.First,
                t.Last,
            })
            .Concat(
                store.ClosedDays.Select(d => new
                {
                    IsTerm = false,
                    First = d.Date,
                    Last = d.Date,
                })
            )
            .ToListAsync(Stop);
        return (
            [.. rows.Where(r => r.IsTerm).Select(r => (r.First, r.Last))],
            [.. rows.Where(r => !r.IsTerm).Select(r => r.First)]
        );
    }

    /// <summary>A published version of a ladder. It never changes, so it is kept.</summary>
    public async Task<Ladder?> Ladder(Guid ladderId, int version) =>
        (await Ladders([(ladderId, version)])).GetValueOrDefault((ladderId, version));

    /// <summary>Published versions, in one query for those that are not known.</summary>
    public async Task<IReadOnlyDictionary<(Guid Id, int Version), Ladder>> Ladders(
        IEnumerable<(Guid Id, int Version)> wanted
    )
    {
        object Key((Guid, int) one) => (nameof(Ladder), School.SchoolId, one);
        var found = new Dictionary<(Guid, int), Ladder>();
        var missing = new HashSet<(Guid Id, int Version)>();
        foreach (var one in wanted)
        {
            if (Known<Ladder>(Key(one), "") is { } known)
                found[one] = known;
            else
                missing.Add(one);
        }
        if (missing.Count == 0)
            return found;
        var (ids, versions) = (missing.Select(m => m.Id).ToList(), missing.Select(m => m.Version).ToList());
        foreach (
            var read in await store
                .LadderVersions.AsNoTracking()
                .Where(v => ids.Contains(v.LadderId) && versions.Contains(v.Version))
                .ToListAsync(Stop)
        )
        {
            var one = (read.LadderId, read.Version);
            if (missing.Contains(one))
                found[one] = Kept(Key(one), "", LadderKilobytes, read.Document);
        }
        return found;
    }

    /// <summary>A document as it was kept under its version; null when it is not.</summary>
    public T? Known<T>(object key, string version)
        where T : class => cache.Find<T>(key, version);

    /// <summary>
    /// Keeps a document that was read, so that nobody reads it again while it is not changed; but not once this scope
    /// has saved something, which may still be taken back.
    /// </summary>
    public T Kept<T>(object key, string version, int kilobytes, T document)
        where T : class => HasSaved ? document : cache.Newest(key, version, kilobytes, () => document);

    /// <summary>True once something was saved in this scope: what it reads from then on may never be.</summary>
    public bool HasSaved { get; private set; }

    /// <summary>Why this is not for who asks; null for a lead.</summary>
    public Refusal? LeadOnly() => Role == Role.Lead ? null : Refusal.NotAllowed("lead-only");

    /// <summary>
    /// One at a time for the school's settings, until the scope ends; what is read afterwards is as the last one left
    /// it.
    /// </summary>
    public Task LockSettings() => Lock(School.SchoolId);

    /// <summary>One at a time for a subject, until the scope ends.</summary>
    public Task Lock(Guid subject) =>
        store.Database.ExecuteSqlAsync(
            $"select pg_advisory_xact_lock(hashtextextended({subject.ToString()}, 0))",
            Stop
        );

    public Task Save()
    {
        HasSaved = true;
        return store.SaveChangesAsync(Stop);
    }

    /// <summary>Why nothing is changed by who asks; null for who may change something.</summary>
    public Refusal? ReaderOnly() => Role.Changes() ? null : Refusal.NotAllowed("reader-only");

    public void Audit(string action, Guid subject) => AuditAs(UserId, action, subject);

    /// <summary>The same for who came in while it was done.</summary>
    public void AuditAs(Guid person, string action, Guid subject) =>
        store.Audit.Add(
            new AuditEntry
            {
                SchoolId = School.SchoolId,
                Id = Guid.CreateVersion7(),
                UserId = person,
                At = UtcNow,
                Action = action,
                Subject = subject,
            }
        );
}

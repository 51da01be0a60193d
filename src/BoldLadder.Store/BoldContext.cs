using Microsoft.AspNetCore.DataProtection.EntityFrameworkCore;
using Microsoft.AspNetCore.Identity.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Store;

/// <summary>
/// The tables. Every school-owned table is filtered by <see cref="StoredSchool"/> here and by row-level security in the
/// database. How they are laid out stands in BoldModel.cs.
/// </summary>
public sealed partial class BoldContext(DbContextOptions<BoldContext> options)
    : IdentityUserContext<User, Guid>(options),
        IDataProtectionKeyContext
{
    /// <summary>The school whose rows are seen; set with <see cref="EnterSchool"/>.</summary>
    public Guid CurrentSchool { get; private set; }

    public DbSet<StoredSchool> Schools => Set<StoredSchool>();

    public DbSet<SchoolState> SchoolStates => Set<SchoolState>();

    public DbSet<Membership> Memberships => Set<Membership>();

    public DbSet<Term> Terms => Set<Term>();

    public DbSet<ClosedDay> ClosedDays => Set<ClosedDay>();

    public DbSet<AuditEntry> Audit => Set<AuditEntry>();

    public DbSet<SchoolLadder> Ladders => Set<SchoolLadder>();

    public DbSet<LadderVersion> LadderVersions => Set<LadderVersion>();

    public DbSet<LadderDraft> LadderDrafts => Set<LadderDraft>();

    public DbSet<LadderChange> LadderChanges => Set<LadderChange>();

    public DbSet<SchoolCheckpoint> Checkpoints => Set<SchoolCheckpoint>();

    public DbSet<TeachingNote> TeachingNotes => Set<TeachingNote>();

    public DbSet<Group> Groups => Set<Group>();

    public DbSet<GroupTeacher> GroupTeachers => Set<GroupTeacher>();

    public DbSet<TeachingLogEntry> TeachingLog => Set<TeachingLogEntry>();

    public DbSet<StoredLesson> Lessons => Set<StoredLesson>();

    public DbSet<LessonChange> LessonChanges => Set<LessonChange>();

    public DbSet<LessonUndo> LessonUndos => Set<LessonUndo>();

    public DbSet<GroupStanding> GroupStandings => Set<GroupStanding>();

    public DbSet<StoredWord> SchoolWords => Set<StoredWord>();

    public DbSet<StoredTemplate> LessonTemplates => Set<StoredTemplate>();

    public DbSet<CoverPass> CoverPasses => Set<CoverPass>();

    public DbSet<CalendarFeed> CalendarFeeds => Set<CalendarFeed>();

    public DbSet<Voice> Voices => Set<Voice>();

    public DbSet<OwnPicture> OwnPictures => Set<OwnPicture>();

    public DbSet<OwnedCard> OwnedCards => Set<OwnedCard>();

    public DbSet<KeptMark> Marks => Set<KeptMark>();

    public DbSet<StoredEvidence> Evidence => Set<StoredEvidence>();

    public DbSet<StoredMemory> Memories => Set<StoredMemory>();

    public DbSet<OwnText> OwnTexts => Set<OwnText>();

    public DbSet<Book> Books => Set<Book>();

    public DbSet<BookUse> BookUses => Set<BookUse>();

    public DbSet<LookRound> LookRounds => Set<LookRound>();

    public DbSet<Backup> Backups => Set<Backup>();

    public DbSet<UserSession> UserSessions => Set<UserSession>();

    public DbSet<AccountEvent> AccountEvents => Set<AccountEvent>();

    public DbSet<SignInTries> SignInTries => Set<SignInTries>();

    public DbSet<PasswordReset> PasswordResets => Set<PasswordReset>();

    public DbSet<FirstRun> FirstRuns => Set<FirstRun>();

    public DbSet<Invitation> Invitations => Set<Invitation>();

    public DbSet<Child> Children => Set<Child>();

    public DbSet<ChildPlace> ChildPlaces => Set<ChildPlace>();

    public DbSet<ChildAbsence> ChildAbsences => Set<ChildAbsence>();

    public DbSet<StoredJob> Jobs => Set<StoredJob>();

    public DbSet<DataProtectionKey> DataProtectionKeys => Set<DataProtectionKey>();

    private (Guid User, Guid School)? unsaid;

    /// <summary>
    /// Says who asks and for which school, for the rest of the open transaction: what row-level security reads. It is
    /// sent with the next command.
    /// </summary>
    public void EnterSchool(Guid userId, Guid schoolId)
    {
        CurrentSchool = schoolId;
        unsaid = (userId, schoolId);
    }

    /// <summary>What is to be sent along with a command; null when it was sent.</summary>
    internal (Guid User, Guid School)? TakeName()
    {
        var name = unsaid;
        unsaid = null;
        return name;
    }

    protected override void OnConfiguring(DbContextOptionsBuilder optionsBuilder) =>
        optionsBuilder.AddInterceptors(NamesTheSchool.It);
}

using System.Linq.Expressions;
using System.Text.Json;
using BoldLadder.Core.Children;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Style;
using BoldLadder.Core.Teaching;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;

namespace BoldLadder.Store;

/// <summary>How the tables are laid out: keys, references, documents as JSON, the filter by school.</summary>
public sealed partial class BoldContext
{
    protected override void OnModelCreating(ModelBuilder builder)
    {
        base.OnModelCreating(builder);
        builder.Entity<User>().ToTable("users").Property(u => u.DisplayName).HasMaxLength(100);
        builder.Entity<IdentityUserClaim<Guid>>().ToTable("user_claims");
        builder.Entity<IdentityUserLogin<Guid>>().ToTable("user_logins");
        builder.Entity<IdentityUserToken<Guid>>().ToTable("user_tokens");

        builder.Entity<UserSession>().HasOne<User>().WithMany().HasForeignKey(s => s.UserId);
        builder.Entity<AccountEvent>().Property(e => e.Action).HasMaxLength(40);
        builder.Entity<AccountEvent>().HasIndex(e => new { e.UserId, e.At });
        builder.Entity<SignInTries>().ToTable("sign_in_tries").HasKey(t => t.Key);
        builder.Entity<PasswordReset>().HasOne<User>().WithMany().HasForeignKey(r => r.UserId);
        builder.Entity<PasswordReset>().HasIndex(r => r.CodeHash).IsUnique();
        builder.Entity<FirstRun>().HasIndex(r => r.CodeHash).IsUnique();

        Owned<StoredSchool>(builder).HasKey(s => s.SchoolId);
        builder
            .Entity<StoredSchool>()
            .Property(s => s.Style)
            .HasColumnType("jsonb")
            .HasConversion(
                s => HouseStyle.Write(s!),
                text => HouseStyle.Read(text),
                ByText<HouseStyle>(HouseStyle.Write)!
            );
        builder.Entity<StoredSchool>().Property(s => s.LessonDays).HasDefaultValueSql("'{1,2,3,4,5}'");
        builder.Entity<StoredSchool>().Property(s => s.ReviewWeeks).HasDefaultValue(1).HasSentinel(-1);
        builder.Entity<StoredSchool>().Property(s => s.CheckWeeks).HasDefaultValue(6).HasSentinel(-1);
        builder.Entity<StoredSchool>().Property(s => s.RecapWeeks).HasDefaultValue(2).HasSentinel(-1);
        Owned<SchoolState>(builder, school: true).HasKey(s => s.SchoolId);
        Owned<SchoolCheckpoint>(builder, school: true).HasKey(c => new { c.SchoolId, c.Id });
        builder.Entity<SchoolCheckpoint>().ToTable("checkpoints");
        Owned<TeachingNote>(builder, school: true).HasKey(n => new { n.SchoolId, n.Subject });
        Owned<Membership>(builder, school: true).HasKey(m => new { m.SchoolId, m.UserId });
        builder.Entity<Membership>().HasOne<User>().WithMany().HasForeignKey(m => m.UserId);
        builder.Entity<Membership>().Property(m => m.Role).HasConversion<string>().HasMaxLength(20);
        builder.Entity<Membership>().Property(m => m.IsActive).HasDefaultValue(true).HasSentinel(true);
        Owned<Invitation>(builder, school: true).HasKey(i => new { i.SchoolId, i.Id });
        builder.Entity<Invitation>().Property(i => i.Role).HasConversion<string>().HasMaxLength(20);
        builder.Entity<Invitation>().HasIndex(i => new { i.SchoolId, i.CodeHash }).IsUnique();
        Owned<Term>(builder, school: true).HasKey(t => new { t.SchoolId, t.Id });
        Owned<ClosedDay>(builder, school: true).HasKey(d => new { d.SchoolId, d.Date });
        Owned<AuditEntry>(builder, school: true).HasKey(a => new { a.SchoolId, a.Id });
        builder.Entity<AuditEntry>().HasIndex(a => new { a.SchoolId, a.At });
        Owned<SchoolLadder>(builder, school: true).HasKey(l => new { l.SchoolId, l.Id });
        builder.Entity<SchoolLadder>().ToTable("ladders");

        Owned<LadderVersion>(builder)
            .HasKey(v => new
            {
                v.SchoolId,
                v.LadderId,
                v.Version,
            });
        builder
            .Entity<LadderVersion>()
            .HasOne<SchoolLadder>()
            .WithMany()
            .HasForeignKey(v => new { v.SchoolId, v.LadderId });
        Document(builder.Entity<LadderVersion>().Property(v => v.Document), LadderDocument.Write, LadderDocument.Read);
        builder.Entity<LadderVersion>().Property(v => v.Name).HasDefaultValue("");
        Owned<LadderDraft>(builder).HasKey(d => new { d.SchoolId, d.LadderId });
        builder
            .Entity<LadderDraft>()
            .HasOne<SchoolLadder>()
            .WithMany()
            .HasForeignKey(d => new { d.SchoolId, d.LadderId });
        builder.Entity<LadderDraft>().Property(d => d.Version).IsConcurrencyToken();
        Document(builder.Entity<LadderDraft>().Property(d => d.Document), LadderDocument.Write, LadderDocument.Read);
        Owned<LadderChange>(builder)
            .HasKey(c => new
            {
                c.SchoolId,
                c.LadderId,
                c.Version,
            });
        builder
            .Entity<LadderChange>()
            .HasOne<SchoolLadder>()
            .WithMany()
            .HasForeignKey(c => new { c.SchoolId, c.LadderId });
        Document(builder.Entity<LadderChange>().Property(c => c.Steps), LadderSteps.Write, LadderSteps.Read);
        Document(builder.Entity<LadderChange>().Property(c => c.Inverse), LadderSteps.Write, LadderSteps.Read);

        Owned<Group>(builder).HasKey(g => new { g.SchoolId, g.Id });
        builder
            .Entity<Group>()
            .HasOne<LadderVersion>()
            .WithMany()
            .HasForeignKey(g => new
            {
                g.SchoolId,
                g.LadderId,
                g.LadderVersion,
            });
        builder.Entity<Group>().HasIndex(g => new { g.SchoolId, g.Name }).IsUnique().HasFilter("ended_on is null");
        builder.Entity<Group>().Property(g => g.Avoid).HasDefaultValueSql("'{}'");
        Owned<GroupTeacher>(builder)
            .HasKey(t => new
            {
                t.SchoolId,
                t.GroupId,
                t.UserId,
            });
        builder.Entity<GroupTeacher>().HasOne<Group>().WithMany().HasForeignKey(t => new { t.SchoolId, t.GroupId });
        builder.Entity<GroupTeacher>().HasOne<Membership>().WithMany().HasForeignKey(t => new { t.SchoolId, t.UserId });

        Owned<Child>(builder, school: true).HasKey(c => new { c.SchoolId, c.ChildId });
        builder.Entity<Child>().Property(c => c.Name).HasMaxLength(ChildName.Longest);
        Owned<ChildPlace>(builder).HasKey(p => new { p.SchoolId, p.Id });
        builder.Entity<ChildPlace>().HasOne<Child>().WithMany().HasForeignKey(p => new { p.SchoolId, p.ChildId });
        builder.Entity<ChildPlace>().HasOne<Group>().WithMany().HasForeignKey(p => new { p.SchoolId, p.GroupId });
        Owned<ChildAbsence>(builder)
            .HasKey(a => new
            {
                a.SchoolId,
                a.ChildId,
                a.Date,
            });
        builder.Entity<ChildAbsence>().HasOne<Child>().WithMany().HasForeignKey(a => new { a.SchoolId, a.ChildId });
        Owned<StoredJob>(builder, school: true).HasKey(j => new { j.SchoolId, j.Id });
        builder.Entity<StoredJob>().ToTable("jobs").Property(j => j.State).HasConversion<string>().HasMaxLength(20);
        builder.Entity<StoredJob>().HasIndex(j => new { j.SchoolId, j.MadeAt });

        Owned<TeachingLogEntry>(builder).HasKey(e => new { e.SchoolId, e.Id });
        builder
            .Entity<TeachingLogEntry>()
            .ToTable("teaching_log")
            .HasOne<Group>()
            .WithMany()
            .HasForeignKey(e => new { e.SchoolId, e.GroupId });
        builder
            .Entity<TeachingLogEntry>()
            .HasIndex(e => new
            {
                e.SchoolId,
                e.GroupId,
                e.Date,
            });
        builder
            .Entity<TeachingLogEntry>()
            .HasOne<StoredLesson>()
            .WithMany()
            .HasForeignKey(e => new { e.SchoolId, e.LessonId });
        builder.Entity<TeachingLogEntry>().Property(e => e.Missed).HasDefaultValueSql("'{}'");
        builder.Entity<TeachingLogEntry>().Property(e => e.Outcome).HasConversion<string>().HasMaxLength(20);

        Owned<GroupStanding>(builder).HasKey(s => new { s.SchoolId, s.GroupId });
        builder.Entity<GroupStanding>().HasOne<Group>().WithMany().HasForeignKey(s => new { s.SchoolId, s.GroupId });
        builder.Entity<GroupStanding>().Property(s => s.Version).IsConcurrencyToken();
        Document(builder.Entity<GroupStanding>().Property(s => s.Document), Standing.Write, Standing.Read);

        Owned<StoredLesson>(builder).HasKey(l => new { l.SchoolId, l.Id });
        builder
            .Entity<StoredLesson>()
            .ToTable("lessons")
            .HasOne<Group>()
            .WithMany()
            .HasForeignKey(l => new { l.SchoolId, l.GroupId });
        builder
            .Entity<StoredLesson>()
            .HasIndex(l => new
            {
                l.SchoolId,
                l.GroupId,
                l.Date,
            })
            .IsUnique()
            .HasFilter("kind = 'Lesson'");
        builder
            .Entity<StoredLesson>()
            .HasIndex(l => new
            {
                l.SchoolId,
                l.Date,
                l.Status,
            });
        builder
            .Entity<StoredLesson>()
            .Property(l => l.Kind)
            .HasConversion<string>()
            .HasMaxLength(20)
            .HasDefaultValue(SessionKind.Lesson)
            .HasSentinel((SessionKind)(-1));
        builder.Entity<StoredLesson>().Property(l => l.Status).HasConversion<string>().HasMaxLength(20);
        builder.Entity<StoredLesson>().Property(l => l.Version).IsConcurrencyToken();
        Document(builder.Entity<StoredLesson>().Property(l => l.Document), LessonDocument.Write, LessonDocument.Read);
        StampColumn(builder.Entity<StoredLesson>().Property(l => l.Stamp));
        builder
            .Entity<StoredLesson>()
            .Property(l => l.Took)
            .HasColumnType("jsonb")
            .HasConversion(
                took => JsonSerializer.Serialize(took, JsonSerializerOptions.Default),
                json => JsonSerializer.Deserialize<Dictionary<string, int>>(json, JsonSerializerOptions.Default),
                // It is never changed, only replaced.
                new ValueComparer<IReadOnlyDictionary<string, int>?>(
                    (a, b) => ReferenceEquals(a, b),
                    took => took == null ? 0 : took.Count,
                    took => took
                )
            );

        Owned<LessonChange>(builder)
            .HasKey(c => new
            {
                c.SchoolId,
                c.LessonId,
                c.Version,
            });
        builder
            .Entity<LessonChange>()
            .HasOne<StoredLesson>()
            .WithMany()
            .HasForeignKey(c => new { c.SchoolId, c.LessonId });
        Owned<LessonUndo>(builder)
            .HasKey(u => new
            {
                u.SchoolId,
                u.LessonId,
                u.Version,
            });
        builder
            .Entity<LessonUndo>()
            .HasOne<StoredLesson>()
            .WithMany()
            .HasForeignKey(u => new { u.SchoolId, u.LessonId });
        Document(builder.Entity<LessonUndo>().Property(u => u.Inverse), LessonEdits.Write, LessonEdits.Read);
        StampColumn(builder.Entity<LessonUndo>().Property(u => u.StampBefore)!);

        Owned<StoredWord>(builder, school: true).HasKey(w => new { w.SchoolId, w.Spelling });
        builder
            .Entity<StoredWord>()
            .ToTable("school_words")
            .Property(w => w.Verdict)
            .HasConversion<string>()
            .HasMaxLength(20);
        Owned<StoredTemplate>(builder, school: true).HasKey(t => new { t.SchoolId, t.Id });
        builder.Entity<StoredTemplate>().ToTable("lesson_templates");
        Document(builder.Entity<StoredTemplate>().Property(t => t.Document), LessonTemplate.Write, LessonTemplate.Read);
        Owned<CoverPass>(builder).HasKey(p => new { p.SchoolId, p.Id });
        builder.Entity<CoverPass>().HasOne<Group>().WithMany().HasForeignKey(p => new { p.SchoolId, p.GroupId });
        builder
            .Entity<CoverPass>()
            .HasOne<StoredLesson>()
            .WithMany()
            .HasForeignKey(p => new { p.SchoolId, p.LessonId });
        builder.Entity<CoverPass>().HasIndex(p => new { p.SchoolId, p.CodeHash }).IsUnique();
        Owned<Voice>(builder).HasKey(v => new { v.SchoolId, v.Id });
        builder.Entity<Voice>().Property(v => v.Kind).HasConversion<string>().HasMaxLength(20);
        builder.Entity<Voice>().Property(v => v.Name).HasMaxLength(40);
        builder
            .Entity<Voice>()
            .HasIndex(v => new
            {
                v.SchoolId,
                v.Kind,
                v.Name,
            })
            .IsUnique();

        Owned<OwnPicture>(builder).HasKey(p => new { p.SchoolId, p.Id });
        builder.Entity<OwnPicture>().Property(p => p.Word).HasMaxLength(40);
        builder.Entity<OwnPicture>().Property(p => p.Licence).HasMaxLength(200);
        builder.Entity<OwnPicture>().HasIndex(p => new { p.SchoolId, p.Word }).IsUnique();
        Owned<OwnedCard>(builder)
            .HasKey(c => new
            {
                c.SchoolId,
                c.Kind,
                c.Key,
            });
        builder.Entity<OwnedCard>().Property(c => c.Kind).HasMaxLength(20);
        builder.Entity<OwnedCard>().Property(c => c.Key).HasMaxLength(60);
        Owned<KeptMark>(builder).HasKey(m => new { m.SchoolId, m.Id });
        builder.Entity<KeptMark>().ToTable("marks");
        builder.Entity<KeptMark>().HasOne<StoredLesson>().WithMany().HasForeignKey(m => new { m.SchoolId, m.LessonId });
        Owned<StoredEvidence>(builder).HasKey(e => new { e.SchoolId, e.Id });
        builder.Entity<StoredEvidence>().ToTable("evidence");
        builder.Entity<StoredEvidence>().Property(e => e.Target).HasMaxLength(60);
        builder.Entity<StoredEvidence>().Property(e => e.Skill).HasConversion<string>().HasMaxLength(10);
        builder.Entity<StoredEvidence>().Property(e => e.Seen).HasConversion<string>().HasMaxLength(20);
        builder.Entity<StoredEvidence>().Property(e => e.Source).HasConversion<string>().HasMaxLength(20);
        builder
            .Entity<StoredEvidence>()
            .HasOne<StoredLesson>()
            .WithMany()
            .HasForeignKey(e => new { e.SchoolId, e.LessonId });
        builder
            .Entity<StoredEvidence>()
            .HasIndex(e => new
            {
                e.SchoolId,
                e.ChildId,
                e.Day,
            });
        // What was seen of a group as a whole is little beside what was seen of its children.
        builder
            .Entity<StoredEvidence>()
            .HasIndex(e => new
            {
                e.SchoolId,
                e.GroupId,
                e.Day,
            })
            .HasFilter("child_id is null");
        Owned<StoredMemory>(builder)
            .HasKey(m => new
            {
                m.SchoolId,
                m.ChildId,
                m.Target,
                m.Skill,
            });
        builder.Entity<StoredMemory>().ToTable("memories");
        builder.Entity<StoredMemory>().Property(m => m.Target).HasMaxLength(60);
        builder.Entity<StoredMemory>().Property(m => m.Skill).HasConversion<string>().HasMaxLength(10);
        builder.Entity<StoredMemory>().HasOne<Child>().WithMany().HasForeignKey(m => new { m.SchoolId, m.ChildId });
        Document(
            builder.Entity<StoredMemory>().Property(m => m.Document),
            RememberedDocument.Write,
            RememberedDocument.Read
        );
        Owned<OwnText>(builder).HasKey(t => new { t.SchoolId, t.Id });
        builder.Entity<OwnText>().Property(t => t.Kind).HasConversion<string>().HasMaxLength(20);
        builder.Entity<OwnText>().Property(t => t.Title).HasMaxLength(80);
        Owned<Book>(builder).HasKey(b => new { b.SchoolId, b.Id });
        builder.Entity<Book>().Property(b => b.Title).HasMaxLength(120);
        builder.Entity<Book>().Property(b => b.Label).HasMaxLength(40);
        Owned<BookUse>(builder).HasKey(u => new { u.SchoolId, u.Id });
        builder.Entity<BookUse>().Property(u => u.Kind).HasConversion<string>().HasMaxLength(20);
        builder
            .Entity<BookUse>()
            .HasOne<Book>()
            .WithMany()
            .HasForeignKey(u => new { u.SchoolId, u.BookId })
            .OnDelete(DeleteBehavior.Cascade);
        builder.Entity<BookUse>().HasOne<Group>().WithMany().HasForeignKey(u => new { u.SchoolId, u.GroupId });

        Owned<CalendarFeed>(builder).HasKey(f => new { f.SchoolId, f.Id });
        builder.Entity<CalendarFeed>().HasOne<Group>().WithMany().HasForeignKey(f => new { f.SchoolId, f.GroupId });
        builder.Entity<CalendarFeed>().HasIndex(f => new { f.SchoolId, f.CodeHash }).IsUnique();
        Owned<LookRound>(builder, school: true).HasKey(l => l.SchoolId);
    }

    private Microsoft.EntityFrameworkCore.Metadata.Builders.EntityTypeBuilder<T> Owned<T>(
        ModelBuilder builder,
        bool school = false
    )
        where T : class, ISchoolOwned
    {
        var entity = builder.Entity<T>();
        Expression<Func<T, bool>> ofCurrentSchool = row => row.SchoolId == CurrentSchool;
        entity.HasQueryFilter(ofCurrentSchool);
        if (school)
            entity.HasOne<StoredSchool>().WithMany().HasForeignKey("SchoolId");
        return entity;
    }

    /// <summary>A document as JSON, written and read by the core.</summary>
    private static void Document<T>(
        Microsoft.EntityFrameworkCore.Metadata.Builders.PropertyBuilder<T> property,
        Func<T, string> write,
        Func<string, T> read
    )
        where T : class =>
        property.HasColumnType("jsonb").HasConversion(d => write(d), text => read(text), ByText(write));

    private static void StampColumn(
        Microsoft.EntityFrameworkCore.Metadata.Builders.PropertyBuilder<LessonStamp> property
    ) =>
        property
            .HasColumnType("jsonb")
            .HasConversion(
                s => JsonSerializer.Serialize(s, LessonDocument.Json),
                text => JsonSerializer.Deserialize<LessonStamp>(text, LessonDocument.Json)!
            );

    /// <summary>Documents are compared by their text and are immutable, so a snapshot is the document itself.</summary>
    private static ValueComparer<T> ByText<T>(Func<T, string> write)
        where T : class =>
        new(
            (a, b) => ReferenceEquals(a, b) || (a != null && b != null && write(a) == write(b)),
            d => write(d).GetHashCode(StringComparison.Ordinal),
            d => d
        );
}

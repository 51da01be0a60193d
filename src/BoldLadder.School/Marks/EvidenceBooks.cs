using BoldLadder.Core.Revisit;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Marks;

/// <summary>
/// Evidence and what it comes to: a row is added and the memory of its child goes along in the same transaction; made
/// anew from all rows it is the same. Of rows about the same place of the same word, child and lesson the one made last
/// counts. Source: docs/memory.md.
/// </summary>
public sealed class EvidenceBooks(SchoolScope scope, Places places, Standings standings, MarkingFacts facts)
{
    /// <summary>Adds rows, and lets the memories go along; all is saved by who calls.</summary>
    public async Task Add(IReadOnlyList<StoredEvidence> added)
    {
        scope.Store.Evidence.AddRange(added);
        var mine = added.Where(e => e.ChildId is not null).ToList();
        var children = mine.Select(e => e.ChildId!.Value).Distinct().ToList();
        if (children.Count == 0)
            return;
        var targets = mine.Select(e => e.Target).Distinct().ToList();
        var lessons = mine.Select(e => e.LessonId).Distinct().ToList();
        var memories = await scope
            .Store.Memories.Where(m => children.Contains(m.ChildId) && targets.Contains(m.Target))
            .ToDictionaryAsync(m => (m.ChildId, m.Target, m.Skill), scope.Stop);
        var before = (
            await scope
                .Store.Evidence.AsNoTracking()
                .Where(e => lessons.Contains(e.LessonId) && e.ChildId != null && children.Contains(e.ChildId.Value))
                .Select(e => new
                {
                    e.LessonId,
                    e.ChildId,
                    e.Word,
                    e.Place,
                    e.Skill,
                    e.Day,
                })
                .ToListAsync(scope.Stop)
        ).Select(e => (e.LessonId, e.ChildId, e.Word, e.Place, e.Skill, e.Day)).ToHashSet();
        var anew = new HashSet<Guid>();
        foreach (var one in mine.GroupBy(e => (Child: e.ChildId!.Value, e.Target, e.Skill)))
        {
            var memory = memories.GetValueOrDefault((one.Key.Child, one.Key.Target, one.Key.Skill));
            var known = memory?.Document ?? Nothing(one.Key.Target, one.Key.Skill);
            foreach (var row in one)
            {
                // Another word on a place that was marked before takes that one back: all is folded anew.
                known = before.Add((row.LessonId, row.ChildId, row.Word, row.Place, row.Skill, row.Day))
                    ? known?.With(Seen(row))
                    : null;
            }
            if (known is not { } now)
            {
                anew.Add(one.Key.Child);
                continue;
            }
            if (memory is not null)
                memory.Document = now;
            else
                scope.Store.Memories.Add(Row(one.Key.Child, one.Key.Target, one.Key.Skill, now));
        }
        if (anew.Count == 0)
            return;
        await scope.Save();
        await Anew(anew);
    }

    /// <summary>
    /// A lesson was closed: who was there was shown what it showed, who was away missed what it taught. A line that
    /// puts another right has the memories of the group's children made anew. Saved by who calls.
    /// </summary>
    public async Task Closed(TeachingLogEntry line)
    {
        if (line.Outcome == LessonOutcome.NotTaught && line.Supersedes is null)
            return;
        var there = await InGroup(line.GroupId, line.Date);
        if (there.Count == 0)
            return;
        if (line.Supersedes is not null)
        {
            await scope.Save();
            await Anew(there);
            return;
        }
        var away = await Away(there, line.Date);
        var rows = (
            await scope
                .Store.Memories.Where(m => there.Contains(m.ChildId) && m.Skill == Skill.Reading)
                .ToListAsync(scope.Stop)
        ).ToDictionary(m => (m.ChildId, m.Target));
        foreach (var child in there)
        {
            foreach (var one in ShownBy(line, away.Contains((child, line.Date))))
            {
                var target = one.Target.ToString();
                var row = rows.GetValueOrDefault((child, target));
                // A day before what is known: all of the child is folded anew.
                if ((row?.Document ?? Nothing(target, Skill.Reading)).With(one) is not { } now)
                {
                    await scope.Save();
                    await Anew([child]);
                    break;
                }
                if (row is not null)
                    row.Document = now;
                else
                    scope.Store.Memories.Add(Row(child, target, Skill.Reading, now));
            }
        }
    }

    /// <summary>Makes all memories of the school anew; how many they are.</summary>
    public async Task<int> Anew() =>
        await Anew(await scope.Store.Children.Select(c => c.ChildId).ToListAsync(scope.Stop));

    /// <summary>
    /// Makes the memories of children anew from evidence, the log, and who was there; how many they are.
    /// </summary>
    public async Task<int> Anew(IReadOnlyCollection<Guid> children)
    {
        scope.Store.ChangeTracker.Clear();
        await scope.Store.Memories.Where(m => children.Contains(m.ChildId)).ExecuteDeleteAsync(scope.Stop);
        var places = (
            await scope
                .Store.ChildPlaces.AsNoTracking()
                .Where(p => children.Contains(p.ChildId))
                .ToListAsync(scope.Stop)
        ).ToLookup(p => p.ChildId);
        var groups = places.SelectMany(p => p.Select(x => x.GroupId)).Distinct().ToList();
        var logs = new Dictionary<Guid, List<TeachingLogEntry>>();
        foreach (var group in groups)
            logs[group] = await standings.Log(group);
        var away = await Away(children, null);
        var count = 0;
        foreach (var child in children)
        {
            var seen = Counting(
                    await scope.Store.Evidence.AsNoTracking().Where(e => e.ChildId == child).ToListAsync(scope.Stop)
                )
                .Select(Seen)
                .Concat(
                    places[child]
                        .SelectMany(p =>
                            logs[p.GroupId]
                                .Where(l => l.Date >= p.First && !(p.Last < l.Date))
                                .Where(l => l.Outcome != LessonOutcome.NotTaught)
                                .SelectMany(l => ShownBy(l, away.Contains((child, l.Date))))
                        )
                );
            foreach (var one in seen.GroupBy(e => (e.Target, e.Skill)))
            {
                var folded = Remembered.Of(one, facts.Difficulty.Begins(one.Key.Target, one.Key.Skill));
                scope.Store.Memories.Add(Row(child, one.Key.Target.ToString(), one.Key.Skill, folded));
                count++;
            }
            await scope.Save();
            scope.Store.ChangeTracker.Clear();
        }
        return count;
    }

    /// <summary>What a line of the log showed a child, or taught while the child was away.</summary>
    public static IEnumerable<Evidence> ShownBy(TeachingLogEntry line, bool isAway) =>
        (isAway ? line.Correspondences : line.Correspondences.Concat(line.Seen))
            .Select(c => MemoryTarget.Of(Correspondence.Parse(c)))
            .Distinct()
            .Select(t => new Evidence(
                Id: line.Id,
                Target: t,
                Skill: Skill.Reading,
                Seen: isAway ? Core.Revisit.Seen.MissedTeaching : Core.Revisit.Seen.Shown,
                Source: EvidenceSource.Lesson,
                Day: line.Date
            ));

    private Task<List<Guid>> InGroup(Guid group, DateOnly date) =>
        places.On(date).Where(p => p.GroupId == group).Select(p => p.ChildId).ToListAsync(scope.Stop);

    private async Task<HashSet<(Guid Child, DateOnly Day)>> Away(IReadOnlyCollection<Guid> children, DateOnly? day) =>
        (
            await scope
                .Store.ChildAbsences.AsNoTracking()
                .Where(a => children.Contains(a.ChildId) && (day == null || a.Date == day))
                .Select(a => new { a.ChildId, a.Date })
                .ToListAsync(scope.Stop)
        )
            .Select(a => (a.ChildId, a.Date))
            .ToHashSet();

    /// <summary>The rows that count: of one place on a day the one that was made last.</summary>
    public static IEnumerable<StoredEvidence> Counting(IEnumerable<StoredEvidence> rows) =>
        rows.GroupBy(e => (e.LessonId, e.ChildId, e.Word, e.Place, e.Skill, e.Day))
            .Select(g => g.OrderBy(e => e.MadeAt).ThenBy(e => e.Id).Last());

    /// <summary>A row as the core has it.</summary>
    public static Evidence Seen(StoredEvidence row) =>
        new(
            Id: row.Id,
            Target: Target(row.Target),
            Skill: row.Skill,
            Seen: row.Seen,
            Source: row.Source,
            Day: row.Day,
            Word: row.Word,
            Written: row.Written,
            AsSpoken: row.AsSpoken
        );

    /// <summary>A target as it is stored.</summary>
    public static MemoryTarget Target(string text) =>
        MemoryTarget.TryParse(text, out var target)
            ? target
            : throw new InvalidOperationException($"Evidence names a target that there is not: {text}.");

    private Remembered Nothing(string target, Skill skill) =>
        Remembered.Nothing(facts.Difficulty.Begins(Target(target), skill));

    private StoredMemory Row(Guid child, string target, Skill skill, Remembered document) =>
        new()
        {
            SchoolId = scope.School.SchoolId,
            ChildId = child,
            Target = target,
            Skill = skill,
            Document = document,
        };
}

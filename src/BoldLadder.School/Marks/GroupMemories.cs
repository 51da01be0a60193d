using System.Collections.Immutable;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Spelling;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Marks;

/// <summary>A group's memories on a day.</summary>
/// <param name="Children">Who is in the group that day, with what is known of each, in reading or spelling, whichever
/// is held less.</param>
/// <param name="Shown">What the group's lessons showed, and what was seen of the group as a whole.</param>
public sealed record GroupMemory(
    IReadOnlyDictionary<Guid, IReadOnlyDictionary<MemoryTarget, Remembered>> Children,
    IReadOnlyDictionary<MemoryTarget, Remembered> Shown
)
{
    /// <summary>True where something was marked: without it the log alone says what is due.</summary>
    public bool IsMarked => Children.Values.Any(c => c.Values.Any(r => r.IsOwn)) || IsGroupMarked;

    /// <summary>True where something was seen of the group as a whole.</summary>
    public bool IsGroupMarked { get; init; }

    /// <summary>Tricky words of each child by skill: reading and writing are remembered apart.</summary>
    public IReadOnlyDictionary<Skill, ILookup<string, Remembered>> Tricky { get; init; } =
        new Dictionary<Skill, ILookup<string, Remembered>>();

    /// <summary>
    /// What marks say of tricky words in a skill, by the word: of children of whom something is known. One that all
    /// have is said only where each had it right on three days: until then the log says when it comes.
    /// </summary>
    public IReadOnlyDictionary<string, DueTarget> TrickyDue(Skill skill, DateOnly day) =>
        Tricky.TryGetValue(skill, out var words)
            ? words
                .Select(w =>
                    (
                        Word: w.Key,
                        Due: GroupDue.Of(
                            [
                                .. w.Select(r => new Dictionary<MemoryTarget, Remembered>
                                {
                                    [MemoryTarget.Tricky(w.Key)] = r,
                                }),
                            ],
                            day
                        )[0]
                    )
                )
                .Where(w =>
                    w.Due.Why != DueWhy.Round
                    || words[w.Word].All(r => r.Settled().RightDays >= MemoryVerdict.SecureDays)
                )
                .ToDictionary(w => w.Word, w => w.Due)
            : new Dictionary<string, DueTarget>();

    /// <summary>What is due on a day, the most needed first; none where nothing was marked.</summary>
    public ImmutableArray<DueTarget> Due(DateOnly day)
    {
        if (!IsMarked)
            return [];
        // What was seen of all together counts as one child more.
        IReadOnlyList<IReadOnlyDictionary<MemoryTarget, Remembered>> all =
            IsGroupMarked || Children.Count == 0 ? [.. Children.Values, Shown] : [.. Children.Values];
        return GroupDue.Of(all, day);
    }
}

/// <summary>Reads what children of a group remember. Source: docs/memory.md.</summary>
public sealed class GroupMemories(SchoolScope scope, Places places, Standings standings, MarkingFacts facts)
{
    public async Task<GroupMemory> Of(Guid groupId, DateOnly day)
    {
        var there = await places
            .On(day)
            .Where(p => p.GroupId == groupId)
            .Select(p => p.ChildId)
            .ToListAsync(scope.Stop);
        var memories = (
            await scope.Store.Memories.AsNoTracking().Where(m => there.Contains(m.ChildId)).ToListAsync(scope.Stop)
        ).ToLookup(m => m.ChildId);
        var (shown, isMarked) = await Shown(groupId, day);
        return new GroupMemory(
            there.ToDictionary(c => c, c => (IReadOnlyDictionary<MemoryTarget, Remembered>)Weakest(memories[c], day)),
            shown
        )
        {
            IsGroupMarked = isMarked,
            Tricky = memories
                .SelectMany(m => m)
                .Select(m => (m.Skill, Target: EvidenceBooks.Target(m.Target), m.Document))
                .Where(m => m.Target.Kind == TargetKind.Tricky)
                .GroupBy(m => m.Skill)
                .ToDictionary(g => g.Key, g => g.ToLookup(m => m.Target.Id, m => m.Document)),
        };
    }

    /// <summary>Of reading and spelling what is held less.</summary>
    internal static Dictionary<MemoryTarget, Remembered> Weakest(IEnumerable<StoredMemory> memories, DateOnly day) =>
        memories
            .GroupBy(m => EvidenceBooks.Target(m.Target))
            .ToDictionary(g => g.Key, g => g.Select(m => m.Document).MinBy(m => m.On(day))!);

    /// <summary>What the lessons of the log showed, a thing seen for each day, and what was seen of all together.
    /// </summary>
    private async Task<(Dictionary<MemoryTarget, Remembered> Shown, bool IsMarked)> Shown(Guid groupId, DateOnly day)
    {
        var log = await standings.Log(groupId);
        var whole = await scope
            .Store.Evidence.AsNoTracking()
            .Where(e => e.GroupId == groupId && e.ChildId == null && e.Day < day)
            .ToListAsync(scope.Stop);
        var seen = log.Where(l => l.Date < day)
            .SelectMany(l =>
                l.Correspondences.Concat(l.Seen)
                    .Select(c => Correspondence.Parse(c).ReferenceNotation)
                    .Distinct()
                    .Select(c => new Evidence(
                        Id: l.Id,
                        Target: new MemoryTarget(TargetKind.Correspondence, c),
                        Skill: Skill.Reading,
                        Seen: Seen.Shown,
                        Source: EvidenceSource.Lesson,
                        Day: l.Date
                    ))
            )
            .Concat(EvidenceBooks.Counting(whole).Select(EvidenceBooks.Seen));
        return (
            seen.GroupBy(e => e.Target)
                .ToDictionary(g => g.Key, g => Remembered.Of(g, facts.Difficulty.Begins(g.Key, Skill.Reading))),
            whole.Count > 0
        );
    }
}

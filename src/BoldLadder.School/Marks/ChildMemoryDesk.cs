using BoldLadder.Core.Revisit;
using BoldLadder.School.Children;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;
using Word = BoldLadder.Core.Words.Word;

namespace BoldLadder.School.Marks;

/// <summary>A child: the ladder climbed with its three states, what was seen lately, what is confused.</summary>
/// <param name="Group">Where the child is today; null for nowhere.</param>
/// <param name="Rungs">What the group was taught, the newest first.</param>
/// <param name="Missed">Days of lessons that were missed lately.</param>
/// <param name="Recent">The newest first.</param>
/// <param name="CatchUps">The newest first.</param>
public sealed record ChildMemoryView(
    Guid Id,
    string Name,
    Guid? GroupId,
    string? Group,
    DateOnly Date,
    IReadOnlyList<ChildRung> Rungs,
    IReadOnlyList<TargetState> Tricky,
    IReadOnlyList<ConfusionView> Confusions,
    IReadOnlyList<DateOnly> Missed,
    IReadOnlyList<SeenLately> Recent,
    IReadOnlyList<CatchUpHad> CatchUps
);

public sealed record ChildRung(string Id, string Stage, IReadOnlyList<TargetState> Targets);

/// <summary>A target with its state in reading and in spelling, whichever is held less.</summary>
/// <param name="Reading">Null where nothing is known of it.</param>
public sealed record TargetState(
    string Target,
    MemoryState State,
    MemoryState? Reading,
    MemoryState? Spelling,
    IReadOnlyList<MemoryReason> Reasons
);

/// <param name="IsOfSound">True for a pattern of sounds that lasts: consider hearing or speech.</param>
/// <param name="Pairs">Words to say and spell side by side.</param>
public sealed record ConfusionView(
    ConfusionKind Kind,
    string Target,
    string Written,
    int Times,
    int Days,
    DateOnly Last,
    bool IsOfSound,
    IReadOnlyList<ContrastPair> Pairs
);

public sealed record ContrastPair(string One, string Other);

public sealed record SeenLately(DateOnly Day, string Word, Skill Skill, IReadOnlyList<SeenPlace> Places);

public sealed record SeenPlace(string Target, Seen Seen, string Written);

public sealed record CatchUpHad(DateOnly Day, IReadOnlyList<string> Targets);

/// <summary>
/// What a child remembers, for who takes the child's group. Source: docs/handbook.md, sections 7 and 10.
/// </summary>
public sealed class ChildMemoryDesk(SchoolScope scope, Places places, GroupDays groupDays)
{
    private const int MostConfusions = 8;
    private const int MostPairs = 3;
    private const int MostRecent = 24;

    /// <summary>What is confused is looked for so many days back.</summary>
    private const int DaysBack = 120;
    private const int DaysMissed = 42;

    public async Task<Answer<ChildMemoryView>> Show(Guid childId)
    {
        if (scope.Role == Role.Helper)
            return Refusal.NotAllowed("not-for-helpers");
        var today = scope.Today;
        var place = await places.On(today).Where(p => p.ChildId == childId).FirstOrDefaultAsync(scope.Stop);
        var group = place is null
            ? null
            : await scope.Groups.AsNoTracking().SingleOrDefaultAsync(g => g.Id == place.GroupId, scope.Stop);
        var child = await scope.Store.Children.SingleOrDefaultAsync(c => c.ChildId == childId, scope.Stop);
        if (child is null || (group is null && !scope.Role.SeesAllGroups()))
            return Refusal.NotFound("unknown-child");
        var memories = await scope
            .Store.Memories.AsNoTracking()
            .Where(m => m.ChildId == childId)
            .ToListAsync(scope.Stop);
        var states = memories
            .GroupBy(m => m.Target)
            .ToDictionary(g => g.Key, g => StateOf(g.Key, [.. g], today), StringComparer.Ordinal);
        var from = today.AddDays(-DaysBack);
        var evidence = EvidenceBooks
            .Counting(
                await scope
                    .Store.Evidence.AsNoTracking()
                    .Where(e => e.ChildId == childId && e.Day >= from)
                    .ToListAsync(scope.Stop)
            )
            .ToList();
        var state = group is null ? null : (await groupDays.States([group]))[0];
        return new ChildMemoryView(
            Id: childId,
            Name: child.Name,
            GroupId: group?.Id,
            Group: group?.Name,
            Date: today,
            Rungs: state is null ? [] : [.. Climbed(state, states)],
            Tricky: [.. states.Values.Where(s => EvidenceBooks.Target(s.Target).Kind == TargetKind.Tricky)],
            Confusions: [.. Confused(evidence, state)],
            Missed: await Missed(childId, group?.Id),
            Recent: [.. Recent(evidence)],
            CatchUps:
            [
                .. evidence
                    .Where(e => e.Source == EvidenceSource.CatchUp)
                    .GroupBy(e => e.Day)
                    .OrderByDescending(g => g.Key)
                    .Select(g => new CatchUpHad(g.Key, [.. g.Select(e => e.Target).Distinct()])),
            ]
        );
    }

    private static TargetState StateOf(string target, IReadOnlyList<StoredMemory> memories, DateOnly today)
    {
        MemoryVerdict? Of(Skill skill) =>
            memories.FirstOrDefault(m => m.Skill == skill) is { } memory
                ? MemoryVerdict.Of(memory.Document, today)
                : null;
        var (reading, spelling) = (Of(Skill.Reading), Of(Skill.Spelling));
        // What was only shown says nothing beside what the child wrote.
        var isSpelled = spelling is not null && !memories.Any(m => m.Skill == Skill.Reading && m.Document.IsOwn);
        var weaker =
            reading is null || isSpelled ? spelling!
            : spelling is null || reading.State <= spelling.State ? reading
            : spelling;
        return new TargetState(target, weaker.State, reading?.State, spelling?.State, weaker.Reasons);
    }

    private static IEnumerable<ChildRung> Climbed(GroupState group, Dictionary<string, TargetState> states) =>
        group
            .Ladder.Rungs.Except(group.Days.Progress.Remaining)
            .Where(r => !r.Correspondences.IsEmpty)
            .Reverse()
            .Select(r => new ChildRung(
                r.Id,
                r.Stage,
                [
                    .. r
                        .Correspondences.Select(c => MemoryTarget.Of(c).ToString())
                        .Distinct()
                        .Select(t =>
                            states.GetValueOrDefault(t) ?? new TargetState(t, MemoryState.NotYet, null, null, [])
                        ),
                ]
            ));

    private IEnumerable<ConfusionView> Confused(IEnumerable<StoredEvidence> evidence, GroupState? group)
    {
        var named = Confusions.Of(evidence.Select(EvidenceBooks.Seen)).Take(MostConfusions).ToList();
        if (named.Count == 0)
            return [];
        var taught = group?.Days.Progress.Before(0, scope.Leniencies, scope.Accent);
        var avoid = group?.Group.Avoid.ToHashSet(StringComparer.Ordinal) ?? [];
        IReadOnlyList<Word> words = taught is null
            ? []
            :
            [
                .. scope
                    .Words.Lexicon.KnownWhere(taught.Accent, taught.ReadableOf, taught.CanRead)
                    .Where(w => !avoid.Contains(w.Spelling))
                    .OrderBy(w => w.Required.Length)
                    .ThenByDescending(w => w.Zipf),
            ];
        return named.Select(c => new ConfusionView(
            Kind: c.Kind,
            Target: c.Target.ToString(),
            Written: c.Written,
            Times: c.Times,
            Days: c.Days,
            Last: c.Last,
            IsOfSound: c.IsOfSound,
            Pairs: c.Written.Length == 0 || c.Kind is ConfusionKind.Spelling or ConfusionKind.Order
                ? []
                :
                [
                    .. ContrastWords
                        .Of(words, c.Target.Correspondence!, c.Written)
                        .Take(MostPairs)
                        .Select(p => new ContrastPair(p.One.Spelling, p.Other.Spelling)),
                ]
        ));
    }

    private static IEnumerable<SeenLately> Recent(IEnumerable<StoredEvidence> evidence) =>
        evidence
            .Where(e => e.Source != EvidenceSource.CatchUp)
            .GroupBy(e => (e.Day, e.LessonId, e.Word, e.Skill))
            .OrderByDescending(g => g.Key.Day)
            .ThenByDescending(g => g.Max(e => e.MadeAt))
            .ThenBy(g => g.Key.Word, StringComparer.Ordinal)
            .Take(MostRecent)
            .Select(g => new SeenLately(
                g.Key.Day,
                g.Key.Word,
                g.Key.Skill,
                [.. g.OrderBy(e => e.Place).Select(e => new SeenPlace(e.Target, e.Seen, e.Written))]
            ));

    private async Task<List<DateOnly>> Missed(Guid child, Guid? group)
    {
        var from = scope.Today.AddDays(-DaysMissed);
        return await scope
            .Store.ChildAbsences.Where(a => a.ChildId == child && a.Date >= from && a.Date <= scope.Today)
            .Where(a =>
                scope.DailyLessons.Any(l =>
                    l.GroupId == group && l.Date == a.Date && l.Status != LessonStatus.NotTaught
                )
            )
            .OrderByDescending(a => a.Date)
            .Select(a => a.Date)
            .ToListAsync(scope.Stop);
    }
}

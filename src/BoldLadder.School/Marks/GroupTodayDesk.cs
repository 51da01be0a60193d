using BoldLadder.Core.Revisit;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Marks;

/// <summary>What a group holds and what comes back, for who takes it.</summary>
/// <param name="Due">What comes back next, the most needed first.</param>
/// <param name="Children">Who wobbles on what.</param>
/// <param name="IsMarked">False where nothing was marked yet: then the log alone says what comes back.</param>
public sealed record GroupTodayView(
    DateOnly Date,
    bool IsMarked,
    IReadOnlyList<DueView> Due,
    IReadOnlyList<ChildStandingView> Children
);

/// <param name="Target">A correspondence by its notation, or pattern: or tricky: with an id.</param>
/// <param name="Children">Of how many children the reason speaks.</param>
public sealed record DueView(string Target, DueWhy Why, int Children, DateOnly? Seen);

/// <param name="Secure">How many targets are secure.</param>
/// <param name="Missed">Days of lessons that were missed in the last weeks.</param>
public sealed record ChildStandingView(
    Guid Id,
    string Name,
    int Secure,
    IReadOnlyList<WobbleView> Wobbling,
    IReadOnlyList<WobbleView> NotYet,
    IReadOnlyList<DateOnly> Missed
);

public sealed record WobbleView(string Target, IReadOnlyList<MemoryReason> Reasons);

/// <summary>Group today: who wobbles on what, what comes back next and why, who missed which lesson.</summary>
public sealed class GroupTodayDesk(SchoolScope scope, GroupMemories memories)
{
    private const int MostDue = 12;
    private const int Several = 2;
    private const int MostOfChild = 6;
    private const int DaysBack = 14;

    public async Task<Answer<GroupTodayView>> Show(Guid groupId)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (scope.Role == Role.Helper)
            return Refusal.NotAllowed("not-for-helpers");
        var today = scope.Today;
        var memory = await memories.Of(groupId, today);
        var ids = memory.Children.Keys.ToList();
        var names = await scope
            .Store.Children.Where(c => ids.Contains(c.ChildId))
            .ToDictionaryAsync(c => c.ChildId, c => c.Name, scope.Stop);
        var from = today.AddDays(-DaysBack);
        var missed = (
            await scope
                .Store.ChildAbsences.Where(a => ids.Contains(a.ChildId) && a.Date >= from && a.Date <= today)
                .Join(
                    scope.DailyLessons.Where(l => l.GroupId == groupId && l.Status != LessonStatus.NotTaught),
                    a => a.Date,
                    l => l.Date,
                    (a, l) => new { a.ChildId, a.Date }
                )
                .ToListAsync(scope.Stop)
        ).ToLookup(a => a.ChildId, a => a.Date);
        return new GroupTodayView(
            today,
            memory.IsMarked,
            [
                .. memory
                    .Due(today.AddDays(1))
                    // What a lesson brings back is what was taught.
                    .Where(d => d.Target.Kind == TargetKind.Tricky || memory.Shown.ContainsKey(d.Target))
                    // What several had wrong last is what the adult has in mind: it is said first.
                    .OrderByDescending(d => d is { Why: DueWhy.MissedBy, Children: >= Several } ? d.Children : 0)
                    .Take(MostDue)
                    .Select(d => new DueView(d.Target.ToString(), d.Why, d.Children, d.Seen)),
            ],
            [
                .. memory
                    .Children.OrderBy(c => names.GetValueOrDefault(c.Key, ""), StringComparer.OrdinalIgnoreCase)
                    .Select(c => Standing(c.Key, names.GetValueOrDefault(c.Key, ""), c.Value, missed[c.Key], today)),
            ]
        );
    }

    private static ChildStandingView Standing(
        Guid child,
        string name,
        IReadOnlyDictionary<MemoryTarget, Remembered> known,
        IEnumerable<DateOnly> missed,
        DateOnly today
    )
    {
        var verdicts = known
            .Select(k => (Target: k.Key.ToString(), Verdict: MemoryVerdict.Of(k.Value, today), At: k.Value.On(today)))
            // What was never missed is no news.
            .Where(v =>
                v.Verdict.State != MemoryState.NotYet
                || v.Verdict.Reasons.Any(r => r.Code is "missed-on" or "missed-teaching")
            )
            .OrderBy(v => v.At)
            .ThenBy(v => v.Target, StringComparer.Ordinal)
            .ToList();
        List<WobbleView> Those(MemoryState state) =>
            [
                .. verdicts
                    .Where(v => v.Verdict.State == state)
                    .Take(MostOfChild)
                    .Select(v => new WobbleView(v.Target, v.Verdict.Reasons)),
            ];
        return new ChildStandingView(
            child,
            name,
            verdicts.Count(v => v.Verdict.State == MemoryState.Secure),
            Those(MemoryState.Wobbling),
            Those(MemoryState.NotYet),
            [.. missed.Order()]
        );
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.CatchUps;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Marks;

/// <summary>
/// The few minutes with whoever was away or missed much: who needs it, what is done, and that it was done. Source:
/// docs/handbook.md, section 7 (Catch-up).
/// </summary>
public sealed class CatchUpDesk(
    SchoolScope scope,
    GroupMemories memories,
    GroupDays groupDays,
    LessonRequests requests,
    EvidenceBooks books,
    CatchUps catchUps
)
{
    public const int FewestMinutes = 3;
    public const int MostMinutes = 15;

    private const int MostTargets = 4;

    public async Task<Answer<CatchUpNeedsView>> Needs(Guid groupId)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var today = scope.Today;
        var memory = await memories.Of(groupId, today);
        var ids = memory.Children.Keys.ToList();
        var names = await scope
            .Store.Children.Where(c => ids.Contains(c.ChildId))
            .ToDictionaryAsync(c => c.ChildId, c => c.Name, scope.Stop);
        var away = await scope
            .Store.ChildAbsences.Where(a => a.Date == today && ids.Contains(a.ChildId))
            .Select(a => a.ChildId)
            .ToListAsync(scope.Stop);
        var held = await catchUps.Lately(ids);
        return new CatchUpNeedsView(
            today,
            found.Value.Name,
            [
                .. memory
                    .Children.Select(c => new CatchUpNeed(
                        Id: c.Key,
                        Name: names.GetValueOrDefault(c.Key, ""),
                        IsAway: away.Contains(c.Key),
                        Targets:
                        [
                            .. Needed(c.Value, held[c.Key], memory)
                                .Select(t => new WobbleView(
                                    t.ToString(),
                                    // What was on other days is not for who helps today.
                                    scope.Role == Role.Helper
                                        ? []
                                        : MemoryVerdict.Of(c.Value[t], today).Reasons
                                )),
                        ],
                        Last: held[c.Key].Select(h => (DateOnly?)h.Day).Max()
                    ))
                    .OrderByDescending(c => c.Targets.Count)
                    .ThenBy(c => c.Name, StringComparer.OrdinalIgnoreCase)
                    .ThenBy(c => c.Id),
            ]
        );
    }

    /// <summary>A catch-up for some of the group; nothing is kept.</summary>
    public async Task<Answer<CatchUpView>> Make(Guid groupId, CatchUpAsked asked)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (asked.Minutes is < FewestMinutes or > MostMinutes)
            return Refusal.Unusable("catch-up-minutes", ("least", FewestMinutes), ("most", MostMinutes));
        var memory = await memories.Of(groupId, scope.Today);
        if (asked.Children.Count == 0 || asked.Children.Any(c => !memory.Children.ContainsKey(c)))
            return Refusal.Unusable("catch-up-children");
        var held = await catchUps.Lately(asked.Children);
        var chosen = asked.Children.Distinct().ToList();
        var needed = chosen
            .SelectMany(c => Needed(memory.Children[c], held[c], memory))
            .GroupBy(t => t)
            .OrderByDescending(g => g.Count())
            .Select(g => g.Key);
        var due = GroupDue
            .Of([.. chosen.Select(c => memory.Children[c])], scope.Today)
            .Select(d => d.Target)
            .Where(memory.Shown.ContainsKey);
        // Where today's lesson was held, what it taught is taught.
        var state = (await groupDays.States([found.Value]))[0];
        var day = state.On(state.IsAhead(scope.Today) ? scope.Today : state.Standing.Last!.Value.AddDays(1));
        var rung = day.Rung ?? QuietDay.Of(QuietDay.Id(DayKind.Review), day.Progress.Newest(0));
        var request = await requests.ForPlanning(day, rung, scope.Today.DayNumber);
        // Of children of whom nothing is known yet, what was taught last.
        var newest = day.Progress.Newest(day.Ahead).Select(MemoryTarget.Of);
        var made = CatchUpMaker.Make(request, needed.Concat(due).Concat(newest), asked.Minutes);
        return new CatchUpView(scope.Today, made.Seconds, [.. made.Parts.Select(Viewed)], made.Sentence?.Text);
    }

    /// <summary>It was held: what each child showed goes into its memory, once however often it is sent.</summary>
    public async Task<Answer<CatchUpKept>> Keep(Guid groupId, CatchUpHeld held)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        if (scope.Role == Role.Head)
            return Refusal.NotAllowed("reader-only");
        await scope.Lock(groupId);
        var hash = ContentHash.Of(held);
        if (await scope.Store.Marks.SingleOrDefaultAsync(m => m.Id == held.Id, scope.Stop) is { } known)
            return known.ContentHash == hash ? new CatchUpKept(true) : Refusal.Conflict("mark-id-taken");
        var memory = await memories.Of(groupId, scope.Today);
        if (
            held.Id == Guid.Empty
            || held.Children.Count == 0
            || held.Children.Any(c => !memory.Children.ContainsKey(c))
            || held.Seen.Any(s => !held.Children.Contains(s.ChildId) || !held.Targets.Contains(s.Target))
        )
            return Refusal.Unusable("catch-up-children");
        if (
            held.Targets.Count == 0
            || held.Targets.Any(t => !MemoryTarget.TryParse(t, out _))
            || held.Seen.Any(s => s.Seen is not (Seen.Right or Seen.Slow or Seen.Helped or Seen.Wrong))
        )
            return Refusal.Unusable("catch-up-targets");
        // It makes up for lessons that were held: it hangs on the last of them.
        var last = await scope
            .DailyLessons.Where(l => l.GroupId == groupId && l.Date <= scope.Today)
            .Where(l => l.Status == LessonStatus.Taught || l.Status == LessonStatus.Stopped)
            .OrderByDescending(l => l.Date)
            .Select(l => (Guid?)l.Id)
            .FirstOrDefaultAsync(scope.Stop);
        if (last is not { } lesson)
            return Refusal.Conflict("marks-not-taught");
        var seen = held.Seen.ToLookup(s => (s.ChildId, s.Target), s => s.Seen);
        scope.Store.Marks.Add(
            new KeptMark
            {
                SchoolId = scope.School.SchoolId,
                Id = held.Id,
                LessonId = lesson,
                ContentHash = hash,
                MadeAt = scope.UtcNow,
                RecordedAt = scope.UtcNow,
                UserId = scope.UserId,
            }
        );
        await books.Add([
            .. from child in held.Children.Distinct()
            from target in held.Targets.Distinct()
            select new StoredEvidence
            {
                SchoolId = scope.School.SchoolId,
                Id = Guid.CreateVersion7(),
                MarkId = held.Id,
                LessonId = lesson,
                GroupId = groupId,
                ChildId = child,
                Day = scope.Today,
                Target = target,
                Skill = Skill.Reading,
                Seen = seen[(child, target)].Append(Seen.Shown).First(),
                Source = EvidenceSource.CatchUp,
                // No word of the lesson: each target once a day.
                Word = target,
                Place = WordEvidence.Whole,
                Written = "",
                AsSpoken = false,
                MadeAt = scope.UtcNow,
            },
        ]);
        await scope.Save();
        return new CatchUpKept(false);
    }

    private static CatchUpPartView Viewed(CatchUpPart part)
    {
        var card = part.Card as CardItem;
        IReadOnlyList<CatchUpWord> Words(ImmutableArray<WordItem> words) =>
            [.. words.Select(w => new CatchUpWord(w.Word, w.Marks, w.Meaning))];
        return new CatchUpPartView(
            Target: part.Target.ToString(),
            Grapheme: card?.Grapheme ?? part.Target.Id,
            Sound: card?.Sounds,
            KeyWord: card?.KeyWord,
            Read: Words(part.Read),
            Write: Words(part.Write)
        );
    }

    /// <summary>What a child's few minutes are about; nothing where lessons are enough. Only what was taught.</summary>
    private IReadOnlyList<MemoryTarget> Needed(
        IReadOnlyDictionary<MemoryTarget, Remembered> known,
        IEnumerable<(MemoryTarget Target, DateOnly Day)> held,
        GroupMemory memory
    )
    {
        var needs = catchUps.Needs(known, held);
        return needs.IsMuch
            ?
            [
                .. needs
                    .Missed.Concat(needs.Weak.Where(t => t.Kind == TargetKind.Tricky || memory.Shown.ContainsKey(t)))
                    .Distinct()
                    .Take(MostTargets),
            ]
            : [];
    }
}

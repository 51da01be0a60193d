using BoldLadder.Core.Children;
using BoldLadder.Core.Revisit;
using BoldLadder.School.Marks;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Children;

/// <summary>
/// Children by name or initials, in a group from a day to a day. Who takes a group sees its children and says who is
/// away; a lead changes the rest. Source: docs/handbook.md, section 10.
/// </summary>
public sealed class ChildrenDesk(SchoolScope scope, Places places, EvidenceBooks books)
{
    private static readonly Refusal UnknownChild = Refusal.NotFound("unknown-child");

    public async Task<ChildrenView> List()
    {
        var today = scope.Today;
        var there = await places.OfAll(today);
        var away = (
            await scope.Store.ChildAbsences.Where(a => a.Date == today).Select(a => a.ChildId).ToListAsync(scope.Stop)
        ).ToHashSet();
        var groups = (await scope.Groups.Select(g => g.Id).ToListAsync(scope.Stop)).ToHashSet();
        var children = await scope.Store.Children.AsNoTracking().ToListAsync(scope.Stop);
        return new ChildrenView([
            .. children
                .Select(c => (Child: c, Place: there.GetValueOrDefault(c.ChildId)))
                .Where(c => scope.Role.SeesAllGroups() || (c.Place is { } p && groups.Contains(p.GroupId)))
                .OrderBy(c => c.Child.Name, StringComparer.OrdinalIgnoreCase)
                .ThenBy(c => c.Child.ChildId)
                .Select(c => new ChildView(
                    c.Child.ChildId,
                    c.Child.Name,
                    c.Place?.GroupId,
                    c.Place?.First,
                    away.Contains(c.Child.ChildId)
                )),
        ]);
    }

    public async Task<Answer<ChildrenView>> Change(Guid childId, ChildChange wanted)
    {
        if (await Seen(childId) is not { } child)
            return UnknownChild;
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (ChildName.Read(wanted.Name) is not { IsShortened: false } name)
            return Refusal.Unusable("bad-child-name", ("most", ChildName.Longest));
        if (wanted.GroupId is { } to && !await scope.Groups.AnyAsync(g => g.Id == to, scope.Stop))
            return Refused.UnknownGroup;
        await scope.Lock(childId);
        if (child.Name != name.Text)
        {
            child.Name = name.Text;
            scope.Audit("child-renamed", childId);
        }
        var from = wanted.From ?? scope.Today;
        var before = await scope.Store.ChildPlaces.Where(p => p.ChildId == childId).ToListAsync(scope.Stop);
        if (before.Find(p => p.First <= from && !(p.Last < from))?.GroupId != wanted.GroupId)
        {
            places.Put(childId, before, wanted.GroupId, from);
            scope.Audit("child-moved", childId);
        }
        await scope.Save();
        // Whoever was there before today was shown what was taught.
        if (from < scope.Today)
            await books.Anew([childId]);
        return await List();
    }

    /// <summary>For who takes the group, too.</summary>
    public async Task<Answer<ChildrenView>> Away(Guid childId, AwayChange wanted)
    {
        if (await Seen(childId) is null)
            return UnknownChild;
        var known = await scope.Store.ChildAbsences.SingleOrDefaultAsync(
            a => a.ChildId == childId && a.Date == wanted.Date,
            scope.Stop
        );
        if (wanted.IsAway && known is null)
            scope.Store.ChildAbsences.Add(
                new ChildAbsence
                {
                    SchoolId = scope.School.SchoolId,
                    ChildId = childId,
                    Date = wanted.Date,
                }
            );
        else if (!wanted.IsAway && known is not null)
            scope.Store.ChildAbsences.Remove(known);
        else
            return await List();
        scope.Audit(wanted.IsAway ? "child-away" : "child-back", childId);
        await scope.Save();
        // What was shown that day was shown to who was there.
        if (wanted.Date <= scope.Today)
            await books.Anew([childId]);
        return await List();
    }

    /// <summary>All that is kept of a child, for whoever has a right to see it.</summary>
    public async Task<Answer<ChildRecord>> Export(Guid childId)
    {
        if (await Seen(childId) is not { } child)
            return UnknownChild;
        if (scope.LeadOnly() is { } refused)
            return refused;
        var store = scope.Store;
        var times = await store
            .ChildPlaces.Where(p => p.ChildId == childId)
            .Join(store.Groups, p => p.GroupId, g => g.Id, (p, g) => new ChildTime(g.Name, p.First, p.Last))
            .ToListAsync(scope.Stop);
        var away = await store
            .ChildAbsences.Where(a => a.ChildId == childId)
            .OrderBy(a => a.Date)
            .Select(a => a.Date)
            .ToListAsync(scope.Stop);
        var seen = await store
            .Evidence.AsNoTracking()
            .Where(e => e.ChildId == childId)
            .OrderBy(e => e.Day)
            .ThenBy(e => e.MadeAt)
            .ThenBy(e => e.Place)
            .Select(e => new ChildSeen(
                e.Day,
                e.Source == EvidenceSource.CatchUp ? "" : e.Word,
                e.Target,
                e.Skill,
                e.Seen,
                e.Written
            ))
            .ToListAsync(scope.Stop);
        var memories = await store.Memories.AsNoTracking().Where(m => m.ChildId == childId).ToListAsync(scope.Stop);
        scope.Audit("child-exported", childId);
        await scope.Save();
        return new ChildRecord(
            Format: ChildRecord.CurrentFormat,
            School: scope.School.Name,
            MadeAt: scope.UtcNow,
            Name: child.Name,
            Groups: [.. times.OrderBy(t => t.First)],
            Away: away,
            Seen: seen,
            Memories:
            [
                .. memories
                    .OrderBy(m => m.Target, StringComparer.Ordinal)
                    .ThenBy(m => m.Skill)
                    .Select(m => new ChildHolds(m.Target, m.Skill, MemoryVerdict.Of(m.Document, scope.Today).State)),
            ]
        );
    }

    /// <summary>All that is kept of the child goes; it can't be undone.</summary>
    public async Task<Answer<ErasureReceipt>> Erase(Guid childId)
    {
        if (await Seen(childId) is null)
            return UnknownChild;
        if (scope.LeadOnly() is { } refused)
            return refused;
        scope.Store.ChangeTracker.Clear();
        var rows = await scope
            .Store.Database.SqlQuery<long>($"select erase_child({childId}) as \"Value\"")
            .SingleAsync(scope.Stop);
        return new ErasureReceipt(childId, scope.UtcNow, rows);
    }

    /// <summary>A child that this person may see today.</summary>
    private async Task<Child?> Seen(Guid childId)
    {
        var there = places.On(scope.Today);
        return await scope
            .Store.Children.Where(c =>
                c.ChildId == childId
                && (
                    scope.Role == Role.Lead
                    || scope.Role == Role.Head
                    || there.Any(p => p.ChildId == childId && scope.Groups.Any(g => g.Id == p.GroupId))
                )
            )
            .SingleOrDefaultAsync(scope.Stop);
    }
}

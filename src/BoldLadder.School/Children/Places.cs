using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Children;

/// <summary>Which child is in which group from which day to which.</summary>
public sealed class Places(SchoolScope scope)
{
    /// <summary>Places on a day.</summary>
    public IQueryable<ChildPlace> On(DateOnly day) =>
        scope.Store.ChildPlaces.Where(p => p.First <= day && (p.Last == null || p.Last >= day));

    /// <summary>Puts a child somewhere from a day on; what was planned for later goes.</summary>
    /// <param name="before">All that is kept of where the child was and will be.</param>
    /// <param name="group">Null for nowhere.</param>
    public void Put(Guid child, IEnumerable<ChildPlace> before, Guid? group, DateOnly from)
    {
        var goesOn = false;
        foreach (var place in before)
        {
            var dayBefore = from.AddDays(-1);
            if (place.GroupId == group && place.First <= from && !(place.Last < dayBefore))
                (place.Last, goesOn) = (null, true);
            else if (place.First >= from)
                scope.Store.ChildPlaces.Remove(place);
            else if (!(place.Last < from))
                place.Last = dayBefore;
        }
        if (group is { } to && !goesOn)
            scope.Store.ChildPlaces.Add(
                new ChildPlace
                {
                    SchoolId = scope.School.SchoolId,
                    Id = Guid.CreateVersion7(),
                    ChildId = child,
                    GroupId = to,
                    First = from,
                }
            );
    }

    /// <summary>Who is in a group today, or would come later, goes to another from today on.</summary>
    /// <param name="to">Null for none.</param>
    /// <param name="which">Those that go; null for all.</param>
    public async Task Empty(Guid group, Guid? to, IReadOnlySet<Guid>? which = null)
    {
        var children = (
            await scope
                .Store.ChildPlaces.Where(p => p.GroupId == group && (p.Last == null || p.Last >= scope.Today))
                .Select(p => p.ChildId)
                .ToListAsync(scope.Stop)
        ).FindAll(c => which?.Contains(c) ?? true);
        var before = await scope.Store.ChildPlaces.Where(p => children.Contains(p.ChildId)).ToListAsync(scope.Stop);
        foreach (var child in before.GroupBy(p => p.ChildId))
            Put(child.Key, child, to, scope.Today);
    }

    /// <summary>Where each child is on a day.</summary>
    public async Task<Dictionary<Guid, ChildPlace>> OfAll(DateOnly day) =>
        await On(day).AsNoTracking().ToDictionaryAsync(p => p.ChildId, scope.Stop);
}

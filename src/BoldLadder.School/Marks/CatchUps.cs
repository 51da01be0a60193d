using BoldLadder.Core.Revisit;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Marks;

/// <summary>What children had in catch-ups lately.</summary>
public sealed class CatchUps(SchoolScope scope)
{
    /// <returns>By child the targets with their days.</returns>
    public async Task<ILookup<Guid, (MemoryTarget Target, DateOnly Day)>> Lately(IReadOnlyCollection<Guid> children)
    {
        var from = scope.Today.AddDays(-ChildNeeds.DaysBack);
        return (
            await scope
                .Store.Evidence.Where(e =>
                    e.Source == EvidenceSource.CatchUp
                    && e.Day >= from
                    && e.ChildId != null
                    && children.Contains(e.ChildId.Value)
                )
                .Select(e => new
                {
                    Child = e.ChildId!.Value,
                    e.Target,
                    e.Day,
                })
                .ToListAsync(scope.Stop)
        ).ToLookup(e => e.Child, e => (EvidenceBooks.Target(e.Target), e.Day));
    }

    /// <summary>What a child needs, by what is known of it and what was made up for.</summary>
    public ChildNeeds Needs(
        IReadOnlyDictionary<MemoryTarget, Remembered> known,
        IEnumerable<(MemoryTarget Target, DateOnly Day)> held
    ) => ChildNeeds.Of(known, held.ToLookup(h => h.Target, h => h.Day), scope.Today);
}

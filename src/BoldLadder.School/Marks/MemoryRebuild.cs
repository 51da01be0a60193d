using BoldLadder.School.Schools;
using Microsoft.Extensions.DependencyInjection;

namespace BoldLadder.School.Marks;

/// <summary>
/// Makes all memories of a school anew from evidence, the log and who was there: the same as they grew to be. For who
/// runs the product, after a change to the model. Source: docs/memory.md.
/// </summary>
public sealed class MemoryRebuild(IServiceScopeFactory scopes)
{
    /// <returns>How many memories there are; null for a school that there is not.</returns>
    public async Task<int?> Of(Guid schoolId, CancellationToken stop)
    {
        await using var inside = scopes.CreateAsyncScope();
        var scope = inside.ServiceProvider.GetRequiredService<SchoolScope>();
        if (!await scope.OpenForGuest(schoolId, stop))
            return null;
        var count = await inside.ServiceProvider.GetRequiredService<EvidenceBooks>().Anew();
        await scope.Release();
        return count;
    }
}

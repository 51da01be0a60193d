using BoldLadder.Core;
using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Children;

/// <summary>Takes children in out of a file; leads only.</summary>
public sealed class ChildImportDesk(SchoolScope scope, ChildImport import, JobStarter jobs)
{
    public async Task<Answer<ImportPreview>> Look(ChildFile file)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        try
        {
            return await import.Look(file);
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
    }

    /// <summary>Starts taking the file in, once it is sure that it can be read.</summary>
    public async Task<Answer<JobView>> Start(ImportRequest request)
    {
        var looked = await Look(request.File);
        return looked.Refusal is { } refusal ? refusal : await jobs.Start(request.Id, ChildImport.KindOfJob, request);
    }
}

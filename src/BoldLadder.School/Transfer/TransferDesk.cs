using BoldLadder.Core;
using BoldLadder.Formats.Packed;
using BoldLadder.Formats.Schools;
using BoldLadder.School.Jobs;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Transfer;

/// <param name="Id">Of the job, made by who asks.</param>
public sealed record ExportRequest(Guid Id);

/// <summary>A school's zip to be read in.</summary>
/// <param name="Id">Of the job, made by who asks.</param>
public sealed record SchoolFile(Guid Id, byte[] Content);

/// <summary>Everything of a school out of here, and in again. Leads only.</summary>
public sealed class TransferDesk(SchoolScope scope, SchoolImport import, JobStarter jobs)
{
    public async Task<Answer<JobView>> Export(ExportRequest request) =>
        scope.LeadOnly() is { } refused ? refused : await jobs.Start(request.Id, SchoolExport.KindOfJob, request);

    public async Task<Answer<JobView>> Import(SchoolFile file)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await import.NotEmpty() is { } full)
            return full;
        try
        {
            using var zip = PackedFiles.Open(file.Content);
            SchoolZip.ReadManifest(zip);
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
        return await jobs.Start(file.Id, SchoolImport.KindOfJob, file);
    }
}

using System.Text.Json;
using BoldLadder.School.Jobs;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Jobs;

/// <summary>What runs in the background for a person.</summary>
public static class JobEndpoints
{
    public static void MapJobs(this IEndpointRouteBuilder school)
    {
        // It changes while it is asked for.
        school
            .MapGet("/jobs", async (JobsDesk desk) => Say(await desk.List()))
            .WithMetadata(AskedEachTime.It)
            .WithName("listJobs");
        school
            .MapDelete("/jobs/{jobId:guid}", (Guid jobId, JobsDesk desk) => desk.Cancel(jobId).Http())
            .WithName("cancelJob");
        school
            .MapGet(
                "/jobs/{jobId:guid}/file",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (Guid jobId, JobsDesk desk) =>
                {
                    var asked = await desk.Fetch(jobId);
                    return asked.Refusal is { } refusal
                        ? Problem.Of(refusal)
                        : TypedResults.File(asked.Value.Content, "application/zip", asked.Value.Name);
                }
            )
            .WithName("fetchJobFile");
    }

    /// <summary>Jobs with the sentence of each that was refused.</summary>
    private static List<JobView> Say(List<JobView> jobs) =>
        jobs.ConvertAll(j =>
            j.Refusal is { } code ? j with { Problem = Problem.WhatToDo(code, Values(j.RefusalArguments)) } : j
        );

    private static Dictionary<string, object> Values(string? json) =>
        JsonSerializer
            .Deserialize<Dictionary<string, JsonElement>>(json ?? "{}")!
            .ToDictionary(
                v => v.Key,
                v => v.Value.ValueKind == JsonValueKind.Number ? v.Value.GetInt32() : (object)v.Value.ToString()
            );
}

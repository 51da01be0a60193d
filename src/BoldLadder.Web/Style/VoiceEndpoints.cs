using BoldLadder.School.Style;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Style;

/// <summary>The school's own voices: recorded by leads, played by whoever teaches.</summary>
public static class VoiceEndpoints
{
    public static void MapVoices(this IEndpointRouteBuilder school)
    {
        school.MapGet("/voices", async (VoiceDesk desk) => TypedResults.Ok(await desk.List())).WithName("listVoices");
        school
            .MapGet(
                "/voices/{voiceId:guid}/sound",
                async Task<Results<FileContentHttpResult, ProblemHttpResult>> (Guid voiceId, VoiceDesk desk) =>
                {
                    var found = await desk.Sound(voiceId);
                    return found.Refusal is { } refusal
                        ? Problem.Of(refusal)
                        : TypedResults.File(found.Value, "audio/wav");
                }
            )
            .WithName("getVoice");
        school.MapPost("/voices", (NewVoice voice, VoiceDesk desk) => desk.Keep(voice).Http()).WithName("keepVoice");
        school
            .MapDelete("/voices/{voiceId:guid}", (Guid voiceId, VoiceDesk desk) => desk.Delete(voiceId).Http())
            .WithName("deleteVoice");
    }
}

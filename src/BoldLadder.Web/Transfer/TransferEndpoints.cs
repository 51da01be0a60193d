using BoldLadder.School.Transfer;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Transfer;

/// <summary>Everything of a school out of here, and in again.</summary>
public static class TransferEndpoints
{
    /// <summary>A zip of some years in base 64.</summary>
    private static readonly RequestSizeLimitAttribute Zip = new(96 * 1024 * 1024);

    public static void MapTransfer(this IEndpointRouteBuilder school)
    {
        school
            .MapPost("/export", (ExportRequest request, TransferDesk desk) => desk.Export(request).Http())
            .AsksAgain()
            .WithName("exportSchool");
        school
            .MapPost("/import", (SchoolFile file, TransferDesk desk) => desk.Import(file).Http())
            .AsksAgain()
            .WithMetadata(Zip)
            .WithName("importSchool");
    }
}

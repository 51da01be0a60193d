using BoldLadder.School.Transfer;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Transfer;

/// <summary>Everything of a school out of here, and in again.</summary>
public static class TransferEndpoints
{
    /// <summary>Megabytes of a zip of some years.</summary>
    private const int Zip = 72;

    public static void MapTransfer(this IEndpointRouteBuilder school)
    {
        school
            .MapPost("/export", (ExportRequest request, TransferDesk desk) => desk.Export(request).Http())
            .AsksAgain()
            .WithName("exportSchool");
        school
            .MapPost("/import", (SchoolFile file, TransferDesk desk) => desk.Import(file).Http())
            .AsksAgain()
            .TakesFile(Zip)
            .WithName("importSchool");
    }
}

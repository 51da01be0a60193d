using BoldLadder.School.Children;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Children;

/// <summary>
/// The children of groups: who is where, who is away, taking in from files, export and erasure of one.
/// </summary>
public static class ChildrenEndpoints
{
    /// <summary>Megabytes of a file of children.</summary>
    private const int File = 5;

    public static void MapChildren(this IEndpointRouteBuilder school)
    {
        var children = school.MapGroup("/children");
        children.MapGet("", (ChildrenDesk desk) => desk.List().Http()).WithName("listChildren");
        children
            .MapPost("/{childId:guid}", (Guid childId, ChildChange wanted, ChildrenDesk desk) =>
                desk.Change(childId, wanted).Http()
            )
            .WithName("changeChild");
        children
            .MapPost("/{childId:guid}/away", (Guid childId, AwayChange wanted, ChildrenDesk desk) =>
                desk.Away(childId, wanted).Http()
            )
            .WithName("sayAway");
        children
            .MapPost("/{childId:guid}/export", (Guid childId, ChildrenDesk desk) => desk.Export(childId).Http())
            .AsksAgain()
            .WithName("exportChild");
        children
            .MapDelete("/{childId:guid}", (Guid childId, ChildrenDesk desk) => desk.Erase(childId).Http())
            .AsksAgain()
            .WithName("eraseChild");
        children
            .MapPost("/imports/look", (ChildFile file, ChildImportDesk desk) => desk.Look(file).Http())
            .TakesFile(File)
            .WithName("lookAtChildren");
        children
            .MapPost("/imports", (ImportRequest request, ChildImportDesk desk) => desk.Start(request).Http())
            .TakesFile(File)
            .WithName("importChildren");
    }
}

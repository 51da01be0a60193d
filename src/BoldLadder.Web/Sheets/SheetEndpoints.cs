using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.School.Sheets;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Sheets;

/// <summary>Sheets of paper for a day of a group.</summary>
public static class SheetEndpoints
{
    public static void MapSheets(this IEndpointRouteBuilder school)
    {
        var sheets = school.MapGroup("/groups/{groupId:guid}/sheets/{date}");
        sheets
            .MapGet("", (Guid groupId, DateOnly date, SheetDesk desk) => desk.Show(groupId, date).Http())
            .WithName("listSheets");
        sheets
            .MapGet(
                "/{kind}",
                (
                    Guid groupId,
                    DateOnly date,
                    string kind,
                    SheetDesk desk,
                    string level = "same",
                    long seed = 0,
                    string? words = null
                ) =>
                    desk.Make(groupId, date, Kebab.Parse<SheetKind>(kind), Kebab.Parse<SheetLevel>(level), seed, words)
                        .Http()
            )
            .WithName("getSheet");
    }
}

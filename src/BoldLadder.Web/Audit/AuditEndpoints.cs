using BoldLadder.School.Audit;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Audit;

/// <summary>Who did what.</summary>
public static class AuditEndpoints
{
    public static void MapAudit(this IEndpointRouteBuilder school) =>
        school
            .MapGet("/audit", (AuditDesk desk, DateTime? before = null) => desk.Show(before).Http())
            .WithName("getAudit")
            // Who signed in is no row of the school.
            .WithMetadata(AskedEachTime.It);
}

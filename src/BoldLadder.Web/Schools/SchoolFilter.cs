using System.Globalization;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Schools;

/// <summary>
/// Opens the school of the address for every request of it; another school's id is "not found". Committed when the
/// answer is a success. Who reads is looked at in one statement with the state of the school: what was answered in that
/// state is the answer again, and nothing more is asked.
/// </summary>
public sealed class SchoolFilter(SchoolScope scope, BoldContext store, Sessions sessions, Clock clock, KeptAnswers kept)
    : IEndpointFilter
{
    /// <summary>True for a request whose session this filter looks at, so that nobody else has to.</summary>
    public static bool LooksAtTheDoor(HttpContext http) =>
        HttpMethods.IsGet(http.Request.Method) && http.GetEndpoint()?.Metadata.GetMetadata<SchoolDoor>() is not null;

    public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var http = context.HttpContext;
        var (user, school) = (http.User.Id(), Guid.Parse((string)http.GetRouteValue("schoolId")!));
        if (!LooksAtTheDoor(http))
            return await Open(user, school, context, next);

        var session = Sessions.IdOf(http.User) ?? Guid.Empty;
        var seen = await Entrance.Look(store, user, session, school, http.RequestAborted);
        if (!await sessions.IsAlive(http.User, seen))
            return Problem.Of(StatusCodes.Status401Unauthorized);
        if (seen is not { Role: { } role, TimeZone: { } zone })
            return Problem.Of(Refused.UnknownSchool);
        if (seen.Stamp is not { } stamp || http.GetEndpoint()!.Metadata.GetMetadata<AskedEachTime>() is not null)
            return await Open(user, school, context, next);
        return await kept.Answer(
            (school, user, http.Request.Path.Value + http.Request.QueryString),
            $"{stamp} {role} {clock.Today(zone):yyyy-MM-dd}",
            () => Open(user, school, context, next)
        );
    }

    private async ValueTask<object?> Open(
        Guid user,
        Guid school,
        EndpointFilterInvocationContext context,
        EndpointFilterDelegate next
    )
    {
        if (!await scope.Open(user, school, context.HttpContext.RequestAborted))
            return Problem.Of(Refused.UnknownSchool);
        CultureInfo.CurrentUICulture = CultureInfo.GetCultureInfo(scope.School.Language);
        var http = context.HttpContext;
        if (
            !HttpMethods.IsGet(http.Request.Method)
            && http.GetEndpoint()?.Metadata.GetMetadata<ReadersToo>() is null
            && scope.ReaderOnly() is { } looksOnly
        )
            return Problem.Of(looksOnly);
        var result = await next(context);
        var answer = result is INestedHttpResult nested ? nested.Result : result;
        if (answer is IStatusCodeHttpResult { StatusCode: >= 400 })
            return result;
        await scope.Release();
        return result;
    }
}

/// <summary>Marks the endpoints behind <see cref="SchoolFilter"/>.</summary>
public sealed class SchoolDoor
{
    public static readonly SchoolDoor Here = new();
}

/// <summary>
/// Marks an endpoint that changes nothing for who only looks, though it could for others; every other change is refused
/// to them before it is asked.
/// </summary>
public sealed class ReadersToo
{
    public static readonly ReadersToo It = new();
}

/// <summary>Marks an endpoint whose answer shows more than rows of the school: it is asked anew each time.</summary>
public sealed class AskedEachTime
{
    public static readonly AskedEachTime It = new();
}

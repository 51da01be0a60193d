using System.Globalization;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Schools;

/// <summary>Opens the school of the address for every request of it; another school's id is "not found". Committed when the answer is a success.</summary>
public sealed class SchoolFilter(SchoolScope scope) : IEndpointFilter
{
    public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var http = context.HttpContext;
        var schoolId = Guid.Parse((string)http.GetRouteValue("schoolId")!);
        if (!await scope.Open(http.User.Id(), schoolId, http.RequestAborted)) return Problem.Of(Refused.UnknownSchool);
        CultureInfo.CurrentUICulture = CultureInfo.GetCultureInfo(scope.School.Language);
        var result = await next(context);
        var answer = result is INestedHttpResult nested ? nested.Result : result;
        if (answer is IStatusCodeHttpResult { StatusCode: >= 400 }) return result;
        await scope.Release();
        return result;
    }
}

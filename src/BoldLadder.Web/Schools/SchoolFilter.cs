using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Schools;

/// <summary>
/// Runs every request of a school in one transaction that names the school to the database; another school's id is "not found".
/// Committed when the answer is a success.
/// </summary>
public sealed class SchoolFilter(SchoolScope scope) : IEndpointFilter
{
    public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var schoolId = Guid.Parse((string)context.HttpContext.GetRouteValue("schoolId")!);
        await using var transaction = await scope.Begin();
        if (!await scope.Enter(context.HttpContext.User.Id(), schoolId))
        {
            return Problem.NotFound("unknown-school", "You don't belong to this school. Choose one of yours.");
        }
        var result = await next(context);
        var answer = result is INestedHttpResult nested ? nested.Result : result;
        if (answer is IStatusCodeHttpResult { StatusCode: >= 400 }) return result;
        await scope.Release();
        return result;
    }
}

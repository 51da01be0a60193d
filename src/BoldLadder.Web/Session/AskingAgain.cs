using BoldLadder.School.People;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Session;

/// <summary>
/// Before what can't be taken back, or takes children's data away, a person shows again who they are, unless they did
/// in the last minutes (OWASP ASVS 3.7).
/// </summary>
public static class AskingAgain
{
    public static RouteHandlerBuilder AsksAgain(this RouteHandlerBuilder endpoint) =>
        endpoint.AddEndpointFilter(
            async (context, next) =>
            {
                var who = context.HttpContext.User;
                var desk = context.HttpContext.RequestServices.GetRequiredService<AccountDesk>();
                return await desk.IsConfirmed(who.Id(), Sessions.IdOf(who))
                    ? await next(context)
                    : Problem.Of(StatusCodes.Status403Forbidden, "confirm-first");
            }
        );
}

using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Setup;

/// <summary>Errors as problem details (RFC 9457): a code for the screen and a sentence that says what to do.</summary>
public static class Problem
{
    public static ProblemHttpResult Of(int status, string code, string whatToDo, Dictionary<string, object?>? more = null) =>
        TypedResults.Problem(title: code, type: $"bold:{code}", detail: whatToDo, statusCode: status, extensions: more);

    /// <summary>The answer that a status has wherever it comes from.</summary>
    public static ProblemHttpResult Of(int status)
    {
        var (code, whatToDo) = ForStatus(status);
        return Of(status, code, whatToDo);
    }

    public static ProblemHttpResult NotFound(string code, string whatToDo) => Of(StatusCodes.Status404NotFound, code, whatToDo);

    public static ProblemHttpResult Unusable(string code, string whatToDo, Dictionary<string, object?>? more = null) =>
        Of(StatusCodes.Status422UnprocessableEntity, code, whatToDo, more);

    /// <summary>The sentence for an answer that the framework gives without one.</summary>
    public static (string Code, string WhatToDo) ForStatus(int status) => status switch
    {
        StatusCodes.Status400BadRequest => ("bad-request", "The request could not be read. Reload the page and try again; nothing was changed."),
        StatusCodes.Status401Unauthorized => ("signed-out", "You are not signed in. Sign in and try again; nothing was lost."),
        StatusCodes.Status403Forbidden => ("not-allowed", "Your role does not allow this. Ask your phonics lead."),
        StatusCodes.Status404NotFound => ("not-found", "There is nothing here. Go back and choose from the list."),
        StatusCodes.Status405MethodNotAllowed => ("not-allowed-here", "This address does not take that kind of request. Reload the page."),
        StatusCodes.Status409Conflict => ("changed-meanwhile", "Someone changed the same thing at the same moment. Look at it as it is now, then try again; nothing of yours was changed."),
        StatusCodes.Status413PayloadTooLarge => ("too-large", "What was sent is too large. Send less at a time; what you typed is still here."),
        StatusCodes.Status415UnsupportedMediaType => ("not-json", "Only JSON is read here. Reload the page and try again."),
        StatusCodes.Status429TooManyRequests => ("too-many-tries", "Too many tries. Wait a little, then try again."),
        StatusCodes.Status503ServiceUnavailable => ("busy", "Bold Ladder is busy, or its database is starting. Try again in a few seconds; nothing was changed."),
        _ => ("went-wrong", "Something went wrong on our side; nothing was changed. Try again in a moment."),
    };
}

using System.Globalization;
using BoldLadder.School.Refusals;
using BoldLadder.Wording;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Setup;

/// <summary>
/// Errors as problem details (RFC 9457): a code for the screen and a sentence of the catalogue that says what to do.
/// </summary>
public static class Problem
{
    /// <summary>A refusal as an answer: its code, its sentence, its arguments and what goes with it.</summary>
    public static ProblemHttpResult Of(Refusal refusal) => Of(StatusOf(refusal.Kind), refusal);

    /// <summary>An answer of the web alone: signing in, reading, names.</summary>
    public static ProblemHttpResult Of(
        int status,
        string code,
        params ReadOnlySpan<(string Name, object Value)> values
    ) => Of(status, Refusal.Unusable(code, values));

    /// <summary>The answer that a status has wherever it comes from.</summary>
    public static ProblemHttpResult Of(int status) => Of(status, CodeOf(status));

    /// <summary>The sentence of a code.</summary>
    public static string WhatToDo(string code, IReadOnlyDictionary<string, object>? values = null) =>
        Catalogue.Of(CultureInfo.CurrentUICulture.Name).Say($"refusal.{code}", values);

    /// <summary>The code of an answer that the framework gives without one.</summary>
    public static string CodeOf(int status) =>
        status switch
        {
            StatusCodes.Status400BadRequest => "bad-request",
            StatusCodes.Status401Unauthorized => "signed-out",
            StatusCodes.Status403Forbidden => "not-allowed",
            StatusCodes.Status404NotFound => "not-found",
            StatusCodes.Status405MethodNotAllowed => "not-allowed-here",
            StatusCodes.Status409Conflict => "changed-meanwhile",
            StatusCodes.Status413PayloadTooLarge => "too-large",
            StatusCodes.Status415UnsupportedMediaType => "not-json",
            StatusCodes.Status429TooManyRequests => "too-many-tries",
            StatusCodes.Status503ServiceUnavailable => "busy",
            _ => "went-wrong",
        };

    private static ProblemHttpResult Of(int status, Refusal refusal) =>
        TypedResults.Problem(
            title: refusal.Code,
            type: $"bold:{refusal.Code}",
            detail: WhatToDo(refusal.Sentence, refusal.Arguments),
            statusCode: status,
            extensions: refusal.Arguments.IsEmpty ? refusal.More : refusal.More.SetItem("arguments", refusal.Arguments)
        );

    private static int StatusOf(RefusalKind kind) =>
        kind switch
        {
            RefusalKind.NotFound => StatusCodes.Status404NotFound,
            RefusalKind.Conflict => StatusCodes.Status409Conflict,
            RefusalKind.NotAllowed => StatusCodes.Status403Forbidden,
            RefusalKind.Unversioned => StatusCodes.Status428PreconditionRequired,
            _ => StatusCodes.Status422UnprocessableEntity,
        };
}

using BoldLadder.School.Refusals;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BoldLadder.Web.Setup;

/// <summary>Answers of use cases as answers of the API.</summary>
public static class Answers
{
    public static async Task<Results<Ok<T>, ProblemHttpResult>> Http<T>(this Task<Answer<T>> asked) =>
        Http(await asked);

    public static Results<Ok<T>, ProblemHttpResult> Http<T>(this Answer<T> answer) =>
        answer.Refusal is { } refusal ? Problem.Of(refusal) : TypedResults.Ok(answer.Value);

    /// <summary>No content where there is nothing more to say than that it was done.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> Http(this Task<Answer<Done>> asked) =>
        (await asked).Refusal is { } refusal ? Problem.Of(refusal) : TypedResults.NoContent();

    public static async Task<Ok<T>> Http<T>(this Task<T> asked) => TypedResults.Ok(await asked);
}

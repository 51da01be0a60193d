using BoldLadder.Core.Words;
using BoldLadder.School.Words;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace BoldLadder.Web.Words;

/// <summary>Looking words up, and what a school says of them.</summary>
public static class WordEndpoints
{
    public static void MapWords(this IEndpointRouteBuilder school)
    {
        school.MapGet("/words", Search).WithName("findWords");
        school.MapGet("/words/{word}", (string word, WordDesk desk) => desk.Show(word).Http()).WithName("getWord");
        school
            .MapPut(
                "/words/{word}/verdict",
                (
                    string word,
                    SchoolWordRequest request,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    WordDesk desk
                ) => desk.Say(word, request, ifMatch).Http()
            )
            .WithName("sayOfWord");
        school
            .MapDelete(
                "/words/{word}/verdict",
                (string word, [FromHeader(Name = "If-Match")] string? ifMatch, WordDesk desk) =>
                    desk.TakeBack(word, ifMatch).Http()
            )
            .WithName("takeBackWord");
        school
            .MapDelete("/groups/{groupId:guid}/kept-out/{word}", (Guid groupId, string word, WordDesk desk) =>
                desk.LetComeAgain(groupId, word).Http()
            )
            .WithName("letComeAgain");
        school.MapGet("/school-words", (WordDesk desk) => desk.List().Http()).WithName("listSchoolWords");
    }

    private static Task<Results<Ok<WordsView>, ProblemHttpResult>> Search(
        Guid ladderId,
        int version,
        WordDesk desk,
        string? letters = null,
        string? with = null,
        string? at = null,
        string? shape = null,
        string? pattern = null,
        string? rhyme = null,
        string? rung = null,
        bool soFar = false,
        bool known = false
    ) =>
        desk.Search(
                ladderId,
                version,
                new WordSearch
                {
                    Letters = letters,
                    With = with,
                    At = Kebab.Parse<Place>(at),
                    Shape = shape,
                    Pattern = pattern,
                    Rhyme = rhyme,
                    Rung = rung,
                    SoFar = soFar,
                    Known = known,
                }
            )
            .Http();
}

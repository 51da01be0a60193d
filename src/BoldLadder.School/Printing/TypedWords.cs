using BoldLadder.Core;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Words;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Printing;

/// <summary>What was asked for and will not be on paper, and why.</summary>
/// <param name="Why">not-yet, unknown, left-out, no-picture or no-room.</param>
public sealed record LeftOut(string What, string Why);

/// <summary>Words that a teacher typed to be printed, judged for the day.</summary>
/// <param name="Words">Those that can be read, in their order; null where nothing was typed.</param>
public sealed record Typed(IReadOnlyList<Word>? Words, IReadOnlyList<LeftOut> LeftOut)
{
    public static Typed Nothing { get; } = new(null, []);

    /// <summary>The words as a set; null where nothing was typed.</summary>
    public IReadOnlySet<Word>? Set => Words?.ToHashSet();
}

/// <summary>Judges words that are typed for paper by the same rules as those typed into a lesson.</summary>
public sealed class TypedWords(SchoolScope scope, LessonRequests requests)
{
    /// <summary>More than this is no set of words any more.</summary>
    public const int Most = 400;

    private const int LongestText = 8000;

    /// <param name="text">Words with spaces, commas or lines between them.</param>
    public Answer<Typed> Judge(string? text, PaperDay day)
    {
        if (string.IsNullOrWhiteSpace(text))
            return Typed.Nothing;
        if (text.Length > LongestText)
            return Refusal.Unusable("too-many-words", ("most", Most));
        var verdicts = OwnItems.Judge(
            string.Join(' ', text.Split([' ', ',', ';', '\n', '\r', '\t'], StringSplitOptions.RemoveEmptyEntries)),
            day.Request.After,
            day.Request.TrickyToday.ToHashSet(),
            scope.Words.Lexicon,
            requests.Places(day.Day)
        );
        if (verdicts.Length > Most)
            return Refusal.Unusable("too-many-words", ("most", Most));
        var usable = verdicts.Where(v => v.Word is not null && v.Status is OwnStatus.Decodable or OwnStatus.Tricky);
        return new Typed(
            [.. usable.Select(v => v.Word!).Distinct()],
            [.. verdicts.Except(usable).Select(v => new LeftOut(v.Written, v.Status.Code())).Distinct()]
        );
    }
}

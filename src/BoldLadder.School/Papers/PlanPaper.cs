using BoldLadder.Core;
using BoldLadder.Core.Lessons;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>A lesson for the hand of who teaches it, as a document that can be changed.</summary>
public static class PlanPaper
{
    private const int Points = 12;

    /// <param name="lesson">As it is shown, the school's way laid over it.</param>
    /// <param name="label">What the day is called.</param>
    /// <param name="say">With what to say in each activity, for who is no specialist.</param>
    public static PagedText Of(Lesson lesson, string label, OnPaper on, Saying saying, bool say)
    {
        var words = new ItemWords(saying);
        var title = saying.Say("lesson.title", ("group", on.GroupName), ("date", saying.Day(on.Date)));
        var blocks = new List<Block>
        {
            new HeadingBlock(1, title),
            new TextBlock(
                [
                    new Span(lesson.Target.IsEmpty ? "" : saying.Say("lesson.new", ("what", ""))),
                    new Span(saying.Label(label), Reading: !lesson.Target.IsEmpty, Bold: true),
                ],
                Points + 2
            ),
        };
        if (say)
            blocks.Add(TextBlock.Of(saying.Say("cover.clean")));
        foreach (var part in lesson.Parts)
        {
            var minutes = saying.Say("print.minutes", ("minutes", (part.Seconds + 30) / 60));
            blocks.Add(new HeadingBlock(2, $"{saying.Of(part.Kind)} · {minutes}"));
            foreach (var activity in part.Activities)
                blocks.AddRange(OfActivity(activity, words, saying, say));
        }
        if (lesson.Remark is { } remark)
            blocks.Add(TextBlock.Of($"{saying.Say("print.note")} {remark}"));
        return on.Paged(title, saying, [.. blocks]);
    }

    private static IEnumerable<Block> OfActivity(Activity activity, ItemWords words, Saying saying, bool say)
    {
        yield return new HeadingBlock(
            3,
            $"{saying.Of(activity.Kind)} · {saying.Of("response", activity.Response.Code())}"
        );
        if (say)
            yield return TextBlock.Of(saying.ToSay(activity), Points - 2);
        var items = activity.Items.Select(i => words.Of(i, activity.Kind)).ToList();
        // Single words and cards stand beside each other, what is longer in a line of its own.
        if (activity.Items.All(i => i is WordItem { Sentence: null } or CardItem { Positions: null } or MadeUpItem))
        {
            if (
                activity.Kind
                is not (ActivityKind.NewCorrespondence or ActivityKind.MouthCue or ActivityKind.MemoryPhrase)
            )
            {
                if (items.Count > 0)
                    yield return new TextBlock([.. items.SelectMany(s => s.Append(new Span("      ")))], Points);
                yield break;
            }
        }
        foreach (var spans in items)
            yield return new TextBlock(spans, Points);
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Sheets;

/// <summary>A set of words that a teacher chose, as something to make sheets of.</summary>
public static class ChosenWords
{
    private const string Id = "chosen-words";

    /// <summary>
    /// A day that goes back to what the words have in common, on which no more is taught than on the day itself.
    /// </summary>
    /// <param name="words">That can be read on the day.</param>
    public static LessonRequest Over(LessonRequest request, IReadOnlyCollection<Word> words) =>
        GoingBack.To(request, Id, About(request, words), request.After, [.. request.TrickyToday.Distinct()]);

    /// <summary>
    /// The correspondences taught last that together stand in all of the words: what the words are about.
    /// </summary>
    private static ImmutableArray<Correspondence> About(LessonRequest request, IReadOnlyCollection<Word> words)
    {
        var left = words.ToHashSet();
        var about = ImmutableArray.CreateBuilder<Correspondence>();
        foreach (
            var one in request
                .Today.Correspondences.Concat(request.Memory.Newest)
                .Concat(words.SelectMany(w => w.Required))
                .Distinct()
        )
        {
            if (left.RemoveWhere(w => w.Contains(one)) > 0)
                about.Add(one);
        }
        return about.ToImmutable();
    }
}

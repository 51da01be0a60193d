using BoldLadder.Core.Ladders;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Extras;

/// <summary>Words just read with today's grapheme left out, to be written in. Source: docs/handbook.md, section 6 (Practise: missing grapheme).</summary>
internal static class GapActivity
{
    public const string Id = "practise-gap";

    private const int Fewest = 3;

    /// <param name="read">The words of this lesson, which are met again here.</param>
    /// <param name="own">Others that have what is new today, where the lesson has too few.</param>
    public static Activity? Of(LessonRequest request, IEnumerable<Word> read, IEnumerable<Word> own, int count)
    {
        var mine = read.Where(HasTarget).ToList();
        var words = Seeded.For(request.Seed, Id).Shuffle(mine).Concat(mine.Count < count ? new WordChoice(request, Seeded.For(request.Seed, Id)).Take(own.Where(HasTarget), count - mine.Count, mine) : [])
            .Take(count).OrderBy(w => w.Segmentation.Taps).ToList();
        return words.Count < Fewest ? null : new Activity(Id, ActivityKind.MissingGrapheme, ResponseMode.ShowOnBoards, 0, [.. words.Select(w => Items.OfGap(Id, w, PlaceOfTarget(w)))]);

        bool HasTarget(Word word) => PlaceOfTarget(word) >= 0;

        int PlaceOfTarget(Word word)
        {
            for (var i = 0; i < word.Required.Length; i++)
            {
                if (Usable.Shows(request.Today, word) && request.Today.Correspondences.Any(c => c.ReferenceNotation == word.Required[i].ReferenceNotation)) return i;
            }
            return -1;
        }
    }
}

using System.Globalization;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// Chooses words one after another, each time the one that is worth most beside those already chosen: known to young children,
/// common, fresh, bringing back what is due, spread over vowels and positions. Source: docs/handbook.md, section 7 (Choosing words).
/// </summary>
public sealed class WordChoice(LessonRequest request, Seeded random)
{
    /// <summary>Lessons after which a correspondence counts as due.</summary>
    public const int DueAfter = 4;

    /// <summary>Words further down than this are never worth more than those above, however well they spread.</summary>
    private const int WorthALook = 200;

    private readonly List<Word> chosen = [];

    /// <summary>Up to <paramref name="count"/> words of <paramref name="candidates"/>, easy to hard, none that sounds like another.</summary>
    public List<Word> Take(IEnumerable<Word> candidates, int count, IEnumerable<Word>? beside = null)
    {
        chosen.AddRange(beside ?? []);
        var given = chosen.Count;
        var pool = candidates.Except(chosen).Select(w => (Word: w, Worth: Worth(w) + random.Fraction()))
            .OrderByDescending(c => c.Worth).Take(WorthALook).ToList();
        while (chosen.Count < given + count && pool.Count > 0)
        {
            var best = pool.MaxBy(c => c.Worth + Spread(c.Word));
            pool.Remove(best);
            if (!Clashes(best.Word)) chosen.Add(best.Word);
        }
        return [.. chosen.Skip(given).OrderBy(w => w.Segmentation.Taps).ThenBy(w => w.Suffix is not null).ThenByDescending(w => w.Zipf)];
    }

    /// <summary>Why this word: codes for a screen or a print.</summary>
    public static IEnumerable<Reason> Explain(LessonRequest request, Word word)
    {
        foreach (var target in request.Today.Correspondences.Where(word.Contains)) yield return Reason.Of("uses", target.Grapheme.Text);
        foreach (var pattern in (word.Patterns & request.Today.Patterns).Each()) yield return Reason.Of("uses-pattern", pattern.Id());
        yield return Reason.Of("taps", word.Segmentation.Taps.ToString(CultureInfo.InvariantCulture));
        if (word.IsKnown) yield return Reason.Of("known-at-five");
        else if (word.Zipf >= 4.5) yield return Reason.Of("common");
        yield return request.RecentWords.TryGetValue(word.Spelling, out var lessons)
            ? Reason.Of("last-seen", lessons.ToString(CultureInfo.InvariantCulture))
            : Reason.Of("fresh");
        foreach (var due in word.Required.Where(c => IsDue(request, c)).Distinct().Take(2)) yield return Reason.Of("brings-back", due.Grapheme.Text);
    }

    public static bool IsDue(LessonRequest request, Correspondence correspondence) =>
        request.Recall.TryGetValue(correspondence, out var lessons) && lessons >= DueAfter;

    private double Worth(Word word)
    {
        var worth = Math.Min(word.Zipf, 6) / 2;
        if (word.IsKnown) worth += 3;
        if (word.Suffix is null) worth += 1;
        worth -= Math.Max(0, word.Segmentation.Taps - 4) * 0.7;
        if (request.RecentWords.TryGetValue(word.Spelling, out var lessons)) worth -= 4.0 / lessons;
        return worth + (0.6 * word.Required.Count(c => IsDue(request, c)));
    }

    /// <summary>Less for a word whose vowel, first sound or place of the target is already there.</summary>
    private double Spread(Word word)
    {
        var same = 0.0;
        foreach (var other in chosen)
        {
            if (FirstVowel(other) == FirstVowel(word)) same += 0.5;
            if (other.Required[0] == word.Required[0]) same += 0.7;
            if (PlaceOfTarget(other) == PlaceOfTarget(word)) same += 0.4;
            if (other.Suffix?.Base == word.Spelling || word.Suffix?.Base == other.Spelling) same += 3;
        }
        return -same;
    }

    private bool Clashes(Word word) => chosen.Any(o => Lexicon.SoundsIn(request.After.Accent, o) == Lexicon.SoundsIn(request.After.Accent, word));

    private static Correspondence? FirstVowel(Word word) => word.Required.FirstOrDefault(c => c.IsVowel);

    private int PlaceOfTarget(Word word)
    {
        for (var i = 0; i < word.Required.Length; i++)
        {
            if (request.Today.Correspondences.Contains(word.Required[i])) return i == 0 ? 0 : i == word.Required.Length - 1 ? 2 : 1;
        }
        return -1;
    }
}

using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Chooses a small set of words: greedily, each time the one that is worth most beside those already chosen; then
/// improved by exchanges within a budget of moves. Known to young children, common, fresh, bringing back what is due,
/// spread over vowels, positions and shapes; never two that sound the same in any accent. Source: docs/handbook.md,
/// section 7 (Choosing words).
/// </summary>
public sealed class WordChoice(LessonWork work, Seeded random)
{
    /// <summary>Words further down than this are never worth more than those above, however well they spread.</summary>
    private const int WorthALook = 200;

    /// <summary>Exchanges tried after the greedy choice.</summary>
    private const int Moves = 80;

    private readonly List<Candidate> chosen = [];
    private readonly LessonRequest request = work.Request;

    /// <summary>True for words to spell: two spellings of one sound don't come together.</summary>
    public bool OneSpellingOfASound { get; init; }

    /// <summary>
    /// Up to <paramref name="count"/> words of <paramref name="candidates"/>, easy to hard, none that sounds like
    /// another.
    /// </summary>
    public List<Word> Take(IEnumerable<Word> candidates, int count, IEnumerable<Word>? beside = null)
    {
        chosen.AddRange((beside ?? []).Select(w => new Candidate(w, 0, request)));
        var given = chosen.Count;
        var besides = chosen.Select(c => c.Word).ToHashSet();
        var offered = candidates.Where(w => !besides.Contains(w) && !request.Avoid.Contains(w.Spelling)).ToList();
        // Where there are plenty of words that children know, no other is worth more.
        if (offered.Count > WorthALook && offered.Where(w => w.IsKnown).Take(WorthALook).Count() == WorthALook)
            offered.RemoveAll(w => !w.IsKnown);
        var pool = offered
            .Select(w => (Word: w, Worth: work.WorthOf(w) + (Weights.Luck * random.Fraction())))
            .OrderByDescending(c => c.Worth)
            .Take(WorthALook)
            .Select(c => new Candidate(c.Word, c.Worth, request))
            .ToList();
        while (chosen.Count < given + count && pool.Count > 0)
        {
            var best = pool.MaxBy(c => c.Worth + Beside(c, -1))!;
            pool.Remove(best);
            if (!Clashes(best, -1))
                chosen.Add(best);
        }
        Improve(pool, given);
        return [.. EasyToHard(chosen.Skip(given).Select(c => c.Word), work.IsOwn)];
    }

    /// <summary>
    /// Short before long; among those as long what comes first by <paramref name="first"/>, base forms, few syllables,
    /// no letters that are split, common before rare.
    /// </summary>
    public static IEnumerable<Word> EasyToHard(IEnumerable<Word> words, Func<Word, bool>? first = null) =>
        words
            .OrderBy(w => w.Segmentation.Taps)
            .ThenByDescending(w => first?.Invoke(w) ?? false)
            .ThenBy(w => w.Suffix is not null)
            .ThenBy(w => w.Segmentation.Syllables)
            .ThenBy(w => w.Required.Any(p => p.Grapheme.IsSplit))
            .ThenByDescending(w => w.Zipf);

    /// <summary>Why this word: codes for a screen or a print.</summary>
    public static IEnumerable<Reason> Explain(LessonRequest request, Word word)
    {
        foreach (var target in request.Today.Correspondences.Where(c => Usable.Has(word, c)))
            yield return Reason.Of("uses", target.Grapheme.Text);
        foreach (var pattern in (word.Patterns & request.Today.Patterns).Each())
            yield return Reason.Of("uses-pattern", pattern.Id());
        foreach (var chunk in request.Today.Chunks.Where(c => c.PlacesIn(word.Required).Any()))
            yield return Reason.Of("uses", chunk.Text);
        yield return Reason.Of("taps", word.Segmentation.Taps.ToString(CultureInfo.InvariantCulture));
        if (word.IsKnown)
            yield return Reason.Of("known-at-five");
        else if (word.Zipf >= 4.5)
            yield return Reason.Of("common");
        yield return request.Memory.Words.TryGetValue(word.Spelling, out var lessons)
            ? Reason.Of("last-seen", lessons.ToString(CultureInfo.InvariantCulture))
            : Reason.Of("fresh");
        foreach (var due in word.Required.Where(c => request.Memory.IsDue(c)).Distinct().Take(2))
            yield return Reason.Of("brings-back", due.Grapheme.Text);
    }

    /// <summary>What a word is worth by itself.</summary>
    public static double Worth(LessonWork work, Word word)
    {
        var request = work.Request;
        var worth = Math.Min(word.Zipf, Weights.CommonEnough) * Weights.Common;
        if (word.IsKnown)
            worth += Weights.Known;
        else if (request.Materials.Meanings.Has(word))
            worth += Weights.Explained;
        else if (word.Zipf < Weights.HeardByAll)
            worth += Weights.NeitherKnownNorExplained;
        if (ChosenLast.Has(word))
            worth += Weights.ChosenLast;
        if (word.Suffix is null)
            worth += Weights.BaseForm;
        worth += Math.Max(0, word.Required.Length - Weights.EasyTaps) * Weights.EachTapBeyondEasy;
        if (request.Memory.Words.TryGetValue(word.Spelling, out var lessons))
            worth += Weights.JustSeen / Math.Max(1, lessons);
        return worth + BroughtBack(work, word);
    }

    /// <summary>
    /// What a word is worth by what it brings back. By the log each correspondence counts alike; by marks the most
    /// needed one of the word counts whole, the next a half and so on, so that no long word gains by its length.
    /// </summary>
    private static double BroughtBack(LessonWork work, Word word)
    {
        var memory = work.Request.Memory;
        if (memory.Marked.IsEmpty)
            return Weights.BringsBack * word.Required.Count(work.Due.Contains);
        var (worth, share) = (0.0, Weights.MostNeeded);
        foreach (var need in word.Required.Distinct().Select(memory.NeedOf).OfType<double>().OrderDescending())
        {
            worth += share * need;
            share /= 2;
        }
        return worth;
    }

    /// <summary>
    /// What a word gains or loses beside the others; the one at <paramref name="without"/> does not count.
    /// </summary>
    private double Beside(Candidate one, int without)
    {
        var sum = 0.0;
        for (var i = 0; i < chosen.Count; i++)
        {
            if (i == without)
                continue;
            var other = chosen[i];
            if (one.Vowel == other.Vowel)
                sum += Weights.SameVowel;
            if (one.First == other.First)
                sum += Weights.SameStart;
            if (one.Place == other.Place)
                sum += Weights.SamePlace;
            if (one.Taps == other.Taps)
                sum += Weights.SameShape;
            if (one.Root == other.Root)
                sum += Weights.SameBase;
            if (OneSpellingOfASound)
                sum += SecondSpellings(one.Word, other.Word);
        }
        return sum;
    }

    /// <summary>
    /// Two spellings of one sound on a day of dictation; consonants (c, k, ck; doubles) matter less than vowels.
    /// </summary>
    private double SecondSpellings(Word one, Word other)
    {
        var sum = 0.0;
        foreach (var mine in one.Required)
        {
            foreach (var theirs in other.Required)
            {
                if (
                    mine.Grapheme != theirs.Grapheme
                    && request.After.Accent.Project(mine) == request.After.Accent.Project(theirs)
                )
                    sum += mine.IsVowel ? Weights.SecondSpelling : Weights.SecondSpellingOfConsonant;
            }
        }
        return sum;
    }

    private bool Clashes(Candidate one, int without)
    {
        for (var i = 0; i < chosen.Count; i++)
        {
            if (i != without && one.SoundsLike(chosen[i]))
                return true;
        }
        return false;
    }

    /// <summary>Tries to put a word left over in the place of one chosen; kept when the set is worth more.</summary>
    private void Improve(List<Candidate> pool, int given)
    {
        if (pool.Count == 0 || chosen.Count == given)
            return;
        for (var move = 0; move < Moves; move++)
        {
            var (place, other) = (
                given + random.Below(chosen.Count - given),
                random.Below(Math.Min(pool.Count, WorthALook / 2))
            );
            var gain =
                pool[other].Worth + Beside(pool[other], place) - chosen[place].Worth - Beside(chosen[place], place);
            if (gain <= 0 || Clashes(pool[other], place))
                continue;
            (chosen[place], pool[other]) = (pool[other], chosen[place]);
        }
    }

    /// <summary>A word with what it is compared by.</summary>
    private sealed class Candidate
    {
        private string[]? sounds;

        public Candidate(Word word, double worth, LessonRequest request)
        {
            (Word, Worth) = (word, worth);
            (Vowel, Place) = (-1, -1);
            for (var i = 0; i < word.Required.Length; i++)
            {
                if (Vowel < 0 && word.Required[i].IsVowel)
                    Vowel = word.Required[i].Index;
                if (Place < 0 && request.Today.Correspondences.Contains(word.Required[i]))
                    Place = (int)Places.Of(i, word.Required.Length);
            }
        }

        public Word Word { get; }

        public double Worth { get; }

        public int Vowel { get; }

        /// <summary>Where the day's correspondence stands: 0 start, 1 middle, 2 end; -1 nowhere.</summary>
        public int Place { get; }

        public int First => Word.Required[0].Index;

        public int Taps => Word.Segmentation.Taps;

        public string Root => Word.Suffix?.Base ?? Word.Spelling;

        public bool SoundsLike(Candidate other)
        {
            var (mine, theirs) = (sounds ??= InEachAccent(Word), other.sounds ??= InEachAccent(other.Word));
            for (var i = 0; i < mine.Length; i++)
            {
                if (mine[i] == theirs[i])
                    return true;
            }
            return false;
        }

        private static string[] InEachAccent(Word word) => [.. Accent.All.Select(a => Lexicon.SoundsIn(a, word))];
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// What is new among what is like it: words in pairs, and several graphemes hunted in one heap. Source:
/// docs/handbook.md, section 6 (Practise).
/// </summary>
internal static class ContrastChoosers
{
    private const int TargetsInHunt = 3;
    private const int WordsInHunt = 20;
    private const int FewestOfEach = 3;

    public static ImmutableArray<Chooser> All { get; } =
    [new(ActivityKind.ContrastPairs, Pairs), new(ActivityKind.HuntWords, Hunt)];

    /// <summary>
    /// Pairs of a word known before and one of today, told apart by what is new alone: a short vowel and a split
    /// digraph (cap, cape), letters that say something else (cow, snow), two spellings of one sound in words that rhyme
    /// (rain, lane), else two sounds. All pairs of an activity differ in the same way, the first that has enough.
    /// </summary>
    private static IEnumerable<Item> Pairs(LessonWork work, string id, int count)
    {
        var today = work.Request.Today.Correspondences;
        if (today.IsEmpty || work.Request.Today.Kind != RungKind.Lesson)
            return [];
        var own = work.Stream(id)
            .Shuffle(work.Picked(work.Own).Where(w => IsPlain(w) && w.Required.Count(today.Contains) == 1));
        var others = work.LikelyBefore.Where(IsPlain).ToList();
        var accent = work.Request.After.Accent;
        string Sound(Correspondence one) => accent.Project(one);
        var ways = new (string By, Func<Word, Word, int, bool> Differ)[]
        {
            ("split", (mine, other, at) =>
                mine.Required[at].Grapheme.IsSplit
                && mine.Required[at].Grapheme.Letters[0] == other.Required[at].Grapheme.Letters[0]
                && SameBut(mine, other, at)
            ),
            ("letters", (mine, other, at) =>
                other.Required.Any(p => p.Grapheme == mine.Required[at].Grapheme)
                && !other.Required.Any(p => Sound(p) == Sound(mine.Required[at]))
            ),
            ("spelling", (mine, other, at) =>
                mine.Required[at].IsVowel
                && Sound(other.Required[at]) == Sound(mine.Required[at])
                && other.Required[at].Grapheme != mine.Required[at].Grapheme
                && mine.Required[0] != other.Required[0]
                && mine.Required[(at + 1)..].SequenceEqual(other.Required[(at + 1)..])
            ),
            ("sound", (mine, other, at) =>
                mine.Required[at].IsVowel == other.Required[at].IsVowel
                && Sound(other.Required[at]) != Sound(mine.Required[at])
                && SameBut(mine, other, at)
            ),
        };
        return ways.Select(way => Found(way.By, way.Differ).ToList()).FirstOrDefault(p => p.Count == count) ?? [];

        IEnumerable<Item> Found(string by, Func<Word, Word, int, bool> differ)
        {
            var used = new HashSet<Word>();
            foreach (var mine in own)
            {
                var at = Usable.PlaceOf(mine, today);
                var other = others
                    .Where(o => o.Required.Length == mine.Required.Length && !used.Contains(o) && differ(mine, o, at))
                    .MaxBy(o => o.Required.Intersect(mine.Required).Count());
                if (other is null || used.Count == 2 * count)
                    continue;
                used.UnionWith([mine, other]);
                yield return ItemMaker.OfPair(id, by, other, mine, WordChoice.Explain(work.Request, mine));
            }
        }
    }

    private static bool IsPlain(Word word) =>
        word.IsKnown && word.Suffix is null && word.Segmentation.Syllables == 1 && !ChosenLast.Has(word);

    private static bool SameBut(Word one, Word other, int place)
    {
        for (var i = 0; i < one.Required.Length; i++)
        {
            if (i != place && one.Required[i] != other.Required[i])
                return false;
        }
        return true;
    }

    /// <summary>
    /// Twenty words in which what is new and what the last days taught are hunted together: each word shows the letters
    /// of one of them, or of none.
    /// </summary>
    private static IEnumerable<Item> Hunt(LessonWork work, string id, int count)
    {
        var targets = work
            .Request.Today.Correspondences.Concat(work.Lately)
            .Where(c => !c.IsBath)
            .DistinctBy(c => c.Grapheme)
            .Take(TargetsInHunt)
            .ToList();
        if (work.Request.Today is not { Kind: RungKind.Lesson, Correspondences.IsEmpty: false } || targets.Count < 2)
            return [];
        var words = work.Picked(work.Own).Concat(work.LikelyBefore).Where(IsPlain).Distinct().ToList();
        var chosen = new List<Word>();
        var found = new List<HuntedWord>();
        for (var i = 0; i < targets.Count; i++)
        {
            var target = targets[i];
            var own = words.Where(w => w.Contains(target) && targets.Count(t => ShowsLetters(w, t.Grapheme)) == 1);
            var more = work.Choice($"{id}:{i}").Take(own, WordsInHunt / (targets.Count + 1), chosen);
            if (more.Count < FewestOfEach)
                return [];
            chosen.AddRange(more);
            found.AddRange(more.Select(w => new HuntedWord(w.Spelling, ItemMaker.MarksOf(w), i)));
        }
        var none = words.Where(w => !targets.Exists(t => ShowsLetters(w, t.Grapheme)));
        found.AddRange(
            work.Choice($"{id}:others")
                .Take(none, WordsInHunt - found.Count, chosen)
                .Select(w => new HuntedWord(w.Spelling, ItemMaker.MarksOf(w), -1))
        );
        return
        [
            new HuntItem(
                $"{id}:{targets[0].ReferenceNotation}",
                false,
                [.. targets.Select(t => t.ReferenceNotation)],
                [.. targets.Select(t => t.Grapheme.Text)],
                [.. work.Stream(id).Shuffle(found)]
            ),
        ];
    }

    /// <summary>True for a word in which the letters stand side by side, whatever they say there.</summary>
    private static bool ShowsLetters(Word word, Grapheme grapheme) =>
        grapheme.IsSplit
            ? word.Required.Any(p => p.Grapheme == grapheme)
            : word.Spelling.Contains(grapheme.Text, StringComparison.Ordinal);
}

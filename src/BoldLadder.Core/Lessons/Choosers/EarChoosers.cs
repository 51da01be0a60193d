using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Words that only the adult says, heard for where a sound stands in them or how they differ: limited by sounds and
/// vocabulary, never by graphemes. Source: docs/handbook.md, section 6 (Revisit).
/// </summary>
internal static class EarChoosers
{
    /// <summary>Of so many words those are said that have a partner.</summary>
    private const int EnoughToPair = 24;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.FirstAndRest, FirstAndRest),
        new(ActivityKind.AtTheEnd, AtTheEnd),
        new(ActivityKind.WhereIsIt, WhereIsIt),
        new(ActivityKind.StartAndEnd, StartAndEnd),
        new(ActivityKind.WhichWasSaid, WhichWasSaid),
    ];

    /// <summary>Short words of things, known to children, that may be said in this group.</summary>
    private static List<Word> Sayable(LessonWork work) =>
        [
            .. work.Known.Where(w =>
                w.Suffix is null
                && w.Segmentation.Syllables == 1
                && w.Segmentation.SoundCount is 3 or 4
                && w.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun)
                && !ChosenLast.Has(w)
            ),
        ];

    /// <summary>What the day, or the day before, is about by ear.</summary>
    private static Correspondence? Target(LessonWork work) =>
        work.Request.Today.Correspondences.Concat(work.Request.Memory.Newest).FirstOrDefault();

    /// <summary>The consonants at the start of a word, then the rest: children put them together.</summary>
    private static IEnumerable<Item> FirstAndRest(LessonWork work, string id, int count) =>
        work.Choice(id)
            .Take(Sayable(work).Where(w => !w.Required[0].IsVowel), count)
            .Select(w => ItemMaker.OfWord(id, w, [Reason.Of("only-said"), FirstPart(w)], oral: true));

    private static Reason FirstPart(Word word)
    {
        var first = word.Required.TakeWhile(p => !p.IsVowel).ToList();
        return Reason.Of(
            "first-and-rest",
            string.Join(' ', first.Select(p => p.SoundText)),
            string.Join(' ', word.Required.Skip(first.Count).Select(p => p.SoundText))
        );
    }

    /// <summary>Card up where the sound is at the end; it is at the start or in the middle of the others.</summary>
    private static IEnumerable<Item> AtTheEnd(LessonWork work, string id, int count)
    {
        var (sayable, saying) = Heard(work);
        var ends = sayable.Where(w => saying.Contains(w.Required[^1])).ToList();
        var others = sayable.Where(w => !saying.Contains(w.Required[^1])).ToList();
        var (yes, no) = (
            work.Choice(id).Take(ends, count - (count / 2)),
            work.Choice($"{id}:others").Take(others, count / 2)
        );
        return yes.Count < 2 || no.Count == 0
            ? []
            : work.Stream(id)
                .Shuffle(yes.Concat(no))
                .Select(w =>
                    ItemMaker.OfWord(id, w, [Reason.Of(yes.Contains(w) ? "show-it" : "stay-still")], oral: true)
                );
    }

    /// <summary>Show with an arm where the sound is: at the start, in the middle or at the end.</summary>
    private static IEnumerable<Item> WhereIsIt(LessonWork work, string id, int count)
    {
        var (sayable, saying) = Heard(work);
        var chosen = new List<Word>();
        foreach (var place in Enum.GetValues<Place>())
        {
            var there = sayable.Where(w => PlaceIn(w, saying) == place).ToList();
            chosen.AddRange(work.Choice($"{id}:{place}").Take(there, (count + 1) / 2, chosen));
        }
        var shown = work.Stream(id).Shuffle(chosen).Take(count).ToList();
        return shown.Select(w => PlaceIn(w, saying)).Distinct().Count() < 2
            ? []
            : shown.Select(w => ItemMaker.OfWord(id, w, [Reason.Of($"at-{PlaceIn(w, saying).Code()}")], oral: true));
    }

    /// <summary>Which sound is first, which is last? Both can be written.</summary>
    private static IEnumerable<Item> StartAndEnd(LessonWork work, string id, int count) =>
        work.Choice(id)
            .Take(
                Sayable(work)
                    .Where(w =>
                        w.Segmentation.SoundCount == 3
                        && !w.Required[^1].IsVowel
                        && work.Request.Before.Covers(w.Required[0])
                        && work.Request.Before.Covers(w.Required[^1])
                    ),
                count
            )
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [Reason.Of("starts-and-ends", w.Required[0].SoundText, w.Required[^1].SoundText)],
                    oral: true
                )
            );

    /// <summary>
    /// Two words that differ only in the day's sound: both are said, then one of them alone. Which one was it?
    /// </summary>
    private static IEnumerable<Item> WhichWasSaid(LessonWork work, string id, int count)
    {
        var random = work.Stream(id);
        var (heard, saying) = Heard(work);
        var others = Sayable(work).Where(w => !w.ContainsAny(saying)).GroupBy(w => w.Required.Length).ToList();
        var used = new HashSet<Word>();
        var pairs = new List<Item>();
        foreach (var word in random.Shuffle(work.Choice(id).Take(heard, EnoughToPair)))
        {
            if (pairs.Count == count)
                break;
            var at = HeardAt(word, saying);
            var candidates = others
                .Where(g => g.Key == word.Required.Length)
                .SelectMany(g => g)
                .Where(o => !used.Contains(o) && DifferOnlyAt(word, o, at));
            if (used.Contains(word) || random.Shuffle(candidates).MaxBy(work.WorthOf) is not { } other)
                continue;
            used.UnionWith([word, other]);
            var (first, second) = random.Below(2) == 0 ? (word, other) : (other, word);
            pairs.Add(ItemMaker.OfPair(id, "ear", first, second, [Reason.Of("only-said")], random.Below(2)));
        }
        return pairs;
    }

    /// <summary>True for words with the same sounds but at one place, there both vowels or both consonants.</summary>
    private static bool DifferOnlyAt(Word one, Word other, int place)
    {
        for (var i = 0; i < one.Required.Length; i++)
        {
            if (i != place && one.Required[i].SoundText != other.Required[i].SoundText)
                return false;
        }
        return one.Required[place].IsVowel == other.Required[place].IsVowel;
    }

    /// <summary>Words that have the day's sound once.</summary>
    private static (List<Word> Words, CorrespondenceSet Saying) Heard(LessonWork work)
    {
        if (Target(work) is not { } target)
            return ([], CorrespondenceSet.Of([]));
        var accent = work.Request.After.Accent;
        var saying = CorrespondenceSet.Of(Correspondence.All.Where(c => accent.Project(c) == accent.Project(target)));
        return (
            [
                .. Sayable(work)
                    .Where(w => w.Required.Count(saying.Contains) == 1 && w.Spelling is not ['t' or 'd', 'r', ..]),
            ],
            saying
        );
    }

    private static Place PlaceIn(Word word, CorrespondenceSet saying) =>
        Places.Of(HeardAt(word, saying), word.Required.Length);

    /// <summary>The place of what says the sound in a word that has it.</summary>
    internal static int HeardAt(Word word, CorrespondenceSet saying)
    {
        var at = 0;
        while (!saying.Contains(word.Required[at]))
            at++;
        return at;
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Practise in which words are spelled or sorted. Source: docs/handbook.md, sections 6 and 7
/// (Dictation).
/// </summary>
internal static class SpellingChoosers
{
    private const int MostOptions = 3;
    private const int FewestUnderHeading = 2;
    private const int MostHeadings = 3;

    /// <summary>A word that sounds the same matters from this commonness on.</summary>
    private const double HeardOften = 3;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.SpellWords, SpellWords),
        new(ActivityKind.MissingGrapheme, Gaps),
        new(ActivityKind.ChooseSpelling, ChooseSpelling),
        new(ActivityKind.SortWords, Sort),
        new(ActivityKind.LabelPicture, Label),
    ];

    /// <summary>
    /// Words to spell: others than those just read where there are enough, each with a sentence or a meaning; where
    /// another word sounds the same, one with a sentence that settles it, or none. Not two spellings of one sound.
    /// </summary>
    private static IEnumerable<Item> SpellWords(LessonWork work, string id, int count)
    {
        var longest = work.Set.Count == 0 ? int.MaxValue : work.Set.Max(w => w.Segmentation.Taps);
        var pool = work.Picked(work.Own).Where(w => MayBeDictated(work, w)).ToList();
        var fresh = pool.Where(w => w.IsKnown && !work.Set.Contains(w) && w.Segmentation.Taps <= longest).ToList();
        var read = pool.Where(work.Set.Contains).ToList();
        var own =
            fresh.Count >= count + (2 * Leveled.OfEach) ? fresh
            : read.Count >= Math.Min(2, count) ? read
            : pool;
        var room = count / 3;
        var words = new WordChoice(work, work.Stream("spell")) { OneSpellingOfASound = true }.Take(own, count - room);
        if (words.Count < count - room)
            words.AddRange(
                new WordChoice(work, work.Stream($"{id}:more")) { OneSpellingOfASound = true }.Take(
                    pool,
                    count - room - words.Count,
                    words
                )
            );
        if (Math.Min(room, words.Count / 2) is > 0 and var contrasts)
            words.AddRange(
                new WordChoice(work, work.Stream("spell-contrast")) { OneSpellingOfASound = true }.Take(
                    work.BringBack(words).Where(w => MayBeDictated(work, w) && !work.Set.Contains(w)),
                    contrasts,
                    words
                )
            );
        return work.EasyToHard(ReadingChoosers.Shown(work, OneSpellingEach(work, words), count))
            .Select(w => Dictated(work, id, w, WordChoice.Explain(work.Request, w)));
    }

    /// <summary>A word to write, with what the adult says so that no other word is meant.</summary>
    internal static WordItem Dictated(
        LessonWork work,
        string id,
        Word word,
        IEnumerable<Reason> reasons,
        Decoding.Taught? trickyFor = null
    )
    {
        var sentence = SaidWith(work, word);
        return ItemMaker.OfWord(
            id,
            word,
            reasons,
            trickyFor,
            meaning: sentence is null && work.Request.MeaningsInLessons
                ? work.Request.Materials.Meanings.Of(word)
                : null,
            sentence: sentence
        );
    }

    /// <summary>True for a word that nobody takes for another when it is said, or that a sentence settles.</summary>
    internal static bool MayBeDictated(LessonWork work, Word word) =>
        !HasTwin(work.Request, word) || Settled(work, word) is not null;

    /// <summary>
    /// A sentence for the adult to say with the word: the one that settles it, else one of the bank that the lesson
    /// does not need otherwise; it need not be readable. Null where there is none.
    /// </summary>
    internal static string? SaidWith(LessonWork work, Word word) => Settled(work, word) ?? work.TakeToSay(word);

    /// <summary>True for a word that is not to come in the group's lessons, or one of its children's names.</summary>
    private static bool IsKept(LessonRequest request, string written) =>
        (request.Avoid.Count > 0 && request.Avoid.Contains(Texts.Sentence.Plain(written)))
        || (request.Names.Count > 0 && char.IsUpper(written[0]) && request.Names.Contains(WordFinder.Plain(written)));

    /// <summary>The sentence that settles a word, where none of its words is kept from the group.</summary>
    private static string? Settled(LessonWork work, Word word) =>
        work.Request.Materials.Said.TryGetValue(word.Spelling, out var sentence)
        && !sentence.Split(' ').Any(w => IsKept(work.Request, w))
            ? sentence
            : null;

    /// <summary>
    /// Without the words that bring a second spelling of the day's sound: choosing between them is not the point here.
    /// </summary>
    private static IEnumerable<Word> OneSpellingEach(LessonWork work, List<Word> words)
    {
        var accent = work.Request.After.Accent;
        var today = work.Request.Today.Correspondences;
        // A day that goes back to several spellings of a sound is for choosing between them.
        return work.Request.Today.Kind != RungKind.Lesson
            ? words
            : words.Where(w =>
                !w.Required.Any(p =>
                    today.Any(t => p.Grapheme != t.Grapheme && p.IsVowel && accent.Project(p) == accent.Project(t))
                )
            );
    }

    /// <summary>True when another word that children may hear sounds the same in the school's accent.</summary>
    internal static bool HasTwin(LessonRequest request, Word word) =>
        request.Lexicon.Homophones(word, request.After.Accent).Any(h => h.Zipf >= HeardOften || h.IsKnown);

    /// <summary>
    /// Words with one grapheme left out, to be written in: today's, and in every third word one that the last days
    /// taught, so that there is something to think about.
    /// </summary>
    private static IEnumerable<Item> Gaps(LessonWork work, string id, int count)
    {
        var lately = work.Lately.ToList();
        var others = work.BringBack(work.Set)
            .Where(w =>
                Usable.PlaceOf(w, lately) is >= 0 and var place
                && w.Required.Length > 1
                && !CrudeWords.IsShape(w.Segmentation, place)
            )
            .ToList();
        var back = work.Choice($"{id}:back").Take(others, count / 3);
        var own = WithTarget(work, id, count - back.Count, w => MayHideTarget(work, w)).ToList();
        return own.Select(w => ItemMaker.OfGap(id, w, PlaceOfTarget(work, w), WordChoice.Explain(work.Request, w)))
            .Concat(
                own.Count < back.Count * 2
                    ? []
                    : back.Select(w =>
                        ItemMaker.OfGap(id, w, Usable.PlaceOf(w, lately), WordChoice.Explain(work.Request, w))
                    )
            )
            .OrderBy(g => g.Marks[^1]);
    }

    /// <summary>
    /// True for a word that today's grapheme can be left out of: something stays, and not the shape of a crude word.
    /// </summary>
    private static bool MayHideTarget(LessonWork work, Word word) =>
        word.Required.Length > 1 && !CrudeWords.IsShape(word.Segmentation, PlaceOfTarget(work, word));

    private static int PlaceOfTarget(LessonWork work, Word word) =>
        Usable.PlaceOf(word, work.Request.Today.Correspondences);

    /// <summary>Words of the set that have what is new, then others.</summary>
    private static IEnumerable<Word> WithTarget(LessonWork work, string id, int count, Func<Word, bool> allowed)
    {
        var mine = work.Set.Where(w => PlaceOfTarget(work, w) >= 0 && allowed(w)).ToList();
        var more =
            mine.Count < count
                ? work.Choice(id)
                    .Take(work.Own.Where(w => PlaceOfTarget(work, w) >= 0 && allowed(w)), count - mine.Count, mine)
                : [];
        return work.Stream(id).Shuffle(mine).Concat(more).Take(count).OrderBy(w => w.Segmentation.Taps);
    }

    /// <summary>
    /// Choose the spelling: the sound of today's grapheme, with the other spellings of it that were taught. Words with
    /// a twin are left out: two spellings would be right.
    /// </summary>
    private static IEnumerable<Item> ChooseSpelling(LessonWork work, string id, int count)
    {
        var (request, accent) = (work.Request, work.Request.After.Accent);
        List<string> OptionsFor(Word word)
        {
            var at = PlaceOfTarget(work, word);
            var target = word.Required[at];
            return
            [
                .. request
                    .After.Correspondences.Where(c =>
                        !c.IsBath
                        && c.Grapheme.IsSplit == target.Grapheme.IsSplit
                        && accent.Project(c) == accent.Project(target)
                        && (c == target || StandsAt(work, c, Places.Of(at, word.Required.Length)))
                    )
                    .Select(c => c.Grapheme.Text)
                    .Distinct(),
            ];
        }
        foreach (
            var word in WithTarget(work, id, count, w =>
                MayHideTarget(work, w)
                && w.IsKnown
                && !ChosenLast.Has(w)
                && OptionsFor(w).Count > 1
                && !request.Lexicon.Homophones(w, accent).Any()
            )
        )
        {
            var place = PlaceOfTarget(work, word);
            var options = OptionsFor(word).OrderBy(o => o != word.Required[place].Grapheme.Text).Take(MostOptions);
            yield return new ChoiceItem(
                Id: $"{id}:{word.Spelling}",
                Kept: false,
                Word: word.Spelling,
                Graphemes: word.Segmentation.Graphemes,
                Marks: ItemMaker.MarksOf(word),
                Gap: place,
                Options: [.. work.Stream($"{id}:{word.Spelling}").Shuffle(options)],
                Reasons: [.. WordChoice.Explain(request, word)]
            );
        }
    }

    /// <summary>True where English has a correspondence in such a place: no ll at the start of a word.</summary>
    private static bool StandsAt(LessonWork work, Correspondence one, Place place) =>
        ItemMaker.Positions(one, work.Request.Lexicon) is { } at
        && place switch
        {
            Place.Start => at.Start,
            Place.Middle => at.Middle,
            _ => at.End,
        } > 0;

    /// <summary>
    /// A sort: by the suffix's sound, by sound when the spelling has two, by spelling when the sound has two, else by
    /// the place of what is new. By spelling it has every one that was taught and that words can show.
    /// </summary>
    private static IEnumerable<Item> Sort(LessonWork work, string id, int count)
    {
        foreach (var (by, groups) in Sorts(work))
        {
            var headings = groups.Where(g => g.Words.Count >= FewestUnderHeading).ToList();
            if (by is "position" or "sound")
                headings = [.. headings.Take(MostHeadings)];
            if (headings.Count < 2)
                continue;
            var dealt = new List<SortedWord>();
            var each = Math.Max(FewestUnderHeading, count / headings.Count);
            var chosen = new List<Word>();
            for (var i = 0; i < headings.Count; i++)
            {
                var more = work.Choice($"{id}:{i}").Take(headings[i].Words, each, chosen);
                chosen.AddRange(more);
                dealt.AddRange(more.Select(w => new SortedWord(w.Spelling, ItemMaker.MarksOf(w), i)));
            }
            if (dealt.GroupBy(d => d.Heading).Count(g => g.Count() >= FewestUnderHeading) < headings.Count)
                continue;
            return
            [
                new SortItem(
                    $"{id}:{by}",
                    false,
                    by,
                    [.. headings.Select(h => h.Heading)],
                    [.. work.Stream(id).Shuffle(dealt)]
                ),
            ];
        }
        return [];
    }

    private static IEnumerable<(string By, List<(string Heading, List<Word> Words)> Groups)> Sorts(LessonWork work)
    {
        var (request, accent) = (work.Request, work.Request.After.Accent);
        var suffixes = request
            .Today.Patterns.Each()
            .Where(p => work.Own.Any(w => TeachChoosers.SoundsOfSuffix(w, p).Length > 0))
            .ToList();
        if (suffixes.Count > 0)
        {
            yield return (
                "suffix-sound",
                [
                    .. work
                        .Own.Where(w => TeachChoosers.SoundsOfSuffix(w, suffixes[0]).Length > 0)
                        .GroupBy(w => TeachChoosers.SoundsOfSuffix(w, suffixes[0]))
                        .OrderBy(g => g.Key, StringComparer.Ordinal)
                        .Select(g => (g.Key, g.ToList())),
                ]
            );
        }
        if (request.Today.Correspondences.IsEmpty)
            yield break;
        var taught = request.After.Correspondences.Where(c => !c.IsBath && c.SoundText != "ə").ToList();
        var readable = work
            .Own.Where(w => w.IsKnown || w.Band == Band.Teach)
            .Concat(work.Before.Where(w => w.IsKnown))
            .Distinct()
            .Where(w => !ChosenLast.Has(w))
            .ToList();
        List<(string, List<Word>)> By(List<Correspondence> ones, Func<Correspondence, string> heading, string first)
        {
            var set = CorrespondenceSet.Of(ones);
            return
            [
                .. readable
                    .Where(w => w.ContainsAny(set))
                    .Select(w => (Word: w, Parts: w.Required.Where(set.Contains).Select(heading).Distinct().ToList()))
                    .Where(w => w.Parts.Count == 1)
                    .GroupBy(w => w.Parts[0])
                    .OrderByDescending(g => g.Key == first)
                    .ThenByDescending(g => g.Count())
                    .ThenBy(g => g.Key, StringComparer.Ordinal)
                    .Select(g => (g.Key, g.Select(w => w.Word).ToList())),
            ];
        }
        if (request.Today.Kind == RungKind.Lesson && request.Today.Correspondences[0] is var today)
            yield return (
                "sound",
                By([.. taught.Where(c => c.Grapheme == today.Grapheme)], p => p.SoundText, today.SoundText)
            );
        // A family has one sound with several spellings: the one with most of them comes first.
        foreach (
            var family in taught
                .GroupBy(accent.Project)
                .Where(g =>
                    g.Any(c => request.Today.Correspondences.Any(t => accent.Project(t) == accent.Project(c)))
                    && g.DistinctBy(c => c.Grapheme).Count() > 1
                )
                .OrderByDescending(g => g.DistinctBy(c => c.Grapheme).Count())
        )
            yield return (
                "spelling",
                By([.. family], p => p.Grapheme.Text, request.Today.Correspondences[0].Grapheme.Text)
            );
        if (request.Today.Kind == RungKind.Sort)
            yield break;
        yield return (
            "position",
            [
                .. work
                    .Own.Where(w => PlaceOfTarget(work, w) >= 0)
                    .GroupBy(w => Places.Of(PlaceOfTarget(work, w), w.Required.Length))
                    .OrderBy(g => g.Key)
                    .Select(g => (g.Key.Code(), g.ToList())),
            ]
        );
    }

    private static IEnumerable<Item> Label(LessonWork work, string id, int count) =>
        ReadingChoosers.Pictured(work, id, count).Select(w => ItemMaker.OfPicture(work, id, w));
}

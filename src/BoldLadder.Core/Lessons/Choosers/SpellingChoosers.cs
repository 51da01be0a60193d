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
    /// Words to spell, from the set; where another word sounds the same, one with a sentence that settles it, or none.
    /// Not two spellings of one sound.
    /// </summary>
    private static IEnumerable<Item> SpellWords(LessonWork work, string id, int count)
    {
        var safe = work.Set.Where(w => !HasTwin(work.Request, w) || SettledBy(work, w) is not null).ToList();
        var own = safe.Where(work.IsOwn).ToList();
        if (own.Count < Math.Min(2, count))
            own.AddRange(work.Choice($"{id}:more").Take(work.Own.Where(w => !HasTwin(work.Request, w)), count, own));
        var words = new WordChoice(work, work.Stream("spell")) { OneSpellingOfASound = true }.Take(own, count);
        var room = Math.Min(count - words.Count, words.Count / 2);
        if (room > 0)
            words.AddRange(
                new WordChoice(work, work.Stream("spell-contrast")) { OneSpellingOfASound = true }.Take(
                    safe.Except(own),
                    room,
                    words
                )
            );
        return WordChoice
            .EasyToHard(ReadingChoosers.Shown(work, OneSpellingEach(work, words), count))
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    WordChoice.Explain(work.Request, w),
                    sentence: HasTwin(work.Request, w) ? SettledBy(work, w) : null
                )
            );
    }

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
    /// A sentence for the adult to say with the word; it need not be readable, but has no word that is kept out.
    /// </summary>
    internal static string? SettledBy(LessonWork work, Word word) =>
        work
            .Request.Materials.Sentences.Having(word)
            .Where(work.MayBeRead)
            .Where(s => s.Tokens.Length > 3 && s.Tokens.Count(t => t.Word == word) == 1)
            .Select(s => s.Text)
            .FirstOrDefault();

    /// <summary>Words just read with today's grapheme left out, to be written in.</summary>
    private static IEnumerable<Item> Gaps(LessonWork work, string id, int count) =>
        WithTarget(work, id, count, w => MayHideTarget(work, w))
            .Select(w => ItemMaker.OfGap(id, w, PlaceOfTarget(work, w), WordChoice.Explain(work.Request, w)));

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
        var known = new Dictionary<Correspondence, List<string>>();
        List<string> Options(Correspondence target) =>
            known.TryGetValue(target, out var found)
                ? found
                : known[target] = [
                    .. request
                        .After.Correspondences.Where(c =>
                            !c.IsBath
                            && c.Grapheme.IsSplit == target.Grapheme.IsSplit
                            && accent.Project(c) == accent.Project(target)
                        )
                        .Select(c => c.Grapheme.Text)
                        .Distinct(),
                ];
        foreach (
            var word in WithTarget(work, id, count, w =>
                MayHideTarget(work, w)
                && (w.IsKnown || w.Band == Band.Teach)
                && Options(w.Required[PlaceOfTarget(work, w)]).Count > 1
                && !request.Lexicon.Homophones(w, accent).Any()
            )
        )
        {
            var place = PlaceOfTarget(work, word);
            var options = Options(word.Required[place])
                .OrderBy(o => o != word.Required[place].Grapheme.Text)
                .Take(MostOptions);
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

    /// <summary>
    /// A sort: by the suffix's sound, by sound when the spelling has two, by spelling when the sound has two, else by
    /// the place of what is new.
    /// </summary>
    private static IEnumerable<Item> Sort(LessonWork work, string id, int count)
    {
        foreach (var (by, groups) in Sorts(work))
        {
            var headings = groups.Where(g => g.Words.Count >= FewestUnderHeading).Take(MostHeadings).ToList();
            if (headings.Count < 2)
                continue;
            var dealt = new List<SortedWord>();
            var each = Math.Max(FewestUnderHeading, count / headings.Count);
            for (var i = 0; i < headings.Count; i++)
            {
                dealt.AddRange(
                    work.Choice($"{id}:{i}")
                        .Take(headings[i].Words, each)
                        .Select(w => new SortedWord(w.Spelling, ItemMaker.MarksOf(w), i))
                );
            }
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
        var target = request.Today.Correspondences[0];
        bool IsTaught(Correspondence one) => request.After.Correspondences.Contains(one) && one.SoundText != "ə";
        var readable = work
            .Own.Where(w => w.IsKnown || w.Band == Band.Teach)
            .Concat(work.LikelyBefore.Where(w => w.IsKnown))
            .Distinct()
            .ToList();
        List<(string, List<Word>)> By(Func<Correspondence, bool> isOne, Func<Correspondence, string> heading) =>
            [
                .. readable
                    .Select(w => (Word: w, Parts: w.Required.Where(isOne).Select(heading).Distinct().ToList()))
                    .Where(w => w.Parts.Count == 1)
                    .GroupBy(w => w.Parts[0])
                    .OrderByDescending(g => g.Key == heading(target))
                    .ThenByDescending(g => g.Count())
                    .ThenBy(g => g.Key, StringComparer.Ordinal)
                    .Select(g => (g.Key, g.Select(w => w.Word).ToList())),
            ];
        if (request.Today.Kind == RungKind.Lesson)
            yield return ("sound", By(p => p.Grapheme == target.Grapheme && IsTaught(p), p => p.SoundText));
        yield return (
            "spelling",
            By(p => IsTaught(p) && accent.Project(p) == accent.Project(target), p => p.Grapheme.Text)
        );
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
        ReadingChoosers
            .Pictured(work, id, count)
            .Select(w => new PictureItem(
                Id: $"{id}:{w.Spelling}",
                Kept: false,
                Picture: work.Request.Materials.Pictures[w.Spelling],
                Word: w.Spelling,
                Marks: ItemMaker.MarksOf(w),
                Options: [],
                Reasons: [.. WordChoice.Explain(work.Request, w)]
            ));
}

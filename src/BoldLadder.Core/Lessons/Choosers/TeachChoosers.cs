using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Teach: what is new today, heard, shown, formed, and set beside what it could be mixed up with.
/// Source: docs/handbook.md, section 6.
/// </summary>
internal static class TeachChoosers
{
    internal const Patterns Suffixes =
        Patterns.SuffixS
        | Patterns.SuffixEs
        | Patterns.SuffixEd
        | Patterns.SuffixIng
        | Patterns.SuffixEr
        | Patterns.SuffixEst
        | Patterns.SuffixY
        | Patterns.SuffixLy;

    private const int ExamplesOfEach = 3;

    /// <summary>With fewer words than this that have the spelling, others with the sound are said too.</summary>
    private const int FewestHeard = 3;

    /// <summary>Of the words with the spelling the best models are said.</summary>
    private const int BestModels = 8;

    /// <summary>By this many taught correspondences the group is past its first weeks.</summary>
    internal const int FirstWeeks = 26;

    internal const PartsOfSpeech CanBeSeen =
        PartsOfSpeech.Noun | PartsOfSpeech.Verb | PartsOfSpeech.Adjective | PartsOfSpeech.Number;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.HearSound, HearSound),
        new(ActivityKind.NewCorrespondence, (work, id, _) => Today(work, id)),
        new(ActivityKind.WhereItStands, WhereItStands),
        new(ActivityKind.MouthCue, (work, id, count) => Today(work, id).Take(count)),
        new(ActivityKind.MemoryPhrase, (work, id, count) =>
            work
                .Request.Today.Correspondences.Where(c => work.Request.Phrases.ContainsKey(c.Notation))
                .Take(count)
                .Select(c => ItemMaker.OfCorrespondence(id, c, New))
        ),
        new(ActivityKind.Formation, (work, id, count) => Today(work, id).Take(count)),
        new(ActivityKind.SpotGrapheme, Spot),
        new(ActivityKind.SetBeside, Beside),
        new(ActivityKind.NewTrickyWord, Tricky),
        new(ActivityKind.NewPattern, (work, id, _) =>
            (work.Request.Today.Patterns & ~Suffixes).Each().Select(p => OfPattern(work, id, p))
        ),
        new(ActivityKind.NewSuffix, (work, id, _) =>
            (work.Request.Today.Patterns & Suffixes).Each().Select(p => OfPattern(work, id, p))
        ),
        new(ActivityKind.CutSyllables, Cut),
    ];

    private static readonly ImmutableArray<Reason> New = [Reason.Of("new-today")];

    private static IEnumerable<Item> Today(LessonWork work, string id) =>
        work.Request.Today.Correspondences.Select(c => ItemMaker.OfCorrespondence(id, c, New));

    /// <summary>
    /// Words that start with today's sound, that end with it, or hold it, all at one place: where the spelling stands.
    /// Things that a child can see or do, rather with today's spelling; said by the adult.
    /// </summary>
    private static IEnumerable<Item> HearSound(LessonWork work, string id, int count)
    {
        if (work.Request.Today.Correspondences.IsEmpty)
            return [];
        var target = work.Request.Today.Correspondences[0];
        var accent = work.Request.After.Accent;
        var saying = CorrespondenceSet.Of(Correspondence.All.Where(c => accent.Project(c) == accent.Project(target)));
        var sayable = work
            .Known.Where(w =>
                w.Suffix is null
                && w.Segmentation.Taps <= Weights.EasyTaps
                && w.ContainsAny(saying)
                && IsPlainlyHeard(w, target)
                && !ChosenLast.Has(w)
                && (w.PartsOfSpeech & CanBeSeen) != PartsOfSpeech.None
            )
            .ToList();
        var spelled = ModelWords
            .Ordered(target, sayable)
            .OrderByDescending(w =>
                ModelWords.Chosen(target).Contains(w.Spelling)
                || work.Request.Materials.Pictures.ContainsKey(w.Spelling)
            )
            .ToList();
        var at = PlaceToHear(spelled.Count > 0 ? spelled : sayable, saying);
        bool IsThere(Word word) => Places.Of(EarChoosers.HeardAt(word, saying), word.Required.Length) == at;
        var own = spelled.Where(IsThere).ToList();
        var others = own.Count >= FewestHeard ? [] : sayable.Where(w => IsThere(w) && !own.Contains(w)).ToList();
        var chosen = work.Choice(id).Take(own.Take(BestModels), count);
        if (chosen.Count < count)
            chosen.AddRange(work.Choice($"{id}:more").Take(others, count - chosen.Count, chosen));
        var where = at switch
        {
            Place.Start => "starts-with-it",
            Place.End => "ends-with-it",
            _ => "has-sound",
        };
        return chosen.Select(w => ItemMaker.OfWord(id, w, [Reason.Of(where)], oral: true));
    }

    /// <summary>
    /// The start where enough words have it there, else where most have it: children hear a beginning most easily.
    /// </summary>
    private static Place PlaceToHear(List<Word> words, CorrespondenceSet saying)
    {
        var places = words.CountBy(w => Places.Of(EarChoosers.HeardAt(w, saying), w.Required.Length)).ToDictionary();
        return places.GetValueOrDefault(Place.Start) >= FewestHeard ? Place.Start
            : places.Count == 0 ? Place.Start
            : places.OrderByDescending(p => p.Value).ThenBy(p => p.Key).First().Key;
    }

    /// <summary>
    /// False for a word in which children hear another sound: t and d before r, a weak vowel, and a vowel of a longer
    /// word that is not its first.
    /// </summary>
    private static bool IsPlainlyHeard(Word word, Correspondence target) =>
        !(word.Spelling is ['t' or 'd', 'r', ..] && target.SoundText is "t" or "d")
        && (!target.IsVowel || target.SoundText == "ə" || word.Required.First(p => p.IsVowel).SoundText != "ə");

    private static IEnumerable<Item> WhereItStands(LessonWork work, string id, int count) =>
        work
            .Request.Today.Correspondences.Take(work.Request.Before.Correspondences.Count < FirstWeeks ? 0 : count)
            .Select(c => (One: c, Facts: ItemMaker.Positions(c, work.Request.Lexicon)))
            .Where(c => c.Facts is not null)
            .Select(c => ItemMaker.OfCorrespondence(id, c.One, New, c.Facts));

    /// <summary>Today's graphemes among look-alikes and earlier cards: show yours, stay still for others.</summary>
    private static IEnumerable<Item> Spot(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (request.Today.Correspondences.IsEmpty)
            return [];
        var random = work.Stream("spot");
        var others = random
            .Shuffle(
                request.Before.Correspondences.Where(c =>
                    request.Today.Correspondences.All(t => t.Grapheme != c.Grapheme)
                )
            )
            .OrderByDescending(c =>
                request.Today.Correspondences.Any(t => Apartness.IsLookAlike(c, t) || SharesLetters(c, t))
            )
            .DistinctBy(c => c.Grapheme)
            .Take(Math.Max(1, count - request.Today.Correspondences.Length))
            .ToList();
        return others.Count == 0
            ? []
            : random
                .Shuffle(others.Concat(request.Today.Correspondences))
                .Select(c =>
                    ItemMaker.OfCorrespondence(
                        id,
                        c,
                        [Reason.Of(request.Today.Correspondences.Contains(c) ? "show-it" : "stay-still")]
                    )
                );
    }

    private static bool SharesLetters(Correspondence one, Correspondence other) =>
        one.Grapheme.Text.Length > 1 && other.Grapheme.Text.Contains(one.Grapheme.Text[0], StringComparison.Ordinal);

    /// <summary>
    /// Today's spelling beside the others of its sound, or today's sound beside the others of its spelling.
    /// </summary>
    private static IEnumerable<Item> Beside(LessonWork work, string id, int count)
    {
        var (request, accent) = (work.Request, work.Request.After.Accent);
        foreach (var today in request.Today.Correspondences)
        {
            var spellings = request
                .Before.Correspondences.Where(c =>
                    !c.IsBath && c.Grapheme != today.Grapheme && accent.Project(c) == accent.Project(today)
                )
                .DistinctBy(c => c.Grapheme)
                .ToList();
            var sounds = request
                .Before.Correspondences.Where(c =>
                    !c.IsBath && c.Grapheme == today.Grapheme && accent.Project(c) != accent.Project(today)
                )
                .ToList();
            var (others, bySound) = sounds.Count > 0 ? (sounds, false) : (spellings, true);
            if (others.Count > 0)
                yield return new BesideItem(
                    $"{id}:{today.ReferenceNotation}",
                    false,
                    bySound,
                    [.. others.Take(Math.Max(1, count)).Prepend(today).Select(c => CardOf(work, c))]
                );
        }
    }

    private static BesideCard CardOf(LessonWork work, Correspondence one)
    {
        var example = ModelWords
            .Ordered(one, work.Request.Today.Correspondences.Contains(one) ? work.Own : work.LikelyBefore)
            .FirstOrDefault();
        return new BesideCard(
            one.ReferenceNotation,
            one.Grapheme.Text,
            one.SoundText,
            one.Sounds[0].KeyWord,
            example?.Spelling
        );
    }

    private static IEnumerable<Item> Tricky(LessonWork work, string id, int count) =>
        work
            .Request.Today.Tricky.Select(work.Request.Lexicon.Find)
            .OfType<Word>()
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [Reason.Of("tricky")],
                    work.Request.After,
                    meaning: ItemMaker.MeaningFor(work.Request, w)
                )
            );

    /// <summary>A pattern with words that show it; of a suffix those of each sound it has.</summary>
    private static PatternItem OfPattern(LessonWork work, string id, Patterns pattern)
    {
        var words = work.Own.Where(w => w.Patterns.HasFlag(pattern)).ToList();
        var groups = words
            .GroupBy(w => SoundsOfSuffix(w, pattern))
            .OrderBy(g => g.Key, StringComparer.Ordinal)
            .Select(g =>
                work.Choice($"{id}:{pattern}:{g.Key}").Take(work.Picked([.. g]), ExamplesOfEach) is var chosen
                    ? new PatternExample(
                        g.Key,
                        [.. chosen.Select(w => w.Spelling)],
                        [.. chosen.Select(w => PatternModels.Of(w, pattern)).OfType<PatternModel>()]
                    )
                    : null
            )
            .OfType<PatternExample>()
            .Where(e => e.Words.Length > 0);
        return new PatternItem($"{id}:{pattern.Id()}", false, pattern.Id(), [.. groups]);
    }

    /// <summary>
    /// What the suffix of the word sounds like: s, z or ɪ+z; empty for a pattern without a sound of its own.
    /// </summary>
    internal static string SoundsOfSuffix(Word word, Patterns pattern) =>
        word.Suffix is { } suffix && suffix.Suffix == pattern && (Suffixes & pattern) != Patterns.None
            ? string.Join('+', word.Segmentation.Parts[^suffix.Parts..].Select(p => p.SoundText))
            : "";

    /// <summary>Words of two syllables or more that can be read, cut: today's first.</summary>
    private static IEnumerable<Item> Cut(LessonWork work, string id, int count)
    {
        var longer = work.Own.Where(w => w.Segmentation.Syllables > 1).ToList();
        var words = work.Choice(id)
            .Take(
                longer.Count >= count ? longer : [.. longer, .. work.Before.Where(w => w.Segmentation.Syllables > 1)],
                count
            );
        return words
            .Select(w => (Word: w, Cut: Syllables.Of(w)))
            .Where(w => w.Cut.Length > 1)
            .Select(w => new SyllablesItem(
                $"{id}:{w.Word.Spelling}",
                false,
                w.Word.Spelling,
                w.Cut,
                [.. WordChoice.Explain(work.Request, w.Word)]
            ));
    }
}

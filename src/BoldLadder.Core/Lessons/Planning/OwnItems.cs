using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Planning;

/// <summary>What a group can do with a word that a teacher typed.</summary>
public enum OwnStatus
{
    Decodable,

    /// <summary>Taught as a tricky word.</summary>
    Tricky,
    NotYet,

    /// <summary>In no list and made from no known word: nobody can say for certain what reading it needs.</summary>
    Unknown,

    /// <summary>Not for children, or banned by the school.</summary>
    LeftOut,
}

/// <summary>A typed word, judged.</summary>
/// <param name="Word">Null for an unknown word, and for one with a hyphen that is read as its parts.</param>
/// <param name="Needs">What was not taught by the day; empty unless the word is not yet.</param>
/// <param name="Rung">The index of the rung after which it can be read; null for never on this ladder, or
/// unknown.</param>
/// <param name="Twin">A common word that sounds the same, where there is one.</param>
public sealed record OwnVerdict(
    string Written,
    OwnStatus Status,
    Word? Word,
    ImmutableArray<Obstacle> Needs,
    int? Rung,
    string? Twin
)
{
    public Segmentation? Segmentation => Word?.Segmentation;
}

/// <summary>
/// Words and sentences that a teacher types into a lesson: judged at once, and made into items. Source:
/// docs/handbook.md, section 6.
/// </summary>
public static class OwnItems
{
    /// <summary>Longer texts are not sentences.</summary>
    public const int LongestText = 200;

    /// <summary>Sentences have up to so many words; a caption has fewer than a sentence, and no marks.</summary>
    private const int LongestSentence = 9;
    private const int ShortestSentence = 4;

    /// <summary>A verdict for each word of the text, in order.</summary>
    /// <param name="taught">What was taught by the part of the lesson.</param>
    public static ImmutableArray<OwnVerdict> Judge(
        string text,
        Taught taught,
        IReadOnlySet<string> tricky,
        Lexicon lexicon,
        SentencePlaces places
    )
    {
        var judge = new WordJudge(new WordFinder(lexicon), taught, tricky);
        return
        [
            .. text.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
                .Where(t => t.Any(char.IsLetterOrDigit))
                .Select(t => Judge(t, judge, places)),
        ];
    }

    private static OwnVerdict Judge(string printed, WordJudge judge, SentencePlaces places)
    {
        var written = WrittenWord.InPrint(printed, judge.Finder);
        if (written.IsNever)
            return new OwnVerdict(printed, OwnStatus.LeftOut, written.Word, [], null, null);
        var judgement = judge.Of(written);
        return new OwnVerdict(
            printed,
            judgement.Status switch
            {
                ReadingStatus.Decodable => OwnStatus.Decodable,
                ReadingStatus.Tricky => OwnStatus.Tricky,
                ReadingStatus.NotYet => OwnStatus.NotYet,
                _ => OwnStatus.Unknown,
            },
            written.Word,
            [.. judgement.Needs.Distinct()],
            written.IsUnknown ? null : places.RungOf(written),
            TwinOf(written.Word, judge)
        );
    }

    private static string? TwinOf(Word? word, WordJudge judge) =>
        word is null
            ? null
            : judge
                .Finder.Lexicon.Homophones(word, judge.Taught.Accent)
                .Where(h => h.Zipf >= 3 || h.IsKnown)
                .OrderByDescending(h => h.Zipf)
                .FirstOrDefault()
                ?.Spelling;

    /// <summary>
    /// The activity with what was typed put in; null with what stands in the way when children can't read it, with no
    /// verdicts when the activity does not take it. A sentence that goes against a rule is taken, and says so.
    /// </summary>
    /// <param name="anyway">True where a sentence is taken with words that can't be read yet: the adult reads
    /// them.</param>
    public static (Activity? Activity, ImmutableArray<OwnVerdict> Verdicts) Add(
        LessonRequest request,
        Lesson lesson,
        Activity activity,
        string text,
        SentencePlaces places,
        bool anyway = false
    )
    {
        var inRevisit = lesson.Parts.Any(p => p.Kind == PartKind.Revisit && p.Activities.Contains(activity));
        var taught = inRevisit ? request.Before : request.After;
        var verdicts = Judge(
            text,
            taught,
            (inRevisit ? request.TrickyBefore : request.TrickyToday).ToHashSet(),
            request.Lexicon,
            places
        );
        var takes = ActivityFacts.Of(activity.Kind).Takes;
        bool MayStand(OwnVerdict verdict) =>
            verdict.Status is OwnStatus.Decodable or OwnStatus.Tricky
            || (anyway && takes == TypedText.Sentence && verdict.Status is OwnStatus.NotYet or OwnStatus.Unknown);
        if (verdicts.IsEmpty || !verdicts.All(MayStand))
            return (null, verdicts);
        ImmutableArray<Item> added;
        if (takes == TypedText.Sentence)
        {
            added = [OfSentence(request, lesson, activity.Id, text, verdicts)];
        }
        else if (takes == TypedText.Words)
        {
            added = [.. verdicts.Where(v => v.Word is not null).Select(v => OfWord(request, activity.Id, v, taught))];
            if (added.Length < verdicts.Length)
                return (null, verdicts);
        }
        else
        {
            return (null, []);
        }
        return (
            Pace.Holding(
                activity,
                [.. activity.Items, .. added.Where(a => activity.Items.All(i => i.Id != a.Id))],
                request.Pace
            ),
            verdicts
        );
    }

    /// <summary>A sentence with the rules it goes against as reasons.</summary>
    private static SentenceItem OfSentence(
        LessonRequest request,
        Lesson lesson,
        string activity,
        string text,
        ImmutableArray<OwnVerdict> verdicts
    ) =>
        new(
            $"{activity}:{text}",
            true,
            text,
            [
                .. verdicts.Select(v => new SentenceWord(
                    v.Written,
                    v.Status switch
                    {
                        OwnStatus.Decodable => "decodable",
                        OwnStatus.Tricky => "tricky",
                        _ => SentenceWord.Told,
                    }
                )),
            ],
            [Reason.Of("by-hand"), .. Against(request, lesson, text, verdicts)]
        );

    private static IEnumerable<Reason> Against(
        LessonRequest request,
        Lesson lesson,
        string text,
        ImmutableArray<OwnVerdict> verdicts
    )
    {
        var told = verdicts
            .Where(v => v.Status is OwnStatus.NotYet or OwnStatus.Unknown)
            .Select(v => v.Written)
            .ToList();
        if (told.Count > 0)
            yield return Reason.Of("told-by-adult", string.Join(", ", told));
        if (lesson.Activities.SelectMany(a => a.Items).SelectMany(ReadByChildren.Sentences).Contains(text))
            yield return Reason.Of("rule-twice");
        if (!verdicts.Any(v => v.Word is { } word && IsOfTheDay(request, word)))
            yield return Reason.Of("rule-off-target");
        if (verdicts.Length > LongestSentence)
            yield return Reason.Of("rule-long", LongestSentence.ToString(CultureInfo.InvariantCulture));
        if (verdicts.Length >= ShortestSentence && !(char.IsUpper(text[0]) && text[^1] is '.' or '?' or '!' or '”'))
            yield return Reason.Of("rule-marks");
    }

    private static bool IsOfTheDay(LessonRequest request, Word word) =>
        Usable.Shows(request.Today, word) || request.Today.Tricky.Contains(word.Spelling);

    private static WordItem OfWord(LessonRequest request, string activity, OwnVerdict verdict, Taught taught)
    {
        var plain = Sentence.Plain(verdict.Written);
        var word = verdict.Word!;
        var cut = word.Segmentation;
        var known = request.Lexicon.Find(plain);
        return new WordItem(
            Id: $"{activity}:{plain}",
            Kept: true,
            Word: plain,
            Graphemes: cut.Graphemes,
            Phonemes: cut.Phonemes,
            Marks: ItemMaker.MarksOf(word),
            Taps: cut.Taps,
            Tricky: verdict.Status == OwnStatus.Tricky ? [.. taught.TrickyPlaces(word)] : [],
            Oral: false,
            Reasons:
            [
                Reason.Of("by-hand"),
                .. known is null ? [] : WordChoice.Explain(request, known).Where(Reason.IsUse),
                Reason.Of("taps", cut.Taps.ToString(CultureInfo.InvariantCulture)),
            ],
            Meaning: known is null ? null : ItemMaker.MeaningFor(request, known)
        );
    }
}

using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>Makes finished items from words, correspondences and sentences.</summary>
public static class ItemMaker
{
    public static WordItem OfWord(
        string activity,
        Word word,
        IEnumerable<Reason> reasons,
        Taught? trickyFor = null,
        bool oral = false,
        string? meaning = null,
        string? sentence = null
    ) =>
        new(
            Id: $"{activity}:{word.Spelling}",
            Kept: false,
            Word: word.Spelling,
            Graphemes: word.Segmentation.Graphemes,
            Phonemes: word.Segmentation.Phonemes,
            Marks: MarksOf(word),
            Taps: word.Segmentation.Taps,
            Tricky: trickyFor is null ? [] : [.. trickyFor.TrickyPlaces(word)],
            Oral: oral,
            Reasons: [.. reasons],
            Meaning: meaning,
            Sentence: sentence
        );

    /// <summary>For each letter of a word the place of its grapheme.</summary>
    public static ImmutableArray<int> MarksOf(Word word) => [.. word.Segmentation.Letters().Select(l => l.Part)];

    /// <summary>
    /// The one-line meaning to give with a word; null for one that children know, or where the school gives none.
    /// </summary>
    public static string? MeaningFor(LessonRequest request, Word word) =>
        word.IsKnown || !request.MeaningsInLessons ? null : request.Materials.Meanings.Of(word);

    public static CardItem OfCorrespondence(
        string activity,
        Correspondence correspondence,
        IEnumerable<Reason> reasons,
        PositionFacts? positions = null,
        string? example = null,
        ImmutableArray<CardSound>? also = null
    ) =>
        new(
            Id: $"{activity}:{correspondence.ReferenceNotation}",
            Kept: false,
            Correspondence: correspondence.ReferenceNotation,
            Grapheme: correspondence.Grapheme.Text,
            Sounds: correspondence.SoundText,
            KeyWord: correspondence.Sounds[0].KeyWord,
            CanBeHeld: correspondence.Sounds.All(s => s.CanBeHeld),
            Kind: KindId(correspondence.Grapheme.Kind),
            LetterNames: [.. correspondence.Grapheme.Letters.Select(l => l.ToString())],
            Positions: positions,
            Reasons: [.. reasons],
            Example: example,
            Also: also
        );

    public static MadeUpItem OfMadeUp(string activity, MadeUpWord made, Rung today) =>
        new(
            Id: $"{activity}:{made.Spelling}",
            Kept: false,
            Word: made.Spelling,
            Graphemes: made.Segmentation.Graphemes,
            Phonemes: made.Segmentation.Phonemes,
            Marks: [.. made.Segmentation.Letters().Select(l => l.Part)],
            Taps: made.Segmentation.Taps,
            Reasons:
            [
                .. today
                    .Correspondences.Where(made.Segmentation.Parts.Contains)
                    .Select(c => Reason.Of("uses", c.Grapheme.Text)),
            ]
        );

    public static GapItem OfGap(string activity, Word word, int place, IEnumerable<Reason> reasons) =>
        new(
            Id: $"{activity}:{word.Spelling}",
            Kept: false,
            Word: word.Spelling,
            Graphemes: word.Segmentation.Graphemes,
            Marks: MarksOf(word),
            Gap: place,
            Reasons: [.. reasons]
        );

    /// <param name="spellings">The taught correspondences that sound so, in the order they are to be told.</param>
    public static SpellingsItem OfSpellings(
        string activity,
        string sounds,
        IReadOnlyList<Correspondence> spellings,
        IEnumerable<Reason> reasons
    ) =>
        new(
            Id: $"{activity}:{sounds}",
            Kept: false,
            Sounds: sounds,
            KeyWord: spellings[0].Sounds[0].KeyWord,
            Graphemes: [.. spellings.Select(s => s.Grapheme.Text).Distinct()],
            Correspondences: [.. spellings.Select(s => s.ReferenceNotation)],
            Reasons: [.. reasons]
        );

    public static SentenceItem OfSentence(
        string activity,
        Sentence sentence,
        Taught taught,
        IEnumerable<Reason> reasons
    ) =>
        new(
            $"{activity}:{sentence.Text}",
            false,
            sentence.Text,
            [
                .. sentence.Tokens.Select(t => new SentenceWord(
                    t.Written,
                    taught.CanRead(t.Word) ? "decodable" : "tricky"
                )),
            ],
            [.. reasons]
        );

    private static readonly ConditionalWeakTable<
        Lexicon,
        ConcurrentDictionary<Correspondence, PositionFacts?>
    > Counted = [];

    /// <summary>
    /// Where a correspondence stands in the usable words that have it; null when there are none. Counted once for a
    /// lexicon.
    /// </summary>
    public static PositionFacts? Positions(Correspondence correspondence, Lexicon lexicon) =>
        Counted.GetOrCreateValue(lexicon.Shipped).GetOrAdd(correspondence, c => Count(c, lexicon.Shipped))
            is { } counted
        && !IsChanged(counted, lexicon)
            ? counted
            : Count(correspondence, lexicon);

    /// <summary>True when the school bans or changes one of the words that stand for the places.</summary>
    private static bool IsChanged(PositionFacts counted, Lexicon lexicon) =>
        new[] { counted.StartExample, counted.MiddleExample, counted.EndExample }.Any(w =>
            w is not null && lexicon.Find(w) != lexicon.Shipped.Find(w)
        );

    private static PositionFacts? Count(Correspondence correspondence, Lexicon lexicon)
    {
        var found = new List<Word>[] { [], [], [] };
        foreach (var word in lexicon.ForLessons.Where(w => w.Contains(correspondence)))
        {
            for (var i = 0; i < word.Required.Length; i++)
            {
                if (word.Required[i] == correspondence)
                    found[(int)Places.Of(i, word.Required.Length)].Add(word);
            }
        }
        var total = found.Sum(f => f.Count);
        if (total == 0)
            return null;
        var shares = found.Select(f => (int)Math.Round(100.0 * f.Count / total)).ToImmutableArray();
        return new PositionFacts(
            shares[0],
            100 - shares[0] - shares[2],
            shares[2],
            Example(correspondence, found[0]),
            Example(correspondence, found[1]),
            Example(correspondence, found[2])
        );
    }

    private static string? Example(Correspondence correspondence, List<Word> words) =>
        ModelWords.Ordered(correspondence, words).FirstOrDefault()?.Spelling;

    private static string KindId(GraphemeKind kind) =>
        kind switch
        {
            GraphemeKind.SingleLetter => "single-letter",
            GraphemeKind.FourLetter => "four-letter",
            GraphemeKind.SplitDigraph => "split-digraph",
            _ => kind.ToString().ToLowerInvariant(),
        };

    /// <summary>A picture with its word, or with words to choose from.</summary>
    public static PictureItem OfPicture(LessonWork work, string id, Word word, IEnumerable<string>? options = null) =>
        new(
            Id: $"{id}:{word.Spelling}",
            Kept: false,
            Picture: work.Request.Materials.Pictures[word.Spelling],
            Word: word.Spelling,
            Marks: MarksOf(word),
            Options: [.. options ?? []],
            Reasons: [.. WordChoice.Explain(work.Request, word)]
        );

    /// <param name="said">Which of them is said, 0 or 1; null where both are read.</param>
    public static PairItem OfPair(
        string activity,
        string by,
        Word first,
        Word second,
        IEnumerable<Reason> reasons,
        int? said = null
    ) =>
        new(
            Id: $"{activity}:{first.Spelling}-{second.Spelling}",
            Kept: false,
            By: by,
            First: first.Spelling,
            FirstMarks: MarksOf(first),
            Second: second.Spelling,
            SecondMarks: MarksOf(second),
            Said: said,
            Reasons: [.. reasons]
        );
}

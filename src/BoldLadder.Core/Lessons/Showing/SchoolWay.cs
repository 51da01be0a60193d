using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Showing;

/// <summary>
/// Lays our school's way over a lesson that is shown: key words, phrases, mouth cues and formation on its cards, chunks
/// and the way of blending on its words, whose turn it is. Stored lessons know nothing of it, so that a change is seen
/// at once. Source: docs/handbook.md, section 5.
/// </summary>
/// <param name="notes">By reference notation.</param>
/// <param name="words">The school's words, in which what is hunted is looked for in its accent.</param>
/// <param name="pictures">Shipped pictures: word → name.</param>
/// <param name="own">Word, or correspondence whose phrase it shows → the school's own picture, which goes before any
/// other.</param>
public sealed class SchoolWay(
    HouseStyle style,
    IReadOnlyDictionary<string, OwnWay> notes,
    Lexicon words,
    Accent accent,
    IReadOnlyDictionary<string, string> pictures,
    IReadOnlyDictionary<string, string> own
)
{
    /// <summary>Words that are read and then meant: their picture comes after.</summary>
    private static readonly FrozenSet<ActivityKind> Pictured =
    [
        ActivityKind.RecentWords,
        ActivityKind.EarlierSet,
        ActivityKind.ReadWords,
        ActivityKind.ReadUnmarked,
        ActivityKind.ReadAidedUnaided,
        ActivityKind.SpellWords,
    ];

    private static readonly FrozenSet<ActivityKind> Hunted =
    [
        ActivityKind.FindInWords,
        ActivityKind.HuntPage,
        ActivityKind.HuntText,
        ActivityKind.HuntWords,
    ];

    private readonly ReleaseSteps release = new(style.Release.IDo, style.Release.WeDo, style.Release.YouDo);

    public Lesson Over(Lesson lesson) =>
        lesson with
        {
            Parts =
            [
                .. lesson.Parts.Select(p =>
                    p with
                    {
                        Activities = [.. p.Activities.Select(a => Over(a, lesson.Target))],
                    }
                ),
            ],
        };

    /// <param name="target">Reference notations of what the lesson is about.</param>
    public Activity Over(Activity activity, ImmutableArray<string> target) =>
        activity with
        {
            Items = [.. activity.Items.Select(i => Hunting(Over(i, activity.Kind), activity.Kind, target))],
            Steps = ActivityFacts.Of(activity.Kind).Released ? release.Over(activity.Items.Length) : activity.Steps,
        };

    /// <summary>A sheet, its items as the activity shows them that they are of.</summary>
    public PaperSheet Over(PaperSheet sheet) =>
        sheet with
        {
            Items = [.. sheet.Items.Select(i => Over(i, SheetFacts.Of(sheet.Kind).Activities[^1]))],
            Pictures = sheet.Pictures.ToImmutableSortedDictionary(
                p => p.Key,
                p => Picture(p.Key) ?? Stored(p.Value),
                StringComparer.Ordinal
            ),
        };

    /// <summary>An item by itself, as an activity shows it.</summary>
    public Item Over(Item item, ActivityKind kind) =>
        item switch
        {
            CardItem card => Over(card),
            SpellingsItem spellings => spellings with
            {
                KeyWord = KeyWord(spellings.Correspondences[0]) ?? spellings.KeyWord,
            },
            BesideItem beside => beside with
            {
                Cards = [.. beside.Cards.Select(c => c with { KeyWord = KeyWord(c.Correspondence) ?? c.KeyWord })],
            },
            WordItem { Oral: false } word => Over(word, kind),
            PictureItem picture => picture with { Picture = Picture(picture.Word) ?? Stored(picture.Picture) },
            SceneItem scene => scene with
            {
                Things = [.. scene.Things.Select(t => t with { Picture = Picture(t.Word) ?? Stored(t.Picture) })],
            },
            SentenceItem { Pictures: { } choice } sentence => Mixed(sentence, choice),
            CrosswordItem crossword => crossword with
            {
                Lines =
                [
                    .. crossword.Lines.Select(l =>
                        l.Picture is null ? l : l with { Picture = Picture(l.Word) ?? Stored(l.Picture) }
                    ),
                ],
            },
            LineItem line => line with { Words = [.. line.Words.Select(w => Over(w, kind))] },
            _ => item,
        };

    private readonly Lazy<WordFinder> finder = new(() => new WordFinder(words));

    private Item Hunting(Item item, ActivityKind kind, ImmutableArray<string> target)
    {
        if (!Hunted.Contains(kind))
            return item;
        var hunting = new Hunting(
            [.. (item is HuntItem h ? h.Targets : target).Select(Correspondence.Parse)],
            finder.Value,
            accent
        );
        SentenceItem InSentence(SentenceItem sentence) =>
            sentence with
            {
                Words = [.. sentence.Words.Select(w => w with { Hunt = hunting.In(w.Text) })],
            };
        return item switch
        {
            WordItem word => word with { Hunt = hunting.In(word.Word) },
            SentenceItem sentence => InSentence(sentence),
            TextItem text => text with { Sentences = [.. text.Sentences.Select(InSentence)] },
            HuntItem hunt => hunt with { Words = [.. hunt.Words.Select(w => w with { Hunt = hunting.In(w.Word) })] },
            _ => item,
        };
    }

    /// <summary>What shows a word; null where nothing is sure.</summary>
    public string? Picture(string word) => own.GetValueOrDefault(word) ?? pictures.GetValueOrDefault(word);

    /// <summary>
    /// A picture by the name that a stored lesson has for it; nothing where it was the school's own and is gone.
    /// </summary>
    private string Stored(string name) => OwnPictures.WordOf(name) is { } word ? own.GetValueOrDefault(word, "") : name;

    /// <summary>
    /// The pictures of a sentence in an order that tells nothing of which fits; the same whenever it is shown.
    /// </summary>
    private SentenceItem Mixed(SentenceItem sentence, ImmutableArray<string> choice)
    {
        var order = Seeded.For(0, sentence.Id).Shuffle(Enumerable.Range(0, choice.Length));
        return sentence with { Pictures = [.. order.Select(i => Stored(choice[i]))], Fits = order.IndexOf(0) };
    }

    /// <summary>
    /// The way with the picture of its phrase: one that was made for it, or of the first of its words that has one.
    /// </summary>
    private OwnWay? WithPicture(string notation) =>
        notes.GetValueOrDefault(notation) is not { } way ? null
        : way.Phrase.Length == 0 ? way
        : way with
        {
            Picture = own.GetValueOrDefault(notation)
                ?? way.Phrase.Split(' ')
                    .Select(w => Picture(w.Trim('.', ',', '!', '?').ToLowerInvariant()))
                    .FirstOrDefault(p => p is not null),
        };

    private string? KeyWord(string notation) =>
        notes.GetValueOrDefault(notation) is { KeyWord.Length: > 0 } own ? own.KeyWord : null;

    /// <summary>The school's key word goes before any example.</summary>
    private CardItem Over(CardItem card)
    {
        var own = KeyWord(card.Correspondence);
        return card with
        {
            Own = WithPicture(card.Correspondence),
            KeyWord = own ?? card.KeyWord,
            Example = own is null ? card.Example : null,
            Also = card.Also is { } also
                ?
                [
                    .. also.Select(a =>
                        KeyWord(a.Correspondence) is { } other ? a with { KeyWord = other, Example = null } : a
                    ),
                ]
                : null,
        };
    }

    private WordItem Over(WordItem word, ActivityKind kind)
    {
        var parts = Segmentation.Parse(word.Graphemes, word.Phonemes).Parts;
        ImmutableArray<ChunkInWord> found =
        [
            .. style.Chunks.SelectMany(c =>
                c.PlacesIn(parts).Select(at => new ChunkInWord(c.Text, at, at + c.Correspondences.Count - 1))
            ),
        ];
        return word with
        {
            Chunks = found.IsEmpty ? null : found,
            Picture = Pictured.Contains(kind) ? Picture(word.Word) : null,
            Blend = kind == ActivityKind.ReadWords ? BlendingSteps.Of(word.Word, parts, style.Blending) : null,
        };
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>
/// A whole lesson as slides: one idea each, an answer on the slide after its question, in the notes what to say and
/// what the adult knows. Source: docs/handbook.md, section 6 (slides).
/// </summary>
/// <param name="picture">A picture by its name; null for one that is gone.</param>
public sealed class LessonSlides(Saying saying, Func<string, OfficePicture?> picture)
{
    /// <summary>Letters of a text on one slide: it is read from the back of a room.</summary>
    private const int LettersOfPage = 90;

    private const int Small = 24;

    /// <summary>How large letters are, by how many there are at most.</summary>
    private static readonly ImmutableArray<(int Letters, int Points)> Sizes =
    [
        (4, 166),
        (8, 120),
        (14, 80),
        (30, 60),
        (64, 44),
    ];

    private readonly ItemWords words = new(saying);

    /// <param name="lesson">As it is shown, the school's way laid over it.</param>
    /// <param name="label">What the day is called.</param>
    public Deck Of(Lesson lesson, string label, OnPaper on)
    {
        var title = saying.Say("lesson.title", ("group", on.GroupName), ("date", saying.Day(on.Date)));
        return new Deck(
            title,
            saying.Language,
            on.ReadingFont,
            [
                new Slide(title, [Line(saying.Label(label), lesson.Target.Length > 0)], [], saying.Say("cover.clean")),
                .. lesson.Activities.SelectMany(OfActivity),
            ]
        );
    }

    /// <summary>The pictures that slides of a lesson have, by name.</summary>
    public static IEnumerable<string> PicturesOf(Lesson lesson) =>
        lesson.Activities.SelectMany(a => a.Items).SelectMany(Named).Where(n => n.Length > 0).Distinct();

    private IEnumerable<Slide> OfActivity(Activity activity)
    {
        var heading = saying.Of(activity.Kind);
        var known = string.Join('\n', activity.Items.Select(i => Plain(i, activity.Kind)));
        var notes = $"{saying.ToSay(activity)}\n{known}";
        if (ActivityFacts.Of(activity.Kind).Told || activity.Items.Any(IsOnlySaid))
            return [new Slide(heading, [new SlideLine(saying.Say("board.listen"), Sizes[1].Points, false)], [], notes)];
        return activity.Items.SelectMany(item =>
            Faces(item, activity.Kind)
                .Select(face => new Slide(
                    heading,
                    face.Lines,
                    [.. face.Pictures.Select(picture).OfType<OfficePicture>()],
                    $"{saying.ToSay(activity)}\n{Plain(item, activity.Kind)}"
                ))
        );
    }

    private string Plain(Item item, ActivityKind kind) => string.Concat(words.Of(item, kind).Select(s => s.Text));

    private static bool IsOnlySaid(Item item) => item is WordItem { Oral: true } or ClueItem or PairItem { By: "ear" };

    /// <summary>What is shown of an item, one after the other; what is asked before its answer.</summary>
    private IEnumerable<Face> Faces(Item item, ActivityKind kind)
    {
        switch (item)
        {
            case CardItem card when kind == ActivityKind.MemoryPhrase:
                return [new Face([Line(card.Own?.Phrase ?? "")], card.Own?.Picture is { } shown ? [shown] : [])];
            case CardItem card:
                return [Face.Of(Line(card.Grapheme))];
            case WordItem word when kind is ActivityKind.SpellWords or ActivityKind.SpellTricky:
                return [Face.Of(Told(saying.Say("board.countFirst"))), Face.Of(Line(Written.Of(word.Word)))];
            case MadeUpItem made when kind == ActivityKind.DictateName:
                return [Face.Of(Told(saying.Say("board.countFirst"))), Face.Of(Line(made.Word))];
            case WordItem word:
                // The picture comes after the reading.
                return word.Picture is { Length: > 0 } of
                    ? [Face.Of(Line(Written.Of(word.Word))), new Face([Line(Written.Of(word.Word))], [of])]
                    : [Face.Of(Line(Written.Of(word.Word)))];
            case MadeUpItem made:
                return [Face.Of(Line(made.Word))];
            case GapItem gap:
                return [Face.Of(Line(ItemWords.Gapped(gap.Word, gap.Marks, gap.Gap))), Face.Of(Line(gap.Word))];
            case ChoiceItem choice:
                return
                [
                    Face.Of(
                        Line(ItemWords.Gapped(choice.Word, choice.Marks, choice.Gap)),
                        Line(string.Join("     ", choice.Options))
                    ),
                    Face.Of(Line(choice.Word)),
                ];
            case SpellingsItem spellings:
                return
                [
                    Face.Of(Told(saying.Says(spellings.Sounds, spellings.KeyWord))),
                    Face.Of(Line(string.Join("   ", spellings.Graphemes))),
                ];
            case PictureItem { Options.Length: > 0 } choice:
                return
                [
                    new Face([Line(string.Join("     ", choice.Options))], [choice.Picture]),
                    new Face([Line(choice.Word)], [choice.Picture]),
                ];
            case PictureItem labelled:
                return [new Face([], [labelled.Picture]), new Face([Line(labelled.Word)], [labelled.Picture])];
            case SceneItem scene:
                return
                [
                    new Face([], [.. scene.Things.Select(t => t.Picture)]),
                    Face.Of(Line(string.Join("   ", scene.Things.Select(t => t.Word)))),
                ];
            case SentenceItem { Pictures: { } pictures } sentence:
                return [Face.Of(Line(sentence.Text)), new Face([Line(sentence.Text)], pictures)];
            case SentenceItem sentence when kind == ActivityKind.DictateSentence:
                return [Face.Of(Told(saying.Say("board.listen"))), Face.Of(Line(sentence.Text))];
            case SentenceItem sentence:
                return [Face.Of(Line(sentence.Text))];
            case TextItem text:
                return
                [
                    Face.Of(Line(text.Title)),
                    .. Pages(text).Select(page => Face.Of(Line(page))),
                    Face.Of([.. text.Questions.Select(q => new SlideLine(q, 36, false))]),
                ];
            case MissingWordItem missing:
                return
                [
                    Face.Of(
                        Line($"{missing.Before} ____{missing.After}".TrimStart()),
                        Line(string.Join("     ", missing.Options))
                    ),
                    Face.Of(Line(missing.Whole)),
                ];
            case ScrambleItem scramble:
                return [Face.Of(Line(string.Join("   ", scramble.Pieces))), Face.Of(Line(scramble.Whole))];
            case MendItem mend:
                return [Face.Of(Line(mend.Given)), Face.Of(Line(mend.Right))];
            case SortItem sort:
                return
                [
                    Face.Of(
                        Line(string.Join("        ", sort.Headings.Select(h => words.Heading(sort.By, h)))),
                        Line(string.Join("   ", sort.Words.Select(w => w.Word)))
                    ),
                    Face.Of([
                        .. sort.Headings.Select(
                            (h, place) => Line($"{words.Heading(sort.By, h)}:  {Under(sort, place)}")
                        ),
                    ]),
                ];
            case HuntItem hunt:
                return
                [
                    Face.Of(
                        Line(string.Join("   ", hunt.Graphemes)),
                        Line(string.Join("   ", hunt.Words.Select(w => w.Word)))
                    ),
                    Face.Of(Line(string.Join("   ", hunt.Words.Where(w => w.Target >= 0).Select(w => w.Word)))),
                ];
            case PairItem pair:
                return [Face.Of(Line($"{pair.First}     {pair.Second}"))];
            case LineItem line:
                return [Face.Of(Line(string.Join("   ", line.Words.Select(w => w.Word))))];
            case SyllablesItem syllables:
                return [Face.Of(Line(syllables.Word)), Face.Of(Line(string.Join(" · ", syllables.Syllables)))];
            case BuildItem build:
                return
                [
                    Face.Of(Line(string.Join(" + ", build.Model.Parts))),
                    Face.Of(Line($"{string.Join(" + ", build.Model.Parts)} = {build.Word}")),
                ];
            case PatternItem pattern:
                return (pattern.Examples ?? [])
                    .SelectMany(e => e.Models ?? [])
                    .Select(m => Face.Of(Line($"{string.Join(" + ", m.Parts)} = {m.Word}")));
            case BesideItem beside:
                return [Face.Of([.. beside.Cards.Select(c => Line($"{c.Grapheme}   {c.Example}".TrimEnd()))])];
            case ChunkItem chunk:
                return [Face.Of(Line(chunk.Text))];
            case CrosswordItem crossword:
                return crossword.Lines.Select(l => new Face(
                    [Line(l.Clue ?? new string('_', 2 * l.Word.Length))],
                    l.Picture is { } of ? [of] : []
                ));
            case PromptItem prompt:
                return
                [
                    Face.Of(
                        new SlideLine(saying.Of("prompt", prompt.Code), 40, false),
                        Line(string.Join("   ", prompt.Words))
                    ),
                ];
            default:
                throw new InvalidOperationException($"No slide shows a {item.GetType().Name}.");
        }
    }

    private static IEnumerable<string> Named(Item item) =>
        item switch
        {
            CardItem { Own.Picture: { } phrase } => [phrase],
            WordItem { Picture: { } word } => [word],
            PictureItem picture => [picture.Picture],
            SceneItem scene => scene.Things.Select(t => t.Picture),
            SentenceItem { Pictures: { } choice } => choice,
            CrosswordItem crossword => crossword.Lines.Select(l => l.Picture).OfType<string>(),
            _ => [],
        };

    /// <summary>Whole sentences, as many as can be read from the back.</summary>
    private static List<string> Pages(TextItem text)
    {
        var pages = new List<string>();
        foreach (var sentence in text.Sentences.Select(s => s.Text))
        {
            if (pages.Count > 0 && pages[^1].Length + sentence.Length < LettersOfPage)
                pages[^1] += " " + sentence;
            else
                pages.Add(sentence);
        }
        return pages;
    }

    private static string Under(SortItem sort, int heading) =>
        string.Join(", ", sort.Words.Where(w => w.Heading == heading).Select(w => w.Word));

    private static SlideLine Line(string text, bool reading = true) =>
        new(
            text,
            Sizes.FirstOrDefault(s => text.Length <= s.Letters) is { Points: > 0 } fits ? fits.Points : 36,
            reading
        );

    private static SlideLine Told(string text) => new(text, Small * 2, false);

    private sealed record Face(ImmutableArray<SlideLine> Lines, ImmutableArray<string> Pictures)
    {
        /// <summary>Lines that share a slide are no larger than there is room for.</summary>
        public static Face Of(params ImmutableArray<SlideLine> lines)
        {
            var most = lines.Length switch
            {
                1 => 166,
                2 => 80,
                3 => 60,
                <= 5 => 40,
                _ => 28,
            };
            return new Face([.. lines.Select(l => l with { Points = Math.Min(l.Points, most) })], []);
        }
    }
}

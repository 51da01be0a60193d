using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>An item in words, with all that the adult is to know of it. The screens draw the same items.</summary>
public sealed class ItemWords(Saying saying)
{
    private static readonly ImmutableHashSet<string> Flags =
    [
        "near-miss",
        "has-not",
        "another-job",
        "not-here",
        "has-sound",
        "first-and-rest",
        "starts-and-ends",
        "at-start",
        "at-middle",
        "at-end",
        "show-it",
        "stay-still",
    ];

    public ImmutableArray<Span> Of(Item item, ActivityKind kind) =>
        item switch
        {
            CardItem card => OfCard(card, kind),
            WordItem word => [Read(Written.Of(word.Word)), .. Notes(Beside(word, kind))],
            MadeUpItem made => [Read(made.Word)],
            GapItem gap => [Read(Gapped(gap.Word, gap.Marks, gap.Gap)), .. Answer(gap.Word)],
            ChoiceItem choice =>
            [
                Read(Gapped(choice.Word, choice.Marks, choice.Gap)),
                .. Notes([string.Join($" {saying.Say("choice.or")} ", choice.Options)]),
                .. Answer(choice.Word),
            ],
            SpellingsItem spellings =>
            [
                new Span(saying.Says(spellings.Sounds, spellings.KeyWord) + ": "),
                Read(string.Join("   ", spellings.Graphemes)),
            ],
            ClueItem clue => [new Span(Capital(clue.Clue) + "? "), Read(clue.Word)],
            SyllablesItem syllables => [Read(string.Join('·', syllables.Syllables))],
            LineItem line => [Read(string.Join("   ", line.Words.Select(w => w.Word)))],
            PatternItem pattern =>
            [
                new Span(saying.Of("pattern", pattern.Pattern) + ". ", Bold: true),
                .. (pattern.Examples ?? []).SelectMany(OfExample),
            ],
            BesideItem beside => [.. beside.Cards.SelectMany(OfBeside)],
            SortItem sort =>
            [
                .. sort.Headings.SelectMany(
                    (h, place) =>
                        Listed(Heading(sort.By, h), sort.Words.Where(w => w.Heading == place).Select(w => w.Word))
                ),
            ],
            PictureItem picture =>
            [
                .. picture.Options.IsEmpty ? [] : new[] { Read(string.Join(" · ", picture.Options)) },
                .. picture.Options.IsEmpty ? [Read(picture.Word)] : Answer(picture.Word),
            ],
            SceneItem scene => [Read(string.Join(", ", scene.Things.Select(t => t.Word)))],
            SentenceItem sentence =>
            [
                Read(sentence.Text),
                .. sentence.Pictures is null
                    ? []
                    : Answer(saying.Say("picture.fits", ("at", (sentence.Fits ?? 0) + 1))),
            ],
            TextItem text =>
            [
                new Span(text.Title + ". ", Reading: true, Bold: true),
                Read(string.Join(' ', text.Sentences.Select(s => s.Text))),
                .. Notes([$"{saying.Say("text.questions")}: {string.Join(' ', text.Questions)}"]),
            ],
            CrosswordItem crossword =>
            [
                Read(string.Join(", ", crossword.Lines.OrderBy(l => l.Number).Select(l => $"{l.Number} {l.Word}"))),
            ],
            MissingWordItem missing =>
            [
                Read($"{missing.Before} ____{missing.After}".TrimStart()),
                .. Notes([string.Join(" · ", missing.Options)]),
                .. Answer(missing.Word),
            ],
            PromptItem prompt =>
            [
                new Span($"{saying.Of("prompt", prompt.Code)} {saying.Say("prompt.words")}: "),
                Read(string.Join(", ", prompt.Words)),
                .. prompt.Checklist is { } list ? [new Span($"  {Checked(list)}")] : Array.Empty<Span>(),
            ],
            PairItem pair =>
            [
                Read($"{pair.First}   {pair.Second}"),
                .. pair.Said is { } said
                    ? Notes([saying.Say("pair.say", ("word", said == 0 ? pair.First : pair.Second))])
                    : [],
            ],
            BuildItem build => [.. OfModel(build.Model)],
            HuntItem hunt =>
            [
                .. hunt.Graphemes.SelectMany(
                    (g, place) => Listed(g, hunt.Words.Where(w => w.Target == place).Select(w => w.Word))
                ),
                .. Listed(saying.Say("hunt.none"), hunt.Words.Where(w => w.Target < 0).Select(w => w.Word)),
            ],
            ScrambleItem scramble => [Read(string.Join(" · ", scramble.Pieces)), .. Answer(scramble.Whole)],
            MendItem mend => [Read(mend.Given), .. Answer(mend.Right)],
            ChunkItem chunk => [Read(chunk.Text), .. Notes([$"{saying.Sound(chunk.Sounds)} {chunk.Example}".Trim()])],
            _ => throw new InvalidOperationException($"Nothing says what a {item.GetType().Name} is in words."),
        };

    /// <summary>The lines of a story's list.</summary>
    public string Checked(IEnumerable<CheckLine> lines) => string.Join("   ", lines.Select(l => $"☐ {CheckText(l)}"));

    public string CheckText(CheckLine line) => line.Text.Length > 0 ? line.Text : saying.Of("checklist", line.Code);

    /// <summary>The heading of a sort: a place in the word, a spelling, or a sound.</summary>
    public string Heading(string by, string heading) =>
        by switch
        {
            "position" => saying.Of("card", heading),
            "spelling" => heading,
            _ => saying.Sound(heading),
        };

    /// <summary>A word with a line in the place of one grapheme.</summary>
    /// <param name="marks">For each letter the place of its grapheme.</param>
    public static string Gapped(string word, ImmutableArray<int> marks, int gap)
    {
        var shown = "";
        for (var letter = 0; letter < word.Length; letter++)
        {
            if (marks[letter] != gap)
                shown += word[letter];
            else if (letter == 0 || marks[letter - 1] != gap)
                shown += "__";
        }
        return shown;
    }

    /// <summary>What the adult must know of a word at a glance, and what is said with it.</summary>
    private List<string> Beside(WordItem word, ActivityKind kind)
    {
        var notes = new List<string>();
        if (kind is ActivityKind.SpellWords or ActivityKind.SpellTricky)
            notes.Add($"{saying.Count(word)}");
        if (kind != ActivityKind.HearSound && word.Reasons.FirstOrDefault(r => Flags.Contains(r.Code)) is { } flag)
        {
            notes.Add(
                saying.Say(
                    $"reason.{flag.Code}",
                    [.. flag.Arguments.Index().Select(a => ($"{a.Index}", (object)a.Item))]
                )
            );
        }
        if (word.Sentence is { } sentence)
            notes.Add($"“{sentence}”");
        if (word.Meaning is { } meaning)
            notes.Add($"({meaning})");
        return notes;
    }

    private ImmutableArray<Span> OfCard(CardItem card, ActivityKind kind)
    {
        if (kind == ActivityKind.MemoryPhrase)
            return [Read(card.Grapheme), new Span($": {card.Own?.Phrase}")];
        if (kind == ActivityKind.MouthCue)
        {
            var cue = card.Own is { MouthCue.Length: > 0 } own
                ? own.MouthCue
                : string.Join(' ', card.Sounds.Split('+').Select(s => saying.Of("mouth", s)));
            return [new Span($"{saying.Says(card.Sounds, card.KeyWord)}: {cue}")];
        }
        if (kind == ActivityKind.Formation && card.Own is { Formation.Length: > 0 } formed)
            return [Read(card.Grapheme), new Span($" {formed.Formation}")];
        if (kind == ActivityKind.NewCorrespondence)
        {
            return
            [
                new Span(card.Grapheme, Reading: true, Bold: true),
                new Span(
                    $"  {saying.Says(card.Sounds, card.KeyWord)}. "
                        + saying.Say(
                            "card.kind",
                            ("kind", saying.Of("kind", card.Kind)),
                            ("count", card.LetterNames.Length),
                            ("letters", string.Join(", ", card.LetterNames))
                        )
                        + $" {saying.Say(card.CanBeHeld ? "card.held" : "card.short")}"
                ),
            ];
        }
        if (card.Positions is { } at)
        {
            return
            [
                Read(card.Grapheme),
                new Span($"  {saying.Say("card.start")} {at.Start}% "),
                Read(at.StartExample ?? ""),
                new Span($" · {saying.Say("card.middle")} {at.Middle}% "),
                Read(at.MiddleExample ?? ""),
                new Span($" · {saying.Say("card.end")} {at.End}% "),
                Read(at.EndExample ?? ""),
            ];
        }
        return
        [
            Read(card.Grapheme),
            new Span($" {saying.Sound(card.Sounds)} "),
            Read(card.Example ?? card.KeyWord),
            .. (card.Also ?? []).SelectMany(a =>
                new[] { new Span($" {saying.Sound(a.Sounds)} "), Read(a.Example ?? a.KeyWord) }
            ),
        ];
    }

    private IEnumerable<Span> OfExample(PatternExample example)
    {
        if (example.Sounds.Length > 0)
            yield return new Span($"{saying.Sound(example.Sounds)}: ");
        if (example.Models is { Length: > 0 } models)
        {
            foreach (var span in models.SelectMany(OfModel))
                yield return span;
        }
        else
        {
            yield return Read(string.Join(", ", example.Words) + "   ");
        }
    }

    private IEnumerable<Span> OfModel(PatternModel model)
    {
        yield return Read($"{string.Join(" + ", model.Parts)} = {model.Word}   ");
        if (model.Join is { } join)
            yield return new Span($"{saying.Of("join", join)}   ");
    }

    private IEnumerable<Span> OfBeside(BesideCard card, int place)
    {
        yield return Read($"{card.Grapheme} {card.Example}".TrimEnd() + " ");
        yield return new Span(
            saying.Says(card.Sounds, card.KeyWord) + (place == 0 ? $" ({saying.Say("beside.today")})   " : "   ")
        );
    }

    private static IEnumerable<Span> Listed(string heading, IEnumerable<string> words)
    {
        yield return new Span($"{heading}: ", Bold: true);
        yield return Read(string.Join(", ", words) + "   ");
    }

    private static Span Read(string text) => new(text, Reading: true);

    private static IEnumerable<Span> Answer(string answer) => [new Span($"  → {answer}", Pale: true)];

    private static IEnumerable<Span> Notes(IReadOnlyCollection<string> notes) =>
        notes.Count == 0 ? [] : [new Span("  " + string.Join("  ", notes), Pale: true)];

    private static string Capital(string text) => text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..];
}

using System.Collections.Immutable;
using BoldLadder.Core;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.Formats.Office;

namespace BoldLadder.School.Papers;

/// <summary>
/// A sheet as a document that can be changed, and its answers on a page of their own. Source: docs/handbook.md, section
/// 6 (sheets).
/// </summary>
public sealed class SheetPaper(Saying saying, Func<string, OfficePicture?> picture)
{
    private const int Word = 26;
    private const int Sentence = 20;

    /// <summary>A long word in its parts stays on one line.</summary>
    private const int Parts = 16;
    private const int PictureSide = 24;
    private const int LineOfStory = 12;
    private readonly ItemWords words = new(saying);

    public PagedText Of(PaperSheet sheet, OnPaper on)
    {
        var name = saying.Of("sheet", sheet.Kind.Code());
        return on.Paged(
            name,
            saying,
            [
                new HeadingBlock(1, name),
                TextBlock.Of($"{saying.Say("paper.name")}: ______________________", 12),
                ReadAloud(saying.Of("sheetSay", sheet.Kind.Code())),
                .. Filled(sheet, answers: false),
                .. sheet.HasAnswers
                    ?
                    [
                        new NewPageBlock(),
                        new HeadingBlock(1, $"{name} · {saying.Say("paper.answers")}"),
                        .. Filled(sheet, answers: true),
                    ]
                    : Enumerable.Empty<Block>(),
            ]
        );
    }

    /// <summary>The pictures that a sheet has, by name.</summary>
    public static IEnumerable<string> PicturesOf(PaperSheet sheet) =>
        sheet
            .Pictures.Values.Concat(
                sheet.Items.SelectMany(i =>
                    i switch
                    {
                        PictureItem item => [item.Picture],
                        SentenceItem { Pictures: { } choice } => choice,
                        CrosswordItem crossword => crossword.Lines.Select(l => l.Picture).OfType<string>(),
                        _ => Enumerable.Empty<string>(),
                    }
                )
            )
            .Distinct();

    private IEnumerable<Block> Filled(PaperSheet sheet, bool answers)
    {
        if (sheet.Kind == SheetKind.JoinPictures)
            return [Join(sheet, answers)];
        var bank = sheet.Bank.IsEmpty
            ? Enumerable.Empty<Block>()
            : [new TextBlock([Read(string.Join("     ", sheet.Bank))], Sentence, Boxed: true)];
        return bank.Concat(
            sheet.Kind is SheetKind.ReadAndMark or SheetKind.MissingGrapheme or SheetKind.ChooseSpelling
                ? [InTwo([.. sheet.Items.Select(i => Cell(i, sheet, answers))])]
                : sheet.Items.SelectMany(i => OfItem(i, sheet.Kind, answers))
        );
    }

    private GridBlock Join(PaperSheet sheet, bool answers) =>
        new(
            [
                .. sheet
                    .Items.OfType<PictureItem>()
                    .Select(
                        (item, place) =>
                            (ImmutableArray<GridCell>)
                                [
                                    new GridCell(Pictured(item.Picture), Word),
                                    new GridCell(
                                        answers ? [new Span(item.Word, Reading: true, Underlined: true)] : [],
                                        Word
                                    ),
                                    new GridCell([Read(sheet.Bank[place])], Word),
                                ]
                    ),
            ],
            [2, 3, 2],
            Ruled: false
        );

    private static GridBlock InTwo(ImmutableArray<GridCell> cells) =>
        new(
            [
                .. cells
                    .Chunk(2)
                    .Select(row => (ImmutableArray<GridCell>)[row[0], row.Length > 1 ? row[1] : GridCell.Empty]),
            ],
            [1, 1],
            Ruled: false,
            RowHeight: 22
        );

    private GridCell Cell(Item item, PaperSheet sheet, bool answers) =>
        item switch
        {
            WordItem word => answers
                ? new GridCell([Read(Parted(word))], Parts)
                : new GridCell([Read(Written.Of(word.Word))], Word),
            GapItem gap => new GridCell(
                [
                    .. Pictured(sheet.Pictures.GetValueOrDefault(gap.Word, "")),
                    Read("  "),
                    Read(answers ? gap.Word : ItemWords.Gapped(gap.Word, gap.Marks, gap.Gap)),
                ],
                Word
            ),
            ChoiceItem choice => new GridCell(
                answers
                    ? [Read(choice.Word)]
                    :
                    [
                        Read(ItemWords.Gapped(choice.Word, choice.Marks, choice.Gap)),
                        new Span($"   {string.Join(" · ", choice.Options)}", Reading: true, Pale: true),
                    ],
                Word
            ),
            _ => throw new InvalidOperationException($"No cell shows a {item.GetType().Name}."),
        };

    private IEnumerable<Block> OfItem(Item item, SheetKind kind, bool answers)
    {
        switch (item)
        {
            case CardItem card:
                return [Traced(card.Grapheme, 6), new LinesBlock(answers ? 0 : 1)];
            case WordItem word when kind == SheetKind.TraceAndWrite:
                return [Traced(Written.Of(word.Word), 2), new LinesBlock(answers ? 0 : 1)];
            case WordItem word when kind == SheetKind.Boxes:
                return [Boxes(word, answers)];
            case WordItem word when kind == SheetKind.CoverAndWrite:
                return
                [
                    Row([
                        new GridCell([Read(Written.Of(word.Word))], Word),
                        .. Enumerable.Repeat(new GridCell([Read("____________")], Sentence), 3),
                    ]),
                ];
            case WordItem word:
                return
                [
                    Row([
                        new GridCell([Read(Written.Of(word.Word))], Word),
                        answers
                            ? new GridCell([new Span(saying.Say($"reason.{word.Reasons[0].Code}"))])
                            : new GridCell([Read("____________")], Sentence),
                    ]),
                ];
            case SortItem sort:
                return Sorted(sort, answers);
            case HuntItem hunt:
                return
                [
                    new TextBlock(
                        [new Span(saying.Say("paper.find") + " "), Read(string.Join("   ", hunt.Graphemes))],
                        Sentence
                    ),
                    new GridBlock(
                        [
                            .. hunt
                                .Words.Chunk(4)
                                .Select(row =>
                                    (ImmutableArray<GridCell>)
                                        [
                                            .. row.Select(w => new GridCell(
                                                [new Span(w.Word, Reading: true, Underlined: answers && w.Target >= 0)],
                                                Sentence,
                                                Centred: true
                                            )),
                                            .. Enumerable.Repeat(GridCell.Empty, 4 - row.Length),
                                        ]
                                ),
                        ],
                        [1, 1, 1, 1],
                        Ruled: false,
                        RowHeight: 18
                    ),
                ];
            case MissingWordItem missing:
                return
                [
                    new TextBlock(
                        [
                            Read($"{missing.Before} ".TrimStart()),
                            new Span(answers ? missing.Word : "____________", Reading: true, Underlined: answers),
                            Read(missing.After),
                        ],
                        Sentence
                    ),
                ];
            case CrosswordItem crossword:
                return [CrosswordPaper.Grid(crossword, answers), .. CrosswordPaper.Clues(crossword, saying, Pictured)];
            case SentenceItem { Pictures: { } choice } sentence:
                return
                [
                    TextBlock.Read(sentence.Text, Sentence),
                    Row([
                        .. choice.Select(
                            (name, place) =>
                                new GridCell(
                                    [.. Pictured(name), new Span(answers && place == sentence.Fits ? " ✓" : "")],
                                    Sentence,
                                    Centred: true
                                )
                        ),
                    ]),
                ];
            case SentenceItem sentence:
                return [new TextBlock([Read(sentence.Text)], Word, Boxed: kind == SheetKind.Strips)];
            case TextItem text:
                return
                [
                    new HeadingBlock(2, text.Title, Reading: true),
                    TextBlock.Read(string.Join(' ', text.Sentences.Select(s => s.Text)), Sentence),
                    .. text.Questions.SelectMany(q => new Block[] { ReadAloud(q), new LinesBlock(answers ? 0 : 1) }),
                ];
            case PromptItem prompt:
                return
                [
                    ReadAloud(saying.Of("prompt", prompt.Code)),
                    new TextBlock(
                        [new Span($"{saying.Say("prompt.words")}: "), Read(string.Join(", ", prompt.Words))],
                        Sentence
                    ),
                    .. (prompt.Checklist ?? []).Select(l => TextBlock.Of($"☐ {words.CheckText(l)}", 13)),
                    new LinesBlock(answers ? 0 : LineOfStory),
                ];
            default:
                throw new InvalidOperationException($"No sheet shows a {item.GetType().Name}.");
        }
    }

    private IEnumerable<Block> Sorted(SortItem sort, bool answers)
    {
        if (!answers)
            yield return new TextBlock(
                [Read(string.Join("     ", sort.Words.Select(w => w.Word)))],
                Sentence,
                Boxed: true
            );
        var columns = sort
            .Headings.Select((_, h) => sort.Words.Where(w => w.Heading == h).Select(w => w.Word).ToList())
            .ToList();
        var rows = Enumerable
            .Range(0, columns.Max(c => c.Count))
            .Select(row =>
                (ImmutableArray<GridCell>)
                    [.. columns.Select(c => new GridCell(answers && row < c.Count ? [Read(c[row])] : [], Sentence))]
            );
        yield return new GridBlock(
            [
                [
                    .. sort.Headings.Select(h => new GridCell(
                        [new Span(words.Heading(sort.By, h), Reading: sort.By == "spelling", Bold: true)],
                        Sentence
                    )),
                ],
                .. rows,
            ],
            [.. sort.Headings.Select(_ => 1)],
            Ruled: true,
            RowHeight: 13
        );
    }

    private static GridBlock Boxes(WordItem word, bool answers)
    {
        const int percentOfBox = 10;
        var parts = word.Graphemes.Split('|');
        return new GridBlock(
            [
                [.. parts.Select(p => new GridCell(answers ? [Read(p)] : [], Sentence, Centred: true))],
                [.. parts.Select(_ => new GridCell([new Span(answers ? "✓" : "")], 12, Centred: true))],
            ],
            [.. parts.Select(_ => 1)],
            Ruled: true,
            RowHeight: 10,
            Percent: Math.Min(100, percentOfBox * parts.Length)
        );
    }

    /// <summary>What no child is asked to read is marked so.</summary>
    private TextBlock ReadAloud(string text) =>
        new([new Span($"[{saying.Say("paper.adult")}] ", Pale: true), new Span(text)], 13);

    private static GridBlock Row(ImmutableArray<GridCell> cells) =>
        new([cells], [.. cells.Select(_ => 1)], Ruled: false, RowHeight: 14);

    private static TextBlock Traced(string text, int times) =>
        new([new Span(string.Join("   ", Enumerable.Repeat(text, times)), Reading: true, Pale: true)], 36);

    private ImmutableArray<Span> Pictured(string name) =>
        picture(name) is { } shown ? [Span.Of(shown, PictureSide)] : [];

    private static Span Read(string text) => new(text, Reading: true);

    private static string Parted(WordItem word) => word.Graphemes.Replace("|", " · ", StringComparison.Ordinal);
}

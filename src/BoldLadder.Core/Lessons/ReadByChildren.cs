using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// What of an item children read or spell: this binds to what was taught. What only an adult says is not in it. Source:
/// docs/handbook.md, section 4 (Decodable).
/// </summary>
public static class ReadByChildren
{
    private static readonly char[] Spaces = [' '];

    /// <summary>Words of the lexicon, lower case.</summary>
    public static IEnumerable<string> Words(Item item) =>
        item switch
        {
            WordItem { Oral: true } => [],
            WordItem word => [word.Word],
            GapItem gap => [gap.Word],
            ChoiceItem choice => [choice.Word],
            SyllablesItem cut => [cut.Word],
            LineItem line => line.Words.SelectMany(Words),
            SortItem sort => sort.Words.Select(w => w.Word),
            PictureItem picture => picture.Options.Append(picture.Word).Distinct(),
            SceneItem scene => scene.Things.Select(t => t.Word),
            SentenceItem sentence => sentence
                .Words.Where(w => w.Status != SentenceWord.Told)
                .SelectMany(w => InSentence(w.Text)),
            TextItem text => text.Sentences.SelectMany(Words).Concat(InSentence(text.Title)),
            CrosswordItem crossword => crossword.Lines.SelectMany(l => InSentence(l.Clue ?? "").Append(l.Word)),
            MissingWordItem missing => InSentence($"{missing.Before} {missing.After}").Concat(missing.Options),
            PromptItem prompt => prompt.Words.Concat(
                (prompt.Checklist ?? []).Where(l => l.Code == "phrase").SelectMany(l => InSentence(l.Text))
            ),
            BesideItem beside => beside.Cards.Select(c => c.Example).OfType<string>(),
            PatternItem pattern => pattern.Examples?.SelectMany(e => e.Words) ?? [],
            PairItem { Said: not null } => [],
            PairItem pair => [pair.First, pair.Second],
            BuildItem build => [build.Word],
            HuntItem hunt => hunt.Words.Select(w => w.Word),
            ScrambleItem scramble => InSentence(scramble.Whole),
            MendItem mend => InSentence(mend.Right),
            ChunkItem chunk => chunk.Example is { } example ? [example] : [],
            CardItem or SpellingsItem or MadeUpItem or ClueItem => [],
            _ => throw NotSaid(item),
        };

    /// <summary>
    /// Sentences that an item shows or that the adult says with it, whole: none of them comes twice in a lesson.
    /// </summary>
    public static IEnumerable<string> Sentences(Item item) =>
        item switch
        {
            SentenceItem sentence => [sentence.Text],
            TextItem text => text.Sentences.Select(s => s.Text),
            MissingWordItem missing => [missing.Whole],
            ScrambleItem scramble => [scramble.Whole],
            MendItem mend => [mend.Right],
            WordItem { Sentence: { } said } => [said],
            _ => [],
        };

    /// <summary>Correspondences that an item shows without a word of the lexicon round them.</summary>
    public static IEnumerable<Correspondence> Correspondences(Item item) =>
        item switch
        {
            CardItem card => Parsed(card.Correspondence),
            SpellingsItem spellings => spellings.Correspondences.SelectMany(Parsed),
            BesideItem beside => beside.Cards.SelectMany(c => Parsed(c.Correspondence)),
            HuntItem hunt => hunt.Targets.SelectMany(Parsed),
            ChunkItem chunk => chunk.Correspondences.SelectMany(Parsed),
            MadeUpItem made => Segmentation.Parse(made.Graphemes, made.Phonemes).Parts,
            WordItem
            or GapItem
            or ChoiceItem
            or SyllablesItem
            or LineItem
            or SortItem
            or PictureItem
            or SceneItem
            or SentenceItem
            or TextItem
            or CrosswordItem
            or MissingWordItem
            or PromptItem
            or PatternItem
            or PairItem
            or BuildItem
            or ScrambleItem
            or MendItem
            or ClueItem => [],
            _ => throw NotSaid(item),
        };

    /// <summary>
    /// What children read must never be guessed: a new kind of item is named here, or nothing that has one can be
    /// planned.
    /// </summary>
    private static InvalidOperationException NotSaid(Item item) =>
        new($"Say in {nameof(ReadByChildren)} what children read of a {item.GetType().Name}.");

    private static IEnumerable<Correspondence> Parsed(string notation) =>
        Correspondence.TryParse(notation, out var one) ? [one] : [];

    /// <summary>The words of a sentence without its punctuation, in small letters.</summary>
    internal static IEnumerable<string> InSentence(string text) =>
        text.Split(Spaces, StringSplitOptions.RemoveEmptyEntries)
            .Select(Sentence.Plain)
            .Where(w => w.Length > 0 && w.Any(char.IsLetter));
}

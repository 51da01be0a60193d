using System.Collections.Immutable;
using BoldLadder.Core.Activities.Chains;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Lessons;

/// <summary>A card to have ready.</summary>
/// <param name="Tricky">Places of the graphemes of a tricky word's tricky part.</param>
public sealed record WordCard(string Word, ImmutableArray<int> Marks, ImmutableArray<int> Tricky);

/// <summary>A letter tile, and how many of it are needed at one time.</summary>
public sealed record Tile(string Grapheme, int Count);

/// <summary>A sheet to print for an activity.</summary>
public sealed record Sheet(string ActivityId, ActivityKind Kind, Item Item);

/// <summary>
/// What to have at hand for some lessons: each grapheme card and word card once, tiles as many as the lesson that needs
/// most, sheets to print, pictures.
/// Source: docs/handbook.md, section 2 (Get the materials together).
/// </summary>
public sealed record Gathering(
    ImmutableArray<CardItem> Cards,
    ImmutableArray<WordCard> Words,
    ImmutableArray<WordCard> Tricky,
    ImmutableArray<Tile> Tiles,
    ImmutableArray<Sheet> Sheets,
    ImmutableArray<string> Pictures
)
{
    public static Gathering Of(IEnumerable<Lesson> lessons)
    {
        var all = lessons.ToList();
        var activities = all.SelectMany(l => l.Activities).ToList();
        var words = activities
            .Where(a => a.Kind is ActivityKind.ReadWords or ActivityKind.RecentWords)
            .SelectMany(a => a.Items)
            .OfType<WordItem>()
            .Where(w => !w.Oral && w.Tricky.IsEmpty)
            .ToList();
        var tricky = activities
            .Where(a => a.Kind is ActivityKind.TrickySoFar or ActivityKind.NewTrickyWord)
            .SelectMany(a => a.Items)
            .OfType<WordItem>()
            .ToList();
        var tiles = new SortedDictionary<string, int>(StringComparer.Ordinal);
        foreach (var lesson in all)
        {
            foreach (var grapheme in ChainSteps.Tiles(TiledWords(lesson)).GroupBy(g => g.Text))
                tiles[grapheme.Key] = Math.Max(tiles.GetValueOrDefault(grapheme.Key), grapheme.Count());
        }
        var items = activities.SelectMany(a => a.Items).ToList();
        return new Gathering(
            [
                .. items
                    .OfType<CardItem>()
                    .DistinctBy(c => c.Correspondence)
                    .OrderBy(c => c.Grapheme, StringComparer.Ordinal),
            ],
            [.. words.DistinctBy(w => w.Word).OrderBy(w => w.Word, StringComparer.Ordinal).Select(Card)],
            [.. tricky.DistinctBy(w => w.Word).OrderBy(w => w.Word, StringComparer.Ordinal).Select(Card)],
            [.. tiles.Select(t => new Tile(t.Key, t.Value))],
            [
                .. activities.SelectMany(a =>
                    a.Items.Where(i => i is CrosswordItem or SortItem or TextItem or HuntItem)
                        .Select(i => new Sheet(a.Id, a.Kind, i))
                ),
            ],
            [.. items.SelectMany(PicturesOf).Where(p => p.Length > 0).Distinct().Order(StringComparer.Ordinal)]
        );
    }

    /// <summary>The words that are laid with tiles: those of a chain, and those that are spelled.</summary>
    private static IEnumerable<Segmentation> TiledWords(Lesson lesson) =>
        lesson
            .Activities.Where(a => a.Kind is ActivityKind.WordChain or ActivityKind.SpellWords)
            .SelectMany(a => a.Items)
            .OfType<WordItem>()
            .Select(w => Segmentation.Parse(w.Graphemes, w.Phonemes));

    private static WordCard Card(WordItem word) => new(word.Word, word.Marks, word.Tricky);

    private static IEnumerable<string> PicturesOf(Item item) =>
        item switch
        {
            PictureItem picture => [picture.Picture],
            SceneItem scene => scene.Things.Select(t => t.Picture),
            SentenceItem { Pictures: { } pictures } => pictures,
            _ => [],
        };
}

using System.Collections.Immutable;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>A place, and the things that belong there, put together by hand in data/pictures/scenes.tsv.</summary>
/// <param name="Backdrop">What of the name of its picture follows "backdrop-".</param>
public sealed record Scene(string Name, string Backdrop, ImmutableArray<SceneWord> Words)
{
    /// <param name="lines">The file with its heading: scene, backdrop, band, word, size.</param>
    public static ImmutableArray<Scene> Read(IEnumerable<string> lines) =>
        [
            .. lines
                .Skip(1)
                .Select(l => l.Split('\t'))
                .GroupBy(r => (Name: r[0], Backdrop: r[1]))
                .Select(g => new Scene(
                    g.Key.Name,
                    g.Key.Backdrop,
                    [.. g.Select(r => new SceneWord(r[3], r[2] == "upper", InventoryData.Parse<ThingSize>(r[4])))]
                )),
        ];
}

/// <param name="Upper">True for what is in the sky or on the shelf.</param>
public sealed record SceneWord(string Word, bool Upper, ThingSize Size);

/// <summary>
/// A place with some things in it that children can write: what is new first, then what they could write before.
/// Source: docs/handbook.md, section 6 (a picture to write about).
/// </summary>
internal static class SceneChooser
{
    private const int Fewest = 3;

    /// <summary>No more in each half: they stand side by side, each with its word.</summary>
    private const int MostInHalf = 3;
    private const int Most = 5;
    private const int MostOwn = 3;

    public static ImmutableArray<Chooser> All { get; } = [new(ActivityKind.PictureScene, Choose)];

    private static IEnumerable<Item> Choose(LessonWork work, string id, int count) =>
        work.Stream($"{id}:scene")
            .Shuffle(work.Request.Materials.Scenes)
            .Select(s => (Scene: s, Things: ThingsOf(work, id, s)))
            .Where(s => s.Things.Count >= Fewest && s.Things.Exists(t => work.IsOwn(t.Word)))
            .OrderByDescending(s => s.Things.Count(t => work.IsOwn(t.Word)))
            .Select(s => Shown(work, id, s.Scene, s.Things))
            .Take(1);

    private static List<(SceneWord Place, Word Word)> ThingsOf(LessonWork work, string id, Scene scene)
    {
        var writable = work.Own.Concat(work.LikelyBefore).DistinctBy(w => w.Spelling).ToDictionary(w => w.Spelling);
        var things = new List<(SceneWord Place, Word Word)>();
        var pictures = new HashSet<string>(StringComparer.Ordinal);
        var could = work.Stream($"{id}:{scene.Name}")
            .Shuffle(scene.Words)
            .Where(s => writable.ContainsKey(s.Word) && work.Request.Materials.Pictures.ContainsKey(s.Word))
            .Select(s => (Place: s, Word: writable[s.Word]))
            .Where(t => t.Word.Suitability == Suitability.Use)
            .OrderByDescending(t => work.IsOwn(t.Word));
        foreach (var thing in could)
        {
            if (
                things.Count < Most
                && things.Count(t => t.Place.Upper == thing.Place.Upper) < MostInHalf
                && (!work.IsOwn(thing.Word) || things.Count(t => work.IsOwn(t.Word)) < MostOwn)
                && pictures.Add(work.Request.Materials.Pictures[thing.Word.Spelling])
            )
                things.Add(thing);
        }
        return things;
    }

    /// <summary>From easy to hard: so the words are shown one after the other.</summary>
    private static SceneItem Shown(
        LessonWork work,
        string id,
        Scene scene,
        List<(SceneWord Place, Word Word)> things
    ) =>
        new(
            Id: $"{id}:{scene.Name}",
            Kept: false,
            Backdrop: $"backdrop-{scene.Backdrop}",
            Things:
            [
                .. work.EasyToHard(things.Select(t => t.Word))
                    .Select(w => (Word: w, things.Single(t => t.Word == w).Place))
                    .Select(t => new SceneThing(
                        Word: t.Word.Spelling,
                        Picture: work.Request.Materials.Pictures[t.Word.Spelling],
                        Marks: ItemMaker.MarksOf(t.Word),
                        Upper: t.Place.Upper,
                        Size: t.Place.Size
                    )),
            ],
            Reasons: [ReadingChoosers.UsesInWords(work.Request.Today, things.Count(t => work.IsOwn(t.Word)))]
        );
}

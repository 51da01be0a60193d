using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using System.Reflection;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

/// <summary>What a teacher may type into an activity.</summary>
public enum TypedText
{
    None,

    /// <summary>Words, one by one.</summary>
    Words,

    Sentence,
}

/// <summary>
/// What is to be known of a kind of activity by whoever plans, shows, times or prints it: a row of
/// data/templates/activities.tsv. What fills it is its chooser.
/// Source: docs/handbook.md, section 6.
/// </summary>
/// <param name="Name">Its name in the ids of activities, as it was first given: lessons that are stored use it.</param>
/// <param name="Part">The part it belongs to.</param>
/// <param name="Seconds">For one item.</param>
/// <param name="Fewest">Fewer items than this are none.</param>
/// <param name="Fixed">True when there is nothing else to choose: what is new is new.</param>
/// <param name="Whole">True when its items are not asked about, kept or changed one by one: they hang together, or are
/// told.</param>
/// <param name="Told">True when the adult shows and tells: one thing on the board, not one for each item.</param>
/// <param name="Once">True when there is one or two of it, however many items are asked for.</param>
/// <param name="Helps">True when it only helps: it may go where minutes are short.</param>
/// <param name="Released">True where the adult shows first, then all do it, then each alone, in a school that releases
/// in steps.</param>
public sealed record ActivityFacts(
    ActivityKind Kind,
    string Name,
    PartKind Part,
    ResponseMode Response,
    int Seconds,
    int Fewest,
    TypedText Takes,
    bool Fixed,
    bool Whole,
    bool Told,
    bool Once,
    bool Helps,
    bool Released
)
{
    /// <summary>
    /// The facts of each kind, in the order of the kinds. A kind without a row, or a row that can't be read, fails when
    /// the core is loaded.
    /// </summary>
    public static ImmutableArray<ActivityFacts> All { get; } = Read();

    private static readonly FrozenDictionary<ActivityKind, ActivityFacts> ByKind = All.ToFrozenDictionary(f => f.Kind);

    public static ActivityFacts Of(ActivityKind kind) => ByKind[kind];

    /// <summary>
    /// True when an activity may stand in a part: in its own, and in Practise also what belongs to Revisit and Teach.
    /// </summary>
    public bool MayStandIn(PartKind part) => Part == part || (part == PartKind.Practise && Part < part);

    /// <summary>The id of the activity in a part, stable from lesson to lesson: practise-read.</summary>
    public string IdIn(PartKind part) => $"{part.ToString().ToLowerInvariant()}-{Name}";

    private static ImmutableArray<ActivityFacts> Read()
    {
        var rows = InventoryData.Rows("activities.tsv").ToDictionary(r => InventoryData.Parse<ActivityKind>(r[0]));
        return
        [
            .. Enum.GetValues<ActivityKind>()
                .Select(kind =>
                    rows.TryGetValue(kind, out var row)
                        ? Read(kind, row)
                        : throw new InvalidOperationException($"data/templates/activities.tsv has no row for {kind}.")
                ),
        ];
    }

    private static ActivityFacts Read(ActivityKind kind, string[] row)
    {
        var marks = row[7].Split('|', StringSplitOptions.RemoveEmptyEntries).ToList();
        bool Has(string mark) => marks.Remove(mark);
        var facts = new ActivityFacts(
            Kind: kind,
            Name: row[1],
            Part: InventoryData.Parse<PartKind>(row[2]),
            Response: InventoryData.Parse<ResponseMode>(row[3]),
            Seconds: int.Parse(row[4], CultureInfo.InvariantCulture),
            Fewest: int.Parse(row[5], CultureInfo.InvariantCulture),
            Takes: row[6].Length == 0 ? TypedText.None : InventoryData.Parse<TypedText>(row[6]),
            Fixed: Has("fixed"),
            Whole: Has("whole"),
            Told: Has("told"),
            Once: Has("once"),
            Helps: Has("help"),
            Released: Has("released")
        );
        return marks.Count == 0
            ? facts
            : throw new InvalidOperationException(
                $"data/templates/activities.tsv: {row[0]}: there is no mark \"{marks[0]}\"."
            );
    }
}

/// <summary>What is to be known of a kind of item by whoever shows it: a row of data/templates/items.tsv.</summary>
/// <param name="Item">Its discriminator in documents: word.</param>
/// <param name="Tile">True when it is chosen one by one, and can be asked why, kept, changed or left out alone.</param>
/// <param name="Reveals">True when the board hides something of it until the teacher shows it.</param>
public sealed record ItemFacts(string Item, bool Tile, bool Reveals)
{
    /// <summary>
    /// The facts of each kind of item, in the order in which the kinds are declared; one without a row fails when the
    /// core is loaded.
    /// </summary>
    public static ImmutableArray<ItemFacts> All { get; } = Read();

    private static ImmutableArray<ItemFacts> Read()
    {
        var rows = InventoryData
            .Rows("items.tsv")
            .ToDictionary(r => r[0], r => r[1].Split('|', StringSplitOptions.RemoveEmptyEntries));
        var kinds = typeof(Item)
            .GetCustomAttributes<JsonDerivedTypeAttribute>(inherit: false)
            .Select(a => (string)a.TypeDiscriminator!)
            .ToList();
        if (rows.Keys.Except(kinds).FirstOrDefault() is { } stranger)
            throw new InvalidOperationException($"data/templates/items.tsv: there is no item \"{stranger}\".");
        return
        [
            .. kinds.Select(k =>
                rows.TryGetValue(k, out var marks) && marks.All(m => m is "tile" or "reveals")
                    ? new ItemFacts(k, marks.Contains("tile"), marks.Contains("reveals"))
                    : throw new InvalidOperationException(
                        $"data/templates/items.tsv has no row for {k}, or one with an unknown mark."
                    )
            ),
        ];
    }
}

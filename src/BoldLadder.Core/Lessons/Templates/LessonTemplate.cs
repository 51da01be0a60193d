using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;

namespace BoldLadder.Core.Lessons.Templates;

/// <summary>How much a place in a template is wanted.</summary>
public enum SlotNeed
{
    /// <summary>The lesson says so when it can't be filled.</summary>
    Must,

    /// <summary>Filled when there is something to fill it with.</summary>
    IfAny,

    /// <summary>Filled when minutes are left.</summary>
    Room,
}

/// <summary>A place for one activity.</summary>
/// <param name="Kinds">The activities that may stand there.</param>
/// <param name="TakeTurns">True when the one that came longest ago comes first; false when the first that can be filled
/// is taken.</param>
/// <param name="Items">At most so many items.</param>
public sealed record Slot(ImmutableArray<ActivityKind> Kinds, bool TakeTurns, SlotNeed Need, int Items);

public sealed record TemplatePart(PartKind Kind, ImmutableArray<Slot> Slots);

/// <summary>
/// What a lesson of a kind of day and a length is built from: places for activities in the four parts. Shipped ones are
/// data/templates; a school edits its own, also for one weekday. Source: docs/handbook.md, section 6.
/// </summary>
public sealed record LessonTemplate(LessonDay Day, int Minutes, ImmutableArray<TemplatePart> Parts)
{
    private const int MostSlots = 12;
    private const int MostItems = 30;

    private static readonly ImmutableArray<LessonTemplate> All = ReadShipped();

    public static LessonTemplate Shipped(LessonDay day, int minutes) =>
        All.Single(t => t.Day == day && t.Minutes == Pace.NearestLength(minutes));

    /// <summary>How many words are read: what the shared set is as large as.</summary>
    public int SetSize =>
        Parts
            .SelectMany(p => p.Slots)
            .Where(s => s.Kinds.Contains(ActivityKind.ReadWords))
            .Select(s => s.Items)
            .FirstOrDefault(6);

    public static string Write(LessonTemplate template) => JsonSerializer.Serialize(template, LessonDocument.Json);

    /// <exception cref="FormatException">Not a template that can be used.</exception>
    public static LessonTemplate Read(string json)
    {
        try
        {
            return (
                JsonSerializer.Deserialize<LessonTemplate>(json, LessonDocument.Json)
                ?? throw new FormatException("There is no template in this document.")
            ).Checked();
        }
        catch (Exception problem) when (problem is JsonException or RefusedException)
        {
            throw new FormatException($"This is not a lesson template: {problem.Message}", problem);
        }
    }

    /// <summary>The template when it can be used.</summary>
    /// <exception cref="RefusedException">What is wrong.</exception>
    public LessonTemplate Checked()
    {
        if (!Pace.Lengths.Contains(Minutes))
            throw new RefusedException("bad-template.minutes", ("lengths", string.Join(", ", Pace.Lengths)));
        if (
            Parts.Select(p => p.Kind).Distinct().Count() != Parts.Length
            || !Parts.Select(p => p.Kind).SequenceEqual(Parts.Select(p => p.Kind).Order())
        )
            throw new RefusedException("bad-template.order");
        if (
            !Parts.Any(p => p.Kind == PartKind.Practise && p.Slots.Length > 0)
            || !Parts.Any(p => p.Kind == PartKind.Apply && p.Slots.Length > 0)
        )
            throw new RefusedException("bad-template.needs");
        foreach (var part in Parts)
        {
            if (part.Slots.Length > MostSlots)
                throw new RefusedException("bad-template.slots", ("most", MostSlots));
            foreach (var slot in part.Slots)
            {
                if (slot.Kinds.IsDefaultOrEmpty || slot.Items is < 1 or > MostItems)
                    throw new RefusedException("bad-template.slot", ("most", MostItems));
                if (
                    slot.Kinds.FirstOrDefault(k => !ActivityFacts.Of(k).MayStandIn(part.Kind), (ActivityKind)(-1))
                        is var stranger
                    && (int)stranger >= 0
                )
                    throw new RefusedException(
                        "bad-template.stranger",
                        ("activity", stranger),
                        ("part", ActivityFacts.Of(stranger).Part)
                    );
            }
        }
        return this;
    }

    private static ImmutableArray<LessonTemplate> ReadShipped()
    {
        var rows = InventoryData.Rows("templates.tsv").ToList();
        return
        [
            .. from day in Enum.GetValues<LessonDay>()
            from length in Pace.Lengths.Select((minutes, column) => (Minutes: minutes, Column: 4 + column))
            let own = rows.Where(r => InventoryData.Parse<LessonDay>(r[0]) == day && r[length.Column] != "-").ToList()
            select new LessonTemplate(
                day,
                length.Minutes,
                [
                    .. own.GroupBy(r => InventoryData.Parse<PartKind>(r[1]))
                        .OrderBy(g => g.Key)
                        .Select(g => new TemplatePart(g.Key, [.. g.Select(r => Read(r, length.Column))])),
                ]
            ).Checked(),
        ];
    }

    private static Slot Read(string[] row, int column) =>
        new(
            [.. row[2].Split('|', '>').Select(InventoryData.Parse<ActivityKind>)],
            row[2].Contains('|', StringComparison.Ordinal),
            InventoryData.Parse<SlotNeed>(row[3]),
            int.Parse(row[column], CultureInfo.InvariantCulture)
        );
}

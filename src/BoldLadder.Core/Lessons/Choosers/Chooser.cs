using System.Collections.Frozen;
using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// How one kind of activity is filled: the part it belongs to, how children answer, how long an item takes, and what chooses its items. Items obey
/// section 7 of docs/handbook.md; fewer than <paramref name="Fewest"/> are none.
/// </summary>
/// <param name="Seconds">For one item.</param>
/// <param name="Choose">The items for an activity with this id, at most as many as asked.</param>
public sealed record Chooser(ActivityKind Kind, PartKind Part, ResponseMode Response, int Seconds, int Fewest, Func<LessonWork, string, int, IEnumerable<Item>> Choose)
{
    /// <summary>The chooser of each kind: adding a kind means adding a row to one of these lists.</summary>
    public static FrozenDictionary<ActivityKind, Chooser> All { get; } =
        RevisitChoosers.All.Concat(TeachChoosers.All).Concat(ReadingChoosers.All).Concat(SpellingChoosers.All).Concat(ApplyChoosers.All).ToFrozenDictionary(c => c.Kind);

    /// <summary>The id of the activity of a kind, stable from lesson to lesson: practise-read.</summary>
    public static string IdOf(ActivityKind kind, PartKind part) => $"{part.ToString().ToLowerInvariant()}-{Names.GetValueOrDefault(kind) ?? NameOf(kind)}";

    /// <summary>An activity of the kind; null when there is too little to choose from.</summary>
    public static Activity? Make(LessonWork work, ActivityKind kind, PartKind part, int count, string? id = null)
    {
        var chooser = All[kind];
        var own = id ?? IdOf(kind, part);
        ImmutableArray<Item> items = [.. chooser.Choose(work, own, count).DistinctBy(i => i.Id)];
        if (items.Length < Math.Max(1, Math.Min(chooser.Fewest, count))) return null;
        work.Met.UnionWith(items.OfType<SentenceItem>().Select(s => s.Text));
        return Pace.Timed(Leveled.With(work, new Activity(own, kind, chooser.Response, 0, items)), work.Request.Pace);
    }

    /// <summary>Names as they were first given; lessons that are stored use them.</summary>
    private static readonly FrozenDictionary<ActivityKind, string> Names = new Dictionary<ActivityKind, string>
    {
        [ActivityKind.GraphemeCards] = "cards",
        [ActivityKind.RecentWords] = "words",
        [ActivityKind.TrickySoFar] = "tricky",
        [ActivityKind.SoundToSpellings] = "spellings",
        [ActivityKind.NewCorrespondence] = "correspondence",
        [ActivityKind.NewPattern] = "pattern",
        [ActivityKind.NewTrickyWord] = "tricky",
        [ActivityKind.SpotGrapheme] = "spot",
        [ActivityKind.ReadWords] = "read",
        [ActivityKind.SpellWords] = "spell",
        [ActivityKind.WordChain] = "chain",
        [ActivityKind.MadeUpWords] = "made-up",
        [ActivityKind.MissingGrapheme] = "gap",
        [ActivityKind.ReadSentence] = "sentence",
    }.ToFrozenDictionary();

    private static string NameOf(ActivityKind kind) => System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(kind.ToString());
}

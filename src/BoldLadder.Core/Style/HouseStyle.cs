using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Style;

/// <summary>How a sound is shown. Source: docs/handbook.md, section 4 (Sound).</summary>
public enum SoundLabels
{
    /// <summary>/eɪ/.</summary>
    Ipa,

    /// <summary>ai as in rain.</summary>
    Plain,
}

/// <summary>How the graphemes of a word are marked. All draw the same data.</summary>
public enum MarkStyle
{
    /// <summary>A tray under each grapheme.</summary>
    Trays,

    /// <summary>A cut between graphemes.</summary>
    Cuts,

    /// <summary>Graphemes on paper of two greys by turns.</summary>
    Papers,
}

public enum MarkShape
{
    Round,
    Square,
    Slanted,
}

public enum MadeUpWords
{
    InLessons,
    OnlyInChecks,
    Never,
}

public enum Counting
{
    Taps,
    Sounds,
}

/// <summary>What is said and done about words that can't be decoded.</summary>
public enum TrickyWay
{
    /// <summary>Decode what is regular, point at the tricky part.</summary>
    TrickyPart,

    /// <summary>Sounds in boxes, one box marked as the odd one.</summary>
    Boxes,

    /// <summary>Say, spell by letter names, write.</summary>
    ByHeart,
}

public enum Blending
{
    SoundBySound,
    Continuous,
    Cumulative,
    AdjacentFirst,
}

/// <param name="Weight">1, thin, to 4, heavy.</param>
public sealed record SoundMarks(MarkStyle Style, MarkShape Shape, int Weight);

/// <summary>
/// How many items the adult shows and how many are done together; the rest is done alone, or together where
/// <paramref name="YouDo"/> is zero. All zero is all together.
/// </summary>
public sealed record Release(int IDo, int WeDo, int YouDo);

/// <param name="OneStorey">True for a and g as children write them.</param>
/// <param name="Lines">The school's names of the writing lines, top first; may be empty.</param>
public sealed record Lettering(bool OneStorey, IReadOnlyList<string> Lines)
{
    /// <summary>True where letters are formed with the pen on the paper as long as it can stay there.</summary>
    public bool PenDown { get; init; }
}

/// <summary>
/// Our school's way: what a school calls things, how it shows them and what it lets in. Every field is a choice; none
/// is hard-wired elsewhere. Format 1. Source: docs/handbook.md, section 5.
/// </summary>
/// <param name="Labels">The school's own words, by the code of what they name: revisit, teach, practise, apply, tricky,
/// double.</param>
/// <param name="Switches">Accent switches by id; null for the profile's usual ones.</param>
/// <param name="Leniencies">Ids of what counts as readable though it was not taught to the letter.</param>
public sealed record HouseStyle(
    int Format,
    IReadOnlyDictionary<string, string> Labels,
    SoundLabels SoundLabels,
    SoundMarks Marks,
    IReadOnlyList<string>? Switches,
    IReadOnlyList<Chunk> Chunks,
    IReadOnlyList<string> Leniencies,
    MadeUpWords MadeUpWords,
    Release Release,
    Counting Counting,
    TrickyWay TrickyWay,
    Blending Blending,
    Lettering Lettering
)
{
    public const int CurrentFormat = 1;

    /// <summary>True when a word that children may not know comes with a one-line meaning.</summary>
    public bool Meanings { get; init; } = true;

    /// <summary>True where a word that is right has a tick of its own beside those of its graphemes.</summary>
    public bool WordTick { get; init; }

    /// <summary>What the sheet for families begins with; empty for ours.</summary>
    public string Greeting { get; init; } = "";

    /// <summary>Of a greeting.</summary>
    public const int LongestGreeting = 300;

    private const int LongestLabel = 30;
    private const int MostChunks = 60;
    private const int HeaviestMark = 4;
    private const int MostReleased = 9;
    private const int MostLines = 6;

    /// <summary>What a school can rename.</summary>
    public static ImmutableArray<string> Renameable { get; } =
    ["revisit", "teach", "practise", "apply", "tricky", "double"];

    public static HouseStyle Usual { get; } =
        new(
            Format: CurrentFormat,
            Labels: new Dictionary<string, string>(),
            SoundLabels: SoundLabels.Ipa,
            Marks: new SoundMarks(MarkStyle.Trays, MarkShape.Round, 2),
            Switches: null,
            Chunks: [],
            Leniencies: LeniencyRules.Ids(Decoding.Leniencies.All),
            MadeUpWords: MadeUpWords.InLessons,
            Release: new Release(1, 2, 3),
            Counting: Counting.Taps,
            TrickyWay: TrickyWay.TrickyPart,
            Blending: Blending.SoundBySound,
            Lettering: new Lettering(true, [])
        );

    private static readonly JsonSerializerOptions Json = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        RespectRequiredConstructorParameters = true,
        Converters = { new JsonStringEnumConverter(EnumCode.Naming, allowIntegerValues: false) },
    };

    /// <summary>The leniencies that the ids name.</summary>
    [JsonIgnore]
    public Leniencies Lenient => LeniencyRules.Parse(Leniencies);

    /// <summary>The accent with the school's switches.</summary>
    public Accent On(Accent profile) =>
        Switches is null ? profile : profile with { Switches = AccentSwitchIds.Parse(Switches) };

    public static string Write(HouseStyle style) => JsonSerializer.Serialize(style, Json);

    /// <exception cref="FormatException">Not a house style of a known format.</exception>
    public static HouseStyle Read(string json) =>
        JsonSerializer.Deserialize<HouseStyle>(json, Json) is { Format: CurrentFormat } style
            ? style
            : throw new FormatException($"This house style is not of format {CurrentFormat}.");

    /// <summary>The style when it can be used.</summary>
    /// <exception cref="RefusedException">What is wrong.</exception>
    public HouseStyle Checked()
    {
        if (Format != CurrentFormat)
            throw new RefusedException("bad-style");
        if (Labels.Keys.FirstOrDefault(k => !Renameable.Contains(k)) is { } unknown)
        {
            throw new RefusedException("bad-style.label", ("label", unknown), ("known", string.Join(", ", Renameable)));
        }
        if (Labels.FirstOrDefault(l => !IsName(l.Value)) is { Key: not null } label)
        {
            throw new RefusedException("bad-style.label-length", ("label", label.Key), ("most", LongestLabel));
        }
        if (Marks.Weight is < 1 or > HeaviestMark)
            throw new RefusedException("bad-style.weight", ("most", HeaviestMark));
        if (new[] { Release.IDo, Release.WeDo, Release.YouDo }.Any(n => n is < 0 or > MostReleased))
            throw new RefusedException("bad-style.release", ("most", MostReleased));
        if (Lettering.Lines.Count > MostLines || Lettering.Lines.Any(l => !IsName(l)))
        {
            throw new RefusedException("bad-style.lines", ("lines", MostLines), ("most", LongestLabel));
        }
        if (Greeting.Length > LongestGreeting || Greeting.Any(char.IsControl))
            throw new RefusedException("bad-style.greeting", ("most", LongestGreeting));
        if (Chunks.Count > MostChunks)
            throw new RefusedException("bad-style.chunks", ("most", MostChunks));
        try
        {
            foreach (var chunk in Chunks)
                Check(chunk);
            LeniencyRules.Parse(Leniencies);
            if (Switches is not null)
                AccentSwitchIds.Parse(Switches);
        }
        catch (FormatException)
        {
            throw new RefusedException("bad-style");
        }
        return this;
    }

    private static void Check(Chunk chunk)
    {
        var parts = chunk.Correspondences.Select(Correspondence.Parse).ToList();
        if (parts.Count < 2 || !parts[0].IsVowel || string.Concat(parts.Select(p => p.Grapheme.Text)) != chunk.Text)
            throw new RefusedException("bad-style.chunk", ("chunk", chunk.Text));
    }

    private static bool IsName(string text) => PlainName.Is(text, LongestLabel);
}

/// <summary>The ids of accent switches as settings write them: bath-as-trap.</summary>
public static class AccentSwitchIds
{
    private static readonly Dictionary<string, AccentSwitches> ById = Enum.GetValues<AccentSwitches>()
        .Where(s => int.IsPow2((int)s))
        .ToDictionary(s => s.Code());

    public static IReadOnlyList<string> Of(AccentSwitches switches) =>
        [.. ById.Where(s => switches.HasFlag(s.Value)).Select(s => s.Key)];

    /// <exception cref="FormatException">There is no switch with one of these ids; the message lists them.</exception>
    public static AccentSwitches Parse(IEnumerable<string> ids) =>
        ids.Aggregate(AccentSwitches.None, (all, id) =>
            ById.TryGetValue(id, out var found)
                ? all | found
                : throw new FormatException(
                    $"\"{id}\" is not an accent switch. Use some of: {string.Join(", ", ById.Keys)}."
                )
        );
}

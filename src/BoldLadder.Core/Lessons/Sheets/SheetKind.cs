using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;

namespace BoldLadder.Core.Lessons.Sheets;

/// <summary>What children do on a sheet of paper.</summary>
public enum SheetKind
{
    TraceAndWrite,
    ReadAndMark,
    JoinPictures,
    ChoosePicture,
    MissingGrapheme,
    ChooseSpelling,
    SortColumns,
    FindWords,
    GapSentences,
    Crossword,
    Chain,
    Boxes,
    CoverAndWrite,
    Strips,
    ReadAText,
    Story,
}

/// <summary>The same sheet with shorter words and fewer of them, as it is, or with longer words and more.</summary>
public enum SheetLevel
{
    Easier,
    Same,
    Harder,
}

/// <summary>What a sheet of a kind is filled with: a row of data/templates/sheets.tsv.</summary>
/// <param name="Activities">The activities whose items stand on it, one after the other.</param>
/// <param name="Counts">How many items of the last activity, by level.</param>
/// <param name="Fewest">Fewer items than this are none.</param>
/// <param name="HasAnswers">False where nothing on it is right or wrong.</param>
public sealed record SheetFacts(
    SheetKind Kind,
    ImmutableArray<ActivityKind> Activities,
    ImmutableArray<int> Counts,
    int Fewest,
    bool HasAnswers
)
{
    /// <summary>In the order of the kinds; one without a row fails when the core is loaded.</summary>
    public static ImmutableArray<SheetFacts> All { get; } = Read();

    private static readonly FrozenDictionary<SheetKind, SheetFacts> ByKind = All.ToFrozenDictionary(f => f.Kind);

    public static SheetFacts Of(SheetKind kind) => ByKind[kind];

    private static ImmutableArray<SheetFacts> Read()
    {
        var rows = InventoryData.Rows("sheets.tsv").ToDictionary(r => InventoryData.Parse<SheetKind>(r[0]));
        return
        [
            .. Enum.GetValues<SheetKind>()
                .Select(kind =>
                    rows.TryGetValue(kind, out var row)
                        ? new SheetFacts(
                            kind,
                            [.. row[1].Split('|').Select(InventoryData.Parse<ActivityKind>)],
                            [.. row[2..5].Select(n => int.Parse(n, CultureInfo.InvariantCulture))],
                            int.Parse(row[5], CultureInfo.InvariantCulture),
                            row[6] == "yes"
                        )
                        : throw new InvalidOperationException($"data/templates/sheets.tsv has no row for {kind}.")
                ),
        ];
    }
}

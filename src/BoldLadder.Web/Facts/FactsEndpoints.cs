using BoldLadder.Core;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Facts;

/// <summary>A kind of activity as screens need to know it.</summary>
/// <param name="Parts">The parts it may stand in, its own first.</param>
public sealed record ActivityView(
    ActivityKind Kind,
    PartKind Part,
    IReadOnlyList<PartKind> Parts,
    ResponseMode Response,
    int Seconds,
    TypedText Takes,
    bool Fixed,
    bool Whole,
    bool Told,
    bool Once
);

/// <summary>
/// What the core knows and every screen asks it for: the same for all schools, until the app is updated.
/// </summary>
/// <param name="Activities">In the order of the parts.</param>
/// <param name="ChangeOver">Seconds between two activities.</param>
/// <param name="Lengths">The lengths of lessons with templates of their own, in minutes.</param>
/// <param name="Patterns">What words can be asked for by.</param>
/// <param name="LongBreak">More days than these without a lesson are a long break.</param>
public sealed record FactsView(
    IReadOnlyList<ActivityView> Activities,
    IReadOnlyList<ItemFacts> Items,
    int ChangeOver,
    IReadOnlyList<int> Lengths,
    IReadOnlyList<LessonDay> Days,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Leniencies,
    IReadOnlyList<string> AccentSwitches,
    IReadOnlyList<string> Ladders,
    int LongBreak
);

/// <summary>The core's tables for the front end, so that no screen keeps a copy.</summary>
public static class FactsEndpoints
{
    public static void MapFacts(this IEndpointRouteBuilder api) =>
        api.MapGet("/facts", () => TypedResults.Ok(View())).AllowAnonymous().WithName("getFacts");

    private static FactsView View() =>
        new(
            Activities:
            [
                .. ActivityFacts.All.Select(f => new ActivityView(
                    Kind: f.Kind,
                    Part: f.Part,
                    Parts: [.. Enum.GetValues<PartKind>().Where(f.MayStandIn).OrderByDescending(p => p == f.Part)],
                    Response: f.Response,
                    Seconds: f.Seconds,
                    Takes: f.Takes,
                    Fixed: f.Fixed,
                    Whole: f.Whole,
                    Told: f.Told,
                    Once: f.Once
                )),
            ],
            Items: ItemFacts.All,
            ChangeOver: Pace.ChangeOver,
            Lengths: Pace.Lengths,
            Days: Enum.GetValues<LessonDay>(),
            Patterns: [.. WordQuery.Asked.Each().Select(p => p.Id())],
            Leniencies: Leniencies.All.Ids(),
            AccentSwitches:
            [
                .. Enum.GetValues<AccentSwitches>()
                    .Where(s => s != Core.Accents.AccentSwitches.None)
                    .Select(s => s.Code()),
            ],
            Ladders: Ladder.Shipped,
            LongBreak: SchoolCalendar.LongBreak
        );
}

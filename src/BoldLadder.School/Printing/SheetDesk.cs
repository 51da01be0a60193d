using BoldLadder.Core.Lessons.Sheets;
using BoldLadder.School.Refusals;
using BoldLadder.School.Style;

namespace BoldLadder.School.Printing;

/// <param name="Kinds">The sheets that there is enough for, neither easier nor harder.</param>
/// <param name="WithoutAnswers">Of them those on which nothing is right or wrong.</param>
/// <param name="LeftOut">Typed words that can't stand on a sheet.</param>
public sealed record SheetsView(
    string GroupName,
    DateOnly Date,
    string RungLabel,
    IReadOnlyList<SheetKind> Kinds,
    IReadOnlyList<SheetKind> WithoutAnswers,
    IReadOnlyList<LeftOut> LeftOut
);

/// <summary>What a sheet is asked for.</summary>
/// <param name="Words">Typed; null for all that have what is new.</param>
/// <param name="Rung">A rung's id, in place of what the day brings; null for the day.</param>
public sealed record SheetWanted(
    SheetKind? Kind,
    SheetLevel? Level,
    long Seed = 0,
    PaperSpan Span = PaperSpan.Day,
    string? Rung = null,
    string? Words = null
);

/// <summary>
/// Sheets of paper for the day of a group, its week, a rung or words that were typed: made when they are asked for, the
/// same for the same seed. Source: docs/handbook.md, section 6 (sheets).
/// </summary>
public sealed class SheetDesk(PaperDays days, TypedWords typed, StyleDesk style)
{
    /// <summary>The sheets that can be made.</summary>
    public async Task<Answer<SheetsView>> Show(Guid groupId, DateOnly date, SheetWanted wanted)
    {
        var found = await Find(groupId, date, wanted);
        if (found.Refusal is { } refusal)
            return refusal;
        var (day, words) = found.Value;
        var kinds = SheetMaker.Can(day.Request, words.Set).ToList();
        return new SheetsView(
            day.Group.Name,
            date,
            day.Label,
            kinds,
            kinds.FindAll(k => !SheetFacts.Of(k).HasAnswers),
            words.LeftOut
        );
    }

    public async Task<Answer<PaperSheet>> Make(Guid groupId, DateOnly date, SheetWanted wanted)
    {
        if (wanted.Kind is not { } kind || wanted.Level is not { } level)
            return Refusal.Unusable("unknown-sheet");
        var found = await Find(groupId, date, wanted);
        if (found.Refusal is { } refusal)
            return refusal;
        var (day, words) = found.Value;
        return SheetMaker.Make(day.Request, kind, level, words.Set) is { } made
            ? (await style.Way()).Over(made)
            : Refusal.Unusable("too-little-for-sheet");
    }

    private async Task<Answer<(PaperDay Day, Typed Words)>> Find(Guid groupId, DateOnly date, SheetWanted wanted)
    {
        var found = await days.Of(groupId, date, wanted.Seed, wanted.Span, wanted.Rung);
        if (found.Refusal is { } refusal)
            return refusal;
        var judged = typed.Judge(wanted.Words, found.Value);
        return judged.Refusal is { } unusable ? unusable : (found.Value, judged.Value);
    }
}

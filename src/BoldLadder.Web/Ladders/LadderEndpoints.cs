using BoldLadder.Core;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Ladders;

/// <summary>The school's ladders: what there is, a new one, and a published version with what each rung unlocks.</summary>
public static class LadderEndpoints
{
    private const int LongestName = 80;
    private const string Blank = "blank";

    public static void MapLadders(this IEndpointRouteBuilder school)
    {
        school.MapGet("/ladders", async (SchoolScope scope) => TypedResults.Ok(await scope.Store.Ladders.OrderBy(l => l.Name)
            .Select(l => new LadderSummary(l.Id, l.Name, scope.Store.LadderVersions.Where(v => v.LadderId == l.Id).Max(v => (int?)v.Version) ?? 0,
                scope.Store.LadderDrafts.Any(d => d.LadderId == l.Id), scope.Store.Groups.Count(g => g.LadderId == l.Id)))
            .ToListAsync())).WithName("listLadders");
        school.MapGet("/teachables", () => TypedResults.Ok(Teachables)).WithName("listTeachables");
        school.MapPost("/ladders", Make).WithName("makeLadder");
        school.MapPost("/ladders/{ladderId:guid}/name", Rename).WithName("renameLadder");
        school.MapGet("/ladders/{ladderId:guid}/versions/{version:int}", Show).WithName("getLadder");
        school.MapGet("/ladders/{ladderId:guid}/versions/{version:int}/rungs/{rungId}/words", ShowWords).WithName("getRungWords");
        school.MapGet("/ladders/{ladderId:guid}/versions/{version:int}/tricky-words", ShowTricky).WithName("getTrickyWords");
    }

    /// <summary>What a rung can teach: the regular correspondences and the patterns.</summary>
    private static readonly TeachablesView Teachables = new(
        [.. Correspondence.All.Where(c => c.IsRegular && !c.IsBath).Select(c => new TeachableView(c.Notation, c.Grapheme.Text, c.SoundText, c.Sounds[0].KeyWord))],
        [.. Enum.GetValues<Patterns>().Where(p => int.IsPow2((int)p)).Select(p => p.Id())]);

    public static ProblemHttpResult UnknownLadder() => Problem.NotFound("unknown-ladder", "There is no such ladder or version. Go back to the list of ladders.");

    /// <summary>The words a rung unlocks, easiest first.</summary>
    public static Results<Ok<IReadOnlyList<RungWord>>, ProblemHttpResult> Words(Ladder ladder, string rungId, LadderWork work)
    {
        var at = ladder.IndexOf(rungId);
        if (at < 0) return Problem.NotFound("unknown-rung", "This rung is not on this version of the ladder. Choose one from the ladder.");
        IReadOnlyList<RungWord> list = [.. work.Unlocked(ladder)[at]
            .OrderByDescending(w => w.IsKnown).ThenBy(w => w.Segmentation.Taps).ThenByDescending(w => w.Zipf)
            .Select(w => new RungWord(w.Spelling, w.Segmentation.Graphemes, w.Segmentation.Phonemes,
                [.. w.Segmentation.Letters().Select(l => l.Part)], w.Segmentation.Taps, w.Segmentation.Shape, Position(w, ladder.Rungs[at]), w.IsKnown))];
        return TypedResults.Ok(list);
    }

    public static TrickyWordsView Tricky(Ladder ladder, SchoolScope scope, WordData words)
    {
        const int mostSuggested = 12;
        var reach = ladder.ReachIn(scope.Leniencies, scope.Accent);
        var placement = new TrickyPlacement(words.Lexicon, scope.Accent, most: int.MaxValue);
        TrickyView View(string spelling, int? rung, Word? word)
        {
            var readable = word is null ? null : reach.RungOf(word);
            var part = word is null || rung is null ? [] : ladder.TaughtAfter(rung.Value + 1, scope.Leniencies, scope.Accent) is var taught
                ? taught.TrickyPlaces(word).Select(p => word.Segmentation.Parts[p].Grapheme.Text).ToList() : [];
            return new TrickyView(spelling, rung is { } at ? ladder.Rungs[at].Id : null, rung + 1, readable + 1, readable is >= 0 and var there ? ladder.Rungs[there].Id : null, part);
        }
        return new TrickyWordsView(
            [.. ladder.Rungs.SelectMany((r, i) => r.Tricky.Select(t => View(t, i, words.Lexicon.Find(t))))],
            [.. placement.Suggest(ladder).OrderByDescending(s => s.Word.Zipf).Take(mostSuggested).OrderBy(s => s.Rung).Select(s => View(s.Word.Spelling, s.Rung, s.Word))],
            [.. placement.NeverReadable(ladder).Take(60).Select(w => w.Spelling)]);
    }

    public static bool IsName(string? name) => PlainName.Is(name?.Trim(), LongestName);

    public static ProblemHttpResult BadName() => Problem.Of(StatusCodes.Status422UnprocessableEntity, "bad-name", $"Give it a name of 1 to {LongestName} letters.");

    private static string Position(Word word, Rung rung)
    {
        var parts = word.Segmentation.Parts;
        var at = Enumerable.Range(0, parts.Length).Where(i => rung.Correspondences.Contains(parts[i])).Cast<int?>().FirstOrDefault();
        return at switch { null => "", 0 => "start", { } last when last == parts.Length - 1 => "end", _ => "middle" };
    }

    private static async Task<Results<Ok<LadderSummary>, ProblemHttpResult>> Make(NewLadder request, SchoolScope scope, WordData words, LadderWork work)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        if (!IsName(request.Name)) return BadName();
        await scope.Lock(request.Id);
        if (await scope.Store.Ladders.AsNoTracking().SingleOrDefaultAsync(l => l.Id == request.Id) is { } made)
        {
            // Sent twice, it is made once.
            return made.Name == request.Name.Trim() ? TypedResults.Ok(await Summary(scope, request.Id))
                : Problem.Of(StatusCodes.Status409Conflict, "id-taken", $"There is a ladder with this id, called {made.Name}. Reload the page and make yours once more.");
        }
        if (request.Id == Guid.Empty) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "id-missing", "Give the new ladder an id of its own. Reload the page and try again.");
        Ladder? start = null;
        if (words.Ladders.TryGetValue(request.From, out var shipped)) start = AccentFit.Of(shipped, work.Index);
        else if (request.From == Blank) start = new Ladder(Blank, "own", Patterns.Capitals | Patterns.Compound | Patterns.Contraction | Patterns.ThreeSyllables, []);
        else if (Guid.TryParse(request.From, out var other)) start = (await scope.Store.LadderVersions.AsNoTracking().Where(v => v.LadderId == other).OrderByDescending(v => v.Version).FirstOrDefaultAsync())?.Document;
        if (start is null) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "unknown-start", $"Start from {string.Join(", ", words.Ladders.Keys)}, {Blank}, or a published ladder of your school.");
        scope.Store.Ladders.Add(new SchoolLadder { SchoolId = scope.School.SchoolId, Id = request.Id, Name = request.Name.Trim() });
        await scope.Store.SaveChangesAsync();
        if (start.Rungs.IsEmpty) scope.Store.LadderDrafts.Add(new LadderDraft { SchoolId = scope.School.SchoolId, LadderId = request.Id, Document = start, Version = 1, BasedOn = 0, Since = 1 });
        else scope.Store.LadderVersions.Add(new LadderVersion { SchoolId = scope.School.SchoolId, LadderId = request.Id, Version = 1, Document = start, PublishedAt = scope.UtcNow, Name = request.Name.Trim(), PublishedBy = scope.UserId });
        scope.Audit("ladder-made", request.Id);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(await Summary(scope, request.Id));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Rename(Guid ladderId, Renaming request, SchoolScope scope)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        if (!IsName(request.Name)) return BadName();
        if (await scope.Store.Ladders.SingleOrDefaultAsync(l => l.Id == ladderId) is not { } ladder) return UnknownLadder();
        ladder.Name = request.Name.Trim();
        scope.Audit("ladder-renamed", ladderId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static Task<LadderSummary> Summary(SchoolScope scope, Guid id) => scope.Store.Ladders.Where(l => l.Id == id)
        .Select(l => new LadderSummary(l.Id, l.Name, scope.Store.LadderVersions.Where(v => v.LadderId == l.Id).Max(v => (int?)v.Version) ?? 0,
            scope.Store.LadderDrafts.Any(d => d.LadderId == l.Id), scope.Store.Groups.Count(g => g.LadderId == l.Id))).SingleAsync();

    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Show(Guid ladderId, int version, SchoolScope scope, LadderWork work)
    {
        if (await scope.Store.Ladders.AsNoTracking().SingleOrDefaultAsync(l => l.Id == ladderId) is not { } kept || await scope.Ladder(ladderId, version) is not { } ladder) return UnknownLadder();
        return TypedResults.Ok(await work.View(kept, version, ladder, null));
    }

    private static async Task<Results<Ok<IReadOnlyList<RungWord>>, ProblemHttpResult>> ShowWords(Guid ladderId, int version, string rungId, SchoolScope scope, LadderWork work) =>
        await scope.Ladder(ladderId, version) is { } ladder ? Words(ladder, rungId, work) : UnknownLadder();

    private static async Task<Results<Ok<TrickyWordsView>, ProblemHttpResult>> ShowTricky(Guid ladderId, int version, SchoolScope scope, WordData words) =>
        await scope.Ladder(ladderId, version) is { } ladder ? TypedResults.Ok(Tricky(ladder, scope, words)) : UnknownLadder();
}

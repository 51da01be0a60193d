using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Store;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Ladders;

/// <summary>A ladder's draft: begun, changed, tried, undone, published. Leads only, but all may look.</summary>
public static class DraftEndpoints
{
    private const int MostSteps = 800;

    public static void MapDrafts(this IEndpointRouteBuilder school)
    {
        var ladder = school.MapGroup("/ladders/{ladderId:guid}");
        ladder.MapPut("/draft", Begin).WithName("beginDraft");
        ladder.MapGet("/draft", Show).WithName("getDraft");
        ladder.MapGet("/draft/rungs/{rungId}/words", ShowWords).WithName("getDraftRungWords");
        ladder.MapGet("/draft/rungs/{rungId}/places", ShowPlaces).RequireRateLimiting(Limits.Heavy).WithName("getPlaces");
        ladder.MapGet("/draft/tricky-words", ShowTricky).WithName("getDraftTrickyWords");
        ladder.MapGet("/draft/suggestions", Suggest).RequireRateLimiting(Limits.Heavy).WithName("getSuggestions");
        ladder.MapPost("/draft/changes", Change).WithName("changeDraft");
        ladder.MapPost("/draft/trials", Try).WithName("tryDraft");
        ladder.MapPost("/draft/undo", (Guid ladderId, SchoolScope scope, Drafts drafts, LadderWork work) => TakeBack(ladderId, true, scope, drafts, work)).WithName("undoDraft");
        ladder.MapPost("/draft/redo", (Guid ladderId, SchoolScope scope, Drafts drafts, LadderWork work) => TakeBack(ladderId, false, scope, drafts, work)).WithName("redoDraft");
        ladder.MapPost("/draft/restoration", Restore).WithName("restoreDraft");
        ladder.MapPost("/draft/publication", Publish).WithName("publishDraft");
        ladder.MapGet("/history", History).WithName("getHistory");
        ladder.MapGet("/versions/{version:int}/difference", Difference).WithName("getDifference");
        school.MapPost("/groups/{groupId:guid}/ladder", MoveGroup).WithName("moveGroup");
    }

    private static ProblemHttpResult NoDraft() => Problem.NotFound("no-draft", "This ladder has no draft. Choose Edit to begin one.");

    private static Task<LadderDraft?> Draft(SchoolScope scope, Guid ladderId) => scope.Store.LadderDrafts.AsNoTracking().SingleOrDefaultAsync(d => d.LadderId == ladderId);

    private static async Task<Ok<LadderView>> View(SchoolScope scope, LadderDraft draft, Drafts drafts, LadderWork work)
    {
        var kept = await scope.Store.Ladders.AsNoTracking().SingleAsync(l => l.Id == draft.LadderId);
        var published = draft.BasedOn == 0 ? null : await scope.Ladder(draft.LadderId, draft.BasedOn);
        var (undo, redo) = await drafts.Stacks(draft);
        var changes = published is null ? draft.Document.Rungs.Length : LadderDifference.Between(published, draft.Document).Length;
        return TypedResults.Ok(await work.View(kept, draft.BasedOn, draft.Document, new DraftState(draft.Version, changes, undo is not null, redo is not null)));
    }

    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Begin(Guid ladderId, SchoolScope scope, Drafts drafts, LadderWork work)
    {
        if (!await scope.Store.Ladders.AnyAsync(l => l.Id == ladderId)) return LadderEndpoints.UnknownLadder();
        if (scope.LeadOnly() is { } refused) return refused;
        await scope.Lock(ladderId);
        if (await Draft(scope, ladderId) is { } begun) return await View(scope, begun, drafts, work);
        if (await scope.Store.LadderVersions.AsNoTracking().Where(v => v.LadderId == ladderId).OrderByDescending(v => v.Version).FirstOrDefaultAsync() is not { } latest) return LadderEndpoints.UnknownLadder();
        var draft = new LadderDraft { SchoolId = scope.School.SchoolId, LadderId = ladderId, Document = latest.Document, Version = 1, BasedOn = latest.Version, Since = 1 };
        scope.Store.LadderDrafts.Add(draft);
        await scope.Store.SaveChangesAsync();
        return await View(scope, draft, drafts, work);
    }

    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Show(Guid ladderId, SchoolScope scope, Drafts drafts, LadderWork work) =>
        await Draft(scope, ladderId) is { } draft ? await View(scope, draft, drafts, work) : NoDraft();

    private static async Task<Results<Ok<IReadOnlyList<RungWord>>, ProblemHttpResult>> ShowWords(Guid ladderId, string rungId, SchoolScope scope, LadderWork work) =>
        await Draft(scope, ladderId) is { } draft ? LadderEndpoints.Words(draft.Document, rungId, work) : NoDraft();

    private static async Task<Results<Ok<TrickyWordsView>, ProblemHttpResult>> ShowTricky(Guid ladderId, SchoolScope scope, WordData words) =>
        await Draft(scope, ladderId) is { } draft ? TypedResults.Ok(LadderEndpoints.Tricky(draft.Document, scope, words)) : NoDraft();

    private static async Task<Results<Ok<PlacesView>, ProblemHttpResult>> ShowPlaces(Guid ladderId, string rungId, SchoolScope scope, LadderWork work, CancellationToken stop)
    {
        if (await Draft(scope, ladderId) is not { } draft) return NoDraft();
        var at = draft.Document.IndexOf(rungId);
        if (at < 0) return Problem.NotFound("unknown-rung", "This rung is not on the ladder. Choose one from the ladder.");
        var answers = await work.Places(draft.Document, at, stop);
        var best = MoveSuggestions.Best(draft.Document, at, answers, work.Index);
        return TypedResults.Ok(new PlacesView([.. answers.Select(a => new PlaceView(a.To, a.Warnings.Length, a.Reading - answers[at].Reading))], best is null ? null : View(draft.Document, best)));
    }

    private static async Task<Results<Ok<List<MoveView>>, ProblemHttpResult>> Suggest(Guid ladderId, SchoolScope scope, LadderWork work, CancellationToken stop) =>
        await Draft(scope, ladderId) is { } draft ? TypedResults.Ok((await work.Suggestions(draft.Document, stop)).Select(m => View(draft.Document, m)).ToList()) : NoDraft();

    private static MoveView View(Ladder ladder, MoveSuggestion move) => new(
        move.RungId, ladder.Rungs[move.From].Label, move.After, move.From + 1, move.To + 1, move.Reading, [.. move.Fixes.Select(LadderWork.ReasonOf)], [.. move.Sooner.Select(w => w.Spelling)]);

    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Change(
        Guid ladderId, LadderEdit edit, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Drafts drafts, LadderWork work, WordData words)
    {
        var (draft, refusal) = await drafts.Open(ladderId);
        if (draft is null) return refusal!;
        if (Stamps.Number(ifMatch) is not { } seen) return Stamps.Missing();
        if (seen > draft.Version) return Problem.Unusable("unknown-version", "The draft has no such version yet. Load the ladder again, then make your change once more.");
        if (!LadderEndpoints.IsName(edit.Name) || edit.Steps.Count > MostSteps) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "too-many-steps", "That is too much at once. Do it in two goes.");
        if (UnknownTricky(edit.Steps, words) is { } unknown) return unknown;
        if (await drafts.Change(draft, edit.Name, edit.Steps, seen) is { } problem) return problem;
        await scope.Store.SaveChangesAsync();
        return await View(scope, draft, drafts, work);
    }

    private static ProblemHttpResult? UnknownTricky(IEnumerable<LadderStep> steps, WordData words)
    {
        var asked = steps.SelectMany(s => s switch { PlaceTricky { Rung: not null } place => [place.Word], InsertRung insert => insert.Rung.Tricky, _ => (IEnumerable<string>)[] });
        return asked.FirstOrDefault(w => words.Lexicon.Find(w) is null) is { } unknown
            ? Problem.Of(StatusCodes.Status422UnprocessableEntity, "unknown-word", $"\"{unknown}\" is not in the word list. Check its spelling; write it without a capital.") : null;
    }

    private static async Task<Results<Ok<TrialView>, ProblemHttpResult>> Try(Guid ladderId, LadderTrial trial, SchoolScope scope, LadderWork work, LessonMaking making, SchoolLexicon words)
    {
        if (await Draft(scope, ladderId) is not { } draft) return NoDraft();
        if (trial.Steps.Count > MostSteps) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "too-many-steps", "That is too much at once. Do it in two goes.");
        Ladder after;
        try
        {
            after = LadderEditing.Apply(draft.Document, trial.Steps).After;
        }
        catch (LadderRefusedException refusal)
        {
            return Drafts.Refused(refusal);
        }
        var analysis = LadderAnalysis.Of(after, work.Index);
        var moved = LadderComparison.Of(draft.Document, after, LadderEditing.Touched(trial.Steps), work.Index);
        var rungs = after.Rungs.Zip(analysis.Rungs, (r, a) => new TrialRung(r.Id, a.NewWords, a.WordsSoFar, Math.Round(a.TextShare, 3), [.. a.Warnings.Select(LadderWork.ReasonOf)])).ToList();
        return TypedResults.Ok(new TrialView(rungs, Moves(moved.Gained), Moves(moved.Lost), Moves(moved.Earlier), Moves(moved.Later), await BrokenLessons.On(after, ladderId, scope, making, words)));
    }

    private static WordMoves Moves(IReadOnlyCollection<MovedWord> moved)
    {
        const int examples = 12;
        return new WordMoves(moved.Count, [.. moved.OrderByDescending(m => m.Word.IsKnown).Take(examples).Select(m => new WordMove(m.Word.Spelling, m.Before + 1, m.After + 1))]);
    }

    /// <summary>Takes the person's last change back, or does it again.</summary>
    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> TakeBack(Guid ladderId, bool undo, SchoolScope scope, Drafts drafts, LadderWork work)
    {
        var (draft, refusal) = await drafts.Open(ladderId);
        if (draft is null) return refusal!;
        var stacks = await drafts.Stacks(draft);
        if ((undo ? stacks.Undo : stacks.Redo) is not { } change)
        {
            return Problem.Of(StatusCodes.Status409Conflict, undo ? "nothing-to-undo" : "nothing-to-redo", undo ? "There is nothing of yours left to undo in this draft." : "There is nothing to do again.");
        }
        if (await drafts.Change(draft, undo ? "undo" : "redo", change.Inverse.Steps, change.Version, change.Version) is { } problem) return problem;
        await scope.Store.SaveChangesAsync();
        return await View(scope, draft, drafts, work);
    }

    /// <summary>Brings a published version back into the draft, as a change that can be undone.</summary>
    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Restore(Guid ladderId, RestoreRequest request, SchoolScope scope, Drafts drafts, LadderWork work)
    {
        var (draft, refusal) = await drafts.Open(ladderId);
        if (draft is null) return refusal!;
        if (await scope.Ladder(ladderId, request.Version) is not { } version) return LadderEndpoints.UnknownLadder();
        if (await drafts.Change(draft, "restore", LadderDifference.Between(draft.Document, version), draft.Version) is { } problem) return problem;
        await scope.Store.SaveChangesAsync();
        return await View(scope, draft, drafts, work);
    }

    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Publish(
        Guid ladderId, PublishRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Drafts drafts, LadderWork work)
    {
        var (draft, refusal) = await drafts.Open(ladderId);
        if (draft is null) return refusal!;
        if (Stamps.Number(ifMatch) is not { } seen) return Stamps.Missing();
        if (seen != draft.Version) return Problem.Of(StatusCodes.Status409Conflict, "changed-meanwhile", "The draft has changed since you looked at it. Look at it as it is now, then publish.");
        if (!LadderEndpoints.IsName(request.Name)) return LadderEndpoints.BadName();
        if (draft.Document.Rungs.IsEmpty) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "empty-ladder", "There is nothing on this ladder yet. Add a rung, then publish.");
        var groups = await scope.Groups.Where(g => g.LadderId == ladderId && request.Groups.Contains(g.Id)).ToListAsync();
        // Sent twice, it is published once: what is the same as its last version becomes no new one.
        if (!await IsPublished(scope, draft)) await PublishNew(scope, draft, request.Name.Trim());
        foreach (var group in groups.Where(g => g.LadderVersion != draft.BasedOn))
        {
            group.LadderVersion = draft.BasedOn;
            scope.Audit("group-moved", group.Id);
        }
        await scope.Store.SaveChangesAsync();
        return await View(scope, draft, drafts, work);
    }

    private static async Task<bool> IsPublished(SchoolScope scope, LadderDraft draft) =>
        draft.BasedOn > 0 && await scope.Ladder(draft.LadderId, draft.BasedOn) is { } published && LadderDocument.Write(published) == LadderDocument.Write(draft.Document);

    private static async Task PublishNew(SchoolScope scope, LadderDraft draft, string name)
    {
        var latest = await scope.Store.LadderVersions.Where(v => v.LadderId == draft.LadderId).MaxAsync(v => (int?)v.Version) ?? 0;
        scope.Store.LadderVersions.Add(new LadderVersion
        {
            SchoolId = draft.SchoolId,
            LadderId = draft.LadderId,
            Version = latest + 1,
            Document = draft.Document,
            PublishedAt = scope.UtcNow,
            Name = name,
            PublishedBy = scope.UserId,
        });
        (draft.BasedOn, draft.Since) = (latest + 1, draft.Version);
        scope.Audit("ladder-published", draft.LadderId);
        await scope.Store.SaveChangesAsync();
    }

    private static async Task<Results<Ok<HistoryView>, ProblemHttpResult>> History(Guid ladderId, SchoolScope scope, Drafts drafts)
    {
        const int mostChanges = 50;
        if (!await scope.Store.Ladders.AnyAsync(l => l.Id == ladderId)) return LadderEndpoints.UnknownLadder();
        var groups = await scope.Groups.AsNoTracking().Where(g => g.LadderId == ladderId).OrderBy(g => g.Name).ToListAsync();
        var versions = await scope.Store.LadderVersions.AsNoTracking().Where(v => v.LadderId == ladderId).OrderByDescending(v => v.Version)
            .Select(v => new { v.Version, v.Name, v.PublishedAt, By = scope.Store.Users.Where(u => u.Id == v.PublishedBy).Select(u => u.DisplayName).FirstOrDefault() }).ToListAsync();
        var changes = new List<ChangeView>();
        if (await Draft(scope, ladderId) is { } draft)
        {
            var since = (await drafts.Since(ladderId, draft.Since)).TakeLast(mostChanges).ToList();
            var before = since.AsEnumerable().Reverse().Aggregate(draft.Document, (ladder, change) => LadderEditing.Apply(ladder, change.Inverse.Steps).After);
            changes = await drafts.Views(before, since);
            changes.Reverse();
        }
        return TypedResults.Ok(new HistoryView([.. versions.Select(v => new VersionView(v.Version, v.Name, v.PublishedAt, v.By, [.. groups.Where(g => g.LadderVersion == v.Version).Select(g => g.Name)]))], changes));
    }

    /// <summary>What was changed from a version to another; to the draft when none is named.</summary>
    private static async Task<Results<Ok<List<Reason>>, ProblemHttpResult>> Difference(Guid ladderId, int version, int? to, SchoolScope scope)
    {
        var after = to is { } other ? await scope.Ladder(ladderId, other) : (await Draft(scope, ladderId))?.Document;
        if (await scope.Ladder(ladderId, version) is not { } before || after is null) return LadderEndpoints.UnknownLadder();
        return TypedResults.Ok(LadderWork.Lines(before, LadderDifference.Between(before, after)).ToList());
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> MoveGroup(
        Guid groupId, MoveGroupRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope)
    {
        await scope.Lock(groupId);
        if (await scope.Groups.SingleOrDefaultAsync(g => g.Id == groupId) is not { } group) return Problem.NotFound("unknown-group", "There is no such group among yours. Choose one from the list of groups.");
        if (scope.LeadOnly() is { } refused) return refused;
        if (Stamps.Number(ifMatch) is not { } seen) return Stamps.Missing();
        if (seen != group.LadderVersion) return Problem.Of(StatusCodes.Status409Conflict, "changed-meanwhile", $"{group.Name} was moved to version {group.LadderVersion} meanwhile. Look at it as it is now, then move it if you still want to.");
        if (await scope.Ladder(request.LadderId, request.Version) is null) return LadderEndpoints.UnknownLadder();
        (group.LadderId, group.LadderVersion) = (request.LadderId, request.Version);
        scope.Audit("group-moved", groupId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.NoContent();
    }
}

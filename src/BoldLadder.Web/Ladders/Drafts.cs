using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Ladders;

/// <summary>
/// The one mechanism by which a draft changes: steps are laid over what others did meanwhile where nothing collides, else both are shown;
/// each change is kept with its inverse; a person undoes what is theirs.
/// </summary>
public sealed class Drafts(SchoolScope scope)
{
    /// <summary>The draft with its ladder locked until the request ends, or why it can't be changed.</summary>
    public async Task<(LadderDraft? Draft, ProblemHttpResult? Refusal)> Open(Guid ladderId)
    {
        if (scope.LeadOnly() is { } refused) return (null, refused);
        await scope.Lock(ladderId);
        var draft = await scope.Store.LadderDrafts.SingleOrDefaultAsync(d => d.LadderId == ladderId);
        return draft is null ? (null, Problem.NotFound("no-draft", "This ladder has no draft. Choose Edit to begin one.")) : (draft, null);
    }

    /// <summary>Carries a change out; null when it was, else why not. Nothing is saved yet.</summary>
    /// <param name="seen">The draft's version that the person saw.</param>
    public async Task<ProblemHttpResult?> Change(LadderDraft draft, string name, IReadOnlyList<LadderStep> steps, int seen, int? undoes = null)
    {
        if (steps.Count == 0) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "nothing-to-do", "There is nothing to change there. What you see is as you want it.");
        if (Standing(await Since(draft.LadderId, seen)) is { Count: > 0 } others && LadderEditing.Collide(steps, others.SelectMany(c => c.Steps.Steps))) return await ChangedMeanwhile(draft, others);
        try
        {
            var (after, inverse) = LadderEditing.Apply(draft.Document, steps);
            draft.Document = after;
            draft.Version++;
            scope.Store.LadderChanges.Add(new LadderChange
            {
                SchoolId = draft.SchoolId,
                LadderId = draft.LadderId,
                Version = draft.Version,
                Name = name,
                Steps = new LadderSteps([.. steps]),
                Inverse = new LadderSteps(inverse),
                Undoes = undoes,
                At = scope.UtcNow,
                UserId = scope.UserId,
            });
            return null;
        }
        catch (LadderRefusedException refusal)
        {
            return Refused(refusal);
        }
    }

    /// <summary>What this person can take back, and what they can do again: the last of each.</summary>
    public async Task<(LadderChange? Undo, LadderChange? Redo)> Stacks(LadderDraft draft)
    {
        var (undo, redo) = (new List<LadderChange>(), new List<LadderChange>());
        foreach (var change in (await Since(draft.LadderId, draft.Since)).Where(c => c.UserId == scope.UserId))
        {
            if (change.Undoes is null)
            {
                undo.Add(change);
                redo.Clear();
            }
            else if (undo.Count > 0 && undo[^1].Version == change.Undoes)
            {
                undo.RemoveAt(undo.Count - 1);
                redo.Add(change);
            }
            else if (redo.Count > 0 && redo[^1].Version == change.Undoes)
            {
                redo.RemoveAt(redo.Count - 1);
                undo.Add(change);
            }
        }
        return (undo.LastOrDefault(), redo.LastOrDefault());
    }

    /// <summary>The changes that still stand: one that was taken back meanwhile, and what took it back, cancel out.</summary>
    private static List<LadderChange> Standing(List<LadderChange> changes)
    {
        var standing = changes.ToDictionary(c => c.Version);
        foreach (var change in changes.AsEnumerable().Reverse())
        {
            if (change.Undoes is { } taken && standing.ContainsKey(change.Version) && standing.Remove(taken)) standing.Remove(change.Version);
        }
        return [.. standing.Values.OrderBy(c => c.Version)];
    }

    public Task<List<LadderChange>> Since(Guid ladderId, int version) =>
        scope.Store.LadderChanges.AsNoTracking().Where(c => c.LadderId == ladderId && c.Version > version).OrderBy(c => c.Version).ToListAsync();

    /// <summary>Changes with who made them and what they did, the ladder before the first of them given.</summary>
    public async Task<List<ChangeView>> Views(Ladder before, IEnumerable<LadderChange> changes)
    {
        var names = await scope.Store.Users.Where(u => scope.Store.Memberships.Any(m => m.UserId == u.Id)).ToDictionaryAsync(u => u.Id, u => u.DisplayName);
        var views = new List<ChangeView>();
        foreach (var change in changes)
        {
            views.Add(new ChangeView(change.Version, change.Name, change.At, names.GetValueOrDefault(change.UserId, ""), change.UserId == scope.UserId, [.. LadderWork.Lines(before, change.Steps.Steps)]));
            before = LadderEditing.Apply(before, change.Steps.Steps).After;
        }
        return views;
    }

    public static ProblemHttpResult Refused(LadderRefusedException refusal) => Problem.Of(StatusCodes.Status422UnprocessableEntity, refusal.Code, refusal.Code switch
    {
        "unknown-rung" => "That rung is not on the ladder any more. Load the ladder again and choose another.",
        "rung-exists" => "There is a rung with this id already. Load the ladder again and add it once more.",
        "after-itself" => "A rung can't follow itself. Choose another place.",
        "unknown-teaching" => refusal.Arguments[0],
        "bad-name" => $"Give it 1 to {LadderEditing.LongestName} letters, without a space at either end.",
        "too-many-rungs" => $"A ladder has at most {LadderEditing.MostRungs} rungs. Join some rungs first.",
        _ => "A review, sorting or assessment day brings nothing new. Put this on another rung.",
    });

    /// <summary>What others changed that gets in the way, so that both can be shown.</summary>
    private async Task<ProblemHttpResult> ChangedMeanwhile(LadderDraft draft, List<LadderChange> since)
    {
        var before = draft.Document;
        foreach (var change in (await Since(draft.LadderId, since[0].Version - 1)).AsEnumerable().Reverse()) before = LadderEditing.Apply(before, change.Inverse.Steps).After;
        return Problem.Of(StatusCodes.Status409Conflict, "changed-meanwhile",
            "Someone changed the same part of the ladder meanwhile. Theirs is kept and shown; look at it, then make your change once more if you still want it.",
            new() { ["version"] = draft.Version, ["since"] = await Views(before, since) });
    }
}

using BoldLadder.Core;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Ladders;

/// <summary>
/// The one mechanism by which a draft changes: steps are laid over what others did meanwhile where nothing collides,
/// else both are shown;
/// each change is kept with its inverse; a person undoes what is theirs.
/// </summary>
public sealed class Drafts(SchoolScope scope)
{
    public static readonly Refusal NoDraft = Refusal.NotFound("no-draft");

    /// <summary>The draft with its ladder locked until the request ends, or why it can't be changed.</summary>
    public async Task<Answer<LadderDraft>> Open(Guid ladderId)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.Lock(ladderId);
        var draft = await scope.Store.LadderDrafts.SingleOrDefaultAsync(d => d.LadderId == ladderId, scope.Stop);
        return draft is null ? NoDraft : draft;
    }

    /// <summary>Carries a change out; null when it was, else why not. Nothing is saved yet.</summary>
    /// <param name="seen">The draft's version that the person saw.</param>
    public async Task<Refusal?> Change(
        LadderDraft draft,
        string name,
        IReadOnlyList<LadderStep> steps,
        int seen,
        int? undoes = null
    )
    {
        if (steps.Count == 0)
            return Refusal.Unusable("nothing-to-do");
        if (
            Standing(await Since(draft.LadderId, seen)) is { Count: > 0 } others
            && LadderEditing.Collide(steps, others.SelectMany(c => c.Steps.Steps))
        )
            return await ChangedMeanwhile(draft, others);
        try
        {
            var (after, inverse) = LadderEditing.Apply(draft.Document, steps);
            draft.Document = after;
            draft.Version++;
            scope.Store.LadderChanges.Add(
                new LadderChange
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
                }
            );
            return null;
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
    }

    /// <summary>What this person can take back, and what they can do again: the last of each.</summary>
    public async Task<(LadderChange? Undo, LadderChange? Redo)> Stacks(LadderDraft draft)
    {
        var changes = await Since(draft.LadderId, draft.Since);
        var (undo, redo) = UndoStacks.Of(
            changes.Where(c => c.UserId == scope.UserId).Select(c => new Undoable(c.Version, c.Undoes))
        );
        return (changes.Find(c => c.Version == undo), changes.Find(c => c.Version == redo));
    }

    /// <summary>The changes that still stand.</summary>
    private static List<LadderChange> Standing(List<LadderChange> changes)
    {
        var standing = UndoStacks.Standing(changes.Select(c => new Undoable(c.Version, c.Undoes)));
        return changes.FindAll(c => standing.Contains(c.Version));
    }

    public Task<List<LadderChange>> Since(Guid ladderId, int version) =>
        scope
            .Store.LadderChanges.AsNoTracking()
            .Where(c => c.LadderId == ladderId && c.Version > version)
            .OrderBy(c => c.Version)
            .ToListAsync(scope.Stop);

    /// <summary>Changes with who made them and what they did, the ladder before the first of them given.</summary>
    public async Task<List<ChangeView>> Views(Ladder before, IEnumerable<LadderChange> changes)
    {
        var names = await scope
            .Store.Users.Where(u => scope.Store.Memberships.Any(m => m.UserId == u.Id))
            .ToDictionaryAsync(u => u.Id, u => u.DisplayName, scope.Stop);
        var views = new List<ChangeView>();
        foreach (var change in changes)
        {
            views.Add(
                new ChangeView(
                    change.Version,
                    change.Name,
                    change.At,
                    names.GetValueOrDefault(change.UserId, ""),
                    change.UserId == scope.UserId,
                    [.. LadderWork.Lines(before, change.Steps.Steps)]
                )
            );
            before = LadderEditing.Apply(before, change.Steps.Steps).After;
        }
        return views;
    }

    /// <summary>What others changed that gets in the way, so that both can be shown.</summary>
    private async Task<Refusal> ChangedMeanwhile(LadderDraft draft, List<LadderChange> since)
    {
        var before = draft.Document;
        foreach (var change in (await Since(draft.LadderId, since[0].Version - 1)).AsEnumerable().Reverse())
            before = LadderEditing.Apply(before, change.Inverse.Steps).After;
        return Refusal
            .Conflict("changed-meanwhile")
            .About("ladder")
            .With("version", draft.Version)
            .With("since", await Views(before, since));
    }
}

using BoldLadder.Core;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Ladders;

/// <summary>A ladder's draft: begun, changed, tried, undone, published. Leads only, but all may look.</summary>
public sealed class DraftDesk(
    SchoolScope scope,
    Drafts drafts,
    LadderWork work,
    GroupDays groupDays,
    LessonRequests requests,
    WordData shipped
)
{
    private const int MostSteps = 800;

    private Task<LadderDraft?> Draft(Guid ladderId) =>
        scope.Store.LadderDrafts.AsNoTracking().SingleOrDefaultAsync(d => d.LadderId == ladderId, scope.Stop);

    private async Task<LadderView> View(LadderDraft draft)
    {
        var kept = await scope.Store.Ladders.AsNoTracking().SingleAsync(l => l.Id == draft.LadderId, scope.Stop);
        var published = draft.BasedOn == 0 ? null : await scope.Ladder(draft.LadderId, draft.BasedOn);
        var (undo, redo) = await drafts.Stacks(draft);
        var changes = published is null
            ? draft.Document.Rungs.Length
            : LadderDifference.Between(published, draft.Document).Length;
        return await work.View(
            kept,
            draft.BasedOn,
            draft.Document,
            new DraftState(draft.Version, changes, undo is not null, redo is not null)
        );
    }

    public async Task<Answer<LadderView>> Begin(Guid ladderId)
    {
        if (!await scope.Store.Ladders.AnyAsync(l => l.Id == ladderId, scope.Stop))
            return Refused.UnknownLadder;
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.Lock(ladderId);
        if (await Draft(ladderId) is { } begun)
            return await View(begun);
        if (
            await scope
                .Store.LadderVersions.AsNoTracking()
                .Where(v => v.LadderId == ladderId)
                .OrderByDescending(v => v.Version)
                .FirstOrDefaultAsync(scope.Stop)
            is not { } latest
        )
            return Refused.UnknownLadder;
        var draft = new LadderDraft
        {
            SchoolId = scope.School.SchoolId,
            LadderId = ladderId,
            Document = latest.Document,
            Version = 1,
            BasedOn = latest.Version,
            Since = 1,
        };
        scope.Store.LadderDrafts.Add(draft);
        await scope.Save();
        return await View(draft);
    }

    public async Task<Answer<LadderView>> Show(Guid ladderId) =>
        await Draft(ladderId) is { } draft ? await View(draft) : Drafts.NoDraft;

    public async Task<Answer<List<RungWord>>> ShowWords(Guid ladderId, string rungId) =>
        await Draft(ladderId) is { } draft ? work.Words(draft.Document, rungId) : Drafts.NoDraft;

    public async Task<Answer<TrickyWordsView>> ShowTricky(Guid ladderId) =>
        await Draft(ladderId) is { } draft ? work.Tricky(draft.Document) : Drafts.NoDraft;

    public async Task<Answer<PlacesView>> ShowPlaces(Guid ladderId, string rungId)
    {
        if (await Draft(ladderId) is not { } draft)
            return Drafts.NoDraft;
        var at = draft.Document.IndexOf(rungId);
        if (at < 0)
            return Refused.UnknownRung;
        var answers = await work.Places(draft.Document, at);
        var best = MoveSuggestions.Best(draft.Document, at, answers, work.Index);
        return new PlacesView(
            [.. answers.Select(a => new PlaceView(a.To, a.Warnings.Length, a.Reading - answers[at].Reading))],
            best is null ? null : View(draft.Document, best)
        );
    }

    public async Task<Answer<List<MoveView>>> Suggest(Guid ladderId) =>
        await Draft(ladderId) is { } draft
            ? (await work.Suggestions(draft.Document)).Select(m => View(draft.Document, m)).ToList()
            : Drafts.NoDraft;

    private static MoveView View(Ladder ladder, MoveSuggestion move) =>
        new(
            RungId: move.RungId,
            Label: ladder.Rungs[move.From].Label,
            After: move.After,
            From: move.From + 1,
            To: move.To + 1,
            Reading: move.Reading,
            Fixes: [.. move.Fixes.Select(LadderWork.ReasonOf)],
            Sooner: [.. move.Sooner.Select(w => w.Spelling)]
        );

    public async Task<Answer<LadderView>> Change(Guid ladderId, LadderEdit edit, string? seen)
    {
        var open = await drafts.Open(ladderId);
        if (open.Refusal is { } refusal)
            return refusal;
        var draft = open.Value;
        if (Stamps.Number(seen) is not { } version)
            return Refused.VersionMissing;
        if (version > draft.Version)
            return Refusal.Unusable("unknown-version");
        if (!Refused.IsName(edit.Name) || edit.Steps.Count > MostSteps)
            return Refused.TooMuchAtOnce;
        if (UnknownTricky(edit.Steps) is { } unknown)
            return unknown;
        if (await drafts.Change(draft, edit.Name, edit.Steps, version) is { } problem)
            return problem;
        await scope.Save();
        return await View(draft);
    }

    internal Refusal? UnknownTricky(IEnumerable<LadderStep> steps)
    {
        var asked = steps.SelectMany(s =>
            s switch
            {
                PlaceTricky { Rung: not null } place => [place.Word],
                InsertRung insert => insert.Rung.Tricky,
                _ => (IEnumerable<string>)[],
            }
        );
        return asked.FirstOrDefault(w => shipped.Lexicon.Find(w) is null) is { } unknown
            ? Refusal.Unusable("unknown-word", ("word", unknown))
            : null;
    }

    public async Task<Answer<TrialView>> Try(Guid ladderId, LadderTrial trial)
    {
        if (await Draft(ladderId) is not { } draft)
            return Drafts.NoDraft;
        if (trial.Steps.Count > MostSteps)
            return Refused.TooMuchAtOnce;
        Ladder after;
        try
        {
            after = LadderEditing.Apply(draft.Document, trial.Steps).After;
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
        var analysis = LadderAnalysis.Of(after, work.Index);
        var moved = LadderComparison.Of(draft.Document, after, LadderEditing.Touched(trial.Steps), work.Index);
        var rungs = after
            .Rungs.Zip(analysis.Rungs, (r, a) =>
                new TrialRung(
                    r.Id,
                    a.NewWords,
                    a.WordsSoFar,
                    Math.Round(a.TextShare, 3),
                    [.. a.Warnings.Select(LadderWork.ReasonOf)]
                )
            )
            .ToList();
        return new TrialView(
            rungs,
            Moves(moved.Gained),
            Moves(moved.Lost),
            Moves(moved.Earlier),
            Moves(moved.Later),
            await BrokenLessons.On(after, ladderId, scope, groupDays, requests)
        );
    }

    private static WordMoves Moves(IReadOnlyCollection<MovedWord> moved)
    {
        const int examples = 12;
        return new WordMoves(
            moved.Count,
            [
                .. moved
                    .OrderByDescending(m => m.Word.IsKnown)
                    .Take(examples)
                    .Select(m => new WordMove(m.Word.Spelling, m.Before + 1, m.After + 1)),
            ]
        );
    }

    /// <summary>Takes the person's last change back, or does it again.</summary>
    public async Task<Answer<LadderView>> TakeBack(Guid ladderId, bool undo)
    {
        var open = await drafts.Open(ladderId);
        if (open.Refusal is { } refusal)
            return refusal;
        var draft = open.Value;
        var stacks = await drafts.Stacks(draft);
        if ((undo ? stacks.Undo : stacks.Redo) is not { } change)
        {
            return Refusal.Conflict(undo ? "nothing-to-undo" : "nothing-to-redo");
        }
        if (
            await drafts.Change(draft, undo ? "undo" : "redo", change.Inverse.Steps, change.Version, change.Version) is
            { } problem
        )
            return problem;
        await scope.Save();
        return await View(draft);
    }

    /// <summary>Brings a published version back into the draft, as a change that can be undone.</summary>
    public async Task<Answer<LadderView>> Restore(Guid ladderId, RestoreRequest request)
    {
        var open = await drafts.Open(ladderId);
        if (open.Refusal is { } refusal)
            return refusal;
        var draft = open.Value;
        if (await scope.Ladder(ladderId, request.Version) is not { } version)
            return Refused.UnknownLadder;
        if (
            await drafts.Change(draft, "restore", LadderDifference.Between(draft.Document, version), draft.Version) is
            { } problem
        )
            return problem;
        await scope.Save();
        return await View(draft);
    }

    public async Task<Answer<LadderView>> Publish(Guid ladderId, PublishRequest request, string? seen)
    {
        var open = await drafts.Open(ladderId);
        if (open.Refusal is { } refusal)
            return refusal;
        var draft = open.Value;
        if (Stamps.Number(seen) is not { } version)
            return Refused.VersionMissing;
        if (version != draft.Version)
            return Refusal.Conflict("changed-meanwhile").About("draft");
        if (!Refused.IsName(request.Name))
            return Refused.BadName;
        if (draft.Document.Rungs.IsEmpty)
            return Refusal.Unusable("empty-ladder");
        var groups = await scope
            .Groups.Where(g => g.LadderId == ladderId && request.Groups.Contains(g.Id))
            .ToListAsync(scope.Stop);
        // Sent twice, it is published once: what is the same as its last version becomes no new one.
        if (!await IsPublished(draft))
            await PublishNew(draft, request.Name.Trim());
        foreach (var group in groups.Where(g => g.LadderVersion != draft.BasedOn))
        {
            group.LadderVersion = draft.BasedOn;
            scope.Audit("group-moved", group.Id);
        }
        await scope.Save();
        return await View(draft);
    }

    private async Task<bool> IsPublished(LadderDraft draft) =>
        draft.BasedOn > 0
        && await scope.Ladder(draft.LadderId, draft.BasedOn) is { } published
        && LadderDocument.Write(published) == LadderDocument.Write(draft.Document);

    private async Task PublishNew(LadderDraft draft, string name)
    {
        var latest = await scope
            .Store.LadderVersions.Where(v => v.LadderId == draft.LadderId)
            .MaxAsync(v => (int?)v.Version, scope.Stop)
            ?? 0;
        scope.Store.LadderVersions.Add(
            new LadderVersion
            {
                SchoolId = draft.SchoolId,
                LadderId = draft.LadderId,
                Version = latest + 1,
                Document = draft.Document,
                PublishedAt = scope.UtcNow,
                Name = name,
                PublishedBy = scope.UserId,
            }
        );
        (draft.BasedOn, draft.Since) = (latest + 1, draft.Version);
        scope.Audit("ladder-published", draft.LadderId);
        await scope.Save();
    }

    public async Task<Answer<HistoryView>> History(Guid ladderId)
    {
        const int mostChanges = 50;
        if (!await scope.Store.Ladders.AnyAsync(l => l.Id == ladderId, scope.Stop))
            return Refused.UnknownLadder;
        var groups = await scope
            .Groups.AsNoTracking()
            .Where(g => g.LadderId == ladderId)
            .OrderBy(g => g.Name)
            .ToListAsync(scope.Stop);
        var versions = await scope
            .Store.LadderVersions.AsNoTracking()
            .Where(v => v.LadderId == ladderId)
            .OrderByDescending(v => v.Version)
            .Select(v => new
            {
                v.Version,
                v.Name,
                v.PublishedAt,
                By = scope.Store.Users.Where(u => u.Id == v.PublishedBy).Select(u => u.DisplayName).FirstOrDefault(),
            })
            .ToListAsync(scope.Stop);
        var changes = new List<ChangeView>();
        if (await Draft(ladderId) is { } draft)
        {
            var since = (await drafts.Since(ladderId, draft.Since)).TakeLast(mostChanges).ToList();
            var before = since
                .AsEnumerable()
                .Reverse()
                .Aggregate(draft.Document, (ladder, change) => LadderEditing.Apply(ladder, change.Inverse.Steps).After);
            changes = await drafts.Views(before, since);
            changes.Reverse();
        }
        return new HistoryView(
            [
                .. versions.Select(v => new VersionView(
                    v.Version,
                    v.Name,
                    v.PublishedAt,
                    v.By,
                    [.. groups.Where(g => g.LadderVersion == v.Version).Select(g => g.Name)]
                )),
            ],
            changes
        );
    }

    /// <summary>What was changed from a version to another; to the draft when none is named.</summary>
    public async Task<Answer<List<Reason>>> Difference(Guid ladderId, int version, int? to)
    {
        var after = to is { } other ? await scope.Ladder(ladderId, other) : (await Draft(ladderId))?.Document;
        if (await scope.Ladder(ladderId, version) is not { } before || after is null)
            return Refused.UnknownLadder;
        return LadderWork.Lines(before, LadderDifference.Between(before, after)).ToList();
    }
}

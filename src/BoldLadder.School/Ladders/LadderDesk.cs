using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Spelling;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Ladders;

/// <summary>
/// The school's ladders: what there is, a new one, and a published version with what each rung unlocks.
/// </summary>
public sealed class LadderDesk(SchoolScope scope, LadderWork work, WordData shipped)
{
    private const string Blank = "blank";

    private static readonly IReadOnlyList<TeachableView> Regular =
    [
        .. Correspondence
            .All.Where(c => c.IsRegular && !c.IsBath)
            .Select(c => new TeachableView(c.Notation, c.Grapheme.Text, c.SoundText, c.Sounds[0].KeyWord)),
    ];

    /// <summary>What a rung can teach: the regular correspondences, the patterns, and the school's chunks.</summary>
    public TeachablesView Teachables =>
        new(
            Regular,
            [.. Enum.GetValues<Patterns>().Where(p => int.IsPow2((int)p)).Select(p => p.Id())],
            [.. scope.Style.Chunks.Select(c => c.Notation)]
        );

    public Task<List<LadderSummary>> List() =>
        Summaries(scope.Store.Ladders.OrderBy(l => l.Name)).ToListAsync(scope.Stop);

    public async Task<Answer<LadderSummary>> Make(NewLadder request)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (!Refused.IsName(request.Name))
            return Refused.BadName;
        await scope.Lock(request.Id);
        if (
            await scope.Store.Ladders.AsNoTracking().SingleOrDefaultAsync(l => l.Id == request.Id, scope.Stop) is
            { } made
        )
        {
            // Sent twice, it is made once.
            return made.Name == request.Name.Trim()
                ? await Summary(request.Id)
                : Refusal.Conflict("id-taken", ("name", made.Name)).About("ladder");
        }
        if (request.Id == Guid.Empty)
            return Refusal.Unusable("id-missing").About("ladder");
        Ladder? start = null;
        if (shipped.Ladders.TryGetValue(request.From, out var found))
            start = AccentFit.Of(found, work.Index);
        else if (request.From == Blank)
            start = new Ladder(
                Blank,
                "own",
                Patterns.Capitals | Patterns.Compound | Patterns.Contraction | Patterns.ThreeSyllables,
                []
            );
        else if (Guid.TryParse(request.From, out var other))
            start = (
                await scope
                    .Store.LadderVersions.AsNoTracking()
                    .Where(v => v.LadderId == other)
                    .OrderByDescending(v => v.Version)
                    .FirstOrDefaultAsync(scope.Stop)
            )?.Document;
        if (start is null)
            return Refusal.Unusable(
                "unknown-start",
                ("starts", string.Join(", ", shipped.Ladders.Keys)),
                ("blank", Blank)
            );
        scope.Store.Ladders.Add(
            new SchoolLadder
            {
                SchoolId = scope.School.SchoolId,
                Id = request.Id,
                Name = request.Name.Trim(),
            }
        );
        await scope.Save();
        if (start.Rungs.IsEmpty)
            scope.Store.LadderDrafts.Add(
                new LadderDraft
                {
                    SchoolId = scope.School.SchoolId,
                    LadderId = request.Id,
                    Document = start,
                    Version = 1,
                    BasedOn = 0,
                    Since = 1,
                }
            );
        else
            scope.Store.LadderVersions.Add(
                new LadderVersion
                {
                    SchoolId = scope.School.SchoolId,
                    LadderId = request.Id,
                    Version = 1,
                    Document = start,
                    PublishedAt = scope.UtcNow,
                    Name = request.Name.Trim(),
                    PublishedBy = scope.UserId,
                }
            );
        scope.Audit("ladder-made", request.Id);
        await scope.Save();
        return await Summary(request.Id);
    }

    public async Task<Answer<Done>> Rename(Guid ladderId, Renaming request)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (!Refused.IsName(request.Name))
            return Refused.BadName;
        if (await scope.Store.Ladders.SingleOrDefaultAsync(l => l.Id == ladderId, scope.Stop) is not { } ladder)
            return Refused.UnknownLadder;
        ladder.Name = request.Name.Trim();
        scope.Audit("ladder-renamed", ladderId);
        await scope.Save();
        return Done.It;
    }

    private Task<LadderSummary> Summary(Guid id) =>
        Summaries(scope.Store.Ladders.Where(l => l.Id == id)).SingleAsync(scope.Stop);

    private IQueryable<LadderSummary> Summaries(IQueryable<SchoolLadder> ladders) =>
        ladders.Select(l => new LadderSummary(
            l.Id,
            l.Name,
            scope.Store.LadderVersions.Where(v => v.LadderId == l.Id).Max(v => (int?)v.Version) ?? 0,
            scope.Store.LadderDrafts.Any(d => d.LadderId == l.Id),
            scope.Store.Groups.Count(g => g.LadderId == l.Id)
        ));

    public async Task<Answer<LadderView>> Show(Guid ladderId, int version)
    {
        if (
            await scope.Store.Ladders.AsNoTracking().SingleOrDefaultAsync(l => l.Id == ladderId, scope.Stop)
                is not { } kept
            || await scope.Ladder(ladderId, version) is not { } ladder
        )
            return Refused.UnknownLadder;
        return await work.View(kept, version, ladder, null);
    }

    public async Task<Answer<List<RungWord>>> ShowWords(Guid ladderId, int version, string rungId) =>
        await scope.Ladder(ladderId, version) is { } ladder ? work.Words(ladder, rungId) : Refused.UnknownLadder;

    public async Task<Answer<TrickyWordsView>> ShowTricky(Guid ladderId, int version) =>
        await scope.Ladder(ladderId, version) is { } ladder ? work.Tricky(ladder) : Refused.UnknownLadder;
}

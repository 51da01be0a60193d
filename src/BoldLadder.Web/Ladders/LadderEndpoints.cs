using System.Text.Json;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;

namespace BoldLadder.Web.Ladders;

public sealed record LadderSummary(Guid Id, string Name, int LatestVersion);

public sealed record LadderView(Guid Id, string Name, int Version, int Words, IReadOnlyList<RungView> Rungs, IReadOnlyList<GroupPlace> Groups);

/// <param name="NewWords">Words for lessons that become readable with this rung.</param>
/// <param name="KnownWords">Of these, those that children know at five.</param>
/// <param name="Readable">Words for lessons that can be read, all rungs so far.</param>
/// <param name="TextShare">Share of running text that can be read after the rung, 0 to 1.</param>
/// <param name="Graduates">Tricky words that become readable here.</param>
/// <param name="Warnings">What is wrong with the rung's place, as codes and arguments.</param>
public sealed record RungView(
    string Id, string Label, string Stage, IReadOnlyList<CorrespondenceView> Correspondences, IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Tricky, int NewWords, int KnownWords, int Readable, double TextShare, IReadOnlyList<string> Graduates, string? Reason, IReadOnlyList<Reason> Warnings);

/// <param name="Facts">How often the letters say this, and how often the sound is spelled so.</param>
public sealed record CorrespondenceView(string Notation, string Grapheme, string Sounds, string KeyWord, CorrespondenceFacts Facts);

/// <summary>A group that follows this ladder, and the rung it comes to next; null when it has climbed them all.</summary>
public sealed record GroupPlace(Guid GroupId, string Name, string? NextRungId);

public sealed record RungWord(string Word, string Graphemes, string Phonemes, IReadOnlyList<int> Marks, int Taps, bool KnownAtFive);

/// <summary>The ladder with what each rung unlocks.</summary>
public static class LadderEndpoints
{
    public static void MapLadders(this IEndpointRouteBuilder school)
    {
        school.MapGet("/ladders", async (SchoolScope scope) => TypedResults.Ok(await scope.Store.Ladders.OrderBy(l => l.Name)
            .Select(l => new LadderSummary(l.Id, l.Name, scope.Store.LadderVersions.Where(v => v.LadderId == l.Id).Max(v => v.Version)))
            .ToListAsync())).WithName("listLadders");
        school.MapGet("/ladders/{ladderId:guid}/versions/{version:int}", Show).WithName("getLadder");
        school.MapGet("/ladders/{ladderId:guid}/versions/{version:int}/rungs/{rungId}/words", ShowWords).WithName("getRungWords");
    }

    private static ProblemHttpResult UnknownLadder() => Problem.NotFound("unknown-ladder", "There is no such ladder or version. Go back to the list of ladders.");

    private static async Task<Results<Ok<LadderView>, ProblemHttpResult>> Show(Guid ladderId, int version, SchoolScope scope, WordData words, IMemoryCache cache)
    {
        var name = await scope.Store.Ladders.Where(l => l.Id == ladderId).Select(l => l.Name).SingleOrDefaultAsync();
        if (name is null || await scope.Ladder(ladderId, version) is not { } ladder) return UnknownLadder();
        var facts = cache.GetOrCreate((nameof(CorrespondenceTable), scope.School.Accent), entry =>
        {
            entry.SlidingExpiration = TimeSpan.FromHours(1);
            return new CorrespondenceTable(words.Lexicon, scope.Accent);
        })!;
        var analysis = Worked((ladderId, version), ladder, scope, words, cache).Analysis;
        var groups = await scope.Groups.AsNoTracking().Where(g => g.LadderId == ladderId && g.LadderVersion == version).OrderBy(g => g.Name).ToListAsync();
        var places = new List<GroupPlace>();
        foreach (var group in groups)
        {
            var progress = new Progress(ladder, await TeachingLogReader.Facts(scope, group.Id));
            places.Add(new GroupPlace(group.Id, group.Name, progress.Remaining.FirstOrDefault()?.Id));
        }
        var rungs = ladder.Rungs.Zip(analysis.Rungs, (r, a) => new RungView(
            r.Id, r.Label, r.Stage,
            [.. r.Correspondences.Select(c => new CorrespondenceView(c.Notation, c.Grapheme.Text, c.SoundText, c.Sounds[0].KeyWord, facts.Of(c)))],
            [.. r.Patterns.Each().Select(p => p.Id())], r.Tricky, a.NewWords, a.KnownWords, a.WordsSoFar, Math.Round(a.TextShare, 3), a.Graduates, r.Reason,
            [.. a.Warnings.Select(w => new Reason(CodeOf(w.Kind), w.Arguments))])).ToList();
        return TypedResults.Ok(new LadderView(ladderId, name, version, words.Lexicon.Words.Length, rungs, places));
    }

    private static async Task<Results<Ok<IReadOnlyList<RungWord>>, ProblemHttpResult>> ShowWords(
        Guid ladderId, int version, string rungId, SchoolScope scope, WordData words, IMemoryCache cache)
    {
        if (await scope.Ladder(ladderId, version) is not { } ladder) return UnknownLadder();
        var at = ladder.IndexOf(rungId);
        if (at < 0) return Problem.NotFound("unknown-rung", "This rung is not on this version of the ladder. Choose one from the ladder.");
        IReadOnlyList<RungWord> list = [.. Worked((ladderId, version), ladder, scope, words, cache).Unlocked[at]
            .OrderByDescending(w => w.IsKnown).ThenBy(w => w.Segmentation.Taps).ThenByDescending(w => w.Zipf)
            .Select(w => new RungWord(w.Spelling, w.Segmentation.Graphemes, w.Segmentation.Phonemes,
                [.. w.Segmentation.Letters().Select(l => l.Part)], w.Segmentation.Taps, w.IsKnown))];
        return TypedResults.Ok(list);
    }

    /// <summary>What a ladder does; a published version never changes, so this is computed once for it and an accent.</summary>
    private sealed record WorkedLadder(LadderAnalysis Analysis, ILookup<int, Word> Unlocked);

    private static WorkedLadder Worked((Guid, int) version, Ladder ladder, SchoolScope scope, WordData words, IMemoryCache cache) =>
        cache.GetOrCreate((version, scope.School.Accent), entry =>
        {
            entry.SlidingExpiration = TimeSpan.FromHours(1);
            var index = cache.GetOrCreate((nameof(WordIndex), scope.School.Accent), made =>
            {
                made.SlidingExpiration = TimeSpan.FromHours(1);
                return new WordIndex(words.Lexicon, Leniencies.All, scope.Accent);
            })!;
            var reach = new Reach(ladder, Leniencies.All, scope.Accent);
            return new WorkedLadder(LadderAnalysis.Of(ladder, index), words.Lexicon.ForLessons.ToLookup(w => reach.RungOf(w) ?? int.MaxValue));
        })!;

    /// <summary>The code screens know a warning by: too-many-tricky.</summary>
    private static string CodeOf(WarningKind kind) => JsonNamingPolicy.KebabCaseLower.ConvertName(kind.ToString());
}

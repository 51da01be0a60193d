using BoldLadder.Core.Decoding;
using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Ladders;

/// <summary>What ladders do in this school's accent and with what it counts as readable.</summary>
public sealed class LadderWork(SchoolScope scope, WordData words, LadderStudy study, HeavyWork heavy)
{
    private const int VeryLong = 300;

    private WayOfReading Way => new(scope.Accent, scope.Leniencies);

    public WordIndex Index => study.Index(Way);

    public CorrespondenceTable Facts => study.Facts(scope.Accent);

    public KeyWords KeyWords => study.KeyWords;

    public ILookup<int, Word> Unlocked(Ladder ladder) => study.Unlocked(ladder, Way);

    /// <summary>The moves that would make the ladder better: heavy, so worked out after the request has given its connection back.</summary>
    public async Task<ImmutableArray<MoveSuggestion>> Suggestions(Ladder ladder, CancellationToken stop)
    {
        var way = Way;
        await scope.Release();
        return await heavy.Run(() => study.Suggestions(ladder, way, stop), stop);
    }

    /// <summary>What the ladder would be with the rung at each place, in the same way.</summary>
    public async Task<ImmutableArray<PlaceAnswer>> Places(Ladder ladder, int rung, CancellationToken stop)
    {
        var way = Way;
        await scope.Release();
        return await heavy.Run(() => study.Places(ladder, rung, way, stop), stop);
    }

    public async Task<LadderView> View(SchoolLadder kept, int version, Ladder ladder, DraftState? draft)
    {
        var analysis = study.Analysis(ladder, Way);
        var keyWords = await scope.Store.TeachingNotes.Where(n => n.KeyWord != "").ToDictionaryAsync(n => n.Subject, n => n.KeyWord);
        var rungs = ladder.Rungs.Zip(analysis.Rungs, (r, a) => new RungView(
            r.Id, r.Label, CodeOf(r.Kind), r.Stage,
            [.. r.Correspondences.Select(c => new CorrespondenceView(c.Notation, c.Grapheme.Text, c.SoundText, keyWords.GetValueOrDefault(c.Notation) ?? KeyWords.Of(c), Facts.Of(c), study.Positions(c)))],
            [.. r.Patterns.Each().Select(p => p.Id())], r.Tricky, a.NewWords, a.KnownWords, a.WordsSoFar, Math.Round(a.TextShare, 3), a.Graduates, r.Reason, [.. a.Warnings.Select(ReasonOf)])).ToList();
        return new LadderView(kept.Id, kept.Name, ladder.Approach, version, words.Lexicon.Words.Length, rungs, [.. ladder.Free.Each().Select(p => p.Id())], draft, [.. await Problems(ladder)]);
    }

    /// <summary>A warning as screens know it: too-many-tricky.</summary>
    public static Reason ReasonOf(LadderWarning warning) => new(CodeOf(warning.Kind), warning.Arguments);

    public static string CodeOf<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());

    /// <summary>What the steps did to a ladder, line by line.</summary>
    public static IEnumerable<Reason> Lines(Ladder before, IEnumerable<LadderStep> steps)
    {
        foreach (var step in steps)
        {
            Ladder after;
            try
            {
                after = LadderEditing.Apply(before, [step]).After;
            }
            catch (LadderRefusedException)
            {
                continue;
            }
            yield return Line(before, after, step);
            before = after;
        }
    }

    private static Reason Line(Ladder before, Ladder after, LadderStep step)
    {
        string Number(Ladder ladder, string? id) => id is null || ladder.IndexOf(id) is not (>= 0 and var at) ? "0" : (at + 1).ToString(CultureInfo.InvariantCulture);
        string Label(string id) => before.IndexOf(id) is >= 0 and var at ? before.Rungs[at].Label : after.IndexOf(id) is >= 0 and var there ? after.Rungs[there].Label : id;
        return step switch
        {
            InsertRung insert => Reason.Of("added", Label(insert.Rung.Id), Number(after, insert.Rung.Id)),
            RemoveRung remove => Reason.Of("removed", Label(remove.Id), Number(before, remove.Id)),
            MoveRung move => Reason.Of("moved", Label(move.Id), Number(before, move.Id), Number(after, move.Id)),
            TeachOn teach => Reason.Of("teaches", Number(after, teach.Id), Label(teach.Id), after.Rungs[after.IndexOf(teach.Id)].Label),
            PlaceTricky { Rung: null } tricky => Reason.Of("tricky-removed", tricky.Word),
            PlaceTricky tricky => Reason.Of("tricky-placed", tricky.Word, Number(before, before.Rungs.FirstOrDefault(r => r.Tricky.Contains(tricky.Word))?.Id), Number(after, tricky.Rung)),
            NameStage stage => Reason.Of("stage", Label(stage.Id), stage.Stage),
            GiveReason { Reason: null } reason => Reason.Of("reason-removed", Label(reason.Id)),
            GiveReason reason => Reason.Of("reason", Label(reason.Id)),
            _ => Reason.Of("free"),
        };
    }

    private async Task<List<Reason>> Problems(Ladder ladder)
    {
        var problems = new List<Reason>();
        if (ladder.Rungs.IsEmpty) problems.Add(Reason.Of("empty-ladder"));
        if (ladder.Rungs.Length == 1) problems.Add(Reason.Of("one-rung"));
        if (ladder.Rungs.Length > VeryLong) problems.Add(Reason.Of("very-long", ladder.Rungs.Length.ToString(CultureInfo.InvariantCulture)));
        if ((await scope.Calendar()).Days.IsEmpty) problems.Add(Reason.Of("no-teaching-day"));
        return problems;
    }
}

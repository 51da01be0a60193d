using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Analysis;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Ladders;

/// <summary>What ladders do in this school's accent and with what it counts as readable.</summary>
public sealed class LadderWork(SchoolScope scope, WordData words, LadderStudy study, HeavyWork heavy)
{
    private const int VeryLong = 300;

    private WayOfReading Way => scope.Way;

    public WordIndex Index => study.Index(Way);

    public CorrespondenceTable Facts => study.Facts(scope.Accent);

    public KeyWords KeyWords => study.KeyWords;

    public ILookup<int, Word> Unlocked(Ladder ladder) => study.Unlocked(ladder, Way);

    /// <summary>
    /// The moves that would make the ladder better: heavy, so worked out after the request has given its connection
    /// back.
    /// </summary>
    public async Task<ImmutableArray<MoveSuggestion>> Suggestions(Ladder ladder)
    {
        var way = Way;
        await scope.Release();
        return await heavy.Run(() => study.Suggestions(ladder, way, scope.Stop), scope.Stop);
    }

    /// <summary>What the ladder would be with the rung at each place, in the same way.</summary>
    public async Task<ImmutableArray<PlaceAnswer>> Places(Ladder ladder, int rung)
    {
        var way = Way;
        await scope.Release();
        return await heavy.Run(() => study.Places(ladder, rung, way, scope.Stop), scope.Stop);
    }

    /// <summary>The words a rung unlocks, easiest first.</summary>
    public Answer<List<RungWord>> Words(Ladder ladder, string rungId)
    {
        var at = ladder.IndexOf(rungId);
        if (at < 0)
            return Refused.UnknownRung;
        return new List<RungWord>([
            .. Unlocked(ladder)[at]
                .OrderByDescending(w => w.IsKnown)
                .ThenBy(w => w.Segmentation.Taps)
                .ThenByDescending(w => w.Zipf)
                .Select(w => new RungWord(
                    Word: w.Spelling,
                    Graphemes: w.Segmentation.Graphemes,
                    Phonemes: w.Segmentation.Phonemes,
                    Marks: [.. w.Segmentation.Letters().Select(l => l.Part)],
                    Taps: w.Segmentation.Taps,
                    Shape: w.Segmentation.Shape,
                    Position: Position(w, ladder.Rungs[at]),
                    KnownAtFive: w.IsKnown
                )),
        ]);
    }

    public TrickyWordsView Tricky(Ladder ladder)
    {
        const int mostSuggested = 12;
        var reach = ladder.ReachIn(scope.Leniencies, scope.Accent);
        var placement = new TrickyPlacement(words.Lexicon, scope.Accent, most: int.MaxValue);
        TrickyView View(string spelling, int? rung, Word? word)
        {
            var readable = word is null ? null : reach.RungOf(word);
            var part =
                word is null || rung is null ? []
                : ladder.TaughtAfter(rung.Value + 1, scope.Leniencies, scope.Accent) is var taught
                    ? taught.TrickyPlaces(word).Select(p => word.Segmentation.Parts[p].Grapheme.Text).ToList()
                : [];
            return new TrickyView(
                spelling,
                rung is { } at ? ladder.Rungs[at].Id : null,
                rung + 1,
                readable + 1,
                readable is >= 0 and var there ? ladder.Rungs[there].Id : null,
                part
            );
        }
        return new TrickyWordsView(
            [.. ladder.Rungs.SelectMany((r, i) => r.Tricky.Select(t => View(t, i, words.Lexicon.Find(t))))],
            [
                .. placement
                    .Suggest(ladder)
                    .OrderByDescending(s => s.Word.Zipf)
                    .Take(mostSuggested)
                    .OrderBy(s => s.Rung)
                    .Select(s => View(s.Word.Spelling, s.Rung, s.Word)),
            ],
            [.. placement.NeverReadable(ladder).Take(60).Select(w => w.Spelling)]
        );
    }

    private static string Position(Word word, Rung rung)
    {
        var parts = word.Segmentation.Parts;
        var at = Enumerable
            .Range(0, parts.Length)
            .Where(i => rung.Correspondences.Contains(parts[i]))
            .Cast<int?>()
            .FirstOrDefault();
        return at switch
        {
            null => "",
            0 => "start",
            { } last when last == parts.Length - 1 => "end",
            _ => "middle",
        };
    }

    public async Task<LadderView> View(SchoolLadder kept, int version, Ladder ladder, DraftState? draft)
    {
        var analysis = study.Analysis(ladder, Way);
        var keyWords = await scope
            .Store.TeachingNotes.Where(n => n.KeyWord != "")
            .ToDictionaryAsync(n => n.Subject, n => n.KeyWord, scope.Stop);
        var rungs = ladder
            .Rungs.Zip(analysis.Rungs, (r, a) =>
                new RungView(
                    Id: r.Id,
                    Label: r.Label,
                    Kind: r.Kind.Code(),
                    Stage: r.Stage,
                    Correspondences:
                    [
                        .. r.Correspondences.Select(c => new CorrespondenceView(
                            c.Notation,
                            c.Grapheme.Text,
                            c.SoundText,
                            keyWords.GetValueOrDefault(c.Notation) ?? KeyWords.Of(c),
                            Facts.Of(c),
                            study.Positions(c)
                        )),
                    ],
                    Patterns: [.. r.Patterns.Each().Select(p => p.Id())],
                    Chunks: [.. r.Chunks.Select(c => c.Notation)],
                    Tricky: r.Tricky,
                    NewWords: a.NewWords,
                    KnownWords: a.KnownWords,
                    Readable: a.WordsSoFar,
                    TextShare: Math.Round(a.TextShare, 3),
                    Graduates: a.Graduates,
                    Reason: r.Reason,
                    Warnings: [.. a.Warnings.Select(ReasonOf)]
                )
            )
            .ToList();
        return new LadderView(
            Id: kept.Id,
            Name: kept.Name,
            Approach: ladder.Approach,
            Version: version,
            Words: words.Lexicon.Words.Length,
            Rungs: rungs,
            Free: [.. ladder.Free.Each().Select(p => p.Id())],
            Draft: draft,
            Problems: [.. await Problems(ladder)]
        );
    }

    /// <summary>A warning as screens know it: too-many-tricky.</summary>
    public static Reason ReasonOf(LadderWarning warning) => new(warning.Kind.Code(), warning.Arguments);

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
            catch (RefusedException)
            {
                continue;
            }
            yield return Line(before, after, step);
            before = after;
        }
    }

    private static Reason Line(Ladder before, Ladder after, LadderStep step)
    {
        string Number(Ladder ladder, string? id) =>
            id is null || ladder.IndexOf(id) is not (>= 0 and var at)
                ? "0"
                : (at + 1).ToString(CultureInfo.InvariantCulture);
        string Label(string id) =>
            before.IndexOf(id) is >= 0 and var at ? before.Rungs[at].Label
            : after.IndexOf(id) is >= 0 and var there ? after.Rungs[there].Label
            : id;
        return step switch
        {
            InsertRung insert => Reason.Of("added", Label(insert.Rung.Id), Number(after, insert.Rung.Id)),
            RemoveRung remove => Reason.Of("removed", Label(remove.Id), Number(before, remove.Id)),
            MoveRung move => Reason.Of("moved", Label(move.Id), Number(before, move.Id), Number(after, move.Id)),
            TeachOn teach => Reason.Of(
                "teaches",
                Number(after, teach.Id),
                Label(teach.Id),
                after.Rungs[after.IndexOf(teach.Id)].Label
            ),
            PlaceTricky { Rung: null } tricky => Reason.Of("tricky-removed", tricky.Word),
            PlaceTricky tricky => Reason.Of(
                "tricky-placed",
                tricky.Word,
                Number(before, before.Rungs.FirstOrDefault(r => r.Tricky.Contains(tricky.Word))?.Id),
                Number(after, tricky.Rung)
            ),
            NameStage stage => Reason.Of("stage", Label(stage.Id), stage.Stage),
            GiveReason { Reason: null } reason => Reason.Of("reason-removed", Label(reason.Id)),
            GiveReason reason => Reason.Of("reason", Label(reason.Id)),
            _ => Reason.Of("free"),
        };
    }

    private async Task<List<Reason>> Problems(Ladder ladder)
    {
        var problems = new List<Reason>();
        if (ladder.Rungs.IsEmpty)
            problems.Add(Reason.Of("empty-ladder"));
        if (ladder.Rungs.Length == 1)
            problems.Add(Reason.Of("one-rung"));
        if (ladder.Rungs.Length > VeryLong)
            problems.Add(Reason.Of("very-long", ladder.Rungs.Length.ToString(CultureInfo.InvariantCulture)));
        if ((await scope.Calendar()).Days.IsEmpty)
            problems.Add(Reason.Of("no-teaching-day"));
        return problems;
    }
}

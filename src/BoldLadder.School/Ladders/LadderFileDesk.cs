using System.Text;
using System.Text.Json;
using BoldLadder.Core;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Ladders.Pasted;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Formats.Ladders;
using BoldLadder.Formats.Tables;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Ladders;

/// <summary>An order that a school has written down, one rung a line.</summary>
public sealed record PastedOrder(string Text);

/// <summary>How a line of it is read.</summary>
/// <param name="Unread">What of it can't be read: the line is kept aside. Empty when all can.</param>
public sealed record PastedRung(
    int Line,
    string Text,
    IReadOnlyList<PastedChoice> Parts,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Tricky,
    IReadOnlyList<string> Unread
);

/// <summary>What a grapheme may stand for; more than one where it is in doubt, the likelier first.</summary>
public sealed record PastedChoice(string Written, IReadOnlyList<PastedMeaning> Meanings);

/// <param name="Words">A few words that have it.</param>
public sealed record PastedMeaning(string Notation, string Grapheme, string Sounds, IReadOnlyList<string> Words);

/// <summary>A new ladder of rungs that are settled.</summary>
public sealed record OrderedLadder(Guid Id, string Name, IReadOnlyList<OrderedRung> Rungs);

public sealed record OrderedRung(
    IReadOnlyList<string> Correspondences,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Tricky
);

/// <summary>A file of a ladder, as it was saved and perhaps edited.</summary>
public sealed record LadderFile(byte[] Content);

/// <param name="Lines">What reading it back would change.</param>
/// <param name="Problems">Lines that can't be read; then nothing is.</param>
public sealed record LadderFileView(IReadOnlyList<Reason> Lines, IReadOnlyList<LadderCsvProblem> Problems);

/// <summary>Ladders in and out: pasted from any plain list, as a table that a spreadsheet edits, as JSON.</summary>
public sealed class LadderFileDesk(
    SchoolScope scope,
    LadderStudy study,
    LadderDesk ladders,
    DraftDesk drafting,
    Drafts drafts,
    WordData shipped
)
{
    /// <summary>A stage that a pasted order is in until the school names its own.</summary>
    private const string FirstStage = "own";
    private const int Examples = 3;
    private const int LongestText = 100_000;

    /// <summary>How a pasted order would be read: nothing is kept.</summary>
    public Answer<List<PastedRung>> Look(PastedOrder order)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (order.Text.Length > LongestText || order.Text.Split('\n').Length > LadderEditing.MostRungs)
            return Refusal.Unusable("order-too-long", ("most", LadderEditing.MostRungs));
        var meanings = new Dictionary<Correspondence, PastedMeaning>();
        var reader = new OrderReader(new WordFinder(shipped.Lexicon), study.Facts(scope.Accent));
        return reader
            .Read(order.Text)
            .Select(l => new PastedRung(
                Line: l.Line,
                Text: l.Text,
                Parts: [.. l.Parts.Select(p => new PastedChoice(p.Written, [.. p.Choices.Select(Known)]))],
                Patterns: [.. l.Patterns.Each().Select(p => p.Id())],
                Tricky: l.Tricky,
                Unread: l.Unread
            ))
            .ToList();

        PastedMeaning Known(Correspondence one) =>
            meanings.TryGetValue(one, out var known) ? known : meanings[one] = Meaning(one);
    }

    private PastedMeaning Meaning(Correspondence one) =>
        new(
            one.Notation,
            one.Grapheme.Text,
            one.SoundText,
            [.. ModelWords.Ordered(one, shipped.Lexicon.ForLessons).Take(Examples).Select(w => w.Spelling)]
        );

    /// <summary>A new ladder with a draft of these rungs, which can be looked at, changed and published.</summary>
    public async Task<Answer<LadderSummary>> Make(OrderedLadder wanted)
    {
        var made = await ladders.Make(new NewLadder(wanted.Id, wanted.Name, "blank"));
        if (made.Refusal is not null)
            return made;
        var draft = await scope.Store.LadderDrafts.SingleOrDefaultAsync(d => d.LadderId == wanted.Id, scope.Stop);
        if (draft is null || !draft.Document.Rungs.IsEmpty)
            // Sent twice, it is made once.
            return made;
        var (steps, ids) = (new List<LadderStep>(), new HashSet<string>());
        string? last = null;
        foreach (var rung in wanted.Rungs)
        {
            var id = Id(rung, ids);
            steps.Add(
                new InsertRung(new RungDocument(id, FirstStage, rung.Correspondences, rung.Patterns, rung.Tricky), last)
            );
            last = id;
        }
        if (drafting.UnknownTricky(steps) is { } unknown)
            return unknown;
        if (steps.Count > 0 && await drafts.Change(draft, "import", steps, draft.Version) is { } problem)
            return problem;
        await scope.Save();
        return made;
    }

    private static string Id(OrderedRung rung, HashSet<string> ids)
    {
        var plain = rung.Correspondences.Concat(rung.Patterns).Concat(rung.Tricky).FirstOrDefault() ?? "rung";
        var id = plain;
        for (var i = 2; !ids.Add(id); i++)
            id = $"{plain} {i}";
        return id;
    }

    /// <summary>A published ladder as a file, a draft where no version is named.</summary>
    /// <param name="kind">csv or json.</param>
    public async Task<Answer<(string Name, byte[] Content)>> Write(Guid ladderId, int? version, string kind)
    {
        var kept = await scope.Store.Ladders.AsNoTracking().SingleOrDefaultAsync(l => l.Id == ladderId, scope.Stop);
        var ladder = version is { } number ? await scope.Ladder(ladderId, number) : (await Draft(ladderId))?.Document;
        if (kept is null || ladder is null)
            return Refused.UnknownLadder;
        return kind switch
        {
            // With a mark, so that a spreadsheet reads ʃ as it is.
            "csv" => ("ladder.csv", LadderCsv.Write(ladder)),
            "json" => ("ladder.json", Encoding.UTF8.GetBytes(LadderDocument.Write(ladder))),
            _ => Refusal.NotFound("unknown-format"),
        };
    }

    /// <summary>What reading a file back into the draft would change.</summary>
    public async Task<Answer<LadderFileView>> LookBack(Guid ladderId, LadderFile file)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await Draft(ladderId) is not { } draft)
            return Drafts.NoDraft;
        var read = Read(file, draft.Document);
        if (read.Refusal is { } refusal)
            return refusal;
        var (after, problems) = read.Value;
        return new LadderFileView(
            problems.Count > 0
                ? []
                : LadderWork.Lines(draft.Document, LadderDifference.Between(draft.Document, after)).ToList(),
            problems
        );
    }

    /// <summary>Reads a file back into the draft, as a change that can be undone.</summary>
    public async Task<Answer<LadderView>> ReadBack(Guid ladderId, LadderFile file, string? seen)
    {
        var open = await drafts.Open(ladderId);
        if (open.Refusal is { } refused)
            return refused;
        var draft = open.Value;
        if (Stamps.Number(seen) is not { } version)
            return Refused.VersionMissing;
        var read = Read(file, draft.Document);
        if (read.Refusal is { } refusal)
            return refusal;
        if (read.Value.Problems is [var first, ..])
            return Refusal.Unusable(
                "ladder-line",
                ("line", first.Line),
                ("column", first.Column),
                ("value", first.Value)
            );
        var steps = LadderDifference.Between(draft.Document, read.Value.Ladder);
        if (drafting.UnknownTricky(steps) is { } unknown)
            return unknown;
        if (await drafts.Change(draft, "import", steps, version) is { } problem)
            return problem;
        await scope.Save();
        return await drafting.Show(ladderId);
    }

    /// <summary>The ladder of a file, in the place of one.</summary>
    private static Answer<(Ladder Ladder, IReadOnlyList<LadderCsvProblem> Problems)> Read(LadderFile file, Ladder now)
    {
        try
        {
            if (file.Content.AsSpan().TrimStart((byte)' ') is [(byte)'{', ..])
            {
                var ladder = LadderDocument.Read(PlainText.Read(file.Content));
                return (now with { Rungs = ladder.Rungs, Free = ladder.Free }, []);
            }
            var (rungs, problems) = LadderCsv.Read(file.Content);
            return rungs.Length > LadderEditing.MostRungs
                ? Refusal.Unusable("order-too-long", ("most", LadderEditing.MostRungs))
                : (now with { Rungs = rungs }, problems);
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
        catch (FormatException problem)
        {
            return problem.InnerException is JsonException { LineNumber: { } line, Path: { Length: > 1 } path }
                ? Refusal.Unusable("way-line", ("line", (int)line + 1), ("where", path.TrimStart('$', '.')))
                : Refusal.Unusable("not-a-ladder");
        }
    }

    private Task<LadderDraft?> Draft(Guid ladderId) =>
        scope.Store.LadderDrafts.AsNoTracking().SingleOrDefaultAsync(d => d.LadderId == ladderId, scope.Stop);
}

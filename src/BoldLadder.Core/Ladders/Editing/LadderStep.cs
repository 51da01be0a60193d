using System.Collections.Immutable;
using System.Text.Json.Serialization;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Editing;

/// <summary>
/// The smallest change of a ladder. It names rungs by id, never by place, so that it still means the same after someone
/// else's change.
/// What a step writes and reads are keys: two steps that touch no common key can be done in either order.
/// </summary>
[JsonDerivedType(typeof(InsertRung), "insert")]
[JsonDerivedType(typeof(RemoveRung), "remove")]
[JsonDerivedType(typeof(MoveRung), "move")]
[JsonDerivedType(typeof(TeachOn), "teach")]
[JsonDerivedType(typeof(PlaceTricky), "tricky")]
[JsonDerivedType(typeof(NameStage), "stage")]
[JsonDerivedType(typeof(GiveReason), "reason")]
[JsonDerivedType(typeof(FreePatterns), "free")]
public abstract record LadderStep
{
    /// <exception cref="RefusedException">The step can't be done on this ladder.</exception>
    internal abstract Ladder Apply(Ladder ladder);

    /// <summary>The steps that take this one back, given the ladder it was applied to.</summary>
    internal abstract IEnumerable<LadderStep> Inverse(Ladder before);

    /// <summary>What the step changes.</summary>
    internal abstract IEnumerable<string> Writes();

    /// <summary>What the step relies on.</summary>
    internal virtual IEnumerable<string> Reads() => [];

    /// <summary>The rungs that the step moves or changes.</summary>
    internal virtual IEnumerable<string> Touched() => [];

    private protected static int Find(Ladder ladder, string id) =>
        ladder.IndexOf(id) is var at and >= 0 ? at : throw new RefusedException("unknown-rung");

    private protected static string? Before(Ladder ladder, int at) => at == 0 ? null : ladder.Rungs[at - 1].Id;

    private protected static Ladder With(Ladder ladder, int at, Rung rung) =>
        ladder with
        {
            Rungs = ladder.Rungs.SetItem(at, rung),
        };

    private protected static IEnumerable<string> Anchor(string? after) =>
        after is null ? [] : [$"place:{after}", $"exists:{after}"];

    private protected static Ladder Put(Ladder ladder, Rung rung, string? after) =>
        ladder with
        {
            Rungs = ladder.Rungs.Insert(after is null ? 0 : Find(ladder, after) + 1, rung),
        };

    /// <summary>A rung for a quiet day teaches nothing.</summary>
    private protected static Rung Checked(Rung rung) =>
        rung.Kind != RungKind.Lesson && (rung.IsInWords || rung.Tricky.Length > 0)
            ? throw new RefusedException("teaches-on-a-quiet-day")
            : rung;

    private protected static T Known<T>(Func<T> parse)
    {
        try
        {
            return parse();
        }
        catch (FormatException)
        {
            throw new RefusedException("unknown-teaching");
        }
    }

    private protected static string Name(string text) =>
        PlainName.Is(text, LadderEditing.LongestName)
            ? text
            : throw new RefusedException("bad-name.rung", ("most", LadderEditing.LongestName));
}

/// <summary>A new rung after another; null puts it first.</summary>
public sealed record InsertRung(RungDocument Rung, string? After) : LadderStep
{
    internal override Ladder Apply(Ladder ladder)
    {
        if (ladder.Rungs.Length >= LadderEditing.MostRungs)
            throw new RefusedException("too-many-rungs", ("most", LadderEditing.MostRungs));
        if (ladder.IndexOf(Name(Rung.Id)) >= 0)
            throw new RefusedException("rung-exists");
        Name(Rung.Stage);
        if (Rung.Reason is { } reason)
            Name(reason);
        var rung = Checked(Known(Rung.ToRung));
        foreach (var tricky in rung.Tricky)
            ladder = new PlaceTricky(tricky, null).Apply(ladder);
        return Put(ladder, rung, After);
    }

    internal override IEnumerable<LadderStep> Inverse(Ladder before) =>
        [
            new RemoveRung(Rung.Id),
            .. Rung
                .Tricky.SelectMany(t => new PlaceTricky(t, null).Inverse(before))
                .OfType<PlaceTricky>()
                .OrderBy(p => p.At),
        ];

    internal override IEnumerable<string> Writes() =>
        [$"exists:{Rung.Id}", $"place:{Rung.Id}", $"after:{After}", .. Rung.Tricky.Select(t => $"tricky:{t}")];

    internal override IEnumerable<string> Reads() => Anchor(After);

    internal override IEnumerable<string> Touched() => [Rung.Id];
}

/// <summary>Takes a rung with its tricky words off the ladder.</summary>
public sealed record RemoveRung(string Id) : LadderStep
{
    internal override Ladder Apply(Ladder ladder) => ladder with { Rungs = ladder.Rungs.RemoveAt(Find(ladder, Id)) };

    internal override IEnumerable<LadderStep> Inverse(Ladder before) =>
        Find(before, Id) is var at ? [new InsertRung(RungDocument.Of(before.Rungs[at]), Before(before, at))] : [];

    internal override IEnumerable<string> Writes() =>
        [$"exists:{Id}", $"place:{Id}", $"after:{Id}", $"teaches:{Id}", $"stage:{Id}", $"reason:{Id}"];

    internal override IEnumerable<string> Touched() => [Id];
}

/// <summary>Puts a rung right after another; null puts it first.</summary>
public sealed record MoveRung(string Id, string? After) : LadderStep
{
    internal override Ladder Apply(Ladder ladder)
    {
        if (Id == After)
            throw new RefusedException("after-itself");
        var at = Find(ladder, Id);
        return Put(ladder with { Rungs = ladder.Rungs.RemoveAt(at) }, ladder.Rungs[at], After);
    }

    internal override IEnumerable<LadderStep> Inverse(Ladder before) =>
        [new MoveRung(Id, Before(before, Find(before, Id)))];

    internal override IEnumerable<string> Writes() => [$"place:{Id}", $"after:{After}"];

    internal override IEnumerable<string> Reads() => [$"exists:{Id}", .. Anchor(After)];

    internal override IEnumerable<string> Touched() => [Id];
}

/// <summary>Says what a rung teaches: reference notations, ids of patterns, chunks; null for none of these.</summary>
public sealed record TeachOn(
    string Id,
    IReadOnlyList<string> Correspondences,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string>? Chunks = null
) : LadderStep
{
    internal override Ladder Apply(Ladder ladder)
    {
        var at = Find(ladder, Id);
        ImmutableArray<Correspondence> taught =
        [
            .. Known(() => Correspondences.Select(Correspondence.Parse).ToList()).Distinct(),
        ];
        var rung = ladder.Rungs[at] with
        {
            Correspondences = taught,
            Patterns = Known(() => PatternIds.Parse(Patterns)),
            Chunks = [.. Known(() => (Chunks ?? []).Select(Chunk.Parse).ToList())],
        };
        return With(ladder, at, Checked(rung));
    }

    internal override IEnumerable<LadderStep> Inverse(Ladder before)
    {
        var was = RungDocument.Of(before.Rungs[Find(before, Id)]);
        return [new TeachOn(Id, was.Correspondences, was.Patterns, was.Chunks)];
    }

    internal override IEnumerable<string> Writes() => [$"teaches:{Id}"];

    internal override IEnumerable<string> Reads() => [$"exists:{Id}"];

    internal override IEnumerable<string> Touched() => [Id];
}

/// <summary>Puts a tricky word on a rung, or with null takes it off the ladder; it stands on one rung only.</summary>
/// <param name="At">Its place among the rung's tricky words; the end when there is none.</param>
public sealed record PlaceTricky(string Word, string? Rung, int? At = null) : LadderStep
{
    internal override Ladder Apply(Ladder ladder)
    {
        var word = Name(Word);
        for (var i = 0; i < ladder.Rungs.Length; i++)
        {
            if (ladder.Rungs[i].Tricky.Contains(word))
                ladder = With(
                    ladder,
                    i,
                    ladder.Rungs[i] with
                    {
                        Tricky = ladder.Rungs[i].Tricky.RemoveAll(t => t == word),
                    }
                );
        }
        if (Rung is null)
            return ladder;
        var at = Find(ladder, Rung);
        var tricky = ladder.Rungs[at].Tricky;
        return With(
            ladder,
            at,
            Checked(
                ladder.Rungs[at] with
                {
                    Tricky = tricky.Insert(Math.Clamp(At ?? tricky.Length, 0, tricky.Length), word),
                }
            )
        );
    }

    internal override IEnumerable<LadderStep> Inverse(Ladder before)
    {
        var on = before.Rungs.FirstOrDefault(r => r.Tricky.Contains(Word));
        return [new PlaceTricky(Word, on?.Id, on?.Tricky.IndexOf(Word))];
    }

    internal override IEnumerable<string> Writes() => [$"tricky:{Word}"];

    internal override IEnumerable<string> Reads() => Rung is null ? [] : [$"exists:{Rung}"];

    internal override IEnumerable<string> Touched() => Rung is null ? [] : [Rung];
}

/// <summary>Gives a rung to a stage.</summary>
public sealed record NameStage(string Id, string Stage) : LadderStep
{
    internal override Ladder Apply(Ladder ladder) =>
        Find(ladder, Id) is var at ? With(ladder, at, ladder.Rungs[at] with { Stage = Name(Stage) }) : ladder;

    internal override IEnumerable<LadderStep> Inverse(Ladder before) =>
        [new NameStage(Id, before.Rungs[Find(before, Id)].Stage)];

    internal override IEnumerable<string> Writes() => [$"stage:{Id}"];

    internal override IEnumerable<string> Reads() => [$"exists:{Id}"];
}

/// <summary>Says why a rung may be thin; null takes the reason back.</summary>
public sealed record GiveReason(string Id, string? Reason) : LadderStep
{
    internal override Ladder Apply(Ladder ladder) =>
        Find(ladder, Id) is var at
            ? With(ladder, at, ladder.Rungs[at] with { Reason = Reason is null ? null : Name(Reason) })
            : ladder;

    internal override IEnumerable<LadderStep> Inverse(Ladder before) =>
        [new GiveReason(Id, before.Rungs[Find(before, Id)].Reason)];

    internal override IEnumerable<string> Writes() => [$"reason:{Id}"];

    internal override IEnumerable<string> Reads() => [$"exists:{Id}"];
}

/// <summary>Says which patterns need no teaching on this ladder.</summary>
public sealed record FreePatterns(IReadOnlyList<string> Free) : LadderStep
{
    internal override Ladder Apply(Ladder ladder) => ladder with { Free = Known(() => PatternIds.Parse(Free)) };

    internal override IEnumerable<LadderStep> Inverse(Ladder before) =>
        [new FreePatterns([.. before.Free.Each().Select(p => p.Id())])];

    internal override IEnumerable<string> Writes() => ["free"];
}

using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold derive-ladder: makes the ladders of data/ladders again from the lexicon and the fixed seed, or with --check
/// says whether they would come out the same.
/// With --perturb N derives each N times more from a lexicon that lost one word in twenty, and says how far rungs move.
/// </summary>
public static class DeriveLadderCommand
{
    private const long Seed = 20261124;

    /// <summary>The share of words that a perturbed lexicon loses.</summary>
    private const double Dropped = 0.05;

    /// <summary>How far a rung has moved that is no longer there.</summary>
    private const int NotThere = 99;

    private static readonly (string Id, Func<Lexicon, long, Ladder> Derive)[] Ladders =
    [
        ("letters-first", LettersFirst.Derive),
        ("sounds-first", SoundsFirst.Derive),
        ("short-vowels-first", ShortVowelsFirst.Derive),
    ];

    public static int Run(Arguments given, Session session)
    {
        var errors = session.Errors;
        var (check, only) = (given.Has("--check"), given.Value("--only"));
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        if (given.Count("--perturb") is { } times)
        {
            foreach (var (id, derive) in Ladders.Where(l => only is null || l.Id == only))
                errors.WriteLine(Moves(id, derive, lexicon, times));
            return 0;
        }
        var different = false;
        foreach (var (id, derive) in Ladders.Where(l => only is null || l.Id == only))
        {
            var ladder = derive(lexicon, Seed);
            var (file, content) = (
                Path.Combine(ProjectFolders.Data, "ladders", $"{id}.json"),
                LadderDocument.Write(ladder)
            );
            var same = File.Exists(file) && File.ReadAllText(file) == content;
            if (!check)
                File.WriteAllText(file, content);
            errors.WriteLine(
                $"{id}: {ladder.Rungs.Length} rungs, {(same ? "the same" : check ? "would come out different" : "written")}."
            );
            different |= !same;
        }
        return check && different ? 1 : 0;
    }

    /// <summary>How far rungs move when the lexicon loses one word in twenty.</summary>
    public static IEnumerable<(string Rung, int Move)> Moved(
        Func<Lexicon, long, Ladder> derive,
        Lexicon lexicon,
        int times
    )
    {
        var places = Places(derive(lexicon, Seed));
        return Enumerable
            .Range(0, times)
            .AsParallel()
            .AsOrdered()
            .SelectMany(time =>
            {
                var random = Seeded.For(Seed, $"perturbed {time}");
                var fewer = new Lexicon(lexicon.Words.Where(_ => random.Fraction() >= Dropped), $"perturbed {time}");
                return Places(derive(fewer, Seed))
                    .Select(r =>
                        (r.Key, places.TryGetValue(r.Key, out var place) ? Math.Abs(r.Value - place) : NotThere)
                    )
                    .ToList();
            })
            .ToList();
    }

    /// <summary>The rung of each thing taught; a sorting day by its id.</summary>
    private static Dictionary<string, int> Places(Ladder ladder) =>
        ladder
            .Rungs.SelectMany(
                (r, i) =>
                    r.Correspondences.IsEmpty
                        ? [(r.Id, i)]
                        : r.Correspondences.Select(c => (Id: c.ReferenceNotation, i))
            )
            .ToDictionary(r => r.Id, r => r.i);

    private static string Moves(string id, Func<Lexicon, long, Ladder> derive, Lexicon lexicon, int times)
    {
        var moved = Moved(derive, lexicon, times).ToList();
        var far = moved
            .GroupBy(m => m.Rung)
            .Select(g => (Rung: g.Key, Most: g.Max(m => m.Move)))
            .OrderByDescending(m => m.Most)
            .ToList();
        var farthest = string.Join(", ", far.Take(8).Select(m => $"{m.Rung} {m.Most}"));
        return $"{id}: {times} times, a rung moves by {moved.Average(m => m.Move):0.0} places on average, "
            + $"at most by {far[0].Most}: {farthest}";
    }
}

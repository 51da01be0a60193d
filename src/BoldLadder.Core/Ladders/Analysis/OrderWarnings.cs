using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>What the order of correspondences alone can get wrong. Source: docs/handbook.md, section 8 (All).</summary>
internal static class OrderWarnings
{
    /// <summary>What must have been taught before a whole, for each row one of its parts.</summary>
    private static readonly ILookup<Correspondence, Correspondence[]> Wholes = new (string Whole, string[] Parts)[]
    {
        ("a-e=eɪ", ["a=æ"]),
        ("e-e=iː", ["e=e"]),
        ("i-e=aɪ", ["i=ɪ"]),
        ("o-e=əʊ", ["o=ɒ"]),
        ("u-e=uː", ["u=ʌ"]),
        ("u-e=j+uː", ["u=ʌ"]),
        ("y-e=aɪ", ["y=ɪ", "y=aɪ"]),
        ("qu=k+w", ["u=ʌ"]),
        ("ck=k", ["c=k"]),
        ("ck=k", ["k=k"]),
        ("tch=tʃ", ["ch=tʃ"]),
        ("dge=dʒ", ["d=d"]),
        ("dge=dʒ", ["g=g"]),
        ("ff=f", ["f=f"]),
        ("ll=l", ["l=l"]),
        ("ss=s", ["s=s"]),
        ("zz=z", ["z=z"]),
        ("bb=b", ["b=b"]),
        ("dd=d", ["d=d"]),
        ("gg=g", ["g=g"]),
        ("mm=m", ["m=m"]),
        ("nn=n", ["n=n"]),
        ("pp=p", ["p=p"]),
        ("rr=r", ["r=r"]),
        ("tt=t", ["t=t"]),
    }.ToLookup(w => Correspondence.Parse(w.Whole), w => w.Parts.Select(Correspondence.Parse).ToArray());

    /// <summary>Joins come with or after a suffix they are for.</summary>
    private static readonly ImmutableArray<(Patterns Whole, Patterns Parts)> PatternWholes =
    [
        (
            Patterns.JoinDropE,
            Patterns.SuffixIng | Patterns.SuffixEd | Patterns.SuffixEr | Patterns.SuffixEst | Patterns.SuffixY
        ),
        (
            Patterns.JoinDouble,
            Patterns.SuffixIng | Patterns.SuffixEd | Patterns.SuffixEr | Patterns.SuffixEst | Patterns.SuffixY
        ),
        (
            Patterns.JoinYToI,
            Patterns.SuffixEs
                | Patterns.SuffixEd
                | Patterns.SuffixEr
                | Patterns.SuffixEst
                | Patterns.SuffixS
                | Patterns.SuffixLy
        ),
        (Patterns.ThreeSyllables, Patterns.TwoSyllables),
    ];

    public static IEnumerable<LadderWarning> Of(Ladder ladder, Accent accent)
    {
        var taught = new List<(Correspondence Correspondence, int Rung)>();
        var firstRung = new Dictionary<Correspondence, int>();
        var firstSounding = new Dictionary<(string Letters, string Sounds), Correspondence>();
        var firstSpelling = new Dictionary<string, Correspondence>();
        var patterns = Patterns.None;
        var families = ladder.Rungs.Where(r => r.Kind == RungKind.Sort).Select(r => r.Stage).ToHashSet();
        var ever = ladder.Rungs.SelectMany(r => r.Correspondences).ToHashSet();
        for (var rung = 0; rung < ladder.Rungs.Length; rung++)
        {
            taught.RemoveAll(t => rung - t.Rung >= Apartness.OfSpellings);
            foreach (var one in ladder.Rungs[rung].Correspondences)
            {
                if (!firstRung.TryAdd(one, rung))
                {
                    yield return LadderWarning.On(
                        rung,
                        WarningKind.TaughtTwice,
                        one.ReferenceNotation,
                        firstRung[one] + 1
                    );
                    continue;
                }
                var said = (one.Grapheme.Text, accent.Project(one));
                if (!firstSounding.TryAdd(said, one))
                    yield return LadderWarning.On(
                        rung,
                        WarningKind.AccentMerges,
                        one.ReferenceNotation,
                        firstSounding[said].ReferenceNotation
                    );
                firstSpelling.TryAdd(one.SoundText, one);
                foreach (var (earlier, at) in taught)
                {
                    if (
                        firstSounding[said] == earlier
                        || Pair(one, rung, earlier, at, firstSpelling[one.SoundText] == earlier) is not { } warning
                    )
                        continue;
                    // A sound family that is closed by a sort is met in a few days on purpose.
                    var stage = ladder.Rungs[rung].Stage;
                    if (
                        warning.Kind != WarningKind.SecondSpelling
                        || stage != ladder.Rungs[at].Stage
                        || !families.Contains(stage)
                    )
                        yield return warning;
                }
                taught.Add((one, rung));
            }
            patterns |= ladder.Rungs[rung].Patterns;
            foreach (var whole in ladder.Rungs[rung].Correspondences)
            {
                foreach (var parts in Wholes[whole])
                {
                    // A part that the ladder never teaches is no reason to wait.
                    if (Array.Exists(parts, ever.Contains) && !Array.Exists(parts, firstRung.ContainsKey))
                    {
                        yield return LadderWarning.On(
                            rung,
                            WarningKind.WholeBeforePart,
                            whole.ReferenceNotation,
                            parts[0].ReferenceNotation
                        );
                    }
                }
            }
            foreach (var (whole, parts) in PatternWholes)
            {
                if (!ladder.Rungs[rung].Patterns.HasFlag(whole) || (parts & (ladder.Free | patterns)) != Patterns.None)
                    continue;
                yield return LadderWarning.On(rung, WarningKind.WholeBeforePart, whole.Id(), parts.Each().First().Id());
            }
        }
    }

    private static LadderWarning? Pair(
        Correspondence one,
        int rung,
        Correspondence earlier,
        int at,
        bool isFirstSpelling
    )
    {
        var gap = rung - at;
        var (kind, asked, what) = Kind(one, earlier, isFirstSpelling);
        // Sounds of one spelling, or spellings of one sound, that share a rung are taught together on purpose;
        // look-alikes never are.
        if (gap == 0 && kind is (WarningKind.SecondSound or WarningKind.SecondSpelling))
            return null;
        return gap < asked ? LadderWarning.On(rung, kind, what, gap, asked) : null;
    }

    private static (WarningKind Kind, int Asked, string What) Kind(
        Correspondence one,
        Correspondence earlier,
        bool isFirstSpelling
    )
    {
        if (one.Grapheme == earlier.Grapheme)
            return (WarningKind.SecondSound, Apartness.Between(one, earlier), earlier.SoundText);
        if (isFirstSpelling && Apartness.IsSecondSpelling(one, earlier))
            return (WarningKind.SecondSpelling, Apartness.OfSpellings, earlier.Grapheme.Text);
        var asked = Apartness.Between(one, earlier);
        return (
            asked > 0 && Apartness.IsLookAlike(one, earlier) ? WarningKind.LookAlike : WarningKind.SoundAlike,
            asked,
            earlier.Grapheme.Text
        );
    }
}

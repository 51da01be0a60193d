using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>
/// Where a ladder leaves the school of order that it follows; a ladder of the school's own way has no such rules. Each
/// rule warns once, on the first rung that breaks it. Source: docs/handbook.md, section 8 (Letters first, Sounds first,
/// Short vowels first).
/// </summary>
internal static class ApproachWarnings
{
    private const string Consonants = "bcdfghjklmnpqrstvwxyz";
    private static readonly ImmutableHashSet<string> NeedNoSpellingEarly = ["ə", "ʒ", "ʊə"];
    private static readonly ImmutableArray<string> ShortVowels = ["a=æ", "e=e", "i=ɪ", "o=ɒ", "u=ʌ"];
    private static readonly ImmutableArray<string> ConsonantTeams = ["sh=ʃ", "ch=tʃ", "th=θ", "ng=ŋ"];

    private readonly record struct Placed(Correspondence What, int Rung)
    {
        public string Letters => What.Grapheme.Text;

        public bool IsTeam => What.IsVowel && Letters.Length > 1;
    }

    public static IEnumerable<LadderWarning> Of(Ladder ladder)
    {
        var order = ladder.Rungs.SelectMany((r, i) => r.Correspondences.Select(c => new Placed(c, i))).ToList();
        return ladder.Approach switch
        {
            "letters-first" => [.. LettersBeforeTeams(order), .. ConsonantTeamsEarly(order), .. OneSpellingEach(order)],
            "sounds-first" => [.. NewSoundEach(ladder)],
            "short-vowels-first" => [.. ShortBeforeLong(order), .. SplitsBeforePairs(order), .. ArAndOrFirst(order)],
            _ => [],
        };
    }

    private static LadderWarning Broken(int rung, string rule, string what) =>
        LadderWarning.On(rung, WarningKind.ApproachLeft, rule, what);

    private static IEnumerable<LadderWarning> LettersBeforeTeams(List<Placed> order)
    {
        if (order.FirstOrDefault(t => t.IsTeam) is not { What: not null } team)
            yield break;
        var late = order
            .Where(t =>
                t.Rung > team.Rung
                && t.Letters.Length == 1
                && order.TrueForAll(o => o.Rung > team.Rung || o.Letters[0] != t.Letters[0])
            )
            .Take(1);
        foreach (var letter in late)
            yield return Broken(team.Rung, "letters-before-teams", letter.What.ReferenceNotation);
    }

    private static IEnumerable<LadderWarning> ConsonantTeamsEarly(List<Placed> order)
    {
        var teams = order.Where(t => t.IsTeam).Select(t => t.Rung).Distinct().ToList();
        if (teams.Count < 3)
            yield break;
        foreach (var late in order.Where(t => t.Rung >= teams[2] && ConsonantTeams.Contains(t.What.Notation)).Take(1))
        {
            yield return Broken(late.Rung, "consonant-teams-early", late.What.ReferenceNotation);
        }
    }

    private static IEnumerable<LadderWarning> OneSpellingEach(List<Placed> order)
    {
        var needed = Sounds(order);
        var seen = new HashSet<string>();
        foreach (var taught in order)
        {
            if (needed.IsSubsetOf(seen))
                yield break;
            var excused =
                taught.What.Grapheme.Kind == GraphemeKind.Double
                || taught.Letters is "c" or "k" or "ck"
                || taught.What.Sounds.Length > 1;
            if (!seen.Add(taught.What.SoundText) && !excused)
            {
                yield return Broken(taught.Rung, "one-spelling-each", taught.What.ReferenceNotation);
                yield break;
            }
        }
    }

    private static IEnumerable<LadderWarning> NewSoundEach(Ladder ladder)
    {
        var needed = Sounds([.. ladder.Rungs.SelectMany((r, i) => r.Correspondences.Select(c => new Placed(c, i)))]);
        var seen = new HashSet<string>();
        for (var rung = 0; rung < ladder.Rungs.Length && !needed.IsSubsetOf(seen); rung++)
        {
            var before = seen.Count;
            seen.UnionWith(
                ladder.Rungs[rung].Correspondences.Where(c => c.Sounds.Length == 1).Select(c => c.SoundText)
            );
            if (seen.Count > before || !ladder.Rungs[rung].TeachesSomething)
                continue;
            yield return Broken(rung, "new-sound-each", ladder.Rungs[rung].Label);
            yield break;
        }
    }

    private static IEnumerable<LadderWarning> ShortBeforeLong(List<Placed> order)
    {
        if (
            order.FirstOrDefault(t => t.What.IsVowel && !ShortVowels.Contains(t.What.Notation))
            is not { What: not null } first
        )
            yield break;
        var late = order
            .Where(t =>
                t.Rung > first.Rung
                && (
                    ShortVowels.Contains(t.What.Notation)
                    || (
                        !t.What.IsVowel
                        && (t.Letters.Length == 1 || t.Letters == "qu")
                        && Consonants.Contains(t.Letters[0], StringComparison.Ordinal)
                        && order.TrueForAll(o => o.Rung > first.Rung || o.Letters[0] != t.Letters[0])
                    )
                )
            )
            .Take(1);
        foreach (var letter in late)
            yield return Broken(first.Rung, "short-before-long", letter.What.ReferenceNotation);
    }

    private static IEnumerable<LadderWarning> SplitsBeforePairs(List<Placed> order)
    {
        if (order.FirstOrDefault(t => IsPair(t)) is not { What: not null } pair)
            yield break;
        foreach (var late in order.Where(t => t.Rung > pair.Rung && IsSplit(t)).Take(1))
            yield return Broken(pair.Rung, "splits-before-pairs", late.What.ReferenceNotation);
    }

    private static bool IsSplit(Placed taught) => taught.What.Grapheme.Kind == GraphemeKind.SplitDigraph;

    private static bool IsPair(Placed taught) =>
        taught.IsTeam
        && !IsSplit(taught)
        && !taught.What.KeepsR
        && taught.Letters.All(c => "aeiouwyghl".Contains(c, StringComparison.Ordinal))
        && taught.Letters is not ("le" or "al");

    private static IEnumerable<LadderWarning> ArAndOrFirst(List<Placed> order)
    {
        if (order.FirstOrDefault(t => t.What.Notation is "er=ɜː" or "ir=ɜː" or "ur=ɜː") is not { What: not null } first)
            yield break;
        foreach (
            var late in order
                .Where(t => t.Rung >= first.Rung && t.What.Notation is "ar=ɑː" or "or=ɔː")
                .Where(t => t.Rung >= first.Rung)
                .Take(1)
        )
            yield return Broken(first.Rung, "ar-and-or-first", late.What.ReferenceNotation);
    }

    /// <summary>The sounds that the ladder ever spells and that need a spelling early.</summary>
    private static HashSet<string> Sounds(List<Placed> order) =>
        [
            .. order
                .Where(t => t.What.Sounds.Length == 1)
                .Select(t => t.What.SoundText)
                .Where(s => !NeedNoSpellingEarly.Contains(s)),
        ];
}

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>What the first rungs of a ladder can get wrong. Source: docs/handbook.md, section 8 (All).</summary>
internal static class StartWarnings
{
    /// <summary>A ladder with fewer correspondences is only just begun.</summary>
    private const int Begun = 12;
    private const double CommonWord = 4;

    /// <param name="rungOf">For each word of the index the rung after which it is decodable.</param>
    public static IEnumerable<LadderWarning> Of(Ladder ladder, WordIndex index, ReadOnlyMemory<int> rungOf)
    {
        var order = ladder
            .Rungs.SelectMany((r, i) => r.Correspondences.Select(c => (Correspondence: c, Rung: i)))
            .Take(Begun)
            .ToList();
        if (order.Count < Begun)
            yield break;
        var common = index.ForLessons.Count(w => rungOf.Span[w] <= 3 && index.Words[w].Zipf >= CommonWord);
        if (common < 3)
            yield return LadderWarning.On(3, WarningKind.FewWordsEarly, common, 3, 4);
        var sixth = order[5].Rung;
        var words = index.ForLessons.Count(w => rungOf.Span[w] <= sixth);
        if (words < 8)
            yield return LadderWarning.On(sixth, WarningKind.FewWordsEarly, words, 8, sixth + 1);
        var vowels = order.Take(8).Count(o => o.Correspondence.IsVowel);
        if (vowels < 2)
            yield return LadderWarning.On(order[7].Rung, WarningKind.FewVowelsEarly, vowels);
        var run = 0;
        foreach (var (one, rung) in order)
        {
            run = one.IsVowel ? 0 : run + 1;
            if (run == 5)
                yield return LadderWarning.On(rung, WarningKind.ConsonantsInARow, run);
        }
        var consonants = order.Where(o => !o.Correspondence.IsVowel).Take(6).ToList();
        var held = consonants.Count(o => o.Correspondence.Sounds[^1].CanBeHeld);
        if (held < 3)
            yield return LadderWarning.On(consonants[^1].Rung, WarningKind.FewHeld, held);
    }
}

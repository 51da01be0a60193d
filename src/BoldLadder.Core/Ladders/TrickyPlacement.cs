using System.Collections.Immutable;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// Places tricky words along a ladder: the commonest first, after most of their regular part, never shortly before they become
/// readable, words easily mixed up apart. Source: docs/handbook.md, section 4 (Tricky word) and section 8.
/// </summary>
public sealed class TrickyPlacement(Lexicon lexicon, int firstRung = 3, int most = 100)
{
    /// <summary>A word that can be read this many rungs later is not worth learning as tricky.</summary>
    private const int SoonReadable = 6;

    /// <summary>From this rung on, words with no regular part (are, one) come too.</summary>
    private const int RegularPartWaived = 18;
    private const int ApartWhenMixedUp = 12;

    /// <summary>So many of the commonest words are looked at.</summary>
    private const int Commonest = 350;

    /// <summary>Rungs a word stays tricky for that are worth one step of commonness: said before like.</summary>
    private const double RungsPerZipf = 40;
    private const int LongTricky = 80;

    private static readonly ImmutableArray<string> Starters = ["the", "to", "i", "a"];

    /// <summary>Common in talk, not needed in children's sentences.</summary>
    private static readonly ImmutableArray<string> NotNeeded = ["yeah", "okay", "hey", "sure", "course", "doing", "night", "make", "tell", "thing", "things", "won", "sir", "guy", "baby", "guess", "actually", "business", "haven", "hi", "idea", "son", "happened", "rather", "father", "minute", "minutes", "problem", "matter", "case", "fact", "alone", "wife", "husband", "police", "phone", "crazy", "news", "hello", "reason", "figure", "stupid", "honey", "god", "lord", "knew", "lady", "shot"];

    /// <summary>The same ladder with tricky words on its rungs, at most one a rung.</summary>
    public Ladder On(Ladder ladder)
    {
        var reach = new Reach(ladder, Leniencies.All, Accent.SouthernBritish);
        var waiting = lexicon.Words.Where(w => w.Suitability == Suitability.Use && w.Band != Band.NotForChildren && (w.Flags & (WordFlags.AmericanOnly | WordFlags.Contraction)) == WordFlags.None && w.Suffix is null).Take(Commonest)
            .Where(w => !NotNeeded.Contains(w.Spelling))
            .Select(w => (Word: w, Readable: reach.RungOf(w)))
            .Where(w => w.Readable is not { } rung || rung > firstRung + SoonReadable)
            .OrderByDescending(w => Starters.Contains(w.Word.Spelling)).ThenByDescending(w => w.Word.Zipf + (Math.Min(w.Readable ?? LongTricky, LongTricky) / RungsPerZipf)).ThenBy(w => w.Word.Spelling, StringComparer.Ordinal)
            .ToList();
        var placed = new Dictionary<string, int>();
        var rungs = ladder.Rungs.ToBuilder();
        for (var i = firstRung; i < rungs.Count && placed.Count < most; i++)
        {
            if (rungs[i].Correspondences.IsEmpty) continue;
            var taught = ladder.TaughtAfter(i + 1, Leniencies.All, Accent.SouthernBritish);
            var chosen = waiting.Find(w => Suits(w.Word, i, w.Readable, taught, placed));
            if (chosen.Word is null) continue;
            placed[chosen.Word.Spelling] = i;
            waiting.Remove(chosen);
            rungs[i] = rungs[i] with { Tricky = [chosen.Word.Spelling] };
        }
        return ladder with { Rungs = rungs.ToImmutable() };
    }

    private static bool Suits(Word word, int rung, int? readable, Taught taught, Dictionary<string, int> placed)
    {
        if (readable is { } when && when <= rung + SoonReadable) return false;
        if (MixedUp.Partners(word.Spelling).Any(other => placed.TryGetValue(other, out var at) && rung - at < ApartWhenMixedUp)) return false;
        if (Starters.Contains(word.Spelling)) return true;
        var known = word.Required.Count(taught.Covers);
        return known * 3 >= word.Required.Length || rung >= RegularPartWaived;
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>A tricky word and the place of the rung that could teach it.</summary>
/// <param name="Readable">The place of the rung that makes it readable; null for never.</param>
public sealed record TrickySuggestion(Word Word, int Rung, int? Readable);

/// <summary>
/// Places tricky words along a ladder: the commonest first, after most of their regular part, never shortly before they
/// become readable, words easily mixed up apart. Source: docs/handbook.md, section 4 (Tricky word) and section 8.
/// </summary>
public sealed class TrickyPlacement(Lexicon lexicon, Accent accent, int firstRung = 3, int most = 100)
{
    /// <summary>A word that can be read this many rungs later is not worth learning as tricky.</summary>
    private const int SoonReadable = 6;

    /// <summary>From this rung on, words with no regular part (are, one) come too.</summary>
    private const int RegularPartWaived = 18;
    private const int ApartWhenMixedUp = 12;

    /// <summary>So many of the commonest words are looked at.</summary>
    private const int Commonest = 450;

    /// <summary>Rungs a word stays tricky for that are worth one step of commonness: said before like.</summary>
    private const double RungsPerZipf = 40;
    private const int LongTricky = 80;

    private static readonly ImmutableArray<string> Starters = ["the", "to", "i", "a"];

    /// <summary>Taught as soon as its letters are: it joins the first words into phrases.</summary>
    private const string Joiner = "and";

    /// <summary>Common in talk, not needed in children's sentences.</summary>
    private static readonly ImmutableArray<string> NotNeeded =
    [
        "yeah",
        "okay",
        "hey",
        "sure",
        "course",
        "doing",
        "night",
        "make",
        "tell",
        "thing",
        "things",
        "won",
        "sir",
        "guy",
        "baby",
        "guess",
        "actually",
        "business",
        "haven",
        "hi",
        "idea",
        "son",
        "happened",
        "rather",
        "father",
        "minute",
        "minutes",
        "problem",
        "matter",
        "case",
        "fact",
        "alone",
        "wife",
        "husband",
        "police",
        "phone",
        "crazy",
        "news",
        "hello",
        "reason",
        "figure",
        "stupid",
        "honey",
        "god",
        "lord",
        "knew",
        "lady",
        "shot",
        "right",
        "oh",
        "wrong",
        "somebody",
        "someone",
        "yourself",
        "listen",
        "heard",
        "sorry",
        "something",
        "anything",
        "nothing",
        "everything",
        "thought",
        "maybe",
        "our",
        "own",
        "world",
    ];

    /// <summary>The same ladder with tricky words on its rungs, at most one a rung.</summary>
    public Ladder On(Ladder ladder)
    {
        var rungs = ladder.Rungs.ToBuilder();
        foreach (var suggestion in Suggest(ladder))
            rungs[suggestion.Rung] = rungs[suggestion.Rung] with { Tricky = [suggestion.Word.Spelling] };
        return ladder with { Rungs = rungs.ToImmutable() };
    }

    /// <summary>
    /// Where tricky words that the ladder lacks could stand, rung by rung: on rungs that bring something new and have
    /// none yet.
    /// </summary>
    public IEnumerable<TrickySuggestion> Suggest(Ladder ladder)
    {
        var waiting = Waiting(ladder);
        var placed = ladder
            .Rungs.SelectMany((r, i) => r.Tricky.Select(t => (Word: t, Rung: i)))
            .DistinctBy(t => t.Word)
            .ToDictionary(t => t.Word, t => t.Rung);
        for (var i = firstRung; i < ladder.Rungs.Length && placed.Count < most; i++)
        {
            if (ladder.Rungs[i].Correspondences.IsEmpty || !ladder.Rungs[i].Tricky.IsEmpty)
                continue;
            var taught = ladder.TaughtAfter(i + 1, Leniencies.All, accent);
            var chosen = waiting.Find(w => Suits(w.Word, i, w.Readable, taught, placed));
            if (chosen is null)
                continue;
            placed[chosen.Word.Spelling] = i;
            waiting.Remove(chosen);
            yield return chosen with
            {
                Rung = i,
            };
        }
    }

    /// <summary>
    /// Common words that the ladder never makes readable and does not teach as tricky words, the commonest first.
    /// </summary>
    public IEnumerable<Word> NeverReadable(Ladder ladder) =>
        Waiting(ladder)
            .Where(w => w.Readable is null)
            .Select(w => w.Word)
            .Where(w => !ladder.Rungs.Any(r => r.Tricky.Contains(w.Spelling)))
            .OrderByDescending(w => w.Zipf);

    /// <summary>The words worth placing, those most needed first.</summary>
    private List<TrickySuggestion> Waiting(Ladder ladder)
    {
        var reach = ladder.ReachIn(Leniencies.All, accent);
        return lexicon
            .Words.Where(w =>
                w.Suitability == Suitability.Use
                && w.Band is Band.Known or Band.Teach
                && (w.Flags & (WordFlags.AmericanOnly | WordFlags.Contraction)) == WordFlags.None
                && w.Suffix is null
            )
            .Take(Commonest)
            .Where(w => !NotNeeded.Contains(w.Spelling))
            .Select(w => new TrickySuggestion(w, -1, reach.RungOf(w)))
            .Where(w => w.Readable is not { } rung || rung > firstRung + SoonReadable)
            .OrderByDescending(w => w.Word.Spelling == Joiner)
            .ThenByDescending(w => Starters.Contains(w.Word.Spelling))
            .ThenByDescending(w => w.Word.Zipf + (Math.Min(w.Readable ?? LongTricky, LongTricky) / RungsPerZipf))
            .ThenBy(w => w.Word.Spelling, StringComparer.Ordinal)
            .ToList();
    }

    private static bool Suits(Word word, int rung, int? readable, Taught taught, Dictionary<string, int> placed)
    {
        if (placed.ContainsKey(word.Spelling) || (readable is { } when && when <= rung + SoonReadable))
            return false;
        if (
            MixedUp
                .Partners(word.Spelling)
                .Any(other => placed.TryGetValue(other, out var at) && Math.Abs(rung - at) < ApartWhenMixedUp)
        )
            return false;
        if (Starters.Contains(word.Spelling))
            return true;
        if (word.Spelling == Joiner)
            return word.Required.All(taught.Covers);
        var known = word.Required.Count(taught.Covers);
        return known * 3 >= word.Required.Length || rung >= RegularPartWaived;
    }
}

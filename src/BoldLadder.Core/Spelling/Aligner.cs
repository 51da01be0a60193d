using System.Collections.Immutable;

namespace BoldLadder.Core.Spelling;

/// <summary>
/// One way in which a correspondence can be said: the phones, in the notation of the pronunciation source.
/// </summary>
public sealed record Rendering(Correspondence Correspondence, ImmutableArray<string> Phones);

/// <summary>Where a rendering would stand in a word that is being aligned.</summary>
public readonly record struct AlignmentSite(
    string Letters,
    int LetterStart,
    int LetterEnd,
    ImmutableArray<string> Phones,
    int PhoneStart,
    int PhoneEnd
);

/// <summary>What an aligner needs to know of a pronunciation source and of English spelling.</summary>
public interface IAlignmentModel
{
    /// <summary>
    /// The renderings whose first letters (before the hyphen of a split digraph) are <paramref name="letters"/>.
    /// </summary>
    IReadOnlyList<Rendering> RenderingsOf(string letters);

    /// <summary>False where the spelling forbids the rendering at that place.</summary>
    bool Allows(Rendering rendering, AlignmentSite site);

    /// <summary>True where the e of a split digraph may stand: <paramref name="end"/> is the place after it.</summary>
    bool MayCloseSplit(string letters, int end);

    /// <summary>The price of using a correspondence once; lower is commoner.</summary>
    double Cost(Correspondence correspondence);
}

/// <summary>
/// Finds the cheapest segmentation of a word's letters over its phones: a shortest path over (letters so far, phones so
/// far, open split digraph). A split digraph closes over one consonant grapheme, or st. Source: docs/handbook.md,
/// section 4 (Segmentation).
/// </summary>
public sealed class Aligner(IAlignmentModel model)
{
    private const int LongestGrapheme = 4;

    /// <summary>The cheapest segmentation with its cost, or null when letters and phones can't be matched.</summary>
    public (Segmentation Segmentation, double Cost)? Align(string letters, ImmutableArray<string> phones)
    {
        var search = new Search(model, letters, phones);
        var best = search.From(new State(0, 0, null, 0));
        if (best is null)
            return null;
        var parts = ImmutableArray.CreateBuilder<Correspondence>();
        for (var step = best; step.Correspondence is not null; step = step.Next!)
            parts.Add(step.Correspondence);
        return (new Segmentation(parts.ToImmutable()), best.Cost);
    }

    /// <param name="Inside">How many consonant graphemes the open split digraph has gone round.</param>
    private readonly record struct State(int Letter, int Phone, Correspondence? Open, int Inside);

    private sealed record Path(Correspondence? Correspondence, double Cost, Path? Next);

    private sealed class Search(IAlignmentModel model, string letters, ImmutableArray<string> phones)
    {
        private static readonly Path End = new(null, 0, null);
        private readonly Dictionary<State, Path?> known = [];

        public Path? From(State state)
        {
            if (state.Letter == letters.Length)
                return state.Phone == phones.Length && state.Open is null ? End : null;
            if (known.TryGetValue(state, out var path))
                return path;
            Path? best = null;
            for (var length = 1; length <= Math.Min(LongestGrapheme, letters.Length - state.Letter); length++)
            {
                foreach (var rendering in model.RenderingsOf(letters.Substring(state.Letter, length)))
                    Try(rendering, length);
            }
            return known[state] = best;

            void Try(Rendering rendering, int length)
            {
                var correspondence = rendering.Correspondence;
                if (state.Open is not null && (correspondence.IsVowel || correspondence.Grapheme.IsSplit))
                    return;
                var phoneEnd = state.Phone + rendering.Phones.Length;
                if (phoneEnd > phones.Length)
                    return;
                for (var i = 0; i < rendering.Phones.Length; i++)
                {
                    if (phones[state.Phone + i] != rendering.Phones[i])
                        return;
                }
                var letterEnd = state.Letter + length;
                if (
                    !model.Allows(
                        rendering,
                        new AlignmentSite(letters, state.Letter, letterEnd, phones, state.Phone, phoneEnd)
                    )
                )
                    return;
                foreach (var next in After(correspondence, letterEnd, phoneEnd))
                    Keep(correspondence, From(next));
            }

            IEnumerable<State> After(Correspondence correspondence, int letterEnd, int phoneEnd)
            {
                if (correspondence.Grapheme.IsSplit)
                    return [new State(letterEnd, phoneEnd, correspondence, 0)];
                if (state.Open is null)
                    return [new State(letterEnd, phoneEnd, null, 0)];
                var closes =
                    letterEnd < letters.Length
                    && letters[letterEnd] == 'e'
                    && model.MayCloseSplit(letters, letterEnd + 1)
                    && (state.Inside == 0 || correspondence.Grapheme.Text == "t");
                if (closes)
                    return [new State(letterEnd + 1, phoneEnd, null, 0)];
                var opensSt =
                    state.Inside == 0
                    && correspondence.Grapheme.Text == "s"
                    && letterEnd < letters.Length
                    && letters[letterEnd] == 't';
                return opensSt ? [new State(letterEnd, phoneEnd, state.Open, 1)] : [];
            }

            void Keep(Correspondence correspondence, Path? rest)
            {
                if (rest is null)
                    return;
                var cost = model.Cost(correspondence) + rest.Cost;
                if (best is null || cost < best.Cost - 1e-9)
                    best = new Path(correspondence, cost, rest);
            }
        }
    }
}

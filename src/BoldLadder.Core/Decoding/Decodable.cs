using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Decoding;

/// <summary>
/// The central rule, once: a word can be read when all that it needs is met, where a place that a join changed is met
/// by the word's own correspondence or by its base's, and a taught suffix supplies what is inside it. Whether, where
/// not, and from which rung: each asks here. Source: docs/handbook.md, section 4 (Decodable).
/// </summary>
internal static class Decodable
{
    extension(NeedRow row)
    {
        /// <summary>True when all that the word needs is met.</summary>
        /// <param name="met">For each need whether it is met.</param>
        /// <param name="taught">The patterns that were taught; one that is only free supplies nothing.</param>
        public bool IsMet(ReadOnlySpan<bool> met, Patterns taught)
        {
            for (var i = 0; i < row.Body.Length; i++)
            {
                if (!met[row.Body[i]] && !(i == row.ChangedAt && met[row.OfBase]))
                    return false;
            }
            return AllMet(row.Patterns, met) && (Supplies(row, taught) || AllMet(row.Ending, met));
        }

        /// <summary>The places of the correspondences that are not met, in word order.</summary>
        public List<int> Unmet(ReadOnlySpan<bool> met, Patterns taught)
        {
            List<int> places = [];
            for (var i = 0; i < row.Body.Length; i++)
            {
                if (!met[row.Body[i]] && !(i == row.ChangedAt && met[row.OfBase]))
                    places.Add(i);
            }
            for (var i = 0; i < row.Ending.Length && !Supplies(row, taught); i++)
            {
                if (!met[row.Ending[i]])
                    places.Add(row.Body.Length + i);
            }
            return places;
        }

        /// <summary>The rank from which all is met.</summary>
        /// <param name="ranks">The rank at which each need is met.</param>
        /// <param name="taught">For each pattern, by its place, the rank at which it is taught; being free is not
        /// enough.</param>
        /// <param name="lowest">What a word that needs nothing has.</param>
        public int Rank(ReadOnlySpan<int> ranks, ReadOnlySpan<int> taught, int lowest)
        {
            var highest = Math.Max(RankOfBody(row, ranks, lowest), Highest(row.Patterns, ranks, lowest));
            return row.Suffix == NeedRow.None
                ? highest
                : Math.Max(highest, Math.Min(taught[row.Suffix], Highest(row.Ending, ranks, lowest)));
        }

        /// <summary>The highest rank among what the word needs that is below a limit.</summary>
        public int RankBelow(ReadOnlySpan<int> ranks, int limit, int lowest)
        {
            var highest = lowest;
            for (var i = 0; i < row.Body.Length; i++)
                Raise(i == row.ChangedAt ? Math.Min(ranks[row.Body[i]], ranks[row.OfBase]) : ranks[row.Body[i]]);
            foreach (var need in row.Ending)
                Raise(ranks[need]);
            foreach (var need in row.Patterns)
                Raise(ranks[need]);
            return highest;

            void Raise(int rank) => highest = rank < limit && rank > highest ? rank : highest;
        }
    }

    private static bool Supplies(NeedRow row, Patterns taught) =>
        row.Suffix != NeedRow.None && ((int)taught & (1 << row.Suffix)) != 0;

    private static bool AllMet(ReadOnlySpan<int> needs, ReadOnlySpan<bool> met)
    {
        foreach (var need in needs)
        {
            if (!met[need])
                return false;
        }
        return true;
    }

    private static int RankOfBody(NeedRow row, ReadOnlySpan<int> ranks, int lowest)
    {
        if (row.ChangedAt == NeedRow.None)
            return Highest(row.Body, ranks, lowest);
        var changed = Math.Min(ranks[row.Body[row.ChangedAt]], ranks[row.OfBase]);
        return Math.Max(
            changed,
            Math.Max(
                Highest(row.Body[..row.ChangedAt], ranks, lowest),
                Highest(row.Body[(row.ChangedAt + 1)..], ranks, lowest)
            )
        );
    }

    private static int Highest(ReadOnlySpan<int> needs, ReadOnlySpan<int> ranks, int lowest)
    {
        var highest = lowest;
        foreach (var need in needs)
        {
            var rank = ranks[need];
            if (rank > highest)
                highest = rank;
        }
        return highest;
    }
}

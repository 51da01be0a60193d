using System.Collections.Immutable;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>
/// What a join does to the base of a suffixed word: one correspondence of the base is written another way before the
/// suffix (hope, hop|ed; cry, cri|ed).
/// Whoever can read the base and was taught the join can read it. Source: docs/handbook.md, section 4 (Decodable;
/// joins).
/// </summary>
internal static class JoinedBase
{
    /// <summary>
    /// The place that differs and what the base has there; null when the base stands in the word as it is, or can't be
    /// found again.
    /// </summary>
    /// <param name="body">The word's correspondences before its suffix.</param>
    public static (int Place, Correspondence OfBase)? Of(ImmutableArray<Correspondence> body, string stem)
    {
        if (body.IsEmpty || new Segmentation(body).Rejoin() == stem)
            return null;
        return SplitDigraph(body, stem) ?? LastPart(body, stem);
    }

    /// <summary>
    /// stopped: pp for p; cried: i for y; danced: c for ce; goes: oe for o; gently: l for le; finally: ll for l.
    /// </summary>
    private static (int, Correspondence)? LastPart(ImmutableArray<Correspondence> body, string stem)
    {
        var before = new Segmentation(body[..^1]).Rejoin();
        if (stem.Length <= before.Length || !stem.StartsWith(before, StringComparison.Ordinal))
            return null;
        var letters = stem[before.Length..];
        var found =
            letters == "le" && body[^1].Notation == "l=l"
                ? Correspondence.Parse("le=ə+l")
                : Correspondence.Find(letters, body[^1].SoundText)
                    ?? (letters == "y" ? Correspondence.Find("y", "iː") : null);
        return found is null ? null : (body.Length - 1, found);
    }

    /// <summary>hoping: o for o-e.</summary>
    private static (int, Correspondence)? SplitDigraph(ImmutableArray<Correspondence> body, string stem)
    {
        for (var i = body.Length - 2; i >= Math.Max(0, body.Length - 3); i--)
        {
            if (
                Correspondence.Find($"{body[i].Grapheme.Text}-e", body[i].SoundText) is { } split
                && new Segmentation(body.SetItem(i, split)).Rejoin() == stem
            )
                return (i, split);
        }
        return null;
    }
}

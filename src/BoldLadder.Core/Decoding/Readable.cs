using System.Collections.Concurrent;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Decoding;

/// <summary>
/// What teaching one correspondence lets a child read besides itself: what sounds the same in the accent, what a
/// leniency lets in, and the same letters after an apostrophe. As masks, worked out once for each accent. Source:
/// docs/handbook.md, section 4.
/// </summary>
internal sealed class Readable
{
    private static readonly ConcurrentDictionary<Accent, Readable> ByAccent = new();
    private static readonly Leniencies[] EachLeniency =
    [
        .. Enum.GetValues<Leniencies>().Where(l => int.IsPow2((int)l)),
    ];

    /// <summary>For each correspondence and leniency, what it lets in: the same in every accent.</summary>
    private static readonly CorrespondenceSet[][] Lenient =
    [
        .. Correspondence.All.Select(taught =>
            EachLeniency
                .Select(l =>
                    CorrespondenceSet.Of(
                        Correspondence.All.Where(asked => (LeniencyRules.Between(taught, asked) & l) != Leniencies.None)
                    )
                )
                .ToArray()
        ),
    ];

    private readonly CorrespondenceSet[] alike;

    private Readable(Accent accent) =>
        alike = [
            .. Correspondence.All.Select(taught =>
                CorrespondenceSet.Of(Correspondence.All.Where(asked => IsAlike(accent, taught, asked)))
            ),
        ];

    /// <summary>The spellings that start with an apostrophe; teaching contractions supplies them.</summary>
    public static CorrespondenceSet AfterApostrophe { get; } =
        CorrespondenceSet.Of(Correspondence.All.Where(c => c.Grapheme.Text[0] == '\''));

    public static Readable In(Accent accent) => ByAccent.GetOrAdd(accent, a => new Readable(a));

    /// <summary>All that counts as readable when <paramref name="taught"/> was taught.</summary>
    public CorrespondenceSet From(IEnumerable<Correspondence> taught, Leniencies leniencies)
    {
        var all = CorrespondenceSet.Empty;
        foreach (var one in taught)
            all = all.Union(From(one, leniencies));
        return all;
    }

    /// <summary>What one correspondence makes readable, itself among it.</summary>
    public CorrespondenceSet From(Correspondence taught, Leniencies leniencies)
    {
        var found = alike[taught.Index];
        for (var i = 0; i < EachLeniency.Length; i++)
        {
            if ((leniencies & EachLeniency[i]) != 0 && !Lenient[taught.Index][i].IsEmpty)
                found = found.Union(Lenient[taught.Index][i]);
        }
        return found;
    }

    /// <summary>
    /// By index, the leniencies by which each correspondence would be readable to who was taught these.
    /// </summary>
    public static Leniencies[] LettingIn(CorrespondenceSet taught)
    {
        var found = new Leniencies[Correspondence.All.Length];
        foreach (var one in taught)
        {
            for (var i = 0; i < EachLeniency.Length; i++)
            {
                foreach (var asked in Lenient[one.Index][i])
                    found[asked.Index] |= EachLeniency[i];
            }
        }
        return found;
    }

    private static bool IsAlike(Accent accent, Correspondence taught, Correspondence asked) =>
        accent.AreOne(taught, asked)
        || (asked.IsBath && taught.Notation == "a=ɑː")
        || (
            asked.Grapheme.Text[0] == '\''
            && asked.Grapheme.Text[1..] == taught.Grapheme.Text
            && asked.SoundText == taught.SoundText
        );
}

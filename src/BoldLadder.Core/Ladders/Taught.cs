using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// What children in a group may be asked to read on a day: a set of correspondences and patterns. Immutable; adding to it
/// never makes a readable word unreadable. It knows no ladder, group or date. Source: docs/handbook.md, section 4 (Decodable).
/// </summary>
public sealed class Taught
{
    private readonly Lazy<CorrespondenceSet> counted;

    /// <param name="correspondences">What was taught.</param>
    /// <param name="patterns">The patterns that were taught; a taught suffix supplies the sounds inside it.</param>
    /// <param name="free">The patterns that need no teaching in this school; a free suffix supplies nothing.</param>
    public Taught(CorrespondenceSet correspondences, Patterns patterns, Patterns free, Leniencies leniencies, Accent accent)
    {
        Correspondences = correspondences;
        Patterns = patterns;
        Free = free;
        Leniencies = leniencies;
        Accent = accent;
        counted = new(CountedAsReadable);
    }

    public CorrespondenceSet Correspondences { get; }

    public Patterns Patterns { get; }

    public Patterns Free { get; }

    public Leniencies Leniencies { get; }

    public Accent Accent { get; }

    /// <summary>Nothing taught yet, all patterns free.</summary>
    public static Taught Nothing { get; } = new(CorrespondenceSet.Empty, Patterns.None, Patterns.All, Leniencies.None, Accent.SouthernBritish);

    public Taught With(IEnumerable<Correspondence> correspondences, Patterns patterns = Patterns.None) =>
        new(Correspondences.Add(correspondences), Patterns | patterns, Free, Leniencies, Accent);

    public bool CanRead(Word word) =>
        word.Body.IsSubsetOf(counted.Value)
        && (word.Patterns & ~(Patterns | Free)) == Patterns.None
        && (word.Suffix is null || Patterns.HasFlag(word.Suffix.Suffix) || word.Ending.IsSubsetOf(counted.Value));

    /// <summary>True when a child may be asked for the correspondence: it was taught, sounds like one that was, or a leniency lets it in.</summary>
    public bool Covers(Correspondence correspondence) => counted.Value.Contains(correspondence);

    /// <summary>The parts of <paramref name="word"/> that stand in the way, in word order, then patterns; none when it is decodable.</summary>
    public IEnumerable<Obstacle> Obstacles(Word word)
    {
        var supplied = word.Suffix is not null && Patterns.HasFlag(word.Suffix.Suffix) ? word.Suffix.Parts : 0;
        foreach (var part in word.Required[..^supplied])
        {
            if (!Covers(part)) yield return new Obstacle(part, Patterns.None);
        }
        foreach (var pattern in (word.Patterns & ~(Patterns | Free)).Each()) yield return new Obstacle(null, pattern);
    }

    private CorrespondenceSet CountedAsReadable()
    {
        var taught = Correspondences.ToList();
        return Correspondences.Add(Correspondence.All.Where(asked => taught.Any(t =>
            Accent.AreOne(t, asked) || (asked.IsBath && t.Notation == "a=ɑː")
            || (LeniencyRules.Between(t, asked) & Leniencies) != Leniencies.None)));
    }
}

/// <summary>One thing that stands between a group and a word: a correspondence, or else a pattern.</summary>
public sealed record Obstacle(Correspondence? Correspondence, Patterns Pattern)
{
    public override string ToString() => Correspondence?.ReferenceNotation ?? Pattern.Id();
}

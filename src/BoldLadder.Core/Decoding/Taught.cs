using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Decoding;

/// <summary>
/// What children in a group may be asked to read on a day: a set of correspondences and patterns. Immutable; adding to
/// it never makes a readable word unreadable. It knows no ladder, group or date. Source: docs/handbook.md, section 4
/// (Decodable).
/// </summary>
public sealed class Taught
{
    private readonly Lazy<CorrespondenceSet> counted;
    private readonly Lazy<Obstacle[]> obstacles;

    /// <param name="correspondences">What was taught.</param>
    /// <param name="patterns">The patterns that were taught; a taught suffix supplies the sounds inside it.</param>
    /// <param name="free">The patterns that need no teaching in this school; a free suffix supplies nothing.</param>
    public Taught(
        CorrespondenceSet correspondences,
        Patterns patterns,
        Patterns free,
        Leniencies leniencies,
        Accent accent
    )
    {
        Correspondences = correspondences;
        Patterns = patterns;
        Free = free;
        Leniencies = leniencies;
        Accent = accent;
        counted = new(CountedAsReadable);
        obstacles = new(EachObstacle);
    }

    public CorrespondenceSet Correspondences { get; }

    public Patterns Patterns { get; }

    public Patterns Free { get; }

    public Leniencies Leniencies { get; }

    public Accent Accent { get; }

    /// <summary>Nothing taught yet, all patterns free.</summary>
    public static Taught Nothing { get; } =
        new(CorrespondenceSet.Empty, Patterns.None, Patterns.All, Leniencies.None, Accent.SouthernBritish);

    public Taught With(IEnumerable<Correspondence> correspondences, Patterns patterns = Patterns.None) =>
        new(Correspondences.Add(correspondences), Patterns | patterns, Free, Leniencies, Accent);

    public bool CanRead(Word word) => word.NeedsIn(Accent).Row.IsMet(Met, Patterns);

    /// <summary>The same for a word of many, as rows of numbers in this accent.</summary>
    public bool CanRead(WordRows rows, int word) => rows[word].IsMet(Met, Patterns);

    /// <summary>Those of many words that can be read, in their order.</summary>
    public IEnumerable<Word> ReadableOf(WordRows rows)
    {
        for (var i = 0; i < rows.Words.Length; i++)
        {
            if (CanRead(rows, i))
                yield return rows.Words[i];
        }
    }

    /// <summary>For each need of <see cref="WordRows"/> whether it is met.</summary>
    private bool[] Met
    {
        get
        {
            if (field is not null)
                return field;
            var met = new bool[WordRows.Needs];
            foreach (var one in counted.Value)
                met[one.Index] = true;
            foreach (var pattern in (Patterns | Free).Each())
                met[WordRows.NeedOf(pattern)] = true;
            return field = met;
        }
    }

    /// <summary>
    /// True when a child may be asked for the correspondence: it was taught, sounds like one that was, or a leniency
    /// lets it in.
    /// </summary>
    public bool Covers(Correspondence correspondence) => counted.Value.Contains(correspondence);

    /// <summary>
    /// The parts of <paramref name="word"/> that stand in the way, in word order, then patterns; none when it is
    /// decodable.
    /// </summary>
    public ImmutableArray<Obstacle> Obstacles(Word word)
    {
        if (CanRead(word))
            return [];
        var found = ImmutableArray.CreateBuilder<Obstacle>();
        var parts = word.NeedsIn(Accent).Parts;
        var missing = word.Patterns & ~(Patterns | Free);
        // its suffix brings its own graphemes
        var supplied = word.Suffix is { } link && missing.HasFlag(link.Suffix) ? link.Parts : 0;
        foreach (var place in TrickyPlaces(word).Where(p => p < parts.Length - supplied))
            found.Add(obstacles.Value[parts[place].Index]);
        foreach (var pattern in missing.Each())
            found.Add(new Obstacle(null, pattern));
        return found.ToImmutable();
    }

    /// <summary>
    /// The tricky part of a word: the places, from 0, of the graphemes that can't be read yet; none when only a pattern
    /// is missing or nothing is.
    /// Source: docs/handbook.md, section 4 (Tricky word).
    /// </summary>
    public IReadOnlyList<int> TrickyPlaces(Word word) => word.NeedsIn(Accent).Row.Unmet(Met, Patterns);

    /// <summary>
    /// The leniencies, not given yet, that would make a refused word readable; none when it is readable, or no leniency
    /// would help.
    /// Where several would let in the same part, all are named.
    /// </summary>
    public Leniencies WouldLetIn(Word word) => Obstacle.WouldLetIn(Obstacles(word));

    private Obstacle[] EachObstacle()
    {
        var letIn = Readable.LettingIn(Correspondences);
        return [.. Correspondence.All.Select(c => new Obstacle(c, Patterns.None, letIn[c.Index] & ~Leniencies))];
    }

    private CorrespondenceSet CountedAsReadable()
    {
        var readable = Readable.In(Accent).From(Correspondences, Leniencies);
        return Patterns.HasFlag(Patterns.Contraction) ? readable.Union(Readable.AfterApostrophe) : readable;
    }
}

/// <summary>One thing that stands between a group and a word: a correspondence, or else a pattern.</summary>
/// <param name="LetInBy">The leniencies by which the correspondence would be readable; none when there is none.</param>
public sealed record Obstacle(Correspondence? Correspondence, Patterns Pattern, Leniencies LetInBy = Leniencies.None)
{
    public override string ToString() => Correspondence?.ReferenceNotation ?? Pattern.Id();

    /// <summary>
    /// The leniencies that together would take all obstacles away; none when one of them stays, or there are none.
    /// </summary>
    public static Leniencies WouldLetIn(IEnumerable<Obstacle> obstacles)
    {
        var all = Leniencies.None;
        foreach (var obstacle in obstacles)
        {
            if (obstacle.LetInBy == Leniencies.None)
                return Leniencies.None;
            all |= obstacle.LetInBy;
        }
        return all;
    }
}

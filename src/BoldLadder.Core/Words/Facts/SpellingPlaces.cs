using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>How a sound is spelled at one place of a base, by words children know.</summary>
/// <param name="Shares">Each spelling with its share there, the commonest first.</param>
/// <param name="Settled">The spelling that nearly all words have there; null where it must be known word by
/// word.</param>
public sealed record SpellingsAt(
    Place Place,
    int Words,
    ImmutableArray<(string Grapheme, double Share)> Shares,
    string? Settled
);

/// <summary>Which of two spellings of a sound stands at one place of a base.</summary>
/// <param name="Settled">The one that nearly always does; null where it must be known, or neither stands there.</param>
public sealed record PairAt(Place Place, int One, int Other, string? Settled);

/// <summary>
/// When the spelling of a sound is settled by its place (ai inside, ay at the end) and when it must be known. Counted
/// over bases, since boys ends in oy.
/// Source: docs/handbook.md, section 4 (Correspondence: usual positions).
/// </summary>
public sealed class SpellingPlaces
{
    /// <summary>One word in ten may be an exception to what is called settled.</summary>
    private const double NearlyAll = 0.9;
    private const int Few = 3;

    private readonly ILookup<(string Sounds, Place Place), string> spellings;
    private readonly Accent accent;

    public SpellingPlaces(Lexicon lexicon, Accent accent)
    {
        this.accent = accent;
        spellings = CorrespondenceTable
            .Counted(lexicon, accent, null)
            .Where(w => w.IsKnown && w.Suffix is null)
            .SelectMany(w => SitedPart.Of(w, accent))
            .Where(p => p.InBase is not null)
            .ToLookup(p => (accent.Project(p.Part), p.InBase!.Value), p => p.Part.Grapheme.Text);
    }

    /// <summary>
    /// The spellings of a sound (in the accent, two joined by "+") at the start, inside and at the end.
    /// </summary>
    public ImmutableArray<SpellingsAt> Of(string sounds) =>
        [
            .. Enum.GetValues<Place>()
                .Select(place =>
                {
                    var found = spellings[(sounds, place)].ToList();
                    var shares = found
                        .GroupBy(s => s)
                        .Select(s => (s.Key, (double)s.Count() / found.Count))
                        .OrderByDescending(s => s.Item2)
                        .ThenBy(s => s.Key, StringComparer.Ordinal)
                        .ToImmutableArray();
                    return new SpellingsAt(
                        place,
                        found.Count,
                        shares,
                        found.Count >= Few && shares[0].Item2 >= NearlyAll ? shares[0].Key : null
                    );
                }),
        ];

    /// <summary>Which of two spellings of one sound stands where.</summary>
    /// <exception cref="ArgumentException">They are spellings of different sounds in the accent.</exception>
    public ImmutableArray<PairAt> Between(Correspondence one, Correspondence other)
    {
        var sounds = accent.Project(one);
        if (sounds != accent.Project(other))
            throw new ArgumentException(
                $"{one} and {other} are not spellings of one sound here; name two spellings of the same sound."
            );
        return
        [
            .. Enum.GetValues<Place>()
                .Select(place =>
                {
                    var found = spellings[(sounds, place)].ToList();
                    var (first, second) = (
                        found.Count(s => s == one.Grapheme.Text),
                        found.Count(s => s == other.Grapheme.Text)
                    );
                    var settled =
                        first + second < Few ? null
                        : first >= NearlyAll * (first + second) ? one.Grapheme.Text
                        : second >= NearlyAll * (first + second) ? other.Grapheme.Text
                        : null;
                    return new PairAt(place, first, second, settled);
                }),
        ];
    }
}

using System.Collections.Concurrent;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Words.Facts;
using BoldLadder.School.Words;

namespace BoldLadder.School.Marks;

/// <summary>
/// What marking and memory ask of the shipped words, worked out once. A memory begins with the same half-life in every
/// school and accent, so that it can be made anew at any time.
/// </summary>
public sealed class MarkingFacts(WordData words)
{
    private readonly ConcurrentDictionary<Accent, Marker> markers = new();

    private readonly Lazy<Difficulty> difficulty = new(() =>
        new Difficulty(new CorrespondenceTable(words.Lexicon, Accent.SouthernBritish))
    );

    /// <summary>With what a memory begins.</summary>
    public Difficulty Difficulty => difficulty.Value;

    /// <summary>Who marks what was written by children of an accent.</summary>
    public Marker Marker(Accent accent) =>
        markers.GetOrAdd(accent, a => new Marker(new PlausibleSpellings(words.Lexicon, a)));
}

using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.School.Lessons;

namespace BoldLadder.School.Words;

/// <summary>Words that were found, the best known first.</summary>
/// <param name="Total">How many there are in all; the list has the first of them.</param>
public sealed record WordsView(int Total, IReadOnlyList<FoundWordView> Words);

/// <param name="Rung">What the rung teaches after which it can be read; empty for from the start, null for never on
/// this ladder.</param>
/// <param name="KeptOut">True when the school keeps it out of lessons.</param>
public sealed record FoundWordView(
    string Word,
    string Graphemes,
    IReadOnlyList<int> Marks,
    int Taps,
    string Shape,
    bool KnownAtFive,
    string? Rung,
    bool KeptOut
);

/// <summary>All that is known of a word.</summary>
/// <param name="Source">lexicon, derived, guessed or unknown.</param>
/// <param name="Common">How common it is in speech: 3 is rare, 6 very common.</param>
/// <param name="Parts">Each grapheme with how far it can be relied on.</param>
/// <param name="Stamp">Of what the school says of it: what If-Match gives back when that is changed.</param>
/// <param name="Groups">For each group what it can do with the word on its next teaching day.</param>
public sealed record WordView(
    string Word,
    WordSource Source,
    string Graphemes,
    string Phonemes,
    IReadOnlyList<int> Marks,
    int Taps,
    int Sounds,
    string Shape,
    IReadOnlyList<string> Syllables,
    IReadOnlyList<string> Patterns,
    double Common,
    bool KnownAtFive,
    Suitability Suitability,
    string? Meaning,
    IReadOnlyList<WordPartView> Parts,
    IReadOnlyList<string> SoundsTheSame,
    IReadOnlyList<string> Rhymes,
    IReadOnlyList<PairView> OneSoundApart,
    IReadOnlyList<GroupVerdictView> Groups,
    SchoolWordView? School,
    string Stamp
);

/// <param name="Facts">Null for a spelling that stands in a handful of words only.</param>
public sealed record WordPartView(string Notation, string Grapheme, string Sounds, CorrespondenceFacts? Facts);

public sealed record PairView(string Word, string Sound, string Other);

/// <param name="KeptOut">True when the word is not to come in this group's lessons; no reason is kept.</param>
public sealed record GroupVerdictView(Guid GroupId, string Group, VerdictView Verdict, bool KeptOut);

/// <summary>What the school says of a word.</summary>
public sealed record SchoolWordView(
    string Word,
    SchoolVerdict Verdict,
    string? Graphemes,
    string? Phonemes,
    string Reason,
    DateTime At
);

public sealed record SchoolWordRequest(
    SchoolVerdict Verdict,
    string Reason,
    string? Graphemes = null,
    string? Phonemes = null
);

/// <summary>What words are looked for by; what is null is not asked for.</summary>
public sealed record WordSearch
{
    /// <summary>Letters in a row.</summary>
    public string? Letters { get; init; }

    /// <summary>A correspondence, ai=eɪ, or a grapheme for any of its sounds.</summary>
    public string? With { get; init; }

    /// <summary>Where in the word it stands.</summary>
    public Place? At { get; init; }

    public string? Shape { get; init; }

    public string? Pattern { get; init; }

    /// <summary>A word to rhyme with.</summary>
    public string? Rhyme { get; init; }

    /// <summary>
    /// Words that become readable with this rung of the ladder; with <see cref="SoFar"/> also those before it.
    /// </summary>
    public string? Rung { get; init; }

    public bool SoFar { get; init; }

    /// <summary>Only words that children know at five.</summary>
    public bool Known { get; init; }
}

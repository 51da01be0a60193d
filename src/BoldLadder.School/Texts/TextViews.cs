using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Texts;
using BoldLadder.School.Lessons;

namespace BoldLadder.School.Texts;

/// <summary>A text to be checked. Nothing of it is kept.</summary>
/// <param name="Told">Words that the adult says: they count neither way.</param>
/// <param name="NamesTold">True where the adult says all names.</param>
/// <param name="FirstWords">Words that are taught by heart before it is read.</param>
/// <param name="Bar">The share of running words that children should be able to read, in percent, 1 to 100.</param>
public sealed record TextAsked(
    string Text,
    LevelAsked Level,
    IReadOnlyList<string>? Told = null,
    bool NamesTold = false,
    IReadOnlyList<string>? FirstWords = null,
    int Bar = 100
);

/// <summary>A text as it was checked.</summary>
/// <param name="Words">The different words, those that come first before others.</param>
/// <param name="Places">For each running word its start, its length and its place among the different words, one
/// after another; empty for a text that is longer than a few pages.</param>
/// <param name="Counts">How many words there are of each status; told words are in none.</param>
/// <param name="Readable">The share of running words that can be read, 0 to 1.</param>
/// <param name="Reached">Where the text reaches the bar; null when it does now, or never on this ladder.</param>
/// <param name="Along">Along the ladder; null for a set of one's own.</param>
/// <param name="TeachFirst">As few words as will do, taught by heart before, for the bar to be reached.</param>
/// <param name="LooksEnglish">False where most words are in no list.</param>
/// <param name="Unread">Pieces of a set of one's own that could not be read.</param>
public sealed record TextView(
    IReadOnlyList<TextWordView> Words,
    IReadOnlyList<int> Places,
    IReadOnlyList<StatusCount> Counts,
    double Readable,
    bool ReachesBar,
    WhenView? Reached,
    TextAlong? Along,
    IReadOnlyList<string> TeachFirst,
    SentenceLengths Sentences,
    bool LooksEnglish,
    IReadOnlyList<string> Unread
);

/// <param name="Text">As it stands in the text first.</param>
/// <param name="Needs">What is not taught, each with when it is.</param>
/// <param name="Readable">When it can be read; null when it can be now, or never on this ladder.</param>
/// <param name="IsName">A name, or probably one.</param>
/// <param name="IsNever">Not for children, or banned by the school.</param>
/// <param name="Hunt">Where the letters of today stand in it, and whether they have another job there; null for
/// nowhere.</param>
public sealed record TextWordView(
    string Text,
    ReadingStatus Status,
    int Times,
    bool IsTold,
    bool IsName,
    bool IsNever,
    IReadOnlyList<NeedView> Needs,
    WhenView? Readable,
    IReadOnlyList<HuntedPlace>? Hunt
);

public sealed record StatusCount(ReadingStatus Status, long Running, long Different);

/// <summary>How much of a text can be read, rung by rung.</summary>
/// <param name="Rungs">What each rung teaches.</param>
/// <param name="Running">The share of running words before the first rung, after it, and so on; 0 to 1.</param>
/// <param name="Different">The same by different words.</param>
/// <param name="Standing">After how many rungs whoever reads stands.</param>
/// <param name="Reached">After how many rungs the bar is reached; null for never.</param>
public sealed record TextAlong(
    IReadOnlyList<string> Rungs,
    ImmutableArray<double> Running,
    ImmutableArray<double> Different,
    int Standing,
    int? Reached
);

/// <param name="Average">Words a sentence.</param>
public sealed record SentenceLengths(int Count, double Average, int Longest, string LongestText);

/// <summary>A file whose text is to be taken.</summary>
public sealed record TextFileAsked(byte[] Content);

/// <param name="Text">With nothing else of the file.</param>
public sealed record TextOfFile(string Text, int Words);

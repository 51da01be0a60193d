using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.School.Ladders;

/// <param name="LatestVersion">0 when none was published yet.</param>
public sealed record LadderSummary(Guid Id, string Name, int LatestVersion, bool HasDraft, int Groups);

/// <summary>A ladder, published or in draft, with what it does.</summary>
/// <param name="Version">The published version; for a draft the one it started from, 0 for none.</param>
/// <param name="Draft">Null for a published version.</param>
/// <param name="Problems">What is wrong with the ladder as a whole: empty-ladder, one-rung, very-long,
/// no-teaching-day.</param>
public sealed record LadderView(
    Guid Id,
    string Name,
    string Approach,
    int Version,
    int Words,
    IReadOnlyList<RungView> Rungs,
    IReadOnlyList<string> Free,
    DraftState? Draft,
    IReadOnlyList<Reason> Problems
);

/// <param name="Version">Rises with each change; what If-Match names.</param>
/// <param name="Changes">How many differences there are to the published version.</param>
public sealed record DraftState(int Version, int Changes, bool CanUndo, bool CanRedo);

/// <param name="Kind">lesson, review, assessment or sort.</param>
/// <param name="Chunks">The school's chunks that have their day here, each as its correspondences.</param>
/// <param name="NewWords">Words for lessons that become readable with this rung.</param>
/// <param name="KnownWords">Of these, those that children know at five.</param>
/// <param name="Readable">Words for lessons that can be read, all rungs so far.</param>
/// <param name="TextShare">Share of running text that can be read after the rung, 0 to 1.</param>
/// <param name="Graduates">Tricky words that become readable here.</param>
/// <param name="Warnings">What is wrong with the rung's place, as codes and arguments.</param>
public sealed record RungView(
    string Id,
    string Label,
    string Kind,
    string Stage,
    IReadOnlyList<CorrespondenceView> Correspondences,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Chunks,
    IReadOnlyList<string> Tricky,
    int NewWords,
    int KnownWords,
    int Readable,
    double TextShare,
    IReadOnlyList<string> Graduates,
    string? Reason,
    IReadOnlyList<Reason> Warnings
);

/// <param name="Facts">How often the letters say this, and how often the sound is spelled so.</param>
/// <param name="Positions">Where it stands in words for lessons; null where none has it.</param>
public sealed record CorrespondenceView(
    string Notation,
    string Grapheme,
    string Sounds,
    string KeyWord,
    CorrespondenceFacts Facts,
    PositionFacts? Positions
);

/// <param name="Shape">The word's pattern of consonants and vowels in taps: CVC.</param>
/// <param name="Position">Where the rung's correspondence stands: start, middle or end; empty where it does not
/// show.</param>
public sealed record RungWord(
    string Word,
    string Graphemes,
    string Phonemes,
    IReadOnlyList<int> Marks,
    int Taps,
    string Shape,
    string Position,
    bool KnownAtFive
);

/// <summary>A change: steps that name rungs by id.</summary>
/// <param name="Name">What was done, as a code: move, add, remove, split, merge, teach, tricky, stage, reason, free,
/// suggestion.</param>
public sealed record LadderEdit(string Name, IReadOnlyList<LadderStep> Steps);

/// <summary>Steps to be tried without keeping them.</summary>
public sealed record LadderTrial(IReadOnlyList<LadderStep> Steps);

/// <summary>What a trial would do.</summary>
/// <param name="Rungs">The ladder as it would be, first rung first.</param>
public sealed record TrialView(
    IReadOnlyList<TrialRung> Rungs,
    WordMoves Gained,
    WordMoves Lost,
    WordMoves Earlier,
    WordMoves Later,
    IReadOnlyList<BrokenLesson> Lessons
);

public sealed record TrialRung(string Id, int NewWords, int Readable, double TextShare, IReadOnlyList<Reason> Warnings);

/// <param name="Examples">The widest moves of words that children know first.</param>
public sealed record WordMoves(int Count, IReadOnlyList<WordMove> Examples);

/// <summary>
/// A word with the numbers of the rungs that make it readable, from 1; 0 for from the start, null for never.
/// </summary>
public sealed record WordMove(string Word, int? Before, int? After);

/// <summary>A planned lesson that would not fit any more once its group follows the changed ladder.</summary>
/// <param name="Items">How many of its items children couldn't read.</param>
/// <param name="Expected">The rung the group would come to instead, when it is another.</param>
public sealed record BrokenLesson(string Group, DateOnly Date, string Rung, int Items, string? Expected);

/// <summary>What the ladder would be with the rung at a place, from 0.</summary>
/// <param name="Warnings">Warnings of the whole ladder.</param>
/// <param name="Reading">Known words readable, added up over the rungs, less what it is now.</param>
public sealed record PlaceView(int To, int Warnings, long Reading);

/// <param name="Best">The best place; null where it stands best where it is.</param>
public sealed record PlacesView(IReadOnlyList<PlaceView> Places, MoveView? Best);

/// <summary>A move worth taking.</summary>
/// <param name="From">Number of the rung now, and <paramref name="To"/> after the move, from 1.</param>
/// <param name="Fixes">Warnings that would go.</param>
/// <param name="Sooner">Some words that could be read earlier.</param>
public sealed record MoveView(
    string RungId,
    string Label,
    string? After,
    int From,
    int To,
    long Reading,
    IReadOnlyList<Reason> Fixes,
    IReadOnlyList<string> Sooner
);

/// <summary>A tricky word of the ladder, or one that it could have.</summary>
/// <param name="RungId">The rung that teaches it, or could; null for none.</param>
/// <param name="Rung">Its number, from 1.</param>
/// <param name="Readable">Number of the rung that makes it readable; null for never on this ladder.</param>
/// <param name="Part">The graphemes that can't be read when it is taught.</param>
public sealed record TrickyView(
    string Word,
    string? RungId,
    int? Rung,
    int? Readable,
    string? ReadableRungId,
    IReadOnlyList<string> Part
);

/// <param name="Suggested">Words worth placing, each with a rung that suits.</param>
/// <param name="Never">Common words that are never readable on this ladder and not taught as tricky.</param>
public sealed record TrickyWordsView(
    IReadOnlyList<TrickyView> Placed,
    IReadOnlyList<TrickyView> Suggested,
    IReadOnlyList<string> Never
);

public sealed record VersionView(
    int Version,
    string Name,
    DateTime PublishedAt,
    string? By,
    IReadOnlyList<string> Groups
);

public sealed record HistoryView(IReadOnlyList<VersionView> Versions, IReadOnlyList<ChangeView> Changes);

/// <param name="Lines">What it did, as codes and arguments.</param>
public sealed record ChangeView(
    int Version,
    string Name,
    DateTime At,
    string By,
    bool IsMine,
    IReadOnlyList<Reason> Lines
);

/// <param name="Groups">Groups that are moved to the new version at once.</param>
public sealed record PublishRequest(string Name, IReadOnlyList<Guid> Groups);

/// <param name="From">The id of a shipped ladder, blank, or the id of one of the school's ladders.</param>
public sealed record NewLadder(Guid Id, string Name, string From);

public sealed record Renaming(string Name);

public sealed record RestoreRequest(int Version);

/// <param name="Chunks">The school's own, each as its correspondences.</param>
public sealed record TeachablesView(
    IReadOnlyList<TeachableView> Correspondences,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<string> Chunks
);

public sealed record TeachableView(string Notation, string Grapheme, string Sounds, string KeyWord);

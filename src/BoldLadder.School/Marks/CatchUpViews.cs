using BoldLadder.Core.Revisit;

namespace BoldLadder.School.Marks;

/// <summary>Who is to have a few minutes today, and for what.</summary>
/// <param name="Children">All who are there, those first who need it most.</param>
public sealed record CatchUpNeedsView(DateOnly Date, string Group, IReadOnlyList<CatchUpNeed> Children);

/// <param name="Targets">What was missed or does not hold, the most needed first; none for who needs nothing.</param>
/// <param name="Last">The day of the last catch-up; null for none lately.</param>
public sealed record CatchUpNeed(Guid Id, string Name, bool IsAway, IReadOnlyList<WobbleView> Targets, DateOnly? Last);

/// <param name="Minutes">From 3 to 15.</param>
public sealed record CatchUpAsked(IReadOnlyList<Guid> Children, int Minutes);

/// <summary>A catch-up made for some children today.</summary>
public sealed record CatchUpView(DateOnly Date, int Seconds, IReadOnlyList<CatchUpPartView> Parts, string? Sentence);

/// <param name="Grapheme">Or the tricky word.</param>
/// <param name="Sound">By its notation; null for a tricky word.</param>
/// <param name="KeyWord">Null for a tricky word.</param>
public sealed record CatchUpPartView(
    string Target,
    string Grapheme,
    string? Sound,
    string? KeyWord,
    IReadOnlyList<CatchUpWord> Read,
    IReadOnlyList<CatchUpWord> Write
);

/// <param name="Marks">For each letter the place of its grapheme.</param>
public sealed record CatchUpWord(string Word, IReadOnlyList<int> Marks, string? Meaning);

/// <summary>A catch-up that was held, with what children showed.</summary>
/// <param name="Id">Made where it was held: sent twice it counts once.</param>
/// <param name="Targets">What it was about.</param>
/// <param name="Seen">What each child showed of a target; one that is not said was shown it.</param>
public sealed record CatchUpHeld(
    Guid Id,
    IReadOnlyList<Guid> Children,
    IReadOnlyList<string> Targets,
    IReadOnlyList<CatchUpSeen> Seen
);

public sealed record CatchUpSeen(Guid ChildId, string Target, Seen Seen);

/// <param name="WasKnown">True for one that had come before.</param>
public sealed record CatchUpKept(bool WasKnown);

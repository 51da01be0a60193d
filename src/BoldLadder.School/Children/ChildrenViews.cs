using BoldLadder.Core.Revisit;
using BoldLadder.Formats.Rosters;

namespace BoldLadder.School.Children;

/// <summary>The children that this person may see.</summary>
public sealed record ChildrenView(IReadOnlyList<ChildView> Children);

/// <param name="GroupId">Where it is today; null for in no group.</param>
/// <param name="Since">From when it is there.</param>
public sealed record ChildView(Guid Id, string Name, Guid? GroupId, DateOnly? Since, bool IsAway);

/// <summary>What a child is called, and where it is from a day on.</summary>
/// <param name="GroupId">Null for in no group.</param>
/// <param name="From">The day from which it is in another group than before; null for today.</param>
public sealed record ChildChange(string Name, Guid? GroupId, DateOnly? From);

/// <summary>Whether a child is away on a day.</summary>
public sealed record AwayChange(DateOnly Date, bool IsAway);

/// <summary>A file of children, or a list that was pasted.</summary>
/// <param name="Content">As it was read; at most some megabytes.</param>
/// <param name="IsList">True for lines that are a name each.</param>
/// <param name="Columns">Which columns say what; null for as their headings suggest.</param>
/// <param name="GroupId">Where those go whose line names no group; null for in no group.</param>
/// <param name="Groups">Which group a name in the file means; what is not here goes by its own name.</param>
public sealed record ChildFile(
    byte[] Content,
    bool IsList,
    RosterColumns? Columns,
    Guid? GroupId,
    IReadOnlyList<GroupMeant> Groups
);

/// <param name="GroupId">Null for in no group.</param>
public sealed record GroupMeant(string Name, Guid? GroupId);

/// <summary>What would come of a file.</summary>
/// <param name="Columns">How its columns were read; null for a list, or a zip.</param>
/// <param name="Sample">Its first lines, cell by cell.</param>
/// <param name="LeftOut">Columns and files of which nothing is taken.</param>
public sealed record ImportPreview(
    RosterColumns? Columns,
    IReadOnlyList<IReadOnlyList<string>> Sample,
    IReadOnlyList<string> LeftOut,
    IReadOnlyList<GroupMeant> Groups,
    IReadOnlyList<ImportLine> Lines
);

/// <param name="Line">Line of the file.</param>
/// <param name="IsShortened">True when some of the name is left out.</param>
/// <param name="ChildId">Whom it may be: a child of that name; null for none.</param>
/// <param name="OtherGroup">Where that child is now; null for in no group.</param>
/// <param name="Usual">What is done with it unless something else is said.</param>
public sealed record ImportLine(
    int Line,
    string Name,
    bool IsShortened,
    Guid? GroupId,
    ImportState State,
    Guid? ChildId,
    Guid? OtherGroup,
    ImportChoice Usual
);

/// <summary>What a line of a file is, seen beside who is there.</summary>
public enum ImportState
{
    /// <summary>Nobody here has that name.</summary>
    New,

    /// <summary>A child of that name is in that group.</summary>
    Here,

    /// <summary>A child of that name is in another group, or in none.</summary>
    Elsewhere,

    /// <summary>The file has that name for that group above.</summary>
    Twice,

    /// <summary>No name can be read in it.</summary>
    Unreadable,
}

/// <summary>What is done with a line.</summary>
public enum ImportChoice
{
    /// <summary>A new child.</summary>
    Add,

    /// <summary>The child of that name goes to that group, from today.</summary>
    Move,

    /// <summary>Nothing.</summary>
    Skip,
}

/// <summary>A file to be taken in.</summary>
/// <param name="Id">Of the job, made by who asks.</param>
/// <param name="Choices">For lines with which something else is done than is usual.</param>
public sealed record ImportRequest(Guid Id, ChildFile File, IReadOnlyList<LineChoice> Choices);

public sealed record LineChoice(int Line, ImportChoice Choice);

/// <summary>All that is kept of a child. Format 2.</summary>
/// <param name="Seen">What was marked of it, in the order of the days.</param>
/// <param name="Memories">What that comes to on the day of the export.</param>
public sealed record ChildRecord(
    int Format,
    string School,
    DateTime MadeAt,
    string Name,
    IReadOnlyList<ChildTime> Groups,
    IReadOnlyList<DateOnly> Away,
    IReadOnlyList<ChildSeen> Seen,
    IReadOnlyList<ChildHolds> Memories
)
{
    public const int CurrentFormat = 2;
}

/// <param name="Target">A correspondence by its notation, or pattern: or tricky: with an id.</param>
/// <param name="Written">The letters the child wrote for it; empty where none are known.</param>
public sealed record ChildSeen(DateOnly Day, string Word, string Target, Skill Skill, Seen Seen, string Written);

/// <param name="Target">A correspondence by its notation, or pattern: or tricky: with an id.</param>
public sealed record ChildHolds(string Target, Skill Skill, MemoryState State);

/// <param name="Last">Null while it goes on.</param>
public sealed record ChildTime(string Group, DateOnly First, DateOnly? Last);

/// <summary>That a child was erased, without its name.</summary>
/// <param name="Number">What the audit knows it by.</param>
/// <param name="Rows">How many rows went.</param>
public sealed record ErasureReceipt(Guid Number, DateTime At, long Rows);

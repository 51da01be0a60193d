using BoldLadder.School.Lessons;

namespace BoldLadder.School.Texts;

/// <summary>How far a group is with a book.</summary>
public enum BookFit
{
    /// <summary>It can be read now.</summary>
    Now,

    /// <summary>It can be read within two weeks.</summary>
    Soon,
    NotYet,

    /// <summary>Nobody has typed its words in, so nobody can say.</summary>
    NoWords,
}

/// <param name="Groups">In the order in which the books have their fits.</param>
/// <param name="Ladders">In the order in which the books have their places.</param>
/// <param name="Total">How many books the search finds; a page of them is given.</param>
/// <param name="Bar">The share of running words, in percent, that must be readable.</param>
public sealed record ShelfView(
    DateOnly Date,
    int Bar,
    IReadOnlyList<ShelfGroup> Groups,
    IReadOnlyList<ShelfLadder> Ladders,
    IReadOnlyList<BookRow> Books,
    int Total,
    int All
);

public sealed record ShelfGroup(Guid Id, string Name);

public sealed record ShelfLadder(Guid Id, string Name);

/// <param name="Words">How many running words it has; 0 where nobody typed them in.</param>
/// <param name="Fits">For each group.</param>
/// <param name="Places">For each ladder the rung from which it can be read; null for never.</param>
public sealed record BookRow(
    Guid Id,
    string Title,
    string Label,
    int Pages,
    int Copies,
    long Words,
    IReadOnlyList<GroupFit> Fits,
    IReadOnlyList<RungPlace?> Places
);

/// <param name="Number">Of the rung, from 1; 0 for what can be read from the start.</param>
/// <param name="Label">What the rung teaches.</param>
public sealed record RungPlace(int Number, string Label)
{
    /// <summary>The place of a rung by its index; -1 for the start, null for never.</summary>
    public static RungPlace? Of(Core.Ladders.Ladder ladder, int? rung) =>
        rung is { } at ? new RungPlace(at + 1, at < 0 ? "" : ladder.Rungs[at].Label) : null;
}

/// <param name="When">From when it can be read; null for now, for never, and where no day is left.</param>
/// <param name="Home">How many copies are at home with the group.</param>
/// <param name="Read">On how many days the group has read it in the last three weeks.</param>
public sealed record GroupFit(BookFit Fit, WhenView? When, int Home, int Read);

/// <summary>A book with why a group can't read it yet.</summary>
/// <param name="Uses">What was done with it, the newest first.</param>
public sealed record BookView(
    Guid Id,
    string Title,
    string Label,
    int Pages,
    int Copies,
    string Body,
    IReadOnlyList<string> Told,
    IReadOnlyList<GroupReading> Groups,
    IReadOnlyList<BookUseView> Uses,
    string Stamp
);

/// <param name="Readable">The share of running words, 0 to 1.</param>
/// <param name="Missing">The words that stand in the way, the most frequent first.</param>
/// <param name="Next">What the next reading is for; null once all were had.</param>
public sealed record GroupReading(
    Guid GroupId,
    string GroupName,
    GroupFit Fit,
    double Readable,
    IReadOnlyList<MissingWord> Missing,
    NextReading? Next
);

/// <param name="Needs">What is not taught, each with when it is.</param>
public sealed record MissingWord(string Word, int Times, IReadOnlyList<NeedView> Needs);

/// <summary>What a reading is about: the first the words, then the expression, then the meaning.</summary>
/// <param name="Focus">words, expression or meaning.</param>
/// <param name="Day">The lesson day it is for.</param>
public sealed record NextReading(string Focus, DateOnly Day);

/// <param name="Kind">read or home.</param>
/// <param name="BackOn">The day on which it came back; null while it has not.</param>
public sealed record BookUseView(
    Guid Id,
    Guid GroupId,
    string GroupName,
    Store.BookUseKind Kind,
    DateOnly Day,
    int Copies,
    DateOnly? BackOn
);

/// <param name="Told">Words that the adult says.</param>
public sealed record BookRequest(
    string Title,
    string Label,
    int Pages,
    int Copies,
    string Body,
    IReadOnlyList<string> Told
);

/// <summary>A group reads a book on a day, or takes copies home.</summary>
/// <param name="Day">Of a reading; today without one. Copies go home today.</param>
public sealed record BookUseRequest(Guid GroupId, Store.BookUseKind Kind, DateOnly? Day, int Copies);

/// <summary>A table of books.</summary>
public sealed record BookFile(byte[] Content);

/// <param name="New">Books that are not on the shelf yet.</param>
/// <param name="There">Titles that are: they stay as they are.</param>
/// <param name="LeftOut">Lines that can't be taken, with why.</param>
/// <param name="OtherColumns">Columns that are not taken.</param>
public sealed record BookFileView(
    IReadOnlyList<Formats.Texts.BookLine> New,
    IReadOnlyList<string> There,
    IReadOnlyList<Formats.Texts.BookLineLeftOut> LeftOut,
    IReadOnlyList<string> OtherColumns
);

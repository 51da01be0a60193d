using System.Collections.Immutable;
using BoldLadder.Core.Children;
using BoldLadder.Formats.Tables;

namespace BoldLadder.Formats.Rosters;

/// <summary>
/// Which columns of a table say what, from 0. A whole name, or a given and a family name, and the group.
/// </summary>
/// <param name="HasHeader">True when the first line names the columns.</param>
public sealed record RosterColumns(bool HasHeader, int? Name, int? Given, int? Family, int? Group)
{
    private static readonly string[] Givens = ["givenname", "given", "firstname", "first", "forename", "forenames"];
    private static readonly string[] Families = ["familyname", "family", "lastname", "last", "surname"];
    private static readonly string[] Names =
    [
        "name",
        "names",
        "child",
        "children",
        "pupil",
        "student",
        "initials",
        "fullname",
    ];
    private static readonly string[] Groups = ["group", "class", "set", "phonicsgroup", "form", "classtitle"];

    /// <summary>The columns as their headings suggest; a table without headings has names in its first.</summary>
    public static RosterColumns Guess(CsvTable table)
    {
        var headings = table.Lines.IsEmpty ? [] : table.Lines[0].Cells.Select(Plain).ToList();
        var guess = new RosterColumns(true, Find(Names), Find(Givens), Find(Families), Find(Groups));
        return guess switch
        {
            { Given: not null } => guess with { Name = null },
            { Name: not null } => guess with { Family = null },
            _ => new RosterColumns(false, table.Columns > 0 ? 0 : null, null, null, null),
        };

        int? Find(string[] known) => headings.FindIndex(known.Contains) is >= 0 and var found ? found : null;
    }

    /// <summary>The children of a table, with what of it is not taken.</summary>
    public Roster Read(CsvTable table) =>
        new(
            [.. table.Lines.Skip(HasHeader ? 1 : 0).Select(l => new RosterLine(l.Line, NameOf(l), l.Cell(Group)))],
            [.. Enumerable.Range(0, table.Columns).Where(c => !Taken.Contains(c)).Select(c => Heading(table, c))]
        );

    private ImmutableHashSet<int> Taken => [.. new[] { Name, Given, Family, Group }.OfType<int>()];

    private ChildName? NameOf(CsvLine line) =>
        Name is not null ? ChildName.Read(line.Cell(Name)) : ChildName.Of(line.Cell(Given), line.Cell(Family));

    private string Heading(CsvTable table, int column) =>
        HasHeader && table.Lines[0].Cell(column) is { Length: > 0 } heading
            ? heading
            : (column + 1).ToString(System.Globalization.CultureInfo.InvariantCulture);

    private static string Plain(string heading) => string.Concat(heading.Where(char.IsLetter)).ToLowerInvariant();
}

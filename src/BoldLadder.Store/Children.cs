namespace BoldLadder.Store;

/// <summary>
/// A child: what it is called, and nothing more. All else that is kept of it names it by its id and goes with it.
/// Source: docs/handbook.md, section 10.
/// </summary>
public sealed class Child : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    /// <summary>Drawn at random, so that nothing can be read from it.</summary>
    public required Guid ChildId { get; init; }

    /// <summary>A given name or initials: <see cref="Core.Children.ChildName"/>.</summary>
    public required string Name { get; set; }
}

/// <summary>A child's time in a group.</summary>
public sealed class ChildPlace : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid Id { get; init; }

    public required Guid ChildId { get; init; }

    public required Guid GroupId { get; init; }

    public required DateOnly First { get; init; }

    /// <summary>The last day; null while it goes on.</summary>
    public DateOnly? Last { get; set; }
}

/// <summary>A day on which a child was not there.</summary>
public sealed class ChildAbsence : ISchoolOwned
{
    public required Guid SchoolId { get; init; }

    public required Guid ChildId { get; init; }

    public required DateOnly Date { get; init; }
}

using System.Collections.Immutable;
using BoldLadder.Core.Children;

namespace BoldLadder.Formats.Rosters;

/// <summary>Children as a file lists them, with what is kept of them and nothing more.</summary>
/// <param name="LeftOut">Columns, or files, of which nothing is taken.</param>
public sealed record Roster(ImmutableArray<RosterLine> Lines, ImmutableArray<string> LeftOut);

/// <summary>A child of a file.</summary>
/// <param name="Line">Line of the file, from 1.</param>
/// <param name="Name">Null when the line gives none.</param>
/// <param name="Group">What the file calls the group; empty when it says none.</param>
public sealed record RosterLine(int Line, ChildName? Name, string Group);

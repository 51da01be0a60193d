using System.Text.RegularExpressions;
using System.Xml.Linq;
using ArchUnitNET.Loader;
using BoldLadder.Core.Lessons;
using BoldLadder.Tool;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// The rooms of the core and the projects import each other only as the map says (docs/architecture.md), and never in a
/// circle.
/// </summary>
public partial class RoomTests
{
    private const string Core = "BoldLadder.Core";

    private static readonly string Map = File.ReadAllText(Path.Combine(ProjectFolders.Root, "docs", "architecture.md"));

    /// <summary>The arrows of the picture: A --> B &amp; C.</summary>
    private static readonly ILookup<string, string> Drawn = DrawnArrow()
        .Matches(Map)
        .SelectMany(
            m => m.Groups[2].Value.Split('&', StringSplitOptions.TrimEntries),
            (m, to) => (From: Named(m.Groups[1].Value), To: Named(to))
        )
        .ToLookup(a => a.From, a => a.To);

    private static readonly HashSet<(string From, string To)> Imports = ReadImports();

    [Fact]
    public void A_room_imports_only_what_the_map_leads_to()
    {
        var rooms = Imports.SelectMany(a => new[] { a.From, a.To }).Distinct().ToDictionary(r => r, LedTo);
        Assert.Contains("Words", rooms["Lessons.Planning"]);
        Assert.All(Imports, a =>
            Assert.True(
                rooms[a.From].Contains(a.To),
                $"{a.From} imports {a.To}. Turn the import round, or draw the arrow in docs/architecture.md if the map should change."
            )
        );
    }

    [Fact]
    public void No_arrow_of_the_map_is_stale_or_goes_round_in_a_circle()
    {
        Assert.All(Drawn.SelectMany(g => g, (g, to) => (From: g.Key, To: to)), a => Assert.Contains(a, Imports));
        Assert.All(Drawn.Select(g => g.Key), room => Assert.DoesNotContain(room, LedTo(room)));
    }

    [Theory]
    [InlineData("Core", "")]
    [InlineData("Store", "Core")]
    [InlineData("Formats", "Core")]
    [InlineData("School", "Core Formats Store Wording")]
    [InlineData("Wording", "")]
    [InlineData("Web", "Core School Store Wording")]
    [InlineData("Tool", "Formats")]
    public void A_project_imports_only_what_the_map_says(string project, string may)
    {
        var file = Path.Combine(ProjectFolders.Root, "src", $"BoldLadder.{project}", $"BoldLadder.{project}.csproj");
        var references = XDocument
            .Load(file)
            .Descendants("ProjectReference")
            .Select(r =>
                Path.GetFileNameWithoutExtension(r.Attribute("Include")!.Value.Replace('\\', '/'))
                    .Replace("BoldLadder.", "", StringComparison.Ordinal)
            );
        Assert.All(references, r => Assert.Contains(r, may.Split(' ')));
    }

    private static HashSet<string> LedTo(string room)
    {
        var found = new HashSet<string>();
        var open = new Stack<string>(Drawn[room]);
        while (open.TryPop(out var next))
        {
            if (!found.Add(next))
                continue;
            foreach (var further in Drawn[next])
                open.Push(further);
        }
        return found;
    }

    /// <summary>Every use of a type of another room, in signatures and in method bodies.</summary>
    private static HashSet<(string From, string To)> ReadImports() =>
        [
            .. from type in new ArchLoader().LoadAssembly(typeof(Lesson).Assembly).Build().Types
            let room = RoomOf(type.Namespace.FullName)
            from dependency in type.Dependencies
            let other = RoomOf(dependency.Target.Namespace?.FullName ?? "")
            where room.Length > 0 && other.Length > 0 && room != other
            select (room, other),
        ];

    /// <summary>
    /// A room by its namespace: Lessons.Choosers is one of its own, Words.Facts is part of Words; nothing for what lies
    /// outside.
    /// </summary>
    private static string RoomOf(string space)
    {
        if (!space.StartsWith(Core + ".", StringComparison.Ordinal))
            return "";
        var parts = space[(Core.Length + 1)..].Split('.');
        return parts[0] is "Lessons" or "Ladders" ? string.Join('.', parts.Take(2)) : parts[0];
    }

    private static string Named(string id) => id.Replace('_', '.');

    [GeneratedRegex(@"^\s+(\w+) --> ([\w &]+)$", RegexOptions.Multiline)]
    private static partial Regex DrawnArrow();
}

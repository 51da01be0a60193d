using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool;

/// <summary>Where the project's data stands: the nearest folder above the command that has a data/lexicon.</summary>
public static class ProjectFolders
{
    public static string Root { get; } = Find();

    public static string Data => Path.Combine(Root, "data");

    public static IEnumerable<string> LexiconShards() =>
        Directory
            .EnumerateFiles(Path.Combine(Data, "lexicon"), "*.tsv")
            .Order(StringComparer.Ordinal)
            .Select(File.ReadAllText);

    /// <summary>What lessons are filled from.</summary>
    public static Materials Materials(Lexicon lexicon) =>
        Core.Lessons.Choosers.Materials.Read(lexicon, file => File.ReadLines(Path.Combine(Data, file)));

    private static string Find()
    {
        for (var folder = new DirectoryInfo(AppContext.BaseDirectory); folder is not null; folder = folder.Parent)
        {
            if (Directory.Exists(Path.Combine(folder.FullName, "data", "inventory")))
                return folder.FullName;
        }
        return Directory.GetCurrentDirectory();
    }
}

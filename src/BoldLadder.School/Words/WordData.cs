using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Words;

namespace BoldLadder.School.Words;

/// <summary>The shipped word data, read once at start and shared by all requests.</summary>
public sealed class WordData
{
    private readonly string folder;

    /// <param name="folder">Where the data lies; null for beside the program.</param>
    public WordData(string? folder = null)
    {
        this.folder = folder ??= Path.Combine(AppContext.BaseDirectory, "data");
        Lexicon = Lexicon.Read(
            Directory
                .EnumerateFiles(Path.Combine(folder, "lexicon"), "*.tsv")
                .Order(StringComparer.Ordinal)
                .Select(File.ReadAllText)
        );
        Materials = Materials.Read(Lexicon, file => File.ReadLines(Path.Combine(folder, file)));
        Ladders = Directory
            .EnumerateFiles(Path.Combine(folder, "ladders"), "*.json")
            .Order(StringComparer.Ordinal)
            .Select(f => LadderDocument.Read(File.ReadAllText(f)))
            .ToDictionary(l => l.Id);
    }

    /// <summary>The file of a shipped picture (SVG).</summary>
    /// <param name="name">As lessons name it.</param>
    public byte[] Picture(string name) => File.ReadAllBytes(Path.Combine(folder, "pictures", $"{name}.svg"));

    public Lexicon Lexicon { get; }

    public Materials Materials { get; }

    /// <summary>The shipped ladders by id.</summary>
    public IReadOnlyDictionary<string, Ladder> Ladders { get; }

    /// <summary>The shipped ladder that the demo school starts from.</summary>
    public Ladder LettersFirst => Ladders["letters-first"];
}

using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Words;

namespace BoldLadder.Web.Setup;

/// <summary>The shipped word data, read once at start and shared by all requests.</summary>
public sealed class WordData
{
    public WordData(IConfiguration configuration)
    {
        var folder = configuration["DataFolder"] ?? Path.Combine(AppContext.BaseDirectory, "data");
        Lexicon = Lexicon.Read(Directory.EnumerateFiles(Path.Combine(folder, "lexicon"), "*.tsv").Order(StringComparer.Ordinal).Select(File.ReadAllText));
        Sentences = new SentenceBank(File.ReadLines(Path.Combine(folder, "sentences", "bank.txt")), Lexicon);
        LettersFirst = LadderDocument.Read(File.ReadAllText(Path.Combine(folder, "ladders", "letters-first.json")));
    }

    public Lexicon Lexicon { get; }

    public SentenceBank Sentences { get; }

    /// <summary>The shipped ladder that a new school starts from.</summary>
    public Ladder LettersFirst { get; }
}

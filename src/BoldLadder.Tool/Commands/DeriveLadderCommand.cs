using BoldLadder.Core.Ladders;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Commands;

/// <summary>bold derive-ladder: makes data/ladders/letters-first.json again from the lexicon and the fixed seed.</summary>
public static class DeriveLadderCommand
{
    private const long Seed = 20261124;

    public static int Run(TextWriter errors)
    {
        var ladder = LettersFirst.Derive(Lexicon.Read(ProjectFolders.LexiconShards()), Seed);
        File.WriteAllText(Path.Combine(ProjectFolders.Data, "ladders", $"{ladder.Id}.json"), LadderDocument.Write(ladder));
        errors.WriteLine($"{ladder.Id}: {ladder.Rungs.Length} rungs.");
        return 0;
    }
}

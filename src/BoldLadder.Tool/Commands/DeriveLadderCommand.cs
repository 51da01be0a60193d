using BoldLadder.Core.Ladders;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>bold derive-ladder: makes data/ladders/letters-first.json again from the lexicon and the fixed seed, or with --check says whether it would come out the same.</summary>
public static class DeriveLadderCommand
{
    private const long Seed = 20261124;

    public static int Run(string[] arguments, TextWriter errors)
    {
        var check = new Arguments("derive-ladder", arguments, ["--check"], []).Has("--check");
        var ladder = LettersFirst.Derive(Lexicon.Read(ProjectFolders.LexiconShards()), Seed);
        var (file, content) = (Path.Combine(ProjectFolders.Data, "ladders", $"{ladder.Id}.json"), LadderDocument.Write(ladder));
        var same = File.Exists(file) && File.ReadAllText(file) == content;
        if (!check) File.WriteAllText(file, content);
        errors.WriteLine($"{ladder.Id}: {ladder.Rungs.Length} rungs, {(same ? "the same" : check ? "would come out different" : "written")}.");
        return check && !same ? 1 : 0;
    }
}

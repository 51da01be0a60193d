using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Derived;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>bold derive-ladder: makes the ladders of data/ladders again from the lexicon and the fixed seed, or with --check says whether they would come out the same.</summary>
public static class DeriveLadderCommand
{
    private const long Seed = 20261124;

    private static readonly (string Id, Func<Lexicon, long, Ladder> Derive)[] Ladders =
    [
        ("letters-first", LettersFirst.Derive), ("sounds-first", SoundsFirst.Derive), ("short-vowels-first", ShortVowelsFirst.Derive),
    ];

    public static int Run(string[] arguments, TextWriter errors)
    {
        var given = new Arguments("derive-ladder", arguments, ["--check"], ["--only"]);
        var (check, only) = (given.Has("--check"), given.Value("--only"));
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        var different = false;
        foreach (var (id, derive) in Ladders.Where(l => only is null || l.Id == only))
        {
            var ladder = derive(lexicon, Seed);
            var (file, content) = (Path.Combine(ProjectFolders.Data, "ladders", $"{id}.json"), LadderDocument.Write(ladder));
            var same = File.Exists(file) && File.ReadAllText(file) == content;
            if (!check) File.WriteAllText(file, content);
            errors.WriteLine($"{id}: {ladder.Rungs.Length} rungs, {(same ? "the same" : check ? "would come out different" : "written")}.");
            different |= !same;
        }
        return check && different ? 1 : 0;
    }
}

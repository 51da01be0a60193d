using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;
using BoldLadder.Tool;

namespace BoldLadder.Core.Tests;

/// <summary>The shipped data, read once for all tests, and short ways to say what was taught.</summary>
internal static class Given
{
    public static Lexicon Lexicon { get; } = Lexicon.Read(ProjectFolders.LexiconShards());

    public static Ladder LettersFirst { get; } = Shipped("letters-first");

    public static Ladder SoundsFirst { get; } = Shipped("sounds-first");

    public static Ladder ShortVowelsFirst { get; } = Shipped("short-vowels-first");

    private static Ladder Shipped(string id) =>
        LadderDocument.Read(File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", $"{id}.json")));

    public static Materials Materials { get; } = ProjectFolders.Materials(Lexicon);

    public static IEnumerable<Ladder> Ladders => [LettersFirst, SoundsFirst, ShortVowelsFirst];

    /// <summary>True in ./test --deep: sweeps use many seeds.</summary>
    public static bool Deep { get; } = Environment.GetEnvironmentVariable("BOLD_DEEP") == "1";

    public static Word Word(string spelling) =>
        Lexicon.Find(spelling) ?? throw new InvalidOperationException($"{spelling} is not in the lexicon.");

    public static Taught Taught(
        string notations,
        Leniencies leniencies = Leniencies.None,
        Patterns taught = Patterns.None,
        Patterns free = Patterns.All,
        Accent? accent = null
    ) =>
        new(
            CorrespondenceSet.Parse(notations.Split(' ', StringSplitOptions.RemoveEmptyEntries)),
            taught,
            free,
            leniencies,
            accent ?? Accent.SouthernBritish
        );

    /// <summary>The index of the rung of the shipped ladder that teaches the correspondence.</summary>
    public static int RungOf(string notation) =>
        LettersFirst.Rungs.IndexOf(
            LettersFirst.Rungs.Single(r => r.Correspondences.Contains(Correspondence.Parse(notation)))
        );

    /// <summary>The request for the day on which a rung of the ladder is taught, one rung a day before it.</summary>
    public static LessonRequest Request(int rung, long seed, int minutes = 20)
    {
        var before = LettersFirst.TaughtAfter(rung, Leniencies.All, Accent.SouthernBritish);
        var recall = new Dictionary<Correspondence, int>();
        for (var i = 0; i < rung; i++)
        {
            foreach (var c in LettersFirst.Rungs[i].Correspondences)
                recall[c] = rung - i;
        }
        return new LessonRequest(
            Before: before,
            Today: LettersFirst.Rungs[rung],
            Materials: Materials,
            TrickyBefore: [.. LettersFirst.Rungs.Take(rung).SelectMany(r => r.Tricky)],
            Memory: new Memory
            {
                Seen = recall,
                Newest = [.. LettersFirst.Rungs.Take(rung).Reverse().SelectMany(r => r.Correspondences)],
            },
            Minutes: minutes,
            Seed: seed
        );
    }
}

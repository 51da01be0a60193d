using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Tool;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>
/// Texts whose every word was judged by a person (data/gold/texts.tsv): /t tricky, /n not yet, /u unknown.
/// </summary>
public class TextGoldTests
{
    private const double Enough = 0.99;

    [Fact]
    public void Texts_that_a_person_judged_are_judged_alike()
    {
        var differences = new List<string>();
        var (right, all) = (
            new Dictionary<ReadingStatus, int>(),
            new Dictionary<ReadingStatus, (int Said, int Meant)>()
        );
        var texts = File.ReadLines(Path.Combine(ProjectFolders.Data, "gold", "texts.tsv"))
            .Skip(1)
            .Select(l => l.Split('\t'))
            .ToList();
        Assert.True(texts.Count >= 30);
        Assert.Equal(3, texts.Select(t => t[0]).Distinct().Count());
        foreach (var row in texts)
        {
            var ladder = Given.Ladders.Single(l => l.Id == row[0]);
            var rungs = int.Parse(row[1], System.Globalization.CultureInfo.InvariantCulture);
            var judge = new WordJudge(
                new WordFinder(Given.Lexicon),
                ladder.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish),
                ladder.Rungs.Take(rungs).SelectMany(r => r.Tricky).ToHashSet()
            );
            foreach (var printed in row[2].Split(' '))
            {
                var (written, meant) = Marked(printed);
                var said = judge.Of(WrittenWord.InPrint(written, judge.Finder)).Status;
                Count(said, 1, 0);
                Count(meant, 0, 1);
                if (said == meant)
                    right[said] = right.GetValueOrDefault(said) + 1;
                else
                    differences.Add($"{row[0]} {row[1]}: {written} is {said}, a person says {meant}");
            }
        }
        foreach (var (status, (said, meant)) in all)
        {
            var same = right.GetValueOrDefault(status);
            Assert.True(
                2.0 * same / (said + meant) >= Enough,
                $"{status}: {same} of {said} said and {meant} meant.\n{string.Join('\n', differences)}"
            );
        }

        void Count(ReadingStatus status, int said, int meant)
        {
            var (a, b) = all.GetValueOrDefault(status);
            all[status] = (a + said, b + meant);
        }
    }

    private static (string Written, ReadingStatus Status) Marked(string printed)
    {
        var slash = printed.IndexOf('/');
        if (slash < 0)
            return (printed, ReadingStatus.Decodable);
        var status = printed[slash + 1] switch
        {
            't' => ReadingStatus.Tricky,
            'n' => ReadingStatus.NotYet,
            _ => ReadingStatus.Unknown,
        };
        return (printed[..slash] + printed[(slash + 2)..], status);
    }
}

using System.Diagnostics;
using System.Globalization;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Words;
using BoldLadder.Tool;

namespace BoldLadder.Bench;

/// <summary>
/// The text check as a user runs it, whole processes: a million words through <c>bold check</c>, beside <c>hunspell
/// -l</c> and <c>wc -w</c> on the same text in the same run.
/// </summary>
internal static class TextRun
{
    private const int Words = 1_000_000;
    private const int Times = 5;

    public static void Run(TextWriter output)
    {
        var folder = Directory.CreateTempSubdirectory("bold-bench").FullName;
        var (text, taught) = (Path.Combine(folder, "text"), Path.Combine(folder, "taught"));
        WriteText(text);
        File.WriteAllLines(
            taught,
            "a=æ e=e i=ɪ o=ɒ u=ʌ b=b c=k d=d f=f g=g h=h l=l m=m n=n p=p r=r s=s t=t sh=ʃ ee=iː".Split(' ')
        );
        var bold = Path.Combine(ProjectFolders.Root, "src/BoldLadder.Tool/bin/Release/net10.0/bold.dll");
        var commands = new (string Name, string Command)[]
        {
            ("`hunspell -l`", $"hunspell -d en_GB -l < {text} > {folder}/out"),
            ("`wc -w`", $"wc -w < {text} > {folder}/out"),
            ("`bold check`", $"dotnet {bold} check --taught {taught} < {text} > {folder}/out 2> {folder}/errors"),
        };
        // In turns, so that a slow moment of the machine strikes all alike; the first turn warms up.
        var turns = Enumerable
            .Range(0, Times + 1)
            .Select(_ => commands.Select(r => Seconds(r.Command)).ToList())
            .Skip(1)
            .ToList();
        var rows = commands
            .Select((r, i) => (r.Name, Seconds: turns.Select(t => t[i]).Order().ElementAt(Times / 2)))
            .ToList();

        output.WriteLine(
            "| a million words of text, whole process | seconds | times `hunspell -l` |\n| --- | ---: | ---: |"
        );
        foreach (var (name, seconds) in rows)
        {
            output.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"| {name} | {seconds:0.000} | {rows[0].Seconds / seconds:0.0} |"
                )
            );
        }
        output.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"\n`bold check` takes {rows[2].Seconds / rows[1].Seconds:0.0} times as long as `wc -w`."
            )
        );
        Directory.Delete(folder, recursive: true);
    }

    /// <summary>Words as they come in texts: the common ones often, ten a line, capitals and full stops.</summary>
    private static void WriteText(string path)
    {
        var words = Lexicon.Read(ProjectFolders.LexiconShards()).Words;
        var random = Seeded.For(1, "bench text");
        using var writer = new StreamWriter(path);
        for (var i = 0; i < Words; i++)
        {
            var word = words[
                (int)Math.Min(words.Length - 1, Math.Exp(random.Fraction() * Math.Log(words.Length)) - 1)
            ].Spelling;
            writer.Write(i % 10 == 0 ? char.ToUpperInvariant(word[0]) + word[1..] : word);
            writer.Write(i % 10 == 9 ? ".\n" : " ");
        }
    }

    private static double Seconds(string command)
    {
        var watch = Stopwatch.StartNew();
        using var process = Process.Start("bash", ["-c", command]);
        process.WaitForExit();
        return process.ExitCode == 0
            ? watch.Elapsed.TotalSeconds
            : throw new InvalidOperationException($"Failed: {command}");
    }
}

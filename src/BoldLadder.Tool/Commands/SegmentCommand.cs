using System.Text.Encodings.Web;
using System.Text.Json;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Commands;

/// <summary>bold segment: a word a line on standard input; TSV with a header, or JSON lines, on standard output.</summary>
public static class SegmentCommand
{
    private static readonly JsonSerializerOptions Json = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    public static int Run(string[] arguments, TextReader input, TextWriter output, TextWriter errors)
    {
        var accent = Accent.SouthernBritish;
        var json = false;
        for (var i = 0; i < arguments.Length; i++)
        {
            switch (arguments[i])
            {
                case "--json":
                    json = true;
                    break;
                case "--accent" when i + 1 < arguments.Length && Accent.All.FirstOrDefault(a => a.Id == arguments[i + 1]) is { } chosen:
                    accent = chosen;
                    i++;
                    break;
                default:
                    errors.WriteLine($"bold segment does not take \"{string.Join(' ', arguments[i..])}\". Use --json or --accent {string.Join(" | ", Accent.All.Select(a => a.Id))}.");
                    return 2;
            }
        }
        var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
        if (!json) output.WriteLine("word\tgraphemes\tphonemes\tsource");
        var unusable = false;
        for (var number = 1; input.ReadLine() is { } line; number++)
        {
            var word = line.Trim();
            if (word.Length == 0) continue;
            if (!word.All(c => char.IsLetter(c) || c is '\'' or '’' or '-'))
            {
                errors.WriteLine($"Line {number}: \"{word}\" is not one word; write one word a line.");
                unusable = true;
                continue;
            }
            Write(word, lexicon.Find(word.ToLowerInvariant()), accent, json, output);
        }
        return unusable ? 1 : 0;
    }

    private static void Write(string written, Word? word, Accent accent, bool json, TextWriter output)
    {
        var graphemes = word?.Segmentation.Graphemes ?? "";
        var phonemes = word is null ? "" : string.Join('|', word.Required.Select(accent.Project));
        var source = word is null ? "unknown" : "lexicon";
        output.WriteLine(json
            ? JsonSerializer.Serialize(new { word = written, graphemes, phonemes, source }, Json)
            : $"{written}\t{graphemes}\t{phonemes}\t{source}");
    }
}

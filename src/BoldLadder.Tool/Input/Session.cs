using System.Text.Encodings.Web;
using System.Text.Json;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Input;

/// <summary>The streams of a command, its rows and its complaints.</summary>
public sealed class Session(Stream input, TextWriter output, TextWriter errors)
{
    private static readonly JsonSerializerOptions Json = new()
    {
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    public Stream Input => input;

    public TextWriter Output => output;

    public TextWriter Errors => errors;

    /// <summary>True when a line of input could not be used: the command ends with 1.</summary>
    public bool Complained { get; private set; }

    public void Complain(string file, long line, string problem)
    {
        Complained = true;
        errors.WriteLine($"{file}line {line}: {problem}");
    }

    /// <summary>
    /// The lines of the input with their numbers, trimmed; lines that can't be read are complained of, blank ones
    /// skipped.
    /// </summary>
    private IEnumerable<(long Number, string Text)> NumberedLines()
    {
        foreach (var line in InputLines.Read(input))
        {
            if (line.Text is null)
                Complain("", line.Number, line.Problem!);
            else if (line.Text.Trim() is { Length: > 0 } text)
                yield return (line.Number, text);
        }
    }

    /// <summary>The lines of the input, whatever is in them.</summary>
    public IEnumerable<string> Lines() => NumberedLines().Select(l => l.Text);

    /// <summary>
    /// The correspondences of the input, in reference or accent notation; lines that are none are complained of with
    /// the nearest.
    /// </summary>
    public IEnumerable<Correspondence> Correspondences(Accent accent)
    {
        foreach (var (number, notation) in NumberedLines())
        {
            IReadOnlyList<Correspondence> found = [];
            try
            {
                found = TaughtFile.Parse(notation, accent);
            }
            catch (FormatException problem)
            {
                Complain("", number, problem.Message);
            }
            foreach (var one in found)
                yield return one;
        }
    }

    /// <summary>The words of the input, a line each; lines that are no word are complained of.</summary>
    public IEnumerable<string> Words()
    {
        foreach (var (number, word) in NumberedLines())
        {
            if (
                word.Length > 100
                || !word.All(c =>
                    char.IsLetter(c)
                    || char.GetUnicodeCategory(c) == System.Globalization.UnicodeCategory.NonSpacingMark
                    || c is '\'' or '’' or 'ʼ' or '-'
                )
            )
            {
                Complain(
                    "",
                    number,
                    $"\"{(word.Length > 40 ? word[..40] + "…" : word)}\" is not one word; write one word a line"
                );
                continue;
            }
            yield return word;
        }
    }

    /// <summary>A row: tab-separated, or as a JSON line with the columns' names.</summary>
    public void Row(bool json, string[] columns, params string[] cells)
    {
        if (!json)
        {
            output.WriteLine(string.Join('\t', cells));
            return;
        }
        output.WriteLine(JsonSerializer.Serialize(columns.Zip(cells).ToDictionary(c => c.First, c => c.Second), Json));
    }

    /// <summary>
    /// A tab-separated row whose first cell need not be made a string: for the millions of rows of a text.
    /// </summary>
    public void Row(ReadOnlySpan<char> first, string second, string third)
    {
        output.Write(first);
        output.Write('\t');
        output.Write(second);
        output.Write('\t');
        output.WriteLine(third);
    }

    public void Header(bool json, string[] columns)
    {
        if (!json)
            output.WriteLine(string.Join('\t', columns));
    }

    /// <summary>The accent the command was asked for.</summary>
    /// <exception cref="UsageException">There is no such accent.</exception>
    public static Accent AccentOf(Arguments arguments)
    {
        try
        {
            return arguments.Value("--accent") is { } id ? Accent.Parse(id) : Accent.SouthernBritish;
        }
        catch (FormatException problem)
        {
            throw new UsageException(problem.Message);
        }
    }

    /// <summary>What the file after --taught says was taught; its lines that can't be used are complained of.</summary>
    /// <exception cref="UsageException">There is no such option or file.</exception>
    public Taught TaughtOf(Arguments arguments)
    {
        var path = arguments.Required("--taught");
        var read = TaughtFile.Read(
            FileLines(path),
            arguments.Has("--lenient") ? Leniencies.All : Leniencies.None,
            AccentOf(arguments)
        );
        foreach (var problem in read.Problems)
            Complain($"{path}, ", problem.Line, problem.Message);
        return read.Taught;
    }

    /// <summary>
    /// The lines of a file; one that can't be read is complained of and given as blank, so that numbers stay.
    /// </summary>
    /// <exception cref="UsageException">The file can't be opened.</exception>
    public IEnumerable<string> FileLines(string path)
    {
        Stream stream;
        try
        {
            stream = File.OpenRead(path);
        }
        catch (Exception problem) when (problem is IOException or UnauthorizedAccessException)
        {
            throw new UsageException($"The file {path} can't be opened: {problem.Message}");
        }
        using (stream)
        {
            foreach (var line in InputLines.Read(stream))
            {
                if (line.Text is null)
                    Complain($"{path}, ", line.Number, line.Problem!);
                yield return line.Text ?? "";
            }
        }
    }

    public static Lexicon ReadLexicon() => Lexicon.Read(ProjectFolders.LexiconShards());
}

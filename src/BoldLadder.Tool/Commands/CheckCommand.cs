using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using BoldLadder.Core;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Formats.Texts;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold check: a text → each word as it is written, its status and what it needs; the shares on standard error.
/// Streams plain text; of a document (DOCX, ODT, EPUB) it takes the text.
/// </summary>
public static class CheckCommand
{
    private const int MostComplaints = 20;

    private static readonly string[] Columns = ["token", "status", "needs"];

    private static readonly JsonWriterOptions Json = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    public static void Run(Arguments arguments, Session session)
    {
        if (arguments.Has("--until-bar"))
        {
            UntilBar.Run(arguments, session, Open(session));
            return;
        }
        var taught = session.TaughtOf(arguments);
        var tricky = Tricky(arguments, session);
        var json = arguments.Has("--json");
        var check = new TextCheck(new WordFinder(Session.ReadLexicon()), taught, tricky);
        session.Header(json, Columns);

        var complaints = 0;
        var tokens = new TokenReader(Open(session));
        var (lastTooLong, start, lineStart) = (0L, 0L, 0L);
        while (tokens.Read())
        {
            var at = start;
            start += tokens.Token.Length;
            if (tokens.Kind == TokenKind.Between)
            {
                if (tokens.Token.LastIndexOf('\n') is >= 0 and var broken)
                    lineStart = at + broken + 1;
                if (tokens.Token.Contains('\uFFFD'))
                    Complain(tokens.Line, "not UTF-8; save the text as UTF-8");
                continue;
            }
            if (tokens.Kind == TokenKind.TooLong)
            {
                if (lastTooLong != tokens.Line)
                    Complain(
                        tokens.Line,
                        $"{TokenReader.LongestToken} letters and more without a space are no word; they are left out"
                    );
                lastTooLong = tokens.Line;
                continue;
            }
            if (tokens.Token.Contains('\uFFFD'))
                Complain(tokens.Line, "not UTF-8; save the text as UTF-8");
            var judgement = check.Judge(tokens.Token, tokens.Kind);
            if (json)
                session.Output.WriteLine(Placed(tokens, judgement, at, at - lineStart + 1));
            else
                session.Row(tokens.Token, Name(judgement.Status), judgement.NeedsText);
        }
        if (complaints > MostComplaints)
            session.Errors.WriteLine($"… and {complaints - MostComplaints} more places.");
        Summarise(check.Count, session.Errors);

        void Complain(long line, string problem)
        {
            if (complaints++ < MostComplaints)
                session.Complain("", line, problem);
        }
    }

    /// <summary>The tricky words of the file after --tricky; none without it.</summary>
    internal static HashSet<string> Tricky(Arguments arguments, Session session) =>
        arguments.Value("--tricky") is { } path
            ? session
                .FileLines(path)
                .Select(l => WordFinder.Plain(l.Trim()))
                .Where(l => l.Length > 0)
                .ToHashSet(StringComparer.Ordinal)
            : [];

    /// <summary>
    /// The input as text. Plain text is read as it comes; what begins as a document does is read whole.
    /// </summary>
    /// <exception cref="UsageException">It is a document that can't be read.</exception>
    private static TextReader Open(Session session)
    {
        var begin = new byte[4];
        var length = session.Input.ReadAtLeast(begin, begin.Length, throwOnEndOfStream: false);
        var rest = new JoinedStream(begin.AsMemory(0, length), session.Input);
        if (!TextFile.IsDocument(begin.AsSpan(0, length)))
            return new StreamReader(rest, new UTF8Encoding(false));
        try
        {
            return new StringReader(TextFile.Read(TextFile.Bytes(rest)));
        }
        catch (RefusedException refused)
        {
            throw new UsageException(
                refused.Code switch
                {
                    "text-file-pdf" =>
                        "bold check: a PDF has pictures of words; give the text, or a DOCX, ODT or EPUB.",
                    "text-file-locked" =>
                        "bold check: the document is locked or of an old kind; save it without a password.",
                    "text-too-long" => $"bold check: a document has up to {TextWords.MostWords} words.",
                    _ => "bold check: the document can't be read; give the text, or a DOCX, ODT or EPUB.",
                }
            );
        }
    }

    private static string Placed(TokenReader tokens, Judgement judgement, long start, long column)
    {
        using var line = new MemoryStream();
        using (var json = new Utf8JsonWriter(line, Json))
        {
            json.WriteStartObject();
            json.WriteString("token", tokens.Token);
            json.WriteString("status", Name(judgement.Status));
            json.WriteString("needs", judgement.NeedsText);
            json.WriteNumber("line", tokens.Line);
            json.WriteNumber("column", column);
            json.WriteNumber("start", start);
            json.WriteNumber("length", tokens.Token.Length);
            json.WriteEndObject();
        }
        return Encoding.UTF8.GetString(line.ToArray());
    }

    private static void Summarise(TextCount count, TextWriter errors)
    {
        errors.WriteLine($"{count.Words} words, {count.DifferentWords} different: {count.Readable:P1} can be read.");
        foreach (var status in Enum.GetValues<ReadingStatus>())
        {
            errors.WriteLine(
                $"  {Name(status), -10} {count.Running(status), 10} running {count.Different(status), 8} different"
            );
        }
    }

    internal static string Name(ReadingStatus status) =>
        status switch
        {
            ReadingStatus.Decodable => "decodable",
            ReadingStatus.Tricky => "tricky",
            ReadingStatus.NotYet => "not-yet",
            _ => "unknown",
        };
}

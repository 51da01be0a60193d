using System.Text;
using System.Text.Json;
using BoldLadder.Tool.Commands;
using BoldLadder.Tool.Input;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>The commands over streams in memory: what comes in, what goes out, what is complained of.</summary>
public sealed class CommandTests : IDisposable
{
    private readonly string taught = Path.GetTempFileName();

    public CommandTests() => File.WriteAllLines(taught, ["s=s", "a=æ", "t=t", "p=p", "i=ɪ", "n=n", "m=m", "ee=iː", "c=k"]);

    public void Dispose() => File.Delete(taught);

    private static (string[] Rows, string Errors, bool Complained) Run(Action<string[], Session> command, byte[] input, params string[] arguments)
    {
        var (output, errors) = (new StringWriter(), new StringWriter());
        var session = new Session(new MemoryStream(input), output, errors);
        command(arguments, session);
        return (output.ToString().Split(output.NewLine, StringSplitOptions.RemoveEmptyEntries), errors.ToString(), session.Complained);
    }

    private static byte[] Text(string text) => Encoding.UTF8.GetBytes(text);

    [Fact]
    public void Segment_gives_a_row_a_word_in_the_accent_and_skips_blank_lines()
    {
        var (rows, _, complained) = Run(SegmentCommand.Run, Text("Sheep\n\ncar\r\n"), "--accent", "general-american");
        Assert.Equal(["word\tgraphemes\tphonemes\tsource", "Sheep\tsh|ee|p\tʃ|iː|p\tlexicon", "car\tc|ar\tk|ɑː+r\tlexicon"], rows);
        Assert.False(complained);
    }

    [Fact]
    public void Segment_all_gives_every_reading() => Assert.Equal(3, Run(SegmentCommand.Run, Text("wind"), "--all").Rows.Length);

    [Fact]
    public void A_line_that_is_no_utf8_is_told_with_its_number_and_the_rest_is_done()
    {
        var (rows, errors, complained) = Run(SegmentCommand.Run, [.. Text("cat\n"), 0xFF, 0xFE, .. Text("\ndog\n")]);
        Assert.Equal(3, rows.Length);
        Assert.Contains("line 2", errors, StringComparison.Ordinal);
        Assert.True(complained);
    }

    [Fact]
    public void A_huge_line_is_told_and_passed_over()
    {
        var (rows, errors, _) = Run(SegmentCommand.Run, Text(new string('a', 1_000_000) + "\ncat\n"));
        Assert.Equal(2, rows.Length);
        Assert.Contains("line 1", errors, StringComparison.Ordinal);
    }

    [Fact]
    public void Words_gives_the_decodable_words_of_a_shape_with_a_correspondence()
    {
        var rows = Run(WordsCommand.Run, [], "--taught", taught, "--with", "ee=iː", "--shape", "CVC", "--limit", "3").Rows;
        Assert.Equal(4, rows.Length);
        Assert.All(rows[1..], r => Assert.Matches(@"^\w+\t\w+\|ee\|\w+\t", r));
    }

    [Fact]
    public void Words_come_commonest_first() =>
        Assert.Equal(Run(WordsCommand.Run, [], "--taught", taught).Rows[1..].Select(r => double.Parse(r.Split('\t')[3], System.Globalization.CultureInfo.InvariantCulture)).OrderDescending(),
            Run(WordsCommand.Run, [], "--taught", taught).Rows[1..].Select(r => double.Parse(r.Split('\t')[3], System.Globalization.CultureInfo.InvariantCulture)));

    [Fact]
    public void Tricky_names_the_graphemes_not_taught_and_the_leniency_that_helps()
    {
        var (rows, errors, _) = Run(TrickyCommand.Run, Text("said\nseat\nmat\nnames\npeas\nseams"), "--taught", taught);
        Assert.Equal(["said\tno\tai d", "seat\tno\tea", "mat\tyes\t"], rows[1..4]);
        Assert.DoesNotContain("seat", errors, StringComparison.Ordinal);
    }

    [Fact]
    public void Check_gives_each_token_as_written_its_status_and_needs()
    {
        var (rows, errors, complained) = Run(CheckCommand.Run, Text("Seen: 3 seats, snap! Zqx."), "--taught", taught);
        Assert.Equal(["token\tstatus\tneeds", "Seen\tdecodable\t", "3\tunknown\t", "seats\tnot-yet\tea=iː", "snap\tdecodable\t", "Zqx\tunknown\t"], rows);
        Assert.Contains("4 words", errors, StringComparison.Ordinal);
        Assert.False(complained);
    }

    [Fact]
    public void Check_tells_of_bytes_that_are_no_text_once_a_place_and_goes_on()
    {
        var (rows, errors, complained) = Run(CheckCommand.Run, [.. Text("seen\n"), 0xFF, .. Text("\nsnap\n")], "--taught", taught);
        Assert.Contains("snap\tdecodable\t", rows);
        Assert.Contains("line 2", errors, StringComparison.Ordinal);
        Assert.True(complained);
    }

    [Fact]
    public void Json_lines_carry_the_columns_names()
    {
        var row = JsonDocument.Parse(Assert.Single(Run(SegmentCommand.Run, Text("cat"), "--json").Rows)).RootElement;
        Assert.Equal(("cat", "k|æ|t"), (row.GetProperty("word").GetString(), row.GetProperty("phonemes").GetString()));
    }

    [Fact]
    public void A_taught_line_that_can_not_be_used_is_told_and_the_rest_counts()
    {
        File.AppendAllLines(taught, ["ai=zz"]);
        var (rows, errors, complained) = Run(TrickyCommand.Run, Text("mat"), "--taught", taught);
        Assert.Equal("mat\tyes\t", rows[1]);
        Assert.Contains("line 10", errors, StringComparison.Ordinal);
        Assert.Contains("ai=eɪ", errors, StringComparison.Ordinal);
        Assert.True(complained);
    }

    [Theory]
    [InlineData("--colour")]
    [InlineData("--taught")]
    [InlineData("--limit", "0")]
    [InlineData("--shape", "CVX")]
    [InlineData("--accent", "scottish")]
    [InlineData("--taught", "/no/such/file")]
    public void Wrong_usage_says_what_to_write(params string[] arguments) =>
        Assert.True(Assert.Throws<UsageException>(() => Run(WordsCommand.Run, [], [.. arguments.Contains("--taught") ? [] : new[] { "--taught", taught }, .. arguments])).Message.Length > 10);
}

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

    public CommandTests() =>
        File.WriteAllLines(taught, ["s=s", "a=æ", "t=t", "p=p", "i=ɪ", "n=n", "m=m", "ee=iː", "c=k"]);

    public void Dispose() => File.Delete(taught);

    private static (string[] Rows, string Errors, bool Complained) Run(
        string command,
        byte[] input,
        params string[] arguments
    )
    {
        var (output, errors) = (new StringWriter(), new StringWriter());
        var session = new Session(new MemoryStream(input), output, errors);
        CommandTable.Run([command, .. arguments], session);
        return (
            output.ToString().Split(output.NewLine, StringSplitOptions.RemoveEmptyEntries),
            errors.ToString(),
            session.Complained
        );
    }

    private static byte[] Text(string text) => Encoding.UTF8.GetBytes(text);

    [Fact]
    public void Segment_gives_a_row_a_word_in_the_accent_and_skips_blank_lines()
    {
        var (rows, _, complained) = Run("segment", Text("Sheep\n\ncar\r\n"), "--accent", "general-american");
        Assert.Equal(
            ["word\tgraphemes\tphonemes\tsource", "Sheep\tsh|ee|p\tʃ|iː|p\tlexicon", "car\tc|ar\tk|ɑː+r\tlexicon"],
            rows
        );
        Assert.False(complained);
    }

    [Fact]
    public void Segment_all_gives_every_reading() => Assert.Equal(3, Run("segment", Text("wind"), "--all").Rows.Length);

    [Fact]
    public void A_line_that_is_no_utf8_is_told_with_its_number_and_the_rest_is_done()
    {
        var (rows, errors, complained) = Run("segment", [.. Text("cat\n"), 0xFF, 0xFE, .. Text("\ndog\n")]);
        Assert.Equal(3, rows.Length);
        Assert.Contains("line 2", errors, StringComparison.Ordinal);
        Assert.True(complained);
    }

    [Fact]
    public void A_huge_line_is_told_and_passed_over()
    {
        var (rows, errors, _) = Run("segment", Text(new string('a', 1_000_000) + "\ncat\n"));
        Assert.Equal(2, rows.Length);
        Assert.Contains("line 1", errors, StringComparison.Ordinal);
    }

    [Fact]
    public void Words_gives_the_decodable_words_of_a_shape_with_a_correspondence()
    {
        var rows = Run("words", [], "--taught", taught, "--with", "ee=iː", "--shape", "CVC", "--limit", "3").Rows;
        Assert.Equal(4, rows.Length);
        Assert.All(rows[1..], r => Assert.Matches(@"^\w+\t\w+\|ee\|\w+\t", r));
    }

    [Fact]
    public void Words_come_commonest_first() =>
        Assert.Equal(
            Run("words", [], "--taught", taught)
                .Rows[1..]
                .Select(r => double.Parse(r.Split('\t')[3], System.Globalization.CultureInfo.InvariantCulture))
                .OrderDescending(),
            Run("words", [], "--taught", taught)
                .Rows[1..]
                .Select(r => double.Parse(r.Split('\t')[3], System.Globalization.CultureInfo.InvariantCulture))
        );

    [Fact]
    public void Tricky_names_the_graphemes_not_taught_and_the_leniency_that_helps()
    {
        var (rows, errors, _) = Run("tricky", Text("said\nseat\nmat\nnames\npeas\nseams"), "--taught", taught);
        Assert.Equal(["said\tno\tai d", "seat\tno\tea", "mat\tyes\t"], rows[1..4]);
        Assert.DoesNotContain("seat", errors, StringComparison.Ordinal);
    }

    [Fact]
    public void Check_gives_each_token_as_written_its_status_and_needs()
    {
        var (rows, errors, complained) = Run("check", Text("Seen: 3 seats, snap! Zqx."), "--taught", taught);
        Assert.Equal(
            [
                "token\tstatus\tneeds",
                "Seen\tdecodable\t",
                "3\tunknown\t",
                "seats\tnot-yet\tea=iː",
                "snap\tdecodable\t",
                "Zqx\tunknown\t",
            ],
            rows
        );
        Assert.Contains("4 words", errors, StringComparison.Ordinal);
        Assert.False(complained);
    }

    [Fact]
    public void Check_tells_of_bytes_that_are_no_text_once_a_place_and_goes_on()
    {
        var (rows, errors, complained) = Run(
            "check",
            [.. Text("seen\n"), 0xFF, .. Text("\nsnap\n")],
            "--taught",
            taught
        );
        Assert.Contains("snap\tdecodable\t", rows);
        Assert.Contains("line 2", errors, StringComparison.Ordinal);
        Assert.True(complained);
    }

    [Fact]
    public void Json_lines_carry_the_columns_names()
    {
        var row = JsonDocument.Parse(Assert.Single(Run("segment", Text("cat"), "--json").Rows)).RootElement;
        Assert.Equal(("cat", "k|æ|t"), (row.GetProperty("word").GetString(), row.GetProperty("phonemes").GetString()));
    }

    [Fact]
    public void A_taught_line_that_can_not_be_used_is_told_and_the_rest_counts()
    {
        File.AppendAllLines(taught, ["ai=zz"]);
        var (rows, errors, complained) = Run("tricky", Text("mat"), "--taught", taught);
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
        Assert.True(
            Assert
                .Throws<UsageException>(() =>
                    Run(
                        "words",
                        [],
                        [.. arguments.Contains("--taught") ? [] : new[] { "--taught", taught }, .. arguments]
                    )
                )
                .Message.Length > 10
        );

    [Fact]
    public void Mark_gives_the_verdicts_of_each_line_and_tells_what_it_can_not_mark()
    {
        var (rows, errors, complained) = Run(
            "mark",
            Text($"target\tattempt\ntrain\ttrane\nfrom\tform\ncat\t{new string('c', 99)}\nzqxj9\tcat\ncat\n")
        );
        Assert.Equal(
            [
                "target\tattempt\tverdicts\textra\tticks\tout_of\twhole\tnotes",
                "train\ttrane\tok ok alt ok\t\t3\t4\tno\t",
                "from\tform\tok missing ok ok\tr\t3\t4\tno\torder",
            ],
            rows
        );
        Assert.All(new[] { "line 4", "line 5", "line 6" }, l => Assert.Contains(l, errors, StringComparison.Ordinal));
        Assert.True(complained);
    }

    [Fact]
    public void A_table_without_its_columns_is_wrong_usage() =>
        Assert.Contains(
            "target and attempt",
            Assert.Throws<UsageException>(() => Run("mark", Text("word\tspelled\ncat\tkat\n"))).Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void Chain_makes_a_chain_with_its_tiles_and_judges_one()
    {
        var (rows, errors, _) = Run("chain", [], "--taught", taught, "--length", "5", "--seed", "2");
        Assert.Equal(6, rows.Length);
        Assert.Matches("^1\t\\w+\t[\\w|]+\t$", rows[1]);
        Assert.Contains("Tiles:", errors, StringComparison.Ordinal);
        Assert.Equal(
            ["cat\that\tyes\tinitial\t", "cat\tcot\tyes\tmedial\t", "cat\tdog\tno\t\tnot-one-change"],
            Run("chain", Text("from\tto\ncat\that\ncat\tcot\ncat\tdog\n"), "--judge").Rows[1..]
        );
        Assert.Equal(
            "2\tnap\tn|a|p\tinitial\t\t",
            Run("chain", Text("tap\nnap\nzap\n"), "--judge", "--words", "--taught", taught).Rows[2]
        );
        Assert.Equal(
            "line\tstep\tword\tgraphemes\tchange",
            Run("chain", [], "--taught", taught, "--length", "3", "--lines", "2").Rows[0]
        );
    }

    [Fact]
    public void A_chain_that_can_not_be_so_long_says_so() =>
        Assert.Contains(
            "No chain so long",
            Run("chain", [], "--taught", taught, "--length", "60").Errors,
            StringComparison.Ordinal
        );

    [Fact]
    public void Madeup_makes_words_and_judges_candidates()
    {
        Assert.Equal(6, Run("madeup", [], "--taught", taught, "--count", "5").Rows.Length);
        Assert.Equal(
            ["thob\tyes\t", "ship\tno\treal-word", "two words\tno\tnot-letters"],
            Run("madeup", Text("thob\nship\ntwo words\n"), "--judge").Rows[1..]
        );
        Assert.Contains(
            "Only",
            Run("madeup", [], "--taught", taught, "--count", "100000").Errors,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Facts_gives_the_figures_of_a_correspondence_a_rule_and_a_place()
    {
        Assert.StartsWith("ai=eɪ\t", Run("facts", Text("ai=eɪ\n")).Rows[1], StringComparison.Ordinal);
        Assert.StartsWith(
            "all\t",
            Run("facts", [], "--rule", "two-vowels-first-says-its-name").Rows[1],
            StringComparison.Ordinal
        );
        Assert.Equal(
            ["all", "oa"],
            Run("facts", Text("oa=əʊ\n"), "--rule", "own").Rows[1..].Select(r => r.Split('\t')[0])
        );
        Assert.EndsWith("\tay", Run("facts", Text("ai=eɪ\nay=eɪ\n"), "--settled").Rows[3], StringComparison.Ordinal);
        Assert.Equal(4, Run("facts", Text("oi=ɔɪ\n"), "--settled").Rows.Length);
        Assert.True(Run("facts", [], "--all").Rows.Length > 150);
        Assert.Contains("line 1", Run("facts", Text("ai=zz\n")).Errors, StringComparison.Ordinal);
        Assert.Contains(
            "two-vowels",
            Assert.Throws<UsageException>(() => Run("facts", [], "--rule", "none")).Message,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Alike_and_patterns_tell_of_a_word_what_is_known()
    {
        Assert.StartsWith("night\tknight\t", Run("alike", Text("night\n")).Rows[1], StringComparison.Ordinal);
        Assert.Contains("pin\tpine", Run("alike", [], "--contrast", "--taught", WithSplit()).Rows);
        Assert.Equal(
            "stopped\tadjacent-start join-double suffix-ed\tstopped\tstop\tsuffix-ed\tt\tjoin-double\t",
            Run("patterns", Text("stopped\n")).Rows[1]
        );
    }

    [Fact]
    public void Crossword_lays_words_with_their_clues_and_draws_them()
    {
        var drawing = Path.GetTempFileName();
        var (rows, errors, _) = Run("crossword", [], "--taught", taught, "--count", "4", "--svg", drawing, "--lenient");
        Assert.True(rows.Length > 2);
        Assert.Contains("crossings", errors, StringComparison.Ordinal);
        Assert.StartsWith("<svg", File.ReadAllText(drawing), StringComparison.Ordinal);
        File.Delete(drawing);
    }

    [Fact]
    public void Lessons_are_written_as_text_and_a_rung_there_is_not_says_what_to_write()
    {
        var (rows, _, _) = Run("lessons", [], "--ladder", "letters-first", "--rungs", "5,2", "--minutes", "15");
        Assert.Equal(["## 2. s", "## 5. n"], rows.Where(r => r.StartsWith("## ", StringComparison.Ordinal)));
        Assert.Contains(rows, r => r.StartsWith("- grapheme-cards: ", StringComparison.Ordinal));
        Assert.Contains(
            "1 to 124",
            Assert
                .Throws<UsageException>(() => Run("lessons", [], "--ladder", "letters-first", "--rungs", "0"))
                .Message,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "sounds-first",
            Assert.Throws<UsageException>(() => Run("lessons", [], "--ladder", "none", "--rungs", "1")).Message,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Sentences_come_with_the_rungs_they_can_be_read_from_and_what_is_unknown_is_said()
    {
        var (rows, errors, _) = Run("sentences", Text("a pup on a mat\nThe zzxq ran.\n"), "--input");
        Assert.Equal("kind\tletters-first\tsounds-first\tshort-vowels-first\ttext", rows[0]);
        Assert.Matches("^sentence\t\\d+\t\\d+\t\\d+\ta pup on a mat$", rows[1]);
        Assert.Contains("zzxq", errors, StringComparison.Ordinal);
        Assert.Contains(Run("sentences", []).Rows, r => r.StartsWith("text\t", StringComparison.Ordinal));
    }

    private string WithSplit()
    {
        File.AppendAllLines(taught, ["i-e=aɪ"]);
        return taught;
    }
}

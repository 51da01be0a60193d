using System.IO.Compression;
using System.Text;
using BoldLadder.Core;
using BoldLadder.Formats.Packed;
using BoldLadder.Formats.Rosters;
using BoldLadder.Formats.Tables;
using BoldLadder.Tool;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Files of children, as schools have them: what is taken, what is left out, what can't be read.</summary>
public class RosterTests
{
    private static readonly DateOnly Today = new(2026, 11, 24);

    private static string Sample(string file) =>
        File.ReadAllText(Path.Combine(ProjectFolders.Root, "tests", "samples", "oneroster", file));

    private static byte[] Zip(params (string Name, string Text)[] files)
    {
        using var memory = new MemoryStream();
        using (var zip = new ZipArchive(memory, ZipArchiveMode.Create))
        {
            foreach (var (name, text) in files)
            {
                using var entry = zip.CreateEntry(name).Open();
                entry.Write(Encoding.UTF8.GetBytes(text));
            }
        }
        return memory.ToArray();
    }

    /// <summary>The sample as a zip: without a file, or with something else in one.</summary>
    private static byte[] OneRoster(string without = "", string from = "", string to = "") =>
        Zip([
            .. new[] { "manifest.csv", "classes.csv", "users.csv", "enrollments.csv", "demographics.csv" }
                .Where(f => f != without)
                .Select(f => (f, from == "" ? Sample(f) : Sample(f).Replace(from, to, StringComparison.Ordinal))),
        ]);

    [Fact]
    public void Of_a_OneRoster_zip_the_given_name_and_a_letter_are_taken_and_all_else_is_named()
    {
        var roster = OneRosterZip.Read(OneRoster(), Today);
        Assert.Equal([("Aisha B", "Otters"), ("Tom F", "Kestrels")], roster.Lines.Select(l => (l.Name!.Text, l.Group)));
        Assert.Contains("demographics.csv", roster.LeftOut);
        Assert.Superset(
            new HashSet<string> { "email", "identifier", "grades", "middleName", "pronouns", "username" },
            roster.LeftOut.ToHashSet()
        );
    }

    [Fact]
    public void A_row_that_stands_twice_in_a_OneRoster_zip_is_taken_once()
    {
        var (user, school) = (Sample("users.csv").Split('\n')[1], Sample("classes.csv").Split('\n')[1]);
        var doubled = OneRoster(from: user, to: $"{user}\n{user}");
        Assert.Equal(2, OneRosterZip.Read(doubled, Today).Lines.Length);
        Assert.Equal(2, OneRosterZip.Read(OneRoster(from: school, to: $"{school}\n{school}"), Today).Lines.Length);
    }

    [Fact]
    public void A_column_that_there_is_not_gives_nothing() =>
        Assert.Equal("", new CsvLine(1, ["a"]).Cell(-1) + new CsvLine(1, ["a"]).Cell(9));

    [Fact]
    public void A_broken_OneRoster_zip_says_what_is_wrong()
    {
        Assert.Equal("not-a-roster", Refused(() => OneRosterZip.Read(OneRoster("manifest.csv"), Today)));
        Assert.Equal("roster-lacks", Refused(() => OneRosterZip.Read(OneRoster("users.csv"), Today)));
        foreach (
            var (from, to, code) in new[]
            {
                ("version,1.2", "version,1.1", "roster-version"),
                ("users,bulk", "users,delta", "roster-delta"),
                ("familyName", "other", "roster-column"),
                ("2026-09-01", "01/09/2026", "roster-date"),
            }
        )
            Assert.Equal(code, Refused(() => OneRosterZip.Read(OneRoster(from: from, to: to), Today)));
        Assert.Equal("not-packed", Refused(() => OneRosterZip.Read([.. "PK\u0003\u0004"u8, 1, 2, 3], Today)));
    }

    [Fact]
    public void A_zip_that_unpacks_to_far_too_much_is_left_alone()
    {
        var bomb = Zip(("manifest.csv", new string('a', 200_000)));
        using var zip = PackedFiles.Open(bomb);
        Assert.True(bomb.Length < 2_000);
        Assert.Equal("packed-too-large", Refused(() => PackedFiles.Read(zip.Entries[0], 100_000)));
        var crowd = Zip([.. Enumerable.Range(0, 2_001).Select(i => ($"{i}", ""))]);
        Assert.Equal("packed-too-much", Refused(() => PackedFiles.Open(crowd)));
    }

    public static TheoryData<string, byte[]> Encodings =>
        new()
        {
            { "utf-8", Encoding.UTF8.GetBytes("name;class\nZoë B;Otters\n") },
            {
                "utf-8 with a mark",
                [.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes("name;class\nZoë B;Otters\n")]
            },
            {
                "utf-16",
                [.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes("name,class\r\nZoë B,Otters\r\n")]
            },
            { "windows-1252", [.. "name\tclass\nZo"u8, 0xEB, .. " B\tOtters\n"u8] },
            { "quotes", Encoding.UTF8.GetBytes("\"Name\",\"Class\"\n\n\"Zoë B\",\"Otters\"\n,\n") },
        };

    [Theory]
    [MemberData(nameof(Encodings))]
    public void A_table_is_read_however_it_was_saved(string how, byte[] file)
    {
        Assert.NotEmpty(how);
        var table = CsvTable.Read(file);
        var columns = RosterColumns.Guess(table);
        Assert.Equal(new RosterColumns(true, 0, null, null, 1), columns);
        var line = Assert.Single(columns.Read(table).Lines);
        Assert.Equal(("Zoë B", "Otters"), (line.Name!.Text, line.Group));
    }

    [Theory]
    [InlineData("Pupil ID,Forename,Surname,DOB,Class", null, 1, 2, 4)]
    [InlineData("First name;Last name", null, 0, 1, null)]
    [InlineData("Class,Name,Notes", 1, null, null, 0)]
    public void Columns_are_found_by_their_headings(string headings, int? name, int? given, int? family, int? group) =>
        Assert.Equal(
            new RosterColumns(true, name, given, family, group),
            RosterColumns.Guess(CsvTable.Read(headings + "\n"))
        );

    [Fact]
    public void What_is_not_taken_is_said_and_a_line_without_a_name_keeps_its_number()
    {
        var table = CsvTable.Read("Forename,Surname,DOB,Notes\nAisha,Begum,2021-05-06,asthma\n\n7,8,,\n");
        var roster = RosterColumns.Guess(table).Read(table);
        Assert.Equal(["DOB", "Notes"], roster.LeftOut.AsEnumerable());
        Assert.Equal([(2, "Aisha B"), (4, null)], roster.Lines.Select(l => (l.Line, l.Name?.Text)));
    }

    [Fact]
    public void What_is_no_table_is_refused_by_what_it_is()
    {
        Assert.Equal("not-a-table", Refused(() => CsvTable.Read([0x89, .. "PNG\r\n"u8])));
        Assert.Equal("not-a-table", Refused(() => CsvTable.Read("PK\u0003\u0004 docx"u8)));
        Assert.Equal("not-a-table", Refused(() => CsvTable.Read([1, 0, 2, 0, 3, 0])));
        Assert.Equal(
            "table-too-long",
            Refused(() => CsvTable.Read(string.Concat(Enumerable.Repeat("a\n", CsvTable.MostLines + 1))))
        );
        Assert.Equal("table-too-wide", Refused(() => CsvTable.Read(new string(',', 200) + "a\n")));
        Assert.Equal("cell-too-long", Refused(() => CsvTable.Read(new string('a', 3_000))));
        Assert.Equal("cell-too-long", Refused(() => CsvTable.Read("name\n\"never closed" + new string('\n', 3_000))));
    }

    private static string Refused(Action act) => Assert.Throws<RefusedException>(act).Code;
}

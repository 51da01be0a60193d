using System.Diagnostics;
using System.Text.Json;
using System.Text.RegularExpressions;
using BoldLadder.Core.Lessons;
using BoldLadder.Tool;
using BoldLadder.Wording;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>The catalogue is read alike on both sides, and has a sentence for everything that is refused.</summary>
public partial class CatalogueTests
{
    private static readonly Catalogue British = Catalogue.Of("en-GB");

    private sealed record Said(string Language, string Key, Dictionary<string, JsonElement> Values, string Sentence);

    [Fact]
    public async Task Server_and_front_end_say_every_message_alike()
    {
        using var node = Process.Start(
            new ProcessStartInfo("node", ["scripts/say.mjs"])
            {
                WorkingDirectory = ProjectFolders.Root,
                RedirectStandardOutput = true,
            }
        )!;
        var said = JsonSerializer.Deserialize<List<Said>>(
            await node.StandardOutput.ReadToEndAsync(),
            JsonSerializerOptions.Web
        )!;
        Assert.True(said.Count > 1000, $"Only {said.Count} sentences.");
        Assert.All(said, s =>
            Assert.Equal(
                s.Sentence,
                Catalogue
                    .Of(s.Language)
                    .Say(
                        s.Key,
                        s.Values.ToDictionary(
                            v => v.Key,
                            v =>
                                v.Value.ValueKind == JsonValueKind.Number
                                    ? (object)v.Value.GetInt32()
                                    : v.Value.GetString()!
                        )
                    )
            )
        );
    }

    [Fact]
    public void Every_message_can_be_read() => Assert.All(Catalogue.All, c => Assert.All(c.Keys, k => c.Message(k)));

    [Theory]
    [InlineData("{count, plural, one {# day}}", "no case for other")]
    [InlineData("{count, date}", "neither plural nor select")]
    [InlineData("a } b", "a closing brace too many")]
    [InlineData("{} days", "without a name")]
    [InlineData("{count, plural, other {# days}", "no closing brace")]
    public void A_message_that_can_not_be_read_says_where(string message, string what) =>
        Assert.Contains(
            what,
            Assert.Throws<FormatException>(() => Message.Parse(message)).Message,
            StringComparison.Ordinal
        );

    /// <summary>
    /// Codes as they are written where things are refused, each with its variants: bad-name.rung, or
    /// Refusal.Conflict("changed-meanwhile").About("draft").
    /// </summary>
    [Fact]
    public void Every_refusal_has_its_sentence_and_no_sentence_is_left_over()
    {
        var sources = new[] { "BoldLadder.Core", "BoldLadder.Formats", "BoldLadder.School", "BoldLadder.Web" }
            .SelectMany(p =>
                Directory.EnumerateFiles(
                    Path.Combine(ProjectFolders.Root, "src", p),
                    "*.cs",
                    SearchOption.AllDirectories
                )
            )
            .Where(f =>
                !f.Contains($"{Path.DirectorySeparatorChar}obj{Path.DirectorySeparatorChar}", StringComparison.Ordinal)
            )
            .Select(f => Joined().Replace(File.ReadAllText(f), m => m.Value[0] == ',' ? ", " : m.Value.Trim()))
            .ToList();
        var given = sources
            .SelectMany(s => Given().Matches(s))
            .SelectMany(m =>
                Codes()
                    .Matches(m.Groups[1].Value)
                    .Select(c => c.Groups[1].Value + (m.Groups[2].Success ? $".{m.Groups[2].Value}" : ""))
            )
            .ToHashSet();
        var known = British
            .Keys.Where(k => k.StartsWith("refusal.", StringComparison.Ordinal))
            .Select(k => k["refusal.".Length..])
            .ToHashSet();
        Assert.True(given.Count > 90, $"Only {given.Count} refusals found.");
        Assert.Empty(given.Except(known));
        Assert.Empty(known.Except(given));
    }

    [Fact]
    public void A_kind_of_activity_is_said_by_its_own_name() =>
        Assert.Equal(
            "“Read words” does not belong in this part. Move it to Practise.",
            British.Say(
                "refusal.bad-template.stranger",
                new Dictionary<string, object>
                {
                    ["activity"] = Core.Lessons.ActivityKind.ReadWords,
                    ["part"] = PartKind.Practise,
                }
            )
        );

    [Fact]
    public void A_day_is_written_as_everyone_reads_it() =>
        Assert.StartsWith(
            "2126-11-24 is not a day",
            British.Say(
                "refusal.day-out-of-range.calendar",
                new Dictionary<string, object> { ["day"] = new DateOnly(2126, 11, 24) }
            ),
            StringComparison.Ordinal
        );

    [Fact]
    public void American_schools_read_their_own_words() =>
        Assert.Equal(
            ("Practise", "Practice"),
            (British.Say("part.practise"), Catalogue.Of("en-US").Say("part.practise"))
        );

    [GeneratedRegex(
        """(?:Refusal\.(?:NotFound|Unusable|Conflict|NotAllowed)\(|new RefusedException\(|new\(RefusalKind\.\w+, |"""
            + """Problem\.Of\(StatusCodes\.\w+, |StatusCodes\.\w+ => |_ => (?="went-wrong"))"""
            + """((?:undo \? "[a-z-]+" : )?"[a-z][a-z.-]+")(?:(?:(?!Refusal\.)[^;])*?\.About\("([a-z-]+)"\))?"""
    )]
    private static partial Regex Given();

    /// <summary>Where the formatter broke a line.</summary>
    [GeneratedRegex("""(?<=\()\s+|\s+(?=[.)])|,\s+""")]
    private static partial Regex Joined();

    [GeneratedRegex("\"([a-z][a-z.-]+)\"")]
    private static partial Regex Codes();

    [Theory]
    [InlineData("sh", "sh")]
    [InlineData("ll ss", "ll ss")]
    [InlineData("review-day", "Review day")]
    [InlineData("suffix-s", "suffix -s")]
    [InlineData("two-syllables suffix-ing", "two-syllable words, suffix -ing")]
    public void A_rung_or_a_day_is_called_as_screens_call_it(string label, string said) =>
        Assert.Equal(said, Catalogue.Of("en-GB").Label(label));
}

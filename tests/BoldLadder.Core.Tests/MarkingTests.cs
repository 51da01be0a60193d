using BoldLadder.Core.Accents;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Tool.Commands;
using CsCheck;
using Xunit;

namespace BoldLadder.Core.Tests;

public class MarkingTests
{
    private static readonly Marker Southern = new(new PlausibleSpellings(Given.Lexicon, Accent.SouthernBritish));
    private static readonly WordFinder Finder = new(Given.Lexicon);

    private static Mark Marked(string target, string attempt) => Southern.Mark(Finder.Find(target).Word!, attempt);

    private static string Extra(Mark mark) => string.Join(' ', mark.Extra.Select(e => e.Letters));

    [Fact]
    public void The_attempts_judged_by_hand_are_marked_so()
    {
        var rows = GoldScore.Rows("marking.tsv").Select(r => (Gold: r, Mark: Marked(r[0], r[1]))).ToList();
        var misses = rows.Where(r =>
                MarkCommand.Verdicts(r.Mark) != r.Gold[2]
                || Extra(r.Mark) != r.Gold[3]
                || MarkCommand.Notes(r.Mark) != r.Gold[4]
            )
            .ToList();
        Assert.True(rows.Count >= 500);
        Assert.True(
            misses.Count <= rows.Count / 30,
            string.Join(
                '\n',
                misses.Select(m =>
                    $"{m.Gold[0]} {m.Gold[1]} {MarkCommand.Verdicts(m.Mark)} [{Extra(m.Mark)}] {m.Mark.Notes}"
                )
            )
        );
    }

    [Fact]
    public void A_word_marked_against_itself_is_all_ok()
    {
        foreach (var accent in Accent.All)
        {
            var marker = new Marker(new PlausibleSpellings(Given.Lexicon, accent));
            var words = Given.Deep ? Given.Lexicon.Words : [.. Given.Lexicon.Words.Where((_, i) => i % 7 == 0)];
            Assert.All(words.Concat(Given.Lexicon.Names), word =>
            {
                var mark = marker.Mark(word, word.Spelling.ToUpperInvariant());
                Assert.True(
                    mark.Whole && mark.Ticks == mark.OutOf && mark.Extra.IsEmpty && mark.Notes == MarkNotes.None,
                    word.Spelling
                );
            });
        }
    }

    [Fact]
    public void Any_attempt_gets_a_verdict_for_each_grapheme_and_loses_no_letter() =>
        Gen.Int[0, 8000]
            .Select(
                Gen.OneOf(
                    Gen.String[0, Marker.LongestAttempt / 2],
                    Gen.String[Gen.Char["abdepqnuightckosw'e 😀é"], 0, 20]
                )
            )
            .Sample(
                (place, attempt) =>
                {
                    var word = Given.Lexicon.Words[place];
                    var mark = Southern.Mark(word, attempt);
                    Assert.Equal(word.Segmentation.Taps, mark.Graphemes.Length);
                    Assert.InRange(mark.Ticks, 0, mark.OutOf);
                    var said = WordFinder
                        .Plain(attempt)
                        .EnumerateRunes()
                        .Where(r => !System.Text.Rune.IsWhiteSpace(r))
                        .Sum(r => r.Utf16SequenceLength);
                    Assert.Equal(
                        said,
                        mark.Graphemes.Sum(g =>
                            g.Written.Length
                            - (g.Written.Length > 2 && g.Written.EndsWith("-e", StringComparison.Ordinal) ? 1 : 0)
                        ) + mark.Extra.Sum(e => e.Letters.Length)
                    );
                },
                iter: Given.Deep ? 20_000 : 2_000
            );

    [Fact]
    public void An_attempt_that_is_too_long_is_refused_with_what_to_do() =>
        Assert.Contains(
            "64",
            Assert
                .Throws<AttemptRefusedException>(() => Marked("cat", new string('a', Marker.LongestAttempt + 1)))
                .Message,
            StringComparison.Ordinal
        );

    [Theory]
    [InlineData("southern-british", "saw", "sor", Verdict.Alt)]
    [InlineData("general-american", "saw", "sor", Verdict.Wrong)]
    [InlineData("southern-british", "path", "parth", Verdict.Alt)]
    [InlineData("northern-english", "path", "parth", Verdict.Ok)]
    [InlineData("northern-english", "cup", "coop", Verdict.Alt)]
    [InlineData("southern-british", "cup", "coop", Verdict.Wrong)]
    public void What_is_plausible_depends_on_the_accent(string accent, string target, string attempt, Verdict vowel) =>
        Assert.Equal(
            vowel,
            new Marker(new PlausibleSpellings(Given.Lexicon, Accent.Parse(accent)))
                .Mark(Given.Word(target), attempt)
                .Graphemes[1]
                .Verdict
        );

    [Theory]
    [InlineData("rain", "ran")]
    [InlineData("boat", "bot")]
    [InlineData("cup", "cop")]
    [InlineData("hot", "hat")]
    [InlineData("pin", "pen")]
    public void A_spelling_that_nobody_would_read_so_there_is_wrong(string target, string attempt) =>
        Assert.Equal(Verdict.Wrong, Marked(target, attempt).Graphemes[1].Verdict);

    [Fact]
    public void A_letter_that_moved_is_missing_where_it_belongs_and_extra_where_it_is()
    {
        var mark = Marked("from", "form");
        Assert.Equal([Verdict.Ok, Verdict.Missing, Verdict.Ok, Verdict.Ok], mark.Graphemes.Select(g => g.Verdict));
        Assert.Equal(new ExtraLetters("r", 3, true), Assert.Single(mark.Extra));
        Assert.Equal(MarkNotes.Order, mark.Graphemes[1].Notes);
    }

    [Fact]
    public void The_letters_of_a_split_digraph_are_told_as_the_child_wrote_them() =>
        Assert.Equal(["t", "r", "a-e", "n"], Marked("train", "trane").Graphemes.Select(g => g.Written));

    [Theory]
    [InlineData("thin", "fin")]
    [InlineData("feather", "fevver")]
    [InlineData("rabbit", "wabbit")]
    [InlineData("hat", "at")]
    public void What_may_be_how_the_child_says_it_is_tagged(string target, string attempt) =>
        Assert.Equal(MarkNotes.AsSpoken, Marked(target, attempt).Notes);

    [Theory]
    [InlineData("thin", "sin", true)]
    [InlineData("thin", "pin", false)]
    [InlineData("cat", "at", false)]
    public void And_nothing_else_is(string target, string attempt, bool tagged) =>
        Assert.Equal(tagged, Marked(target, attempt).Notes.HasFlag(MarkNotes.AsSpoken));

    [Fact]
    public void A_made_up_word_can_be_marked_too() =>
        Assert.Equal([Verdict.Ok, Verdict.Ok, Verdict.Alt], Marked("zeck", "zek").Graphemes.Select(g => g.Verdict));
}

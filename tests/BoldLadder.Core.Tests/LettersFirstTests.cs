using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Section 8 of the handbook: what letters-first adds to what every good order satisfies.</summary>
public class LettersFirstTests
{
    private static readonly Ladder Ladder = Given.LettersFirst;
    private static readonly List<Correspondence> Order = [.. Ladder.Rungs.SelectMany(r => r.Correspondences)];

    private static int RungOf(string notation) =>
        Ladder.WhenTaught(new Obstacle(Correspondence.Parse(notation), Patterns.None))
        ?? throw new InvalidOperationException(notation);

    [Fact]
    public void Every_letter_has_one_sound_before_any_vowel_digraph()
    {
        var firstDigraph = Order.Where(c => c.IsVowel && c.Grapheme.Text.Length > 1).Min(c => RungOf(c.Notation));
        foreach (var letter in "abcdefghijklmnopqrstuvwxyz")
        {
            Assert.True(
                Ladder
                    .Rungs.Take(firstDigraph)
                    .SelectMany(r => r.Correspondences)
                    .Any(c => c.Grapheme.Text[0] == letter),
                letter.ToString()
            );
        }
    }

    [Fact]
    public void Consonant_digraphs_come_before_the_third_vowel_digraph()
    {
        var third = Order
            .Where(c => c.IsVowel && c.Grapheme.Text.Length > 1)
            .Select(c => RungOf(c.Notation))
            .Order()
            .ElementAt(2);
        Assert.All(new[] { "sh=ʃ", "ch=tʃ", "th=θ", "ng=ŋ" }, n => Assert.True(RungOf(n) < third, n));
    }

    [Fact]
    public void No_sound_has_two_spellings_until_every_sound_has_one()
    {
        var excused = new[] { "ə", "ʒ", "ʊə" };
        var seen = new HashSet<string>();
        var needed = Sound.All.Select(s => s.Symbol).Except(excused).ToHashSet();
        foreach (var c in Order)
        {
            if (needed.IsSubsetOf(seen))
                return;
            var isExcused =
                c.Grapheme.Kind == GraphemeKind.Double || c.Grapheme.Text is "c" or "k" or "ck" or "x" or "qu";
            Assert.True(c.Sounds.Length > 1 || seen.Add(c.SoundText) || isExcused, c.Notation);
            seen.UnionWith(c.Sounds.Select(s => s.Symbol));
        }
        Assert.Fail("Some sound never gets a spelling: " + string.Join(' ', needed.Except(seen)));
    }

    [Fact]
    public void Longer_words_come_with_nothing_new_before_new_spellings_and_new_sounds_come_last()
    {
        var stages = Ladder.Rungs.Select(r => r.Stage).Distinct().ToList();
        Assert.Equal(
            ["letters", "doubles", "consonant-teams", "vowel-teams", "longer-words", "new-spellings", "new-sounds"],
            stages
        );
        var known = Ladder
            .Rungs.Where(r => r.Stage is not "new-sounds" and not "new-spellings")
            .SelectMany(r => r.Correspondences)
            .Select(c => c.Grapheme)
            .ToHashSet();
        Assert.All(
            Ladder
                .Rungs.Where(r => r.Stage == "new-spellings")
                .SelectMany(r => r.Correspondences)
                .Where(c => c.Grapheme.Text != "se"),
            c => Assert.DoesNotContain(c.Grapheme, known)
        );
    }
}

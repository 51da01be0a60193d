using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Tool;
using Xunit;

namespace BoldLadder.Core.Tests;

public class KeyWordTests
{
    private static readonly KeyWords KeyWords = new(Given.Lexicon);

    [Theory]
    [InlineData("sh=ʃ")]
    [InlineData("x=k+s")]
    [InlineData("u-e=j+uː")]
    [InlineData("c=k")]
    [InlineData("th=ð")]
    public void A_key_word_has_its_correspondence_and_children_know_it(string notation)
    {
        var word = Given.Word(KeyWords.Of(Correspondence.Parse(notation)));
        Assert.True(word.Contains(Correspondence.Parse(notation)) && word.IsForLessons, word.Spelling);
    }

    [Fact]
    public void The_sounds_own_key_word_is_kept_where_it_is_spelled_so() =>
        Assert.Equal("rain", KeyWords.Of(Correspondence.Parse("ai=eɪ")));

    [Fact]
    public void Every_model_word_is_a_word_for_lessons_with_its_spelling_and_none_is_a_suffixed_form_but_where_it_must()
    {
        var bad = InventoryRows()
            .SelectMany(r => r.Words.Select(w => (r.One, Word: Given.Lexicon.Find(w), Text: w)))
            .Where(m =>
                m.Word is null || !(m.Word.IsForLessons || m.Word.IsKnown) || !m.Word.Segmentation.Parts.Contains(m.One)
            )
            .Select(m => $"{m.Text} for {m.One.Notation}");
        Assert.Empty(bad);
    }

    [Fact]
    public void Every_correspondence_of_a_shipped_ladder_has_a_model_word() =>
        Assert.Empty(
            Given
                .Ladders.SelectMany(l => l.Rungs)
                .SelectMany(r => r.Correspondences)
                .Where(c => !c.IsBath && ModelWords.Chosen(c).Count == 0)
                .Select(c => c.Notation)
                .Distinct()
        );

    [Theory]
    [InlineData("or=ɜː", "word")]
    [InlineData("ie=iː", "field")]
    [InlineData("e-e=iː", "these")]
    [InlineData("ow=aʊ", "cow")]
    public void A_model_word_is_what_a_teacher_would_choose(string notation, string word) =>
        Assert.Equal(word, KeyWords.Of(Correspondence.Parse(notation)));

    private static IEnumerable<(Correspondence One, string[] Words)> InventoryRows() =>
        File.ReadLines(Path.Combine(ProjectFolders.Data, "inventory", "model-words.tsv"))
            .Skip(1)
            .Select(l => l.Split('\t'))
            .Select(c => (Correspondence.Parse(c[0]), c[1].Split(' ')));
}

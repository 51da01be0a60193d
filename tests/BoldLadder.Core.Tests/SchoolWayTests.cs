using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Ladders.Editing;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using Xunit;

namespace BoldLadder.Core.Tests;

/// <summary>Our school's way laid over a lesson that is shown. Source: docs/handbook.md, section 5.</summary>
public class SchoolWayTests
{
    [Theory]
    [InlineData("sun", Blending.SoundBySound, "s u n sun")]
    [InlineData("sun", Blending.Continuous, "sssuuunnn sun")]
    [InlineData("cat", Blending.Continuous, "caaat cat")]
    [InlineData("ship", Blending.Cumulative, "sh shi ship")]
    [InlineData("stamp", Blending.AdjacentFirst, "st a mp stamp")]
    [InlineData("sheep", Blending.AdjacentFirst, "sh ee p sheep")]
    [InlineData("cake", Blending.Cumulative, "c a-e k cake")]
    public void A_word_is_blended_as_the_school_blends(string word, Blending way, string steps) =>
        Assert.Equal(
            steps,
            string.Join(' ', BlendingSteps.Of(word, [.. Given.Word(word).Segmentation.Parts], way)!.Value)
        );

    private static readonly SchoolWay Ours = new(
        HouseStyle.Usual with
        {
            Blending = Blending.Cumulative,
            Chunks = [new Chunk("ank", ["a=æ", "n=ŋ", "k=k"])],
            Release = new Release(2, 1, 1),
        },
        new Dictionary<string, OwnWay>
        {
            ["sh=ʃ"] = new("shed", "a shell in the shed", "Lips out.", "Curl and climb."),
            ["ch=tʃ"] = new("", "chop the chips", "", ""),
            ["ee=iː"] = new("", "a week to feel", "", ""),
        },
        Given.Lexicon,
        Accent.SouthernBritish,
        Given.Materials.Pictures,
        new Dictionary<string, string> { ["sun"] = "own/1/2", ["ch=tʃ"] = "own/1/3" }
    );

    private static Activity Shown(ActivityKind kind, params Item[] items) =>
        Ours.Over(new Activity("a", kind, ResponseMode.SayTogether, 60, [.. items]), ["ow=əʊ", "a-e=eɪ"]);

    [Theory]
    [InlineData("snow", "2,3 yes")]
    [InlineData("“Cow!”", "2,3 no")]
    [InlineData("cakes,", "1,3 yes")]
    [InlineData("have", "1,3 no")]
    [InlineData("ship", "")]
    [InlineData("xyzzy", "")]
    public void What_is_hunted_is_told_from_the_same_letters_with_another_job(string printed, string places)
    {
        var sentence = new SentenceItem("s", false, printed, [new SentenceWord(printed, "decodable")], []);
        var shown = (SentenceItem)Shown(ActivityKind.HuntPage, sentence).Items[0];
        Assert.Equal(
            places,
            string.Join(
                ' ',
                (shown.Words[0].Hunt ?? []).Select(p => $"{string.Join(',', p.Letters)} {(p.IsTarget ? "yes" : "no")}")
            )
        );
        Assert.Null(((SentenceItem)Shown(ActivityKind.ReadSentence, sentence).Items[0]).Words[0].Hunt);
    }

    [Fact]
    public void A_words_picture_comes_with_it_where_the_word_is_read()
    {
        var sun = ItemMaker.OfWord("w", Given.Word("sun"), []);
        Assert.Equal("own/1/2", ((WordItem)Shown(ActivityKind.ReadWords, sun).Items[0]).Picture);
        var cat = ItemMaker.OfWord("w", Given.Word("cat"), []);
        Assert.Equal(Given.Materials.Pictures["cat"], ((WordItem)Shown(ActivityKind.ReadWords, cat).Items[0]).Picture);
        var shown = new PictureItem(
            Id: "p",
            Kept: false,
            Picture: "shipped",
            Word: "sun",
            Marks: [0, 1, 2],
            Options: [],
            Reasons: []
        );
        Assert.Equal("own/1/2", ((PictureItem)Shown(ActivityKind.PictureToWord, shown).Items[0]).Picture);
        Assert.Null(((WordItem)Shown(ActivityKind.WordChain, sun).Items[0]).Picture);
    }

    [Theory]
    [InlineData("sh=ʃ", "shell")]
    [InlineData("ch=tʃ", null, "own/1/3")]
    [InlineData("ee=iː", null, null)]
    public void A_phrase_has_the_picture_made_for_it_or_of_the_first_of_its_words_that_has_one(
        string notation,
        string? word,
        string? name = null
    )
    {
        var plain = ItemMaker.OfCorrespondence("c", Correspondence.Parse(notation), []);
        Assert.Equal(
            word is null ? name : Given.Materials.Pictures[word],
            ((CardItem)Shown(ActivityKind.MemoryPhrase, plain).Items[0]).Own!.Picture
        );
    }

    [Fact]
    public void A_picture_of_the_schools_own_is_named_by_its_word_and_leaves_its_place_when_it_is_gone()
    {
        var sentence = new SentenceItem("s", false, "A sun.", [], [], Pictures: ["own:sun", "own:lamp", "1F431"]);
        var shown = (SentenceItem)Shown(ActivityKind.PhraseToPicture, sentence).Items[0];
        Assert.Equal(["", "1F431", "own/1/2"], shown.Pictures!.Value.Order(StringComparer.Ordinal));
        Assert.Equal("own/1/2", shown.Pictures.Value[shown.Fits!.Value]);
        SceneThing Thing(string word) => new(word, $"own:{word}", [], Upper: false, ThingSize.Small);
        var scene = new SceneItem("c", false, "backdrop-pond", [Thing("sun"), Thing("lamp"), Thing("cat")], []);
        Assert.Equal(
            ["own/1/2", "", Given.Materials.Pictures["cat"]],
            ((SceneItem)Shown(ActivityKind.PictureScene, scene).Items[0]).Things.Select(t => t.Picture)
        );
        Assert.Equal("own:lamp", Given.Materials.Showing(["lamp"]).Pictures["lamp"]);
    }

    [Fact]
    public void The_picture_that_fits_stands_in_any_place_and_always_in_the_same()
    {
        int PlaceIn(string id) =>
            (
                (SentenceItem)
                    Shown(
                        ActivityKind.PhraseToPicture,
                        new SentenceItem(id, false, "A cat.", [], [], Pictures: ["a", "b", "c"])
                    ).Items[0]
            )
                .Fits!
                .Value;
        var ids = Enumerable.Range(0, 300).Select(i => $"apply-phrase:{i}").ToList();
        var places = ids.ConvertAll(PlaceIn);
        Assert.Equal(places, ids.ConvertAll(PlaceIn));
        Assert.All(places.CountBy(p => p), c => Assert.InRange(c.Value, 70, 130));
    }

    [Fact]
    public void A_card_has_the_schools_key_word_before_any_example_and_its_own_notes()
    {
        var plain = ItemMaker.OfCorrespondence("c", Correspondence.Parse("sh=ʃ"), [], example: "fish");
        var card = Assert.IsType<CardItem>(Shown(ActivityKind.GraphemeCards, plain).Items[0]);
        Assert.Equal(("shed", null), (card.KeyWord, card.Example));
        Assert.Equal("Lips out.", card.Own!.MouthCue);
        var other = ItemMaker.OfCorrespondence("c", Correspondence.Parse("th=θ"), [], example: "thin");
        Assert.Equal(other, Shown(ActivityKind.GraphemeCards, other).Items[0]);
    }

    [Fact]
    public void A_chunk_is_found_in_words_by_its_correspondences_and_blending_is_told_where_words_are_read()
    {
        WordItem Of(ActivityKind kind, string word) =>
            (WordItem)Shown(kind, ItemMaker.OfWord("w", Given.Word(word), [])).Items[0];
        Assert.Equal(new ChunkInWord("ank", 1, 3), Assert.Single(Of(ActivityKind.RecentWords, "bank").Chunks!.Value));
        Assert.Null(Of(ActivityKind.RecentWords, "band").Chunks);
        Assert.Null(Of(ActivityKind.RecentWords, "bank").Blend);
        Assert.Equal("b ba ban bank", string.Join(' ', Of(ActivityKind.ReadWords, "bank").Blend!.Value));
    }

    [Fact]
    public void Turns_are_taken_as_the_school_takes_them_now()
    {
        var words = new[] { "cat", "dog", "pig", "hen" }.Select(w => ItemMaker.OfWord("w", Given.Word(w), []));
        Assert.Equal(new ReleaseSteps(2, 1, 1), Shown(ActivityKind.ReadWords, [.. words]).Steps);
        Assert.Null(Shown(ActivityKind.RecentWords, [.. words]).Steps);
        Assert.Equal(new ReleaseSteps(1, 3, 0), new ReleaseSteps(1, 2, 0).Over(4));
    }

    [Fact]
    public void Chunks_come_as_cards_and_in_words_with_endings_once_every_grapheme_was_taught()
    {
        var chunks = new[] { new Chunk("ing", ["i=ɪ", "ng=ŋ"]), new Chunk("eigh", ["eigh=eɪ", "t=t"]) };
        var late = Given.Request(60, 3) with { Chunks = chunks };
        var cards = Chooser.Make(new LessonWork(late), ActivityKind.ChunkCards, PartKind.Revisit, 3)!;
        Assert.Equal(["ing"], cards.Items.Cast<ChunkItem>().Select(c => c.Text));
        var lines = Chooser.Make(new LessonWork(late), ActivityKind.ChunkWords, PartKind.Practise, 3)!;
        Assert.All(lines.Items.Cast<LineItem>().SelectMany(l => l.Words), w =>
            Assert.Contains("ing", w.Word, StringComparison.Ordinal)
        );
        Assert.Equal(2, lines.Items.Length);
        Assert.Null(
            Chooser.Make(
                new LessonWork(Given.Request(4, 3) with { Chunks = chunks }),
                ActivityKind.ChunkCards,
                PartKind.Revisit,
                3
            )
        );
    }

    [Fact]
    public void A_chunk_has_a_day_of_its_own_where_it_has_a_rung()
    {
        var ladder = Given.LettersFirst;
        var rung = new Rung("chunk", "chunks", [], Patterns.None, [], null) { Chunks = [Chunk.Parse("i=ɪ n=ŋ k=k")] };
        var (with, _) = LadderEditing.Apply(ladder, [new InsertRung(RungDocument.Of(rung), ladder.Rungs[70].Id)]);
        Assert.Equal("ink", with.Rungs[71].Label);
        var written = LadderDocument.Write(with);
        Assert.Equal(written, LadderDocument.Write(LadderDocument.Read(written)));
        var (same, _) = LadderEditing.Apply(ladder, LadderDifference.Between(ladder, with));
        Assert.Equal(written, LadderDocument.Write(same));
        var (without, inverse) = LadderEditing.Apply(with, [new TeachOn("chunk", [], [])]);
        Assert.Empty(without.Rungs[71].Chunks);
        Assert.Equal(written, LadderDocument.Write(LadderEditing.Apply(without, inverse).After));

        var series = new LessonSeries(with, Given.Materials, Leniencies.All, Accent.SouthernBritish, 25, 3);
        series.Skip(71);
        var (request, lesson) = series.PlanNext();
        Assert.Equal("ink", lesson.Title.Label);
        Assert.IsType<ChunkItem>(Assert.Single(lesson.Activities.Single(a => a.Kind == ActivityKind.NewChunk).Items));
        var read = lesson.Activities.Single(a => a.Kind == ActivityKind.ReadWords).Items.Cast<WordItem>().ToList();
        Assert.True(read.Count(w => w.Word.Contains("ink", StringComparison.Ordinal)) * 3 >= read.Count * 2);
        Assert.True(request.After.Correspondences.SequenceEqual(request.Before.Correspondences));
        Assert.Throws<FormatException>(() => Chunk.Parse("n=n k=k"));
    }
}

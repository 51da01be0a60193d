using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Cards;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.School.Printing;

/// <summary>Cards of lessons, of what was taught, and of words, in the school's way.</summary>
public static class CardMaking
{
    public static IEnumerable<Card> OfLessons(
        CardKind kind,
        IReadOnlyCollection<Lesson> lessons,
        Taught after,
        SchoolWay way,
        Lexicon lexicon
    )
    {
        var gathered = Gathering.Of(lessons);
        var items = lessons.SelectMany(l => l.Activities).SelectMany(a => a.Items).ToList();
        return kind switch
        {
            CardKind.Graphemes => gathered.Cards.Select(c => Card.OfGrapheme(c, way.Picture(c.KeyWord))),
            CardKind.Words => Words(gathered.Words.Select(w => w.Word), way, lexicon, null),
            CardKind.Tricky => Words(gathered.Tricky.Select(w => w.Word), way, lexicon, after),
            CardKind.Pictures => items
                .SelectMany(i =>
                    i switch
                    {
                        PictureItem p => [(p.Word, p.Picture, p.Marks)],
                        SceneItem s => s.Things.Select(t => (t.Word, t.Picture, t.Marks)),
                        WordItem { Picture: { Length: > 0 } of } w => [(w.Word, of, w.Marks)],
                        _ => Enumerable.Empty<(string, string, ImmutableArray<int>)>(),
                    }
                )
                .Where(p => p.Item2.Length > 0)
                .Select(p => Card.OfPicture(p.Item1, p.Item2, p.Item3)),
            CardKind.Sounds => Sounds(
                gathered.Cards.Select(c => Correspondence.Parse(c.Correspondence).SoundText).ToHashSet(),
                after,
                way
            ),
            _ => gathered.Tiles.SelectMany(t => Enumerable.Repeat(Card.OfTile(t.Grapheme), t.Count)),
        };
    }

    public static IEnumerable<Card> OfTaught(CardKind kind, PaperDay day, SchoolWay way) =>
        kind switch
        {
            CardKind.Graphemes => Graphemes(day, way),
            CardKind.Tricky => day
                .Request.TrickyToday.Distinct()
                .Select(day.Request.Lexicon.Find)
                .OfType<Word>()
                .Select(w => OfWord(w, way, day.Request.After)),
            CardKind.Sounds => Sounds(null, day.Request.After, way),
            CardKind.Tiles => Graphemes(day, way).Select(c => Card.OfTile(c.Key)),
            CardKind.Pictures => Readable(day)
                .Where(w => way.Picture(w.Spelling) is not null)
                .Select(w => Card.OfPicture(w.Spelling, way.Picture(w.Spelling)!, ItemMaker.MarksOf(w))),
            _ => Readable(day).Select(w => OfWord(w, way, null)),
        };

    /// <summary>Words that children know, those with what is new first.</summary>
    private static IEnumerable<Word> Readable(PaperDay day)
    {
        var work = new LessonWork(day.Request);
        return work.Own.Where(w => w.IsKnown).Concat(work.LikelyBefore).Distinct();
    }

    /// <summary>A card for each grapheme that was taught, in the order of the ladder, with all it says.</summary>
    public static IEnumerable<Card> Graphemes(PaperDay day, SchoolWay way)
    {
        var order = day
            .Day.Ladder.Rungs.SelectMany(r => r.Correspondences)
            .Distinct()
            .Index()
            .ToDictionary(c => c.Item, c => c.Index);
        return day
            .Request.After.Correspondences.OrderBy(c => order.GetValueOrDefault(c, int.MaxValue))
            .GroupBy(c => c.Grapheme.Text)
            .Select(g =>
                g.Select(c => (CardItem)way.Over(ItemMaker.OfCorrespondence("card", c, []), ActivityKind.GraphemeCards))
                    .ToList()
            )
            .Select(g =>
                Card.OfGrapheme(
                    g[0] with
                    {
                        Also =
                        [
                            .. g.Skip(1).Select(c => new CardSound(c.Correspondence, c.Sounds, c.KeyWord, c.Example)),
                        ],
                    },
                    way.Picture(g[0].KeyWord)
                )
            );
    }

    /// <param name="only">Sounds; null for all that have a spelling.</param>
    private static IEnumerable<Card> Sounds(HashSet<string>? only, Taught after, SchoolWay way) =>
        after
            .Correspondences.GroupBy(c => c.SoundText)
            .Where(s => only?.Contains(s.Key) != false)
            .Select(s =>
            {
                var spellings = (SpellingsItem)
                    way.Over(ItemMaker.OfSpellings("sound", s.Key, [.. s], []), ActivityKind.SoundToSpellings);
                var first = (CardItem)
                    way.Over(ItemMaker.OfCorrespondence("card", s.First(), []), ActivityKind.GraphemeCards);
                return Card.OfSound(spellings, first.Own?.Phrase ?? "", way.Picture(spellings.KeyWord));
            });

    public static IEnumerable<Card> OfWords(
        IReadOnlyList<Word> words,
        CardKind kind,
        PaperDay day,
        SchoolWay way,
        List<LeftOut> left
    )
    {
        if (kind != CardKind.Pictures)
            return words.Select(w => OfWord(w, way, day.Request.After));
        left.AddRange(
            words.Where(w => way.Picture(w.Spelling) is null).Select(w => new LeftOut(w.Spelling, "no-picture"))
        );
        return words
            .Where(w => way.Picture(w.Spelling) is not null)
            .Select(w => Card.OfPicture(w.Spelling, way.Picture(w.Spelling)!, ItemMaker.MarksOf(w)));
    }

    private static IEnumerable<Card> Words(
        IEnumerable<string> words,
        SchoolWay way,
        Lexicon lexicon,
        Taught? trickyFor
    ) => words.Select(lexicon.Find).OfType<Word>().Select(w => OfWord(w, way, trickyFor));

    /// <param name="trickyFor">What was taught: the rest is its tricky part; null for a word that is
    /// decodable.</param>
    public static Card OfWord(Word word, SchoolWay way, Taught? trickyFor) =>
        Card.OfWord((WordItem)way.Over(ItemMaker.OfWord("card", word, [], trickyFor), ActivityKind.ReadWords));
}

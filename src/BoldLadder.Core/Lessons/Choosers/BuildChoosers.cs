using System.Collections.Immutable;
using BoldLadder.Core.Activities.MadeUp;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Practise in which words of a kind are read together, and made-up words written. Source:
/// docs/handbook.md, section 6.
/// </summary>
internal static class BuildChoosers
{
    private const int WordsInLine = 4;
    private const int MostNames = 2;
    private const int NamesTried = 24;

    /// <summary>A spelling that stands at a place in so few words of a hundred is not thought of there.</summary>
    private const int Thought = 4;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.LikeLines, LikeLines),
        new(ActivityKind.DictateName, DictateName),
        new(ActivityKind.BaseThenEnding, BaseThenEnding),
    ];

    /// <summary>
    /// A line of words that end alike, then a line of words that share only what is new: reading alike, then not.
    /// </summary>
    private static IEnumerable<Item> LikeLines(LessonWork work, string id, int count)
    {
        var own = work.Picked(work.Own).Where(w => w.IsKnown && w.Suffix is null).ToList();
        var like = work.Stream($"{id}:like")
            .Shuffle(own.GroupBy(RimeOf).Where(g => g.Count() >= WordsInLine - 1))
            .Take(Math.Max(1, count / 2))
            .Select(g => work.Choice($"{id}:{g.Key}").Take(g, WordsInLine))
            .ToList();
        if (like.Count == 0)
            return [];
        var used = like.SelectMany(l => l).ToHashSet();
        var unlike = own.Where(w => !used.Contains(w)).GroupBy(RimeOf).Select(g => g.First()).ToList();
        var line = work.Choice($"{id}:unlike").Take(unlike, WordsInLine);
        if (line.Count < WordsInLine - 1)
            return [];
        return like.Append(line)
            .Select(l => new LineItem(
                $"{id}:{l[0].Spelling}",
                false,
                [.. l.Select(w => ItemMaker.OfWord(id, w, WordChoice.Explain(work.Request, w)))]
            ));
    }

    private static string RimeOf(Word word) =>
        string.Join('|', word.Required.SkipWhile(p => !p.IsVowel).Select(p => p.Notation));

    /// <summary>A made-up word as somebody's name: it is written, capital letter and all.</summary>
    private static IEnumerable<Item> DictateName(LessonWork work, string id, int count)
    {
        var request = work.Request;
        if (
            !request.MadeUpInLessons
            || request.Today.Correspondences.IsEmpty
            || request.Before.Correspondences.Count < TeachChoosers.FirstWeeks
            || !request.Today.Correspondences.Any(c =>
                Enum.GetValues<Place>().Any(p => StandsAt(request, c, p) && !HasRival(request, c, p))
            )
        )
            return [];
        var made = new MadeUpMaker(request.Lexicon, request.After).Make(
            NamesTried + request.RecentMadeUp.Count,
            unchecked((long)work.Stream(id).NextUInt64()),
            request.Today.Correspondences
        );
        var called = SoundsOfNames(request);
        return made.Where(m =>
                !request.RecentMadeUp.Contains(m.Spelling)
                && !called.Contains(m.Segmentation.Phonemes)
                && HasOneSpelling(request, m)
            )
            .Take(Math.Min(count, MostNames))
            .Select(m => ItemMaker.OfMadeUp(id, m, request.Today))
            .Select(m => m with { Reasons = m.Reasons.Add(Reason.Of("as-a-name")) });
    }

    /// <summary>What the names of the group's children sound like.</summary>
    private static HashSet<string> SoundsOfNames(LessonRequest request)
    {
        var finder = new WordFinder(request.Lexicon);
        return [.. request.Names.SelectMany(n => finder.Find(n).Readings).Select(r => r.Phonemes)];
    }

    /// <summary>
    /// True where the taught code allows one spelling: no other grapheme that was taught for one of its sounds stands
    /// at such a place in words. Source: docs/handbook.md, section 7 (Dictation).
    /// </summary>
    private static bool HasOneSpelling(LessonRequest request, MadeUpWord made) =>
        made.Segmentation.Parts is var parts
        && !parts.Index().Any(p => HasRival(request, p.Item, Places.Of(p.Index, parts.Length)));

    private static bool HasRival(LessonRequest request, Correspondence one, Place place) =>
        request.After.Correspondences.Any(c =>
            c.Grapheme != one.Grapheme
            && request.After.Accent.Project(c) == request.After.Accent.Project(one)
            && StandsAt(request, c, place)
        );

    private static bool StandsAt(LessonRequest request, Correspondence one, Place place) =>
        ItemMaker.Positions(one, request.Lexicon) is { } share
        && Thought
            <= place switch
            {
                Place.Start => share.Start,
                Place.End => share.End,
                _ => share.Middle,
            };

    /// <summary>
    /// Words with an ending, written in steps: the base first, then what happens where they meet, then the ending.
    /// Those of the day's ending or join, else any that have what is new.
    /// </summary>
    private static IEnumerable<Item> BaseThenEnding(LessonWork work, string id, int count)
    {
        var words = work.Picked(work.Own)
            .Where(w => w.IsKnown && w.Suffix is { } link && (link.Suffix & TeachChoosers.Suffixes) != Patterns.None)
            .Where(w => SpellingChoosers.MayBeDictated(work, w))
            .ToList();
        var changing = words.Where(w => w.Suffix!.Suffix is not (Patterns.SuffixS or Patterns.SuffixEs)).ToList();
        if (changing.Count >= count)
            words = changing;
        return work.Choice(id)
            .Take(words, count)
            .Select(w => (Word: w, Model: PatternModels.Of(w, w.Suffix!.Suffix)))
            .Where(w => w.Model is { } model && (model.Join is not null || string.Concat(model.Parts) == model.Word))
            .Select(w => new BuildItem(
                $"{id}:{w.Word.Spelling}",
                false,
                w.Word.Spelling,
                ItemMaker.MarksOf(w.Word),
                w.Model!,
                [.. WordChoice.Explain(work.Request, w.Word)]
            ));
    }
}

using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Lessons.Extras;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// Plans the four parts of a lesson. Pure and seeded: the same request gives the same lesson; each activity draws from its own
/// stream, so choosing others for one moves no other. Source: docs/handbook.md, sections 6 and 7.
/// </summary>
public static class LessonPlanner
{
    /// <summary>With fewer words of its own than this a rung is taught by ear, by spotting and by forming letters.</summary>
    public const int FewWords = 4;

    /// <summary>Minutes that a quiet day has for other things than teaching.</summary>
    private const int RoomOfTeach = 5;

    /// <summary>Words from recent lessons use one of this many correspondences taught last.</summary>
    private const int RecentCorrespondences = 6;

    /// <summary>Sounds whose spellings are asked for in Revisit.</summary>
    private const int FewSounds = 3;

    public static Lesson Plan(LessonRequest request)
    {
        var own = OwnWords(request).ToList();
        var few = own.Count < FewWords && request.Today.Kind == RungKind.Lesson;
        // A day without a Teach part has room for more of the rest.
        var items = Pace.ItemsFor(request.Today.Kind == RungKind.Lesson ? request.Minutes : request.Minutes + RoomOfTeach);
        ImmutableArray<LessonPart> parts =
        [
            Part(PartKind.Revisit, RevisitActivities(request, items)),
            .. request.Today.Kind == RungKind.Lesson ? [Part(PartKind.Teach, TeachActivities(request))] : (ImmutableArray<LessonPart>)[],
            Part(PartKind.Practise, PractiseActivities(request, items, own, few)),
            Part(PartKind.Apply, [Sentence(request, request.Seed)]),
        ];
        ImmutableArray<Reason> notes = few
            ? [Reason.Of("few-words", request.Today.Label, own.Count.ToString(CultureInfo.InvariantCulture))]
            : [];
        // A quiet day goes back to what its rung names, and teaches nothing.
        var news = request.Today.Kind == RungKind.Lesson ? request.Today : request.Today with { Correspondences = [], Patterns = Patterns.None };
        return new Lesson(Lesson.CurrentFormat, [.. news.Correspondences.Select(c => c.Notation)], [.. news.Patterns.Each().Select(p => p.Id())], WithExtras(request, Pace.Fit(parts, request.Minutes), items.Extra, own), notes);
    }

    /// <summary>What there is room for besides: first another way to practise, by turns from day to day, then the spellings of a few sounds.</summary>
    private static ImmutableArray<LessonPart> WithExtras(LessonRequest request, ImmutableArray<LessonPart> parts, int count, List<Word> own)
    {
        if (request.Today.Kind == RungKind.Lesson && own.Count >= FewWords)
        {
            var read = WordsIn(request, parts.SelectMany(p => p.Activities));
            ImmutableArray<Func<Activity?>> ways = [() => ChainActivity.Of(request, count), () => MadeUpActivity.Of(request, count), () => GapActivity.Of(request, read, own, count)];
            var first = Seeded.For(request.Seed, "extra").Below(ways.Length);
            var extra = Enumerable.Range(0, ways.Length).Select(i => ways[(first + i) % ways.Length]()).FirstOrDefault(a => a is not null);
            parts = Pace.WithRoomFor(parts, PartKind.Practise, extra is null ? null : Pace.Timed(extra), ActivityKind.SpellWords, request.Minutes);
        }
        var spellings = SpellingsActivity.Of(request, FewSounds);
        return Pace.WithRoomFor(parts, PartKind.Revisit, spellings is null ? null : Pace.Timed(spellings), ActivityKind.RecentWords, request.Minutes);
    }

    /// <summary>
    /// The activity with other items, those that are kept staying; the same activity when there is nothing to choose from.
    /// </summary>
    public static Activity Refill(LessonRequest request, Lesson lesson, Activity activity, long seed)
    {
        var fresh = Rebuild(request with { Seed = seed }, lesson, activity);
        // A chain is one thing: with a word of another in it, it is none.
        if (activity.Kind == ActivityKind.WordChain) return fresh;
        var kept = activity.Items.Where(i => i.Kept).ToList();
        var others = fresh.Items.Where(i => kept.All(k => k.Id != i.Id))
            .OrderBy(i => activity.Items.Any(a => a.Id == i.Id)).ThenByDescending(i => IsOwn(request, i)).ToList();
        ImmutableArray<Item> items = [.. kept, .. others.Take(activity.Items.Length - kept.Count)];
        if (activity.Kind is ActivityKind.ReadWords or ActivityKind.SpellWords) items = WithoutExtraContrast(request, items);
        return Pace.Timed(activity with { Items = items });
    }

    private static bool IsOwn(LessonRequest request, Item item) =>
        item is WordItem word && request.Lexicon.Find(word.Word) is { } found && Usable.Shows(request.Today, found);

    /// <summary>Drops words without today's correspondence until two thirds have it; what is kept stays.</summary>
    private static ImmutableArray<Item> WithoutExtraContrast(LessonRequest request, ImmutableArray<Item> items)
    {
        while (items.Count(i => IsOwn(request, i)) * 3 < items.Length * 2 && items.LastOrDefault(i => !i.Kept && !IsOwn(request, i)) is { } extra) items = items.Remove(extra);
        return items;
    }

    /// <summary>The activity with another item in the place of one; the same activity when there is no other.</summary>
    public static Activity ReplaceOne(LessonRequest request, Lesson lesson, Activity activity, string itemId, long seed)
    {
        if (activity.Kind == ActivityKind.WordChain) return activity;
        var held = activity with { Items = [.. activity.Items.Select(i => i with { Kept = i.Id != itemId })] };
        var other = Refill(request, lesson, held, seed).Items.FirstOrDefault(i => activity.Items.All(a => a.Id != i.Id));
        return other is null ? activity : activity with { Items = [.. activity.Items.Select(i => i.Id == itemId ? other : i)] };
    }

    private static Activity Rebuild(LessonRequest request, Lesson lesson, Activity activity)
    {
        var shown = activity.Items.OfType<WordItem>().Where(i => !i.Kept).ToDictionary(i => i.Word, _ => 1);
        var elsewhere = request with { RecentWords = request.RecentWords.Where(r => !shown.ContainsKey(r.Key)).Concat(shown).ToDictionary() };
        var (own, count) = (OwnWords(elsewhere).ToList(), activity.Items.Length);
        return activity.Kind switch
        {
            ActivityKind.GraphemeCards => Cards(elsewhere, count),
            ActivityKind.RecentWords => Recent(elsewhere, count) ?? activity,
            ActivityKind.OralBlending => Oral(elsewhere, activity.Id, count),
            ActivityKind.ReadWords => ReadWords(elsewhere, own, count),
            ActivityKind.SpellWords => SpellWords(elsewhere, [.. ReadIn(request, lesson), .. own], count) ?? activity,
            ActivityKind.WordChain => Timed(ChainActivity.Of(elsewhere, count)) ?? activity,
            ActivityKind.MadeUpWords => Timed(MadeUpActivity.Of(elsewhere with { RecentMadeUp = activity.Items.OfType<MadeUpItem>().Where(i => !i.Kept).Select(i => i.Word).ToHashSet() }, count)) ?? activity,
            ActivityKind.MissingGrapheme => Timed(GapActivity.Of(elsewhere, WithoutShown(activity, ReadIn(request, lesson)), WithoutShown(activity, own), count)) ?? activity,
            ActivityKind.SoundToSpellings => Timed(SpellingsActivity.Of(elsewhere, count)) ?? activity,
            ActivityKind.ReadSentence or ActivityKind.OralSentence => Sentence(elsewhere, elsewhere.Seed, activity.Items.OfType<SentenceItem>().Select(s => s.Text)),
            _ => activity,
        };
    }

    private static Activity? Timed(Activity? activity) => activity is null ? null : Pace.Timed(activity);

    private static IEnumerable<Word> WithoutShown(Activity activity, IEnumerable<Word> words) =>
        words.Where(w => activity.Items.OfType<GapItem>().All(i => i.Kept || i.Word != w.Spelling));

    private static IEnumerable<Word> ReadIn(LessonRequest request, Lesson lesson) => WordsIn(request, lesson.Activities);

    /// <summary>The words that are read in Practise.</summary>
    private static List<Word> WordsIn(LessonRequest request, IEnumerable<Activity> activities) =>
        [.. activities.Where(a => a.Kind == ActivityKind.ReadWords).SelectMany(a => a.Items.OfType<WordItem>()).Select(i => request.Lexicon.Find(i.Word)).OfType<Word>()];

    /// <summary>Words that use what is new today, readable after it.</summary>
    private static IEnumerable<Word> OwnWords(LessonRequest request) => Usable.Showing(request.Today, request.After, request.Lexicon.ForLessons);

    private static LessonPart Part(PartKind kind, IEnumerable<Activity?> activities) => new(kind, [.. activities.OfType<Activity>()]);

    private static IEnumerable<Activity?> RevisitActivities(LessonRequest request, Pace.Items items)
    {
        if (request.Before.Correspondences.Count == 0)
        {
            yield return Oral(request, "revisit-oral-blending", items.Recent + 1);
            yield break;
        }
        yield return Cards(request, items.Cards);
        yield return Recent(request, items.Recent) ?? Oral(request, "revisit-oral-blending", items.Recent);
        if (request.TrickyBefore.Length > 0) yield return TrickySoFar(request, items.Tricky);
    }

    private static IEnumerable<Activity?> TeachActivities(LessonRequest request)
    {
        if (request.Today.Correspondences.Length > 0)
        {
            yield return Made("teach-correspondence", ActivityKind.NewCorrespondence, ResponseMode.SayTogether, request.Today.Correspondences
                .Select(c => Items.OfCorrespondence("teach-correspondence", c, [], Items.Positions(c, request.Lexicon))));
        }
        if (request.Today.Patterns != Patterns.None)
        {
            yield return Made("teach-pattern", ActivityKind.NewPattern, ResponseMode.SayTogether,
                request.Today.Patterns.Each().Select(p => new PatternItem($"teach-pattern:{p.Id()}", false, p.Id())));
        }
        if (request.Today.Tricky.Length > 0)
        {
            yield return Made("teach-tricky", ActivityKind.NewTrickyWord, ResponseMode.SayTogether, request.Today.Tricky
                .Select(request.Lexicon.Find).OfType<Word>().Select(w => Items.OfWord("teach-tricky", w, [Reason.Of("tricky")], request.After)));
        }
    }

    private static IEnumerable<Activity?> PractiseActivities(LessonRequest request, Pace.Items items, List<Word> own, bool few)
    {
        if (few && request.Today.Correspondences.Length > 0)
        {
            yield return Oral(request, "practise-oral-blending", items.Spell + 1);
            yield return Spot(request);
            yield return Made("practise-formation", ActivityKind.Formation, ResponseMode.ShowOnBoards,
                request.Today.Correspondences.Take(1).Select(c => Items.OfCorrespondence("practise-formation", c, [])));
        }
        var read = ReadWords(request, own, items.Read);
        if (read.Items.Length > 0) yield return read;
        if (!few) yield return SpellWords(request, [.. read.Items.OfType<WordItem>().Select(i => request.Lexicon.Find(i.Word)!)], items.Spell);
    }

    /// <summary>The newest third and the longest unseen, shuffled; look-alikes don't stand side by side where it can be helped. Source: handbook, section 7 (Revisit choice).</summary>
    private static Activity Cards(LessonRequest request, int count)
    {
        var random = Seeded.For(request.Seed, "cards");
        var taught = request.Before.Correspondences.Select(c => (Correspondence: c, Lessons: request.Recall.GetValueOrDefault(c, 0), Draw: random.Fraction())).ToList();
        var newest = taught.Where(c => request.Newest.AsSpan()[..Math.Min(count / 3, request.Newest.Length)].Contains(c.Correspondence)).ToList();
        var longestUnseen = taught.Except(newest).OrderByDescending(c => c.Lessons + (2 * c.Draw)).Take(count - newest.Count);
        var due = newest.Concat(longestUnseen).Select(c => c.Correspondence);
        var shuffled = random.Shuffle(due);
        for (var i = 1; i + 1 < shuffled.Count; i++)
        {
            if (Apartness.Between(shuffled[i - 1], shuffled[i]) > 0) (shuffled[i], shuffled[i + 1]) = (shuffled[i + 1], shuffled[i]);
        }
        return Made("revisit-cards", ActivityKind.GraphemeCards, ResponseMode.SayTogether, shuffled.Select(c =>
            Items.OfCorrespondence("revisit-cards", c, [Reason.Of("last-seen", request.Recall.GetValueOrDefault(c, 0).ToString(CultureInfo.InvariantCulture))])));
    }

    private static Activity? Recent(LessonRequest request, int count)
    {
        var newest = request.Newest.Take(RecentCorrespondences).ToList();
        var readable = request.Lexicon.ForLessons.Where(w => request.Before.CanRead(w));
        var words = new WordChoice(request, Seeded.For(request.Seed, "recent")).Take(readable.Where(w => newest.Exists(w.Contains)), count);
        return words.Count == 0 ? null : Made("revisit-words", ActivityKind.RecentWords, ResponseMode.SayTogether,
            words.Select(w => Items.OfWord("revisit-words", w, WordChoice.Explain(request, w))));
    }

    private static Activity TrickySoFar(LessonRequest request, int count)
    {
        var random = Seeded.For(request.Seed, "tricky");
        var latest = request.TrickyBefore.TakeLast(2);
        var others = random.Shuffle(request.TrickyBefore.SkipLast(2)).Take(Math.Max(0, count - 2));
        return Made("revisit-tricky", ActivityKind.TrickySoFar, ResponseMode.SayTogether, random.Shuffle(latest.Concat(others))
            .Select(request.Lexicon.Find).OfType<Word>().Select(w => Items.OfWord("revisit-tricky", w, [Reason.Of("tricky")], request.Before)));
    }

    /// <summary>Words only the adult says, with today's sound where there are any: limited by sounds and vocabulary, never by graphemes.</summary>
    private static Activity Oral(LessonRequest request, string id, int count)
    {
        var sounds = request.Today.Correspondences.SelectMany(c => c.Sounds).Select(s => s.Symbol).ToHashSet();
        var known = request.Lexicon.ForLessons.Where(w => w.IsKnown && w.Segmentation.SoundCount is 2 or 3).ToList();
        var own = known.Where(w => w.Segmentation.Parts.SelectMany(p => p.Sounds).Any(s => sounds.Contains(s.Symbol))).ToList();
        var words = new WordChoice(request, Seeded.For(request.Seed, id)).Take(own.Count >= count ? own : known, count);
        return Made(id, ActivityKind.OralBlending, ResponseMode.Listen, words.Select(w => Items.OfWord(id, w, [Reason.Of("only-said")], oral: true)));
    }

    /// <summary>Today's graphemes among earlier cards: show yours, stay still for others.</summary>
    private static Activity Spot(LessonRequest request)
    {
        var random = Seeded.For(request.Seed, "spot");
        var others = random.Shuffle(request.Before.Correspondences).Take(5);
        return Made("practise-spot", ActivityKind.SpotGrapheme, ResponseMode.HoldUpOrStayStill,
            random.Shuffle(others.Concat(request.Today.Correspondences)).Select(c => Items.OfCorrespondence("practise-spot", c, [])));
    }

    /// <summary>At least two thirds have today's correspondence; the rest bring back what is due. Source: handbook, section 7 (Choosing words).</summary>
    private static Activity ReadWords(LessonRequest request, List<Word> own, int count)
    {
        var choice = new WordChoice(request, Seeded.For(request.Seed, "read"));
        var mine = choice.Take(own, Math.Max(count - (count / 4), 1));
        var room = Math.Min(count - mine.Count, mine.Count / 2);
        var others = request.Lexicon.ForLessons.Where(w => request.Before.CanRead(w) && !Usable.Shows(request.Today, w));
        var contrast = room == 0 ? [] : new WordChoice(request, Seeded.For(request.Seed, "contrast")).Take(others, room, mine);
        return Made("practise-read", ActivityKind.ReadWords, ResponseMode.SayTogether, mine.Concat(contrast)
            .OrderBy(w => w.Segmentation.Taps).ThenBy(w => w.Suffix is not null).ThenByDescending(w => w.Zipf)
            .Select(w => Items.OfWord("practise-read", w, WordChoice.Explain(request, w))));
    }

    /// <summary>Words to spell, from those just read; one with a homophone is left out. Source: handbook, section 7 (Dictation).</summary>
    private static Activity? SpellWords(LessonRequest request, IReadOnlyList<Word> read, int count)
    {
        var safe = read.Distinct().Where(w => !request.Lexicon.Homophones(w, request.After.Accent).Any(h => h.Zipf >= 3)).ToList();
        var own = safe.Where(w => Usable.Shows(request.Today, w)).ToList();
        var choice = new WordChoice(request, Seeded.For(request.Seed, "spell"));
        var words = choice.Take(own, count);
        var room = Math.Min(count - words.Count, words.Count / 2);
        words.AddRange(room == 0 ? [] : new WordChoice(request, Seeded.For(request.Seed, "spell-contrast")).Take(safe.Except(own), room, words));
        return words.Count == 0 ? null : Made("practise-spell", ActivityKind.SpellWords, ResponseMode.ShowOnBoards,
            words.Select(w => Items.OfWord("practise-spell", w, WordChoice.Explain(request, w))));
    }

    /// <summary>A caption or sentence with today's correspondence if the bank has one; else the newest; else one the adult starts and children say.</summary>
    private static Activity Sentence(LessonRequest request, long seed, IEnumerable<string>? not = null)
    {
        var random = Seeded.For(seed, "sentence");
        var tricky = request.TrickyToday.ToHashSet();
        var readable = request.Sentences.Readable(request.After, tricky).Except(request.Sentences.Sentences.Where(s => not?.Contains(s.Text) == true)).ToList();
        var best = readable.Select(s => (Sentence: s, Worth: SentenceWorth(request, s) + random.Fraction())).OrderByDescending(s => s.Worth).Take(1).ToList();
        if (best.Count == 0) return Oral(request, "apply-oral-sentence", 2) with { Kind = ActivityKind.OralSentence, Response = ResponseMode.OneChild, Seconds = 180 };
        return Made("apply-sentence", ActivityKind.ReadSentence, ResponseMode.SayTogether, best
            .Select(b => Items.OfSentence("apply-sentence", b.Sentence, request.After, [Uses(request, b.Sentence)])));
    }

    private static double SentenceWorth(LessonRequest request, Sentence sentence) =>
        (3.0 * sentence.Tokens.Count(t => Usable.Shows(request.Today, t.Word)))
        + sentence.Tokens.SelectMany(t => t.Word.Required).Distinct().Count(c => request.Recall.GetValueOrDefault(c, DistantLessons) <= WordChoice.DueAfter)
        - (Math.Max(0, sentence.Tokens.Length - LongSentence) * 2);

    private const int DistantLessons = 99;
    private const int LongSentence = 9;

    private static Reason Uses(LessonRequest request, Sentence sentence)
    {
        var count = sentence.Tokens.Count(t => Usable.Shows(request.Today, t.Word));
        return count == 0 ? Reason.Of("all-taught") : Reason.Of("uses-in-words", request.Today.Label, count.ToString(CultureInfo.InvariantCulture));
    }

    private static Activity Made(string id, ActivityKind kind, ResponseMode response, IEnumerable<Item> items) =>
        Pace.Timed(new Activity(id, kind, response, 0, [.. items]));
}

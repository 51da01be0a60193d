using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// The activities of Revisit: all from what was taught before today. Source: docs/handbook.md, sections 6 and 7
/// (Revisit choice).
/// </summary>
internal static class RevisitChoosers
{
    /// <summary>Words from recent lessons use one of this many correspondences taught last.</summary>
    private const int RecentCorrespondences = 6;

    /// <summary>What is new comes on the cards of the next four days.</summary>
    private const int NewestOnCards = 4;

    /// <summary>By this many taught correspondences children blend words of four sounds by ear.</summary>
    private const int EnoughForFour = 18;

    public static ImmutableArray<Chooser> All { get; } =
    [
        new(ActivityKind.GraphemeCards, Cards),
        new(ActivityKind.LastMiss, LastMiss),
        new(ActivityKind.SoundToSpellings, Spellings),
        new(ActivityKind.OralBlending, (work, id, count) => Oral(work, id, count)),
        new(ActivityKind.OralSegmenting, (work, id, count) => Oral(work, id, count)),
        new(ActivityKind.Clues, Clues),
        new(ActivityKind.RecentWords, Recent),
    ];

    /// <summary>
    /// Last missed, the newest four, too long unseen, the longest unseen; shuffled, look-alikes not side by side where
    /// it can be helped.
    /// </summary>
    private static IEnumerable<Item> Cards(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var random = work.Stream("cards");
        var taught = request
            .Before.Correspondences.Select(c =>
                (Correspondence: c, Lessons: request.Memory.LessonsSince(c), Draw: random.Fraction())
            )
            .ToList();
        var due = request
            .Memory.Missed.Concat(request.Memory.Newest.Take(NewestOnCards))
            .Where(request.Before.Correspondences.Contains)
            .Concat(
                taught
                    .Where(c => request.Memory.Marked.IsEmpty && c.Lessons >= Memory.LongestUnseen)
                    .OrderByDescending(c => c.Lessons)
                    .Select(c => c.Correspondence)
            )
            .Concat(request.Memory.Marked.Select(d => d.Target.Correspondence).OfType<Correspondence>())
            .Concat(taught.OrderByDescending(c => c.Lessons + (2 * c.Draw)).Select(c => c.Correspondence))
            .Where(request.Before.Correspondences.Contains)
            .Where(c => !work.MetCards.Contains(c.ReferenceNotation))
            .DistinctBy(c => c.Grapheme)
            .Take(count);
        var shuffled = random.Shuffle(due);
        for (var i = 1; i + 1 < shuffled.Count; i++)
        {
            if (Apartness.Between(shuffled[i - 1], shuffled[i]) > 0)
                (shuffled[i], shuffled[i + 1]) = (shuffled[i + 1], shuffled[i]);
        }
        return shuffled.Select(c =>
            ItemMaker.OfCorrespondence(
                id,
                c,
                [.. Whys(request, c), Seen(request, c)],
                example: ExampleOf(work, c),
                also: OtherSounds(work, c)
            )
        );
    }

    private static IEnumerable<Reason> Whys(LessonRequest request, Correspondence one)
    {
        if (request.Memory.Missed.Contains(one))
            yield return Reason.Of("missed-last");
        if (request.Memory.DueOf(one) is { } due && Shown(due) is { } shown)
            yield return shown;
    }

    /// <summary>What children showed of it, where that is why it is here.</summary>
    internal static Reason? Shown(DueTarget due) =>
        due.Why switch
        {
            DueWhy.MissedBy => Reason.Of("missed-by", due.Children.ToString(CultureInfo.InvariantCulture)),
            DueWhy.Fading => Reason.Of("fading-for", due.Children.ToString(CultureInfo.InvariantCulture)),
            DueWhy.LongUnseen => Reason.Of("long-unseen"),
            _ => null,
        };

    /// <summary>A word that the group can read, with these letters for this sound.</summary>
    internal static string? ExampleOf(LessonWork work, Correspondence one) =>
        ModelWords
            .Chosen(one)
            .FirstOrDefault(m => work.Request.Lexicon.Find(m) is { } word && work.Request.Before.CanRead(word))
        ?? ModelWords.Ordered(one, work.LikelyBefore).FirstOrDefault()?.Spelling;

    /// <summary>The other sounds that the letters were taught for; null for none.</summary>
    private static ImmutableArray<CardSound>? OtherSounds(LessonWork work, Correspondence one)
    {
        var accent = work.Request.Before.Accent;
        var others = work
            .Request.Before.Correspondences.Where(c =>
                !c.IsBath && c.Grapheme == one.Grapheme && accent.Project(c) != accent.Project(one)
            )
            .Select(c => new CardSound(c.ReferenceNotation, c.SoundText, c.Sounds[0].KeyWord, ExampleOf(work, c)))
            .ToImmutableArray();
        return others.IsEmpty ? null : others;
    }

    internal static Reason Seen(LessonRequest request, Correspondence one) =>
        Reason.Of("last-seen", request.Memory.LessonsSince(one).ToString(CultureInfo.InvariantCulture));

    /// <summary>What the last lesson did not get to, or missed.</summary>
    private static IEnumerable<Item> LastMiss(LessonWork work, string id, int count) =>
        work
            .Request.Memory.Missed.Where(work.Request.Before.Correspondences.Contains)
            .Take(count)
            .Select(c =>
                ItemMaker.OfCorrespondence(
                    id,
                    c,
                    [Reason.Of("missed-last")],
                    example: ExampleOf(work, c),
                    also: OtherSounds(work, c)
                )
            );

    /// <summary>
    /// Which spellings do we know for a sound? Those taught before today, as the accent sounds them; the longest unseen
    /// first.
    /// </summary>
    private static IEnumerable<Item> Spellings(LessonWork work, string id, int count)
    {
        var sounds = TaughtForSounds(work.Request).Where(s => s.Taught.DistinctBy(c => c.Grapheme).Count() > 1);
        return work.Stream(id)
            .Shuffle(sounds)
            .Take(count)
            .Select(s => ItemMaker.OfSpellings(id, s.Sounds, s.Taught, [Seen(work.Request, s.Taught[0])]));
    }

    /// <summary>
    /// What was taught before today for each sound, as the accent sounds it, the longest unseen first; sounds in the
    /// order of their signs.
    /// </summary>
    internal static List<(string Sounds, List<Correspondence> Taught)> TaughtForSounds(LessonRequest request) =>
        [
            .. request
                .Before.Correspondences.Where(c => !c.IsBath)
                .GroupBy(request.Before.Accent.Project)
                .Select(g => (Sounds: g.Key, Taught: g.OrderByDescending(request.Memory.LessonsSince).ToList()))
                .OrderBy(s => s.Sounds, StringComparer.Ordinal),
        ];

    /// <summary>
    /// Words only the adult says, with today's sound where there are any: limited by sounds and vocabulary, never by
    /// graphemes. Two sounds first, then three, then four.
    /// </summary>
    internal static IEnumerable<Item> Oral(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var sounds = CorrespondenceSet.Of(
            (
                request.Today.Correspondences.IsEmpty ? request.Memory.Newest.Take(1) : request.Today.Correspondences
            ).SelectMany(c => SayingAll(request, c))
        );
        var longest = request.Before.Correspondences.Count < EnoughForFour ? 3 : 4;
        var sayable = work
            .Known.Where(w =>
                w.Segmentation.SoundCount >= longest - 1
                && w.Segmentation.SoundCount <= longest
                && w.Suffix is null
                && !ChosenLast.Has(w)
                && (w.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun) || request.Materials.Pictures.ContainsKey(w.Spelling))
            )
            .ToList();
        var pictured = sayable.Where(w => request.Materials.Pictures.ContainsKey(w.Spelling)).ToList();
        if (pictured.Count(w => w.ContainsAny(sounds)) >= 2 * count)
            sayable = pictured;
        var own = sayable.Where(w => w.ContainsAny(sounds)).ToList();
        var chosen = work.Choice(id).Take(own, count);
        if (chosen.Count < count)
            chosen.AddRange(work.Choice($"{id}:more").Take(sayable, count - chosen.Count, chosen));
        return chosen
            .OrderBy(w => w.Segmentation.SoundCount)
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [
                        Reason.Of("only-said"),
                        .. w.ContainsAny(sounds) ? [Reason.Of("has-sound")] : ImmutableArray<Reason>.Empty,
                    ],
                    oral: true
                )
            );
    }

    internal static HashSet<Sound> SoundsOf(IEnumerable<Correspondence> correspondences) =>
        [.. correspondences.SelectMany(c => c.Sounds)];

    /// <summary>What says one of the sounds: a word that contains one of these has it.</summary>
    internal static CorrespondenceSet Saying(IReadOnlyCollection<Sound> sounds) =>
        CorrespondenceSet.Of(Correspondence.All.Where(c => c.Sounds.Any(sounds.Contains)));

    /// <summary>
    /// What says all that the correspondence says: its one sound, or its sounds together (qu, and not every k or w).
    /// </summary>
    internal static CorrespondenceSet SayingAll(LessonRequest request, Correspondence one) =>
        one.Sounds.Length == 1
            ? Saying([one.Sounds[0]])
            : CorrespondenceSet.Of(
                Correspondence.All.Where(c => request.After.Accent.Project(c) == request.After.Accent.Project(one))
            );

    /// <summary>
    /// Riddles whose answers share one sound that was taught lately: the sound is said first.
    /// </summary>
    private static IEnumerable<Item> Clues(LessonWork work, string id, int count)
    {
        var request = work.Request;
        foreach (var sound in work.Stream($"{id}:sound").Shuffle(request.Memory.Newest.Take(RecentCorrespondences)))
        {
            var saying = Saying(sound.Sounds);
            var own = work
                .Known.Where(w =>
                    w.ContainsAny(saying)
                    && w.Suffix is null
                    && w.Compound.IsEmpty
                    && w.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun)
                    && !ChosenLast.Has(w)
                    && request.Materials.Meanings.Has(w)
                )
                .ToList();
            if (own.Count < count)
                continue;
            return work.Choice(id)
                .Take(own, count)
                .Select(w => new ClueItem(
                    $"{id}:{w.Spelling}",
                    false,
                    w.Spelling,
                    request.Materials.Meanings.Of(w)!,
                    [Reason.Of("only-said"), Reason.Of("shares-sound", sound.SoundText)]
                ));
        }
        return [];
    }

    /// <summary>
    /// Words with what was taught last, rather not those that come in Practise anyway; on the last day of a week those
    /// that the week read, where there are enough.
    /// </summary>
    private static IEnumerable<Item> Recent(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var newest = CorrespondenceSet.Of(request.Memory.Newest.Take(RecentCorrespondences));
        var words = work.LikelyBefore.Where(w => w.ContainsAny(newest)).ToList();
        var ofWeek = words.Where(w => IsOfWeek(request, w)).ToList();
        if (ofWeek.Count >= count)
            words = ofWeek;
        var others = words.Where(w => !work.Set.Contains(w)).ToList();
        return work.Choice("recent")
            .Take(others.Count >= count ? others : words, count)
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [
                        .. IsOfWeek(request, w) ? [Reason.Of("of-this-week")] : ImmutableArray<Reason>.Empty,
                        .. WordChoice.Explain(request, w),
                    ],
                    meaning: ItemMaker.MeaningFor(request, w)
                )
            );
    }

    private static bool IsOfWeek(LessonRequest request, Word word) =>
        request.Memory.Words.TryGetValue(word.Spelling, out var ago) && ago <= request.LooksBackOn;
}

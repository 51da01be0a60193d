using System.Collections.Immutable;
using System.Globalization;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Tricky words that were taught, to read and to write, each by what the log and children's marks say of it. Source:
/// docs/handbook.md, sections 6 and 7 (Revisit choice, Tricky words).
/// </summary>
internal static class TrickyChoosers
{
    /// <summary>A tricky word is due for writing until it was written on so many days.</summary>
    private const int WrittenOften = 3;

    private const int MissedLast = 2;

    /// <summary>
    /// What one child had wrong is for a few minutes with that child; from this share of the group on it is for all.
    /// </summary>
    private const double Many = 0.25;

    /// <summary>Lessons ago.</summary>
    private const int JustWritten = 2;

    public static ImmutableArray<Chooser> All { get; } =
    [new(ActivityKind.TrickySoFar, TrickySoFar), new(ActivityKind.SpellTricky, SpellTricky)];

    /// <summary>
    /// The last one taught, then those that were wrong last, then those longest unseen; what can be decoded by now is
    /// tricky no more. Words easily mixed up do not stand side by side.
    /// </summary>
    private static IEnumerable<Item> TrickySoFar(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var random = work.Stream("tricky");
        var still = request
            .TrickyBefore.Select(request.Lexicon.Find)
            .OfType<Word>()
            .Where(w => !request.Before.CanRead(w))
            .ToList();
        var due = still
            .TakeLast(1)
            .Concat(
                random
                    .Shuffle(still.SkipLast(1))
                    .OrderByDescending(w => Need(request.Memory.TrickyToRead, w))
                    .ThenByDescending(w => request.Memory.TrickyRead.GetValueOrDefault(w.Spelling, int.MaxValue))
            )
            .Take(count);
        return Apart(random.Shuffle(due))
            .Select(w =>
                ItemMaker.OfWord(
                    id,
                    w,
                    [Reason.Of("tricky"), .. Shown(request.Memory.TrickyToRead, w), ReadAgo(request, w)],
                    request.Before
                )
            );
    }

    /// <summary>What children showed of a word, where that is why it is here.</summary>
    private static IEnumerable<Reason> Shown(IReadOnlyDictionary<string, DueTarget> marked, Word word) =>
        marked.TryGetValue(word.Spelling, out var due) && RevisitChoosers.Shown(due) is { } shown ? [shown] : [];

    /// <summary>
    /// How much a word is to come back by marks: 2 where many had it wrong last, 1 where some did or are likely to be
    /// losing it, 0 where nothing is known, -1 where all who were looked at have it: it has graduated, and comes when
    /// nothing else does.
    /// </summary>
    private static int Need(IReadOnlyDictionary<string, DueTarget> marked, Word word) =>
        marked.TryGetValue(word.Spelling, out var due)
            ? due.Why switch
            {
                DueWhy.MissedBy => due.Need >= Many ? MissedLast : 1,
                DueWhy.LongUnseen or DueWhy.Fading => 1,
                _ => -1,
            }
            : 0;

    private static Reason ReadAgo(LessonRequest request, Word word) =>
        request.Memory.TrickyRead.TryGetValue(word.Spelling, out var ago)
            ? Reason.Of("last-seen", ago.ToString(CultureInfo.InvariantCulture))
            : Reason.Of("long-unseen");

    /// <summary>
    /// The words with none beside one that it is easily mixed up with, as far as that can be had: after each comes the
    /// one that has most partners among those left.
    /// </summary>
    private static List<Word> Apart(List<Word> words)
    {
        var apart = new List<Word>();
        while (words.Count > 0)
        {
            var next = words
                .OrderBy(w => apart.Count > 0 && AreMixedUp(apart[^1], w))
                .ThenByDescending(w => words.Count(o => AreMixedUp(o, w)))
                .First();
            words.Remove(next);
            apart.Add(next);
        }
        return apart;
    }

    private static bool AreMixedUp(Word one, Word other) => MixedUp.Partners(one.Spelling).Contains(other.Spelling);

    /// <summary>
    /// Tricky words to write from memory: one that many had wrong, the last two taught until they were written on three
    /// days or all have them, then those longest unwritten. Only words whose letters can all be formed.
    /// </summary>
    private static IEnumerable<Item> SpellTricky(LessonWork work, string id, int count)
    {
        var request = work.Request;
        var written = request.Memory.TrickyToWrite;
        int Unwritten(Word word) => request.Memory.TrickyWritten.GetValueOrDefault(word.Spelling, int.MaxValue);
        var formed = request.Before.Correspondences.SelectMany(c => c.Grapheme.Letters).ToHashSet();
        var words = request
            .TrickyBefore.Select(request.Lexicon.Find)
            .OfType<Word>()
            .Where(w =>
                w.Spelling.All(l => !char.IsLetter(l) || formed.Contains(l)) && SpellingChoosers.MayBeDictated(work, w)
            )
            .ToList();
        var newest = words
            .TakeLast(count)
            .Where(w => request.Memory.TimesWritten(w.Spelling) < WrittenOften)
            // One that all have by what they showed has graduated.
            .Where(w => Need(written, w) >= 0);
        // One that many had wrong, when it was not written just now: a day has room for something else, too.
        var missed = words
            .Where(w => Need(written, w) == MissedLast && Unwritten(w) > JustWritten)
            .OrderByDescending(Unwritten)
            .Take(1);
        return missed
            .Concat(newest)
            .Concat(words.OrderByDescending(w => Math.Min(0, Need(written, w))).ThenByDescending(Unwritten))
            .Distinct()
            .Take(count)
            .Select(w =>
                SpellingChoosers.Dictated(
                    work,
                    id,
                    w,
                    [Reason.Of("tricky"), .. Shown(written, w), Reason.Of("to-write")],
                    request.Before
                )
            );
    }
}

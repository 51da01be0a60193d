using BoldLadder.Core.Ladders;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>Which sentences of the bank a lesson shows. Source: docs/handbook.md, section 7 (Sentences).</summary>
internal static class SentenceChoice
{
    /// <summary>Captions until this many correspondences were taught, then sentences.</summary>
    private const int CaptionsUntil = 20;

    /// <summary>
    /// The readable sentences that will do, the best for today first: only those with what the day is about, and none
    /// that the lesson has already. Where others are asked for than those that stand, made ones come before these.
    /// </summary>
    internal static IEnumerable<Sentence> Best(LessonWork work, string id, Func<Sentence, bool> willDo)
    {
        var random = work.Stream(id);
        var set = work.Set.ToHashSet();
        var captions = work.Request.After.Correspondences.Count < CaptionsUntil;
        bool IsFree(Sentence sentence) =>
            (captions || !sentence.IsCaption) && !work.Met.Contains(sentence.Text) && willDo(sentence);
        bool StillStands(Sentence sentence) => work.SentencesToGo?.Contains(sentence.Text) == true;
        var ofBank = work
            .Sentences.Where(s => (captions || !s.IsCaption) && !work.Met.Contains(s.Text) && willDo(s))
            .Select(s => (Sentence: s, Worth: Worth(work, s, set) + (Weights.Luck * random.Fraction())))
            .OrderByDescending(s => !work.HasMetNewTricky && HasNewTricky(work, s.Sentence))
            .ThenByDescending(s => s.Worth)
            .Select(s => s.Sentence)
            .ToList();
        return ofBank
            .Where(s => !StillStands(s))
            .Concat(work.Made(id).Where(IsFree))
            .Concat(ofBank.Where(StillStands))
            .Unlike(work.Met.Select(work.WordsOf), s => !work.HasMetNewTricky && HasNewTricky(work, s));
    }

    /// <summary>
    /// Those that share less than most of their words with one that was met, or with one before; what must be had comes
    /// anyway.
    /// </summary>
    private static IEnumerable<Sentence> Unlike(
        this IEnumerable<Sentence> sentences,
        IEnumerable<WordSet> met,
        Func<Sentence, bool> isNeeded
    )
    {
        var hasNeeded = false;
        var before = met.ToList();
        foreach (var sentence in sentences)
        {
            var needed = !hasNeeded && isNeeded(sentence);
            if (before.Exists(sentence.Words.IsLike) && !needed)
                continue;
            hasNeeded |= needed;
            before.Add(sentence.Words);
            yield return sentence;
        }
    }

    /// <summary>
    /// Captions of 2 to 4 words with one target in the first weeks, later 4 to 9 words with two; the new tricky word
    /// where it can be had, words of the set, what is new, nothing just read.
    /// </summary>
    private static double Worth(LessonWork work, Sentence sentence, HashSet<Word> set)
    {
        var request = work.Request;
        var early = request.After.Correspondences.Count < CaptionsUntil;
        var (fewest, most, targets) = early ? (2, 5, 1) : (4, 9, 2);
        var hits = work.OnTarget.GetValueOrDefault(sentence.Text);
        var worth =
            (Weights.TargetInSentence * Math.Min(hits, targets))
            + (Weights.TooManyTargets * Math.Max(0, hits - targets - 1))
            + (Weights.SetWordInSentence * Math.Min(2, sentence.Tokens.Count(t => set.Contains(t.Word))))
            + (Weights.EachWordTooLong * Math.Max(0, sentence.Tokens.Length - most))
            + (Weights.EachWordTooShort * Math.Max(0, fewest - sentence.Tokens.Length));
        if (request.Memory.Texts.TryGetValue(sentence.Text, out var lessons))
            worth += Weights.SentenceJustRead / Math.Max(1, lessons);
        foreach (var part in sentence.Asks)
        {
            if (work.Recent.Contains(part))
                worth += Weights.RecentInSentence;
        }
        return worth;
    }

    private static bool HasNewTricky(LessonWork work, Sentence sentence) =>
        work.Request.Today.Tricky.Length > 0
        && sentence.Tokens.Any(t => work.Request.Today.Tricky.Contains(t.Word.Spelling));

    internal static Reason Uses(LessonWork work, Sentence sentence) =>
        work.HitsIn(sentence) is > 0 and var count && work.Request.Today is var today
            ? today.IsInWords || today.Kind != RungKind.Lesson
                ? ReadingChoosers.UsesInWords(today, count)
                : Reason.Of("has-new-tricky")
            : Reason.Of("all-taught");
}

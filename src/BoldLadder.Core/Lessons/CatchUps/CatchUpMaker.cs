using System.Collections.Immutable;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.CatchUps;

/// <summary>
/// Makes a catch-up of so many minutes: as many targets as fit, the most needed first, and no word that was not taught.
/// Source: docs/handbook.md, section 7 (Catch-up).
/// </summary>
public static class CatchUpMaker
{
    /// <summary>Seconds with one child: to show and say, to read a word, to write one, to read a sentence.</summary>
    private const int Shown = 15;
    private const int WordRead = 10;
    private const int WordWritten = 40;
    private const int SentenceRead = 30;

    private const int WordsToRead = 2;
    private const string Id = "catch-up";

    /// <param name="request">Of the day; today's own is not used yet.</param>
    /// <param name="targets">Correspondences and tricky words that were taught, the most needed first.</param>
    /// <param name="minutes">How long it may take.</param>
    public static CatchUp Make(LessonRequest request, IEnumerable<MemoryTarget> targets, int minutes)
    {
        var left = minutes * 60;
        var parts = ImmutableArray.CreateBuilder<CatchUpPart>();
        var used = new HashSet<string>(StringComparer.Ordinal);
        foreach (var target in targets.Distinct())
        {
            if (left < Shown + WordRead)
                break;
            if (Part(request, target, used, left) is not { } part)
                continue;
            parts.Add(part);
            used.UnionWith(part.Read.Concat(part.Write).Select(w => w.Word));
            left -= Seconds(part);
        }
        var sentence = left >= SentenceRead && parts.Count > 0 ? Sentence(request, parts) : null;
        var all = parts.ToImmutable();
        return new CatchUp(all, sentence, all.Sum(Seconds) + (sentence is null ? 0 : SentenceRead));
    }

    private static int Seconds(CatchUpPart part) =>
        Shown + (part.Read.Length * WordRead) + (part.Write.Length * WordWritten);

    private static CatchUpPart? Part(LessonRequest request, MemoryTarget target, HashSet<string> used, int seconds)
    {
        if (target.Kind == TargetKind.Tricky)
            return Tricky(request, target, seconds);
        if (target.Correspondence is not { } one || !request.Before.Correspondences.Contains(one))
            return null;
        var work = About(request, [one]);
        var own = work.Own.Where(w => w.Contains(one) && !used.Contains(w.Spelling)).ToList();
        // In three minutes no word is to be explained, where it can be helped.
        var known = own.Where(w => w.IsKnown).ToList();
        var words = work.Choice(Id).Take(known.Count > WordsToRead ? known : own, WordsToRead + 1);
        if (words.Count == 0)
            return null;
        // The shortest is written: what is written takes longest.
        var mayWrite = seconds >= Shown + WordRead + WordWritten;
        var write = mayWrite ? words.Take(1).ToList() : [];
        var read = words.Count > 1 ? words.Skip(write.Count) : words;
        var fits = (seconds - Shown - (write.Count * WordWritten)) / WordRead;
        return new CatchUpPart(
            target,
            ItemMaker.OfCorrespondence(Id, one, [], example: RevisitChoosers.ExampleOf(work, one)),
            [.. read.Take(Math.Min(fits, WordsToRead)).Select(w => OfWord(work.Request, w))],
            [.. write.Select(w => OfWord(work.Request, w))]
        );
    }

    private static CatchUpPart? Tricky(LessonRequest request, MemoryTarget target, int seconds)
    {
        if (!request.TrickyBefore.Contains(target.Id) || request.Lexicon.Find(target.Id) is not { } word)
            return null;
        var item = OfWord(request, word);
        return new CatchUpPart(target, item, [], seconds >= Shown + WordWritten ? [item] : []);
    }

    private static WordItem OfWord(LessonRequest request, Word word) =>
        ItemMaker.OfWord(Id, word, [], request.Before, meaning: ItemMaker.MeaningFor(request, word));

    private static SentenceItem? Sentence(LessonRequest request, IEnumerable<CatchUpPart> parts)
    {
        var about = parts.Select(p => p.Target.Correspondence).OfType<Correspondence>().ToImmutableArray();
        if (about.IsEmpty)
            return null;
        var work = About(request, about);
        return work
            .Sentences.OrderByDescending(s => about.Count(s.Asks.Contains))
            .ThenBy(s => s.Tokens.Length)
            .ThenBy(s => s.Text, StringComparer.Ordinal)
            .Select(s => ItemMaker.OfSentence(Id, s, work.Request.After, []))
            .FirstOrDefault();
    }

    private static LessonWork About(LessonRequest request, ImmutableArray<Correspondence> about) =>
        new(GoingBack.To(request, Id, about, request.Before, request.TrickyBefore));
}

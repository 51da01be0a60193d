using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons;

/// <summary>
/// Says what of a stored lesson a group can't read on its day: after a ladder was reordered, a lesson slipped, or a word was corrected.
/// Source: docs/handbook.md, section 4 (Decodable).
/// </summary>
public static class LessonCheck
{
    /// <summary>For each item in trouble its id and the reasons: not-taught with the notation, or unknown-word.</summary>
    public static ImmutableArray<ItemProblem> Problems(Lesson lesson, Taught before, Taught after, IReadOnlySet<string> tricky, Lexicon lexicon)
    {
        var problems = ImmutableArray.CreateBuilder<ItemProblem>();
        foreach (var part in lesson.Parts)
        {
            var taught = part.Kind == PartKind.Revisit ? before : after;
            foreach (var item in part.Activities.SelectMany(a => a.Items))
            {
                var reasons = Reasons(item, taught, tricky, lexicon).Distinct().ToImmutableArray();
                if (!reasons.IsEmpty) problems.Add(new ItemProblem(item.Id, reasons));
            }
        }
        return problems.ToImmutable();
    }

    private static IEnumerable<Reason> Reasons(Item item, Taught taught, IReadOnlySet<string> tricky, Lexicon lexicon) => item switch
    {
        WordItem { Oral: true } => [],
        WordItem word => OfWord(word.Word, taught, tricky, lexicon),
        SentenceItem sentence => sentence.Words.SelectMany(w => OfWord(w.Text.Trim('.', ',', '?', '!').ToLowerInvariant(), taught, tricky, lexicon)),
        MadeUpItem made => Spelling.Segmentation.Parse(made.Graphemes, made.Phonemes).Parts.Where(c => !taught.Covers(c)).Select(c => Reason.Of("not-taught", c.ToString())),
        GapItem gap => OfWord(gap.Word, taught, tricky, lexicon),
        SpellingsItem spellings => spellings.Correspondences.Where(n => Spelling.Correspondence.TryParse(n, out var c) && !taught.Covers(c)).Select(n => Reason.Of("not-taught", n)),
        CardItem card => Spelling.Correspondence.TryParse(card.Correspondence, out var c) && !taught.Covers(c) ? [Reason.Of("not-taught", card.Correspondence)] : [],
        _ => [],
    };

    private static IEnumerable<Reason> OfWord(string spelling, Taught taught, IReadOnlySet<string> tricky, Lexicon lexicon)
    {
        if (tricky.Contains(spelling)) return [];
        return lexicon.Find(spelling) is { } word
            ? taught.Obstacles(word).Select(o => Reason.Of("not-taught", o.ToString()))
            : [Reason.Of("unknown-word", spelling)];
    }
}

/// <summary>An item of a lesson that children can't read yet, and why.</summary>
public sealed record ItemProblem(string ItemId, ImmutableArray<Reason> Reasons);

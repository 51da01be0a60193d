using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Marking;
using BoldLadder.Core.Revisit;
using BoldLadder.Store;
using Seen = BoldLadder.Core.Revisit.Seen;
using Word = BoldLadder.Core.Words.Word;

namespace BoldLadder.School.Marks;

/// <summary>A lesson's marks while more are taken.</summary>
public sealed record MarksTaken(
    StoredLesson Lesson,
    IReadOnlyList<MarkedChild> Children,
    IReadOnlyDictionary<string, MarkedWord> Words
)
{
    public IReadOnlyDictionary<string, ImmutableArray<int>> Tricky { get; } = Lesson.Document.TrickyParts();

    public List<StoredEvidence> Added { get; } = [];

    /// <summary>What counts at each place.</summary>
    public Dictionary<(Guid? Child, string Word, int Place, Skill Skill), StoredEvidence> Slots { get; } = [];
}

/// <summary>What a mark says, and why one is not kept. Source: docs/handbook.md, section 7 (Marking).</summary>
internal static class MarkMeaning
{
    /// <summary>Why a mark is not kept; null for one that is.</summary>
    public static string? Refuse(MarkGiven mark, MarksTaken work)
    {
        if (mark.Id == Guid.Empty)
            return "mark-without-id";
        if (!work.Words.TryGetValue(mark.Word, out var word))
            return "mark-other-word";
        if (mark.Written?.Length > Marker.LongestAttempt)
            return "mark-too-long";
        if (mark.Place is { } place && (place < 0 || place >= word.Graphemes.Count))
            return "mark-no-place";
        var isOfChild = mark.Kind is MarkKind.Miss or MarkKind.Right or MarkKind.Written or MarkKind.Read;
        if (isOfChild != (mark.ChildId is not null))
            return "mark-whose";
        if (mark.ChildId is { } child && work.Children.All(c => c.Id != child))
            return "mark-other-group";
        return mark.Kind switch
        {
            MarkKind.Miss or MarkKind.Right when mark.Place is null => "mark-no-place",
            MarkKind.Written when mark.Written is null => "mark-nothing-written",
            MarkKind.Written when mark.Verdicts is { } own && own.Count != word.Graphemes.Count => "mark-no-place",
            MarkKind.Written when mark.Verdicts?.Any(v => v >= Seen.NearlyAll) == true => "mark-verdict",
            MarkKind.Group when mark.Seen is not (Seen.NearlyAll or Seen.Half or Seen.Few) => "mark-verdict",
            MarkKind.Read when mark.Seen is not (Seen.Right or Seen.Slow or Seen.Helped or Seen.Wrong) =>
                "mark-verdict",
            MarkKind.Miss when mark.Seen is { } seen && seen >= Seen.NearlyAll => "mark-verdict",
            _ => null,
        };
    }

    /// <summary>What a mark says was seen, of whom.</summary>
    public static IEnumerable<(Guid? Child, SeenAt Seen, Skill Skill, EvidenceSource Source)> SeenBy(
        MarkGiven mark,
        Word word,
        MarksTaken work,
        Marker marker
    )
    {
        var tricky = work.Tricky.GetValueOrDefault(mark.Word, []);
        var right = Seen.Right;
        switch (mark.Kind)
        {
            case MarkKind.AllRight:
                // What was marked of a child stands.
                foreach (var child in work.Children.Where(c => !c.IsAway))
                {
                    foreach (var seen in WordEvidence.Of(word, tricky, right))
                    {
                        if (!work.Slots.ContainsKey((child.Id, mark.Word, seen.Place, Skill.Spelling)))
                            yield return (child.Id, seen, Skill.Spelling, EvidenceSource.ByException);
                    }
                }
                break;
            case MarkKind.Miss:
            case MarkKind.Right:
                var there = mark.Kind == MarkKind.Right ? right : mark.Seen ?? Seen.Wrong;
                foreach (var seen in WordEvidence.Of(word, tricky, right, mark.Place, there))
                {
                    // The word as a whole is right again only when all of it is.
                    if (
                        seen.Place == mark.Place
                        || (
                            seen.Place == WordEvidence.Whole
                            && (mark.Kind == MarkKind.Miss || !HasMiss(work, mark.ChildId, mark.Word, mark.Place))
                        )
                    )
                        yield return (mark.ChildId, seen, Skill.Spelling, EvidenceSource.ByException);
                }
                break;
            case MarkKind.Written:
                var found = marker.Mark(word, mark.Written!);
                foreach (var seen in WordEvidence.Of(word, tricky, found))
                {
                    var own = seen.Place >= 0 ? mark.Verdicts?[seen.Place] : null;
                    yield return (
                        mark.ChildId,
                        own is { } said ? seen with { Seen = said } : seen,
                        Skill.Spelling,
                        EvidenceSource.AsWritten
                    );
                }
                break;
            case MarkKind.Group:
                foreach (var seen in WordEvidence.Of(word, tricky, mark.Seen!.Value))
                    yield return (null, seen, Skill.Spelling, EvidenceSource.WholeGroup);
                break;
            default:
                var read = mark.Seen!.Value;
                var others = mark.Place is null || read == Seen.Slow ? read : right;
                foreach (var seen in WordEvidence.Of(word, tricky, others, mark.Place, read))
                    yield return (mark.ChildId, seen, Skill.Reading, EvidenceSource.ReadAloud);
                break;
        }
    }

    /// <summary>True where another grapheme of a child's word is marked wrong.</summary>
    private static bool HasMiss(MarksTaken work, Guid? child, string word, int? but) =>
        work.Slots.Values.Any(s =>
            s.ChildId == child
            && s.Word == word
            && s.Skill == Skill.Spelling
            && s.Place >= 0
            && s.Place != but
            && s.Seen != Seen.Right
        );
}

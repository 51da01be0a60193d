using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;

namespace BoldLadder.Core.Lessons.Showing;

/// <summary>
/// Lays our school's way over a lesson that is shown: key words, phrases, mouth cues and formation on its cards, chunks
/// and the way of blending on its words, whose turn it is. Stored lessons know nothing of it, so that a change is seen
/// at once. Source: docs/handbook.md, section 5.
/// </summary>
/// <param name="notes">By reference notation.</param>
public sealed class SchoolWay(HouseStyle style, IReadOnlyDictionary<string, OwnWay> notes)
{
    private readonly ReleaseSteps release = new(style.Release.IDo, style.Release.WeDo, style.Release.YouDo);

    public Lesson Over(Lesson lesson) =>
        lesson with
        {
            Parts = [.. lesson.Parts.Select(p => p with { Activities = [.. p.Activities.Select(Over)] })],
        };

    public Activity Over(Activity activity) =>
        activity with
        {
            Items = [.. activity.Items.Select(i => Over(i, activity.Kind))],
            Steps = ActivityFacts.Of(activity.Kind).Released ? release.Over(activity.Items.Length) : activity.Steps,
        };

    private Item Over(Item item, ActivityKind kind) =>
        item switch
        {
            CardItem card => Over(card),
            SpellingsItem spellings => spellings with
            {
                KeyWord = KeyWord(spellings.Correspondences[0]) ?? spellings.KeyWord,
            },
            BesideItem beside => beside with
            {
                Cards = [.. beside.Cards.Select(c => c with { KeyWord = KeyWord(c.Correspondence) ?? c.KeyWord })],
            },
            WordItem { Oral: false } word => Over(word, kind),
            LineItem line => line with { Words = [.. line.Words.Select(w => Over(w, kind))] },
            _ => item,
        };

    private string? KeyWord(string notation) =>
        notes.GetValueOrDefault(notation) is { KeyWord.Length: > 0 } own ? own.KeyWord : null;

    /// <summary>The school's key word goes before any example.</summary>
    private CardItem Over(CardItem card)
    {
        var own = KeyWord(card.Correspondence);
        return card with
        {
            Own = notes.GetValueOrDefault(card.Correspondence),
            KeyWord = own ?? card.KeyWord,
            Example = own is null ? card.Example : null,
            Also = card.Also is { } also
                ?
                [
                    .. also.Select(a =>
                        KeyWord(a.Correspondence) is { } other ? a with { KeyWord = other, Example = null } : a
                    ),
                ]
                : null,
        };
    }

    private WordItem Over(WordItem word, ActivityKind kind)
    {
        var parts = Segmentation.Parse(word.Graphemes, word.Phonemes).Parts;
        ImmutableArray<ChunkInWord> found =
        [
            .. style.Chunks.SelectMany(c =>
                c.PlacesIn(parts).Select(at => new ChunkInWord(c.Text, at, at + c.Correspondences.Count - 1))
            ),
        ];
        return word with
        {
            Chunks = found.IsEmpty ? null : found,
            Blend = kind == ActivityKind.ReadWords ? BlendingSteps.Of(word.Word, parts, style.Blending) : null,
        };
    }
}

using System.Globalization;
using System.Text;
using BoldLadder.Core;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Choosers;

namespace BoldLadder.Tool.Commands;

/// <summary>A lesson as plain text, for reading by a person: an activity a line.</summary>
internal static class LessonText
{
    public static string Of(LessonRequest request, Lesson lesson)
    {
        var text = new StringBuilder();
        var fresh = lesson.Target.Concat(lesson.Patterns).DefaultIfEmpty("nothing");
        var tricky = request.Today.Tricky.IsEmpty ? "" : $"; tricky: {string.Join(", ", request.Today.Tricky)}";
        text.Append(CultureInfo.InvariantCulture, $"## {request.Today.Label}\n\n");
        text.Append(CultureInfo.InvariantCulture, $"{lesson.Minutes} of {request.Minutes} minutes. ");
        text.Append(CultureInfo.InvariantCulture, $"New: {string.Join(", ", fresh)}{tricky}.\n");
        foreach (var note in lesson.Notes)
            text.Append(CultureInfo.InvariantCulture, $"Note: {note.Code} {string.Join(' ', note.Arguments)}.\n");
        foreach (var part in lesson.Parts)
        {
            text.Append(CultureInfo.InvariantCulture, $"\n**{part.Kind}** ({(part.Seconds + 30) / 60} min)\n\n");
            foreach (var activity in part.Activities)
            {
                var between = activity.Items.Any(i =>
                    i is SentenceItem or ClueItem or LineItem or ScrambleItem or MendItem
                )
                    ? " / "
                    : ", ";
                var items = string.Join(between, activity.Items.Select(Of));
                text.Append(CultureInfo.InvariantCulture, $"- {activity.Kind.Code()}: {items}\n");
                if (activity.Levels is not { } levels)
                    continue;
                var (support, stretch) = (levels.Support.Select(Of), levels.Stretch.Select(Of));
                text.Append(CultureInfo.InvariantCulture, $"  - support: {string.Join(", ", support)}; ");
                text.Append(CultureInfo.InvariantCulture, $"stretch: {string.Join(", ", stretch)}");
                text.Append(string.Concat((levels.Reasons ?? []).Select(r => $" ({r.Code})")));
                text.Append('\n');
            }
        }
        return text.ToString();
    }

    private static string Of(Item item) =>
        item switch
        {
            WordItem word => word.Word
                + (word.Meaning is { } meaning ? $" ({meaning})" : "")
                + (word.Sentence is { } sentence ? $" (“{sentence}”)" : "")
                + Flag(word.Reasons),
            CardItem card => $"{card.Grapheme} /{card.Sounds}/"
                + string.Concat((card.Also ?? []).Select(a => $" /{a.Sounds}/"))
                + (
                    card.Positions is { } at
                        ? $" start {at.Start}% {at.StartExample}, middle {at.Middle}% {at.MiddleExample}"
                            + $", end {at.End}% {at.EndExample}"
                        : ""
                ),
            PatternItem pattern => $"{pattern.Pattern}: "
                + string.Join(
                    "; ",
                    (pattern.Examples ?? []).Select(e =>
                        (e.Sounds.Length > 0 ? $"/{e.Sounds}/ " : "")
                        + string.Join(
                            ' ',
                            e.Words.Select(w =>
                                e.Models?.FirstOrDefault(m => m.Word == w) is { } model
                                    ? $"{string.Join('+', model.Parts)}={w}"
                                    : w
                            )
                        )
                    )
                ),
            SentenceItem sentence => sentence.Text,
            MadeUpItem made => made.Word,
            GapItem gap => string.Join("", gap.Word.Select((c, i) => gap.Marks[i] == gap.Gap ? '_' : c))
                + $" ({gap.Word})",
            SpellingsItem spellings => $"/{spellings.Sounds}/: {string.Join(' ', spellings.Graphemes)}",
            ClueItem clue => $"{clue.Clue} ({clue.Word})",
            BesideItem beside => string.Join(" | ", beside.Cards.Select(c => $"{c.Grapheme} /{c.Sounds}/ {c.Example}")),
            SyllablesItem cut => string.Join('·', cut.Syllables),
            LineItem line => string.Join(' ', line.Words.Select(w => w.Word)),
            ChoiceItem choice => string.Join("", choice.Word.Select((c, i) => choice.Marks[i] == choice.Gap ? '_' : c))
                + $" [{string.Join('/', choice.Options)}] ({choice.Word})",
            SortItem sort => $"by {sort.By}: "
                + string.Join(
                    "; ",
                    sort.Headings.Select(
                        (h, i) => $"{h}: {string.Join(' ', sort.Words.Where(w => w.Heading == i).Select(w => w.Word))}"
                    )
                ),
            PictureItem picture => $"[picture of {picture.Word}] {string.Join('/', picture.Options)}",
            SceneItem scene => $"[{scene.Backdrop}] {string.Join(' ', scene.Things.Select(t => t.Word))}",
            TextItem shown => $"“{shown.Title}”: {string.Join(' ', shown.Sentences.Select(s => s.Text))}"
                + $" Questions: {string.Join(' ', shown.Questions)}",
            CrosswordItem crossword => string.Join(
                ", ",
                crossword.Lines.Select(l =>
                    $"{l.Number} {(l.Across ? "across" : "down")} {l.Word}{(l.Clue is { } c ? $" ({c})" : "")}"
                )
            ),
            MissingWordItem missing => $"{missing.Before} ____{missing.After} [{string.Join('/', missing.Options)}]",
            PromptItem prompt => $"{prompt.Code} with {string.Join(", ", prompt.Words)}",
            PairItem pair => $"{pair.First}/{pair.Second} by {pair.By}"
                + (pair.Said is { } said ? $" (say {(said == 0 ? pair.First : pair.Second)})" : ""),
            BuildItem build => $"{string.Join('+', build.Model.Parts)}={build.Word} {build.Model.Join}".TrimEnd(),
            HuntItem hunt => $"{string.Join(' ', hunt.Graphemes)} in: "
                + string.Join(
                    ' ',
                    hunt.Words.Select(w => w.Target < 0 ? w.Word : $"{w.Word}[{hunt.Graphemes[w.Target]}]")
                ),
            ScrambleItem mixed => $"{string.Join(" | ", mixed.Pieces)} ({mixed.Whole})",
            MendItem mend => $"{mend.Given} -> {mend.Right} [{mend.Point}]",
            ChunkItem chunk => $"{chunk.Text} /{chunk.Sounds}/ {chunk.Example}",
            _ => item.Id,
        };

    private static string Flag(IEnumerable<Reason> reasons) =>
        reasons.FirstOrDefault(r =>
            r.Code
                is "near-miss"
                    or "has-not"
                    or "another-job"
                    or "not-here"
                    or "starts-with-it"
                    or "ends-with-it"
                    or "first-and-rest"
                    or "starts-and-ends"
                    or "at-start"
                    or "at-middle"
                    or "at-end"
                    or "show-it"
                    or "stay-still"
        )
            is { } flag
            ? $" [{string.Join(' ', flag.Arguments.Prepend(flag.Code))}]"
            : "";
}

using System.Text;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Marking;

/// <summary>
/// Marks what children wrote for a word that was said: the attempt is laid along the word's graphemes in the cheapest
/// way, then each grapheme gets its verdict. Source: docs/handbook.md, section 7 (Marking).
/// </summary>
public sealed class Marker(PlausibleSpellings plausible)
{
    /// <summary>Longer attempts are refused.</summary>
    public const int LongestAttempt = 64;

    /// <summary>The mark of an attempt, however it was written; case and accents don't matter.</summary>
    /// <exception cref="AttemptRefusedException">The attempt has more than <see cref="LongestAttempt"/>
    /// signs.</exception>
    public Mark Mark(Word target, string attempt)
    {
        var signs = WordFinder.Plain(attempt).EnumerateRunes().Where(r => !Rune.IsWhiteSpace(r)).ToList();
        if (signs.Count > LongestAttempt)
        {
            throw new AttemptRefusedException(
                $"An attempt of {signs.Count} letters is too long to mark; write at most {LongestAttempt}, one word at a time."
            );
        }
        // One char for each sign, so that no sign is ever cut in two; a typed hyphen is not that of a split digraph.
        var letters = string.Concat(signs.Select(s => s.IsBmp && s.Value != '-' ? (char)s.Value : '\uFFFD'));
        var moves = new AttemptAlignment(plausible, target, letters).Cheapest();
        return Told(
            target,
            moves,
            letters,
            string.Equals(letters, target.Spelling, StringComparison.OrdinalIgnoreCase),
            (from, to) => string.Concat(signs.GetRange(from, to - from))
        );
    }

    private Mark Told(
        Word target,
        IReadOnlyList<Alignment> moves,
        string letters,
        bool whole,
        Func<int, int, string> written
    )
    {
        var parts = target.Segmentation.Parts;
        var sounds = plausible.Accent.SoundsOfParts(target);
        var marks = new GraphemeMark[parts.Length];
        var extra = new List<ExtraLetters>();
        foreach (var move in moves)
        {
            var text = written(move.From, move.To);
            if (move.Verdict is not { } verdict)
                Append(extra, text, move.Part);
            else
                marks[move.Part] = new GraphemeMark(
                    parts[move.Part],
                    verdict,
                    move.Splits ? text + "-e" : text,
                    Spoken(move, sounds[move.Part], letters)
                );
        }
        NoteOrder(marks, extra);
        return new Mark([.. marks], [.. extra], whole);
    }

    private static void Append(List<ExtraLetters> extra, string text, int before)
    {
        if (extra.Count > 0 && extra[^1].Before == before)
            extra[^1] = extra[^1] with { Letters = extra[^1].Letters + text };
        else
            extra.Add(new ExtraLetters(text, before, false));
    }

    private MarkNotes Spoken(Alignment move, string sound, string letters) =>
        move.Verdict switch
        {
            Verdict.Missing when SpokenSwaps.MayBeDropped(sound, move.Part) => MarkNotes.AsSpoken,
            Verdict.Wrong
                when SpokenSwaps
                    .For(sound)
                    .Any(s => plausible.May(Single(letters[move.From..move.To]), s, letters, move.From, move.To)) =>
                MarkNotes.AsSpoken,
            _ => MarkNotes.None,
        };

    /// <summary>A letter written twice is one: muvver.</summary>
    private static string Single(string text) => text.Length == 2 && text[0] == text[1] ? text[..1] : text;

    /// <summary>
    /// Letters in the wrong order are named: moved from one grapheme to elsewhere, exchanged between two, or turned
    /// round in one.
    /// </summary>
    private static void NoteOrder(GraphemeMark[] marks, List<ExtraLetters> extra)
    {
        for (var i = 0; i < marks.Length; i++)
        {
            var letters = marks[i].Target.Grapheme.Letters;
            var (isOrder, moved) = marks[i].Verdict switch
            {
                Verdict.Missing => (false, extra.FindIndex(e => e.Letters == letters && !e.OutOfOrder)),
                Verdict.Wrong => (
                    AttemptAlignment.AreTurnedRound(letters, marks[i].Written)
                        || Array.Exists(marks, m =>
                            m.Verdict == Verdict.Wrong
                            && m.Written == letters
                            && m.Target.Grapheme.Letters == marks[i].Written
                        ),
                    -1
                ),
                _ => (false, -1),
            };
            if (moved >= 0)
                extra[moved] = extra[moved] with { OutOfOrder = true };
            if (isOrder || moved >= 0)
                marks[i] = marks[i] with { Notes = MarkNotes.Order };
        }
    }
}

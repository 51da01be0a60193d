using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Marking;

/// <summary>Letters of an attempt, from place to before place, and what they are for.</summary>
/// <param name="Part">The grapheme of the target they were written for; of extra letters, the one they stand
/// before.</param>
/// <param name="Verdict">Null for an extra letter.</param>
/// <param name="Splits">True for the vowel of a split digraph: its e comes later.</param>
internal readonly record struct Alignment(int Part, int From, int To, Verdict? Verdict, bool Splits = false);

/// <summary>
/// The cheapest way to lay an attempt along the graphemes of a word: a shortest path over (grapheme, letter, open split
/// digraph). Prices are in hundredths of a wrong grapheme. Source: docs/handbook.md, section 7 (Marking).
/// </summary>
internal sealed class AttemptAlignment
{
    private const int LongestWritten = 6;
    private const int Never = int.MaxValue / 2;

    private const int Alt = 35;
    private const int AltByAddedE = 95;
    private const int Reversed = 50;
    private const int Wrong = 100;
    private const int WrongOrder = 90;
    private const int LettersLeftOut = 85;
    private const int WrongKind = 25;
    private const int Missing = 100;
    private const int Extra = 90;
    private const int Exchanged = 90;

    /// <summary>Nothing open; the vowel of a split digraph just written; and the s of st after it.</summary>
    private const int Closed = 0,
        Opened = 1,
        OpenedSt = 2;

    private readonly PlausibleSpellings plausible;
    private readonly Word target;
    private readonly string[] sounds;
    private readonly string[][] eachSound;
    private readonly string letters;
    private readonly int parts;
    private readonly Step?[] known;

    public AttemptAlignment(PlausibleSpellings plausible, Word target, string letters)
    {
        (this.plausible, this.target, this.letters) = (plausible, target, letters);
        sounds = plausible.Accent.SoundsOfParts(target);
        eachSound = [.. sounds.Select(s => s.Split('+'))];
        parts = sounds.Length;
        known = new Step?[(parts + 1) * (letters.Length + 1) * 3];
    }

    private sealed class Step
    {
        public int Price { get; set; } = Never;

        public Alignment[] Moves { get; set; } = [];

        public Step? Rest { get; set; }
    }

    public IReadOnlyList<Alignment> Cheapest()
    {
        var moves = new List<Alignment>();
        for (var step = From(0, 0, Closed); step is not null; step = step.Rest)
            moves.AddRange(step.Moves);
        return moves;
    }

    /// <summary>True when the letters are the same ones in another order: ri for ir.</summary>
    public static bool AreTurnedRound(ReadOnlySpan<char> letters, ReadOnlySpan<char> written)
    {
        if (letters.Length != written.Length || letters.Length < 2 || letters.SequenceEqual(written))
            return false;
        Span<char> one = stackalloc char[letters.Length],
            other = stackalloc char[written.Length];
        letters.CopyTo(one);
        written.CopyTo(other);
        one.Sort();
        other.Sort();
        return one.SequenceEqual(other);
    }

    private ReadOnlySpan<char> Letters(int from, int to) => letters.AsSpan()[from..to];

    private Grapheme Target(int part) => target.Required[part].Grapheme;

    private Step From(int part, int at, int open)
    {
        ref var slot = ref known[(((part * (letters.Length + 1)) + at) * 3) + open];
        if (slot is not null)
            return slot;
        var step = slot = new Step();
        if (part == parts && at == letters.Length)
        {
            step.Price = open == Closed ? 0 : Never;
            return step;
        }
        if (part < parts)
            Write(step, part, at, open);
        if (open != Closed)
            return step;
        if (part < parts)
        {
            OpenSplit(step, part, at);
            Keep(step, Missing, From(part + 1, at, Closed), new Alignment(part, at, at, Verdict.Missing));
        }
        if (at < letters.Length)
            Keep(step, Extra, From(part, at + 1, Closed), new Alignment(part, at, at + 1, null));
        if (part + 1 < parts)
        {
            Exchange(step, part, at);
            WriteTwoAsOne(step, part, at);
        }
        return step;
    }

    private static void Keep(Step step, int price, Step rest, params ReadOnlySpan<Alignment> moves)
    {
        if (rest.Price >= Never || price + rest.Price >= step.Price)
            return;
        (step.Price, step.Moves, step.Rest) = (price + rest.Price, moves.ToArray(), rest);
    }

    /// <summary>
    /// Some letters are the child's grapheme for this part; inside a split digraph its e must follow.
    /// </summary>
    private void Write(Step step, int part, int at, int open)
    {
        // The longest first: of two ways that cost the same, the one with whole graphemes is kept.
        for (var end = Math.Min(letters.Length, at + LongestWritten); end > at; end--)
        {
            if (Judge(part, at, end) is not { } judged)
                continue;
            if (open == Closed)
            {
                Keep(step, judged.Price, From(part + 1, end, Closed), new Alignment(part, at, end, judged.Verdict));
                continue;
            }
            if (target.Required[part].IsVowel)
                return;
            if (end < letters.Length && letters[end] == 'e')
                Keep(step, judged.Price, From(part + 1, end + 1, Closed), new Alignment(part, at, end, judged.Verdict));
            if (open == Opened && Letters(at, end) is "s" && end < letters.Length && letters[end] == 't')
            {
                Keep(step, judged.Price, From(part + 1, end, OpenedSt), new Alignment(part, at, end, judged.Verdict));
            }
        }
    }

    private (Verdict Verdict, int Price)? Judge(int part, int from, int to)
    {
        var written = Letters(from, to);
        var grapheme = Target(part);
        if (!grapheme.IsSplit && written.SequenceEqual(grapheme.Text))
            return (Verdict.Ok, 0);
        if (Spells(part, from, to) || (IsWeak(part) && MayBeWeak(from, to)))
            return (Verdict.Alt, Alt);
        if (LookAlikeLetters.Are(written, grapheme.Text))
            return (Verdict.Reversed, Reversed);
        if (AreTurnedRound(grapheme.Letters, written))
            return (Verdict.Wrong, WrongOrder);
        if (written.Length > 1 && !plausible.IsGrapheme(written) && !(written.Length == 2 && written[0] == written[1]))
            return null;
        var leftOut = written.Length < grapheme.Letters.Length && !written.ContainsAnyExcept(grapheme.Letters);
        return (Verdict.Wrong, leftOut ? LettersLeftOut : Wrong + (IsOtherKind(part, written[0]) ? WrongKind : 0));
    }

    /// <summary>Weak vowels count as equal: ə, and ɪ that is not in the first syllable.</summary>
    private bool IsWeak(int part) =>
        sounds[part] == "ə" || (sounds[part] == "ɪ" && target.Required.AsSpan()[..part].ToArray().Any(p => p.IsVowel));

    private bool MayBeWeak(int from, int to) =>
        plausible.May(Letters(from, to), "ə", letters, from, to)
        || plausible.May(Letters(from, to), "ɪ", letters, from, to);

    private bool IsOtherKind(int part, char letter) =>
        letter != 'y' && "aeiou".Contains(letter) != target.Required[part].IsVowel;

    /// <summary>
    /// True when the letters may well stand for the sounds: as one grapheme, or one for each sound (kw for qu).
    /// </summary>
    private bool Spells(int part, int from, int to) =>
        plausible.May(Letters(from, to), sounds[part], letters, from, to)
        || (eachSound[part].Length > 1 && SpellsFrom(part, 0, from, to));

    private bool SpellsFrom(int part, int sound, int from, int to)
    {
        var asked = eachSound[part][sound];
        if (sound + 1 == eachSound[part].Length)
            return to > from && plausible.May(Letters(from, to), asked, letters, from, to);
        for (var middle = from + 1; middle < to; middle++)
        {
            if (
                plausible.May(Letters(from, middle), asked, letters, from, middle)
                && SpellsFrom(part, sound + 1, middle, to)
            )
                return true;
        }
        return false;
    }

    private void OpenSplit(Step step, int part, int at)
    {
        if (at + 2 >= letters.Length || part + 1 >= parts)
            return;
        ReadOnlySpan<char> split = [letters[at], '-', 'e'];
        if (!plausible.IsGrapheme(split))
            return;
        var grapheme = Target(part);
        var (verdict, price) =
            split.SequenceEqual(grapheme.Text) ? (Verdict.Ok, 0)
            : plausible.May(split, sounds[part], letters, at, at + 1)
                ? (Verdict.Alt, split[..1].SequenceEqual(grapheme.Text) ? AltByAddedE : Alt)
            : (Verdict.Wrong, Wrong + (target.Required[part].IsVowel ? 0 : WrongKind));
        Keep(step, price, From(part + 1, at + 1, Opened), new Alignment(part, at, at + 1, verdict, Splits: true));
    }

    /// <summary>
    /// Two neighbours have changed places: the one that moved is missing where it belongs, a consonant rather than a
    /// vowel.
    /// </summary>
    private void Exchange(Step step, int part, int at)
    {
        var (first, second) = (Target(part).Text, Target(part + 1).Text);
        var end = at + first.Length + second.Length;
        if (first == second || end > letters.Length)
            return;
        if (
            !Letters(at, at + second.Length).SequenceEqual(second)
            || !Letters(at + second.Length, end).SequenceEqual(first)
        )
            return;
        var rest = From(part + 2, end, Closed);
        var middle = at + second.Length;
        if (target.Required[part].IsVowel && !target.Required[part + 1].IsVowel)
        {
            Keep(
                step,
                Exchanged,
                rest,
                new Alignment(part, at, middle, null),
                new Alignment(part, middle, end, Verdict.Ok),
                new Alignment(part + 1, end, end, Verdict.Missing)
            );
        }
        else
        {
            Keep(
                step,
                Exchanged,
                rest,
                new Alignment(part, at, at, Verdict.Missing),
                new Alignment(part + 1, at, middle, Verdict.Ok),
                new Alignment(part + 2, middle, end, null)
            );
        }
    }

    /// <summary>One grapheme for the sounds of two: sox for socks.</summary>
    private void WriteTwoAsOne(Step step, int part, int at)
    {
        var joint = $"{sounds[part]}+{sounds[part + 1]}";
        for (var end = at + 1; end <= Math.Min(letters.Length, at + 2); end++)
        {
            if (!plausible.May(Letters(at, end), joint, letters, at, end))
                continue;
            Keep(
                step,
                2 * Alt,
                From(part + 2, end, Closed),
                new Alignment(part, at, end, Verdict.Alt),
                new Alignment(part + 1, end, end, Verdict.Alt)
            );
        }
    }
}

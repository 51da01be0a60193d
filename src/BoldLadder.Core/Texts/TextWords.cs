using System.Collections.Immutable;
using System.Runtime.InteropServices;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>A word of a text, told apart from others by its letters and by whether it has a capital.</summary>
/// <param name="Printed">As it stands there first.</param>
/// <param name="Times">How often it stands there.</param>
/// <param name="MayBeName">True for one that no list has and that has a capital wherever it stands: a name,
/// probably.</param>
public sealed record TextWord(string Printed, WrittenWord Written, int Times, bool MayBeName)
{
    /// <summary>True for a name of the list, and for what is probably one.</summary>
    public bool IsName => Written.IsName || MayBeName;
}

/// <summary>Where a word stands.</summary>
/// <param name="Start">The sign, from 0, at which it starts.</param>
/// <param name="Word">Its place among the different words.</param>
public readonly record struct TextPlace(int Start, int Length, int Word);

/// <summary>A sentence of a text.</summary>
/// <param name="Start">The sign, from 0, at which its first word starts.</param>
/// <param name="Length">In signs, up to the end of its last word.</param>
/// <param name="Words">How many running words it has.</param>
public readonly record struct TextSentence(int Start, int Length, int Words);

/// <summary>
/// What a text is made of: its different words with how often each comes, where each stands, and its sentences. Read
/// once; then any group and any rung is a walk over the different words. Source: docs/handbook.md, section 7 (Text
/// check).
/// </summary>
public sealed class TextWords
{
    /// <summary>A text with more is no book for children: it is refused before anything is made of it.</summary>
    public const int MostWords = 200_000;

    private TextWords(ImmutableArray<TextWord> words, ImmutableArray<TextPlace> places, List<TextSentence> sentences) =>
        (Words, Places, Sentences) = (words, places, [.. sentences]);

    /// <summary>The different words, in the order in which they come first.</summary>
    public ImmutableArray<TextWord> Words { get; }

    /// <summary>Every running word in order; numerals are not among them.</summary>
    public ImmutableArray<TextPlace> Places { get; }

    public ImmutableArray<TextSentence> Sentences { get; }

    /// <summary>
    /// False where more than half of the running words are in no list, names aside: it is in another language,
    /// probably. A few words say nothing.
    /// </summary>
    public bool LooksEnglish =>
        Places.Length < FewestToTell
        || Words.Where(w => w.Written.IsUnknown && !w.MayBeName).Sum(w => w.Times) * 2 <= Places.Length;

    private const int FewestToTell = 8;

    /// <summary>Which running word starts at a sign, from 0; below 0 where none does.</summary>
    public int At(int start) => Places.AsSpan().BinarySearch(new Starting(start));

    private readonly struct Starting(int start) : IComparable<TextPlace>
    {
        public int CompareTo(TextPlace other) => start.CompareTo(other.Start);
    }

    /// <summary>The sentence in which a running word stands.</summary>
    /// <param name="at">Which one, from 0.</param>
    public TextSentence SentenceOf(int at)
    {
        var place = Places[at];
        return Sentences.First(s => s.Start + s.Length >= place.Start + place.Length);
    }

    /// <summary>The running words of a sentence.</summary>
    public IEnumerable<WrittenWord> WordsOf(TextSentence sentence) =>
        Places
            .SkipWhile(p => p.Start < sentence.Start)
            .TakeWhile(p => p.Start < sentence.Start + sentence.Length)
            .Select(p => Words[p.Word].Written);

    /// <exception cref="RefusedException">It has more than <see cref="MostWords"/> words, or one that is no word
    /// any more.</exception>
    public static TextWords Read(string text, WordFinder finder)
    {
        var reading = new Reading(finder);
        var tokens = new TokenReader(new StringReader(text));
        while (tokens.Read())
        {
            if (tokens.Kind == TokenKind.TooLong)
                throw new RefusedException("text-no-word", ("line", tokens.Line), ("most", TokenReader.LongestToken));
            reading.Take(tokens.Token, tokens.Kind);
        }
        return reading.Done();
    }

    private sealed class Reading(WordFinder finder)
    {
        private readonly Dictionary<string, int> byPrint = new(StringComparer.Ordinal);
        private readonly Dictionary<(string Plain, bool Capital), int> byForm = [];
        private readonly List<(string Printed, WrittenWord Written)> words = [];
        private readonly List<int> times = [];
        private readonly ImmutableArray<TextPlace>.Builder places = ImmutableArray.CreateBuilder<TextPlace>();
        private readonly List<TextSentence> sentences = [];
        private (int Start, int End, int Words) sentence;
        private int at;
        private bool newLine;
        private bool afterSpeech;

        public void Take(ReadOnlySpan<char> token, TokenKind kind)
        {
            if (kind == TokenKind.Between)
                Between(token);
            else if (kind == TokenKind.Word)
                Word(token);
            at += token.Length;
        }

        private void Word(ReadOnlySpan<char> token)
        {
            if (places.Count >= MostWords)
                throw new RefusedException("text-too-long", ("most", MostWords));
            // A line that was only broken goes on in lower case, and so does a sentence after what was said.
            if ((newLine || afterSpeech) && char.IsUpper(token[0]))
                EndSentence();
            (newLine, afterSpeech) = (false, false);
            var known = byPrint.GetAlternateLookup<ReadOnlySpan<char>>();
            if (!known.TryGetValue(token, out var word))
                known[token] = word = PlaceOf(token.ToString());
            times[word]++;
            places.Add(new TextPlace(at, token.Length, word));
            if (sentence.Words++ == 0)
                sentence.Start = at;
            sentence.End = at + token.Length;
        }

        private int PlaceOf(string printed)
        {
            var written = WrittenWord.Of(printed, finder);
            ref var place = ref CollectionsMarshal.GetValueRefOrAddDefault(
                byForm,
                (written.Plain, written.HasCapital),
                out var known
            );
            if (known)
                return place;
            words.Add((printed, written));
            times.Add(0);
            return place = words.Count - 1;
        }

        private void Between(ReadOnlySpan<char> signs)
        {
            if (signs.Count('\n') > 1)
                EndSentence();
            else if (signs.IndexOfAny('.', '!', '?') is >= 0 and var ended)
            {
                if (signs[ended..].IndexOfAny("\"'”’") >= 0)
                    afterSpeech = true;
                else
                    EndSentence();
            }
            else
                newLine |= signs.Contains('\n');
        }

        private void EndSentence()
        {
            if (sentence.Words > 0)
                sentences.Add(new TextSentence(sentence.Start, sentence.End - sentence.Start, sentence.Words));
            (sentence, newLine, afterSpeech) = (default, false, false);
        }

        public TextWords Done()
        {
            EndSentence();
            return new TextWords(
                [
                    .. words.Select(
                        (w, i) =>
                            new TextWord(
                                w.Printed,
                                w.Written,
                                times[i],
                                w.Written is { IsUnknown: true, HasCapital: true }
                                    && !byForm.ContainsKey((w.Written.Plain, false))
                            )
                    ),
                ],
                places.ToImmutable(),
                sentences
            );
        }
    }
}

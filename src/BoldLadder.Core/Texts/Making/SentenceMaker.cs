using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.RegularExpressions;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Making;

/// <summary>
/// Makes sentences from frames and words classed by hand (data/sentences/maker.txt), for when those of the bank have
/// all been had. Source: docs/handbook.md, section 7 (Sentences).
/// </summary>
public sealed partial class SentenceMaker
{
    /// <summary>Tries in a row that bring nothing new, after which there is nothing more.</summary>
    private const int Patience = 60;

    private readonly Lexicon lexicon;
    private readonly Dictionary<string, ImmutableArray<string>> classes = new(StringComparer.Ordinal);
    private readonly ImmutableArray<Frame> frames;

    /// <summary>The words of classes and frames as they are written, each looked up once.</summary>
    private readonly FrozenDictionary<string, Word> found;

    /// <exception cref="FormatException">A frame names a class that there is not, or a line can't be read.</exception>
    public SentenceMaker(IEnumerable<string> lines, Lexicon lexicon)
    {
        this.lexicon = lexicon;
        var read = ImmutableArray.CreateBuilder<Frame>();
        foreach (var line in lines.Where(l => l.Length > 0 && !l.StartsWith('#')))
        {
            if (line.Split(": ") is [var name, var words])
                classes[name] = [.. words.Split(' ').Where(IsForLessons)];
            else
                read.Add(new Frame(line));
        }
        frames = read.ToImmutable();
        foreach (var name in frames.SelectMany(f => f.Slots).Select(s => s.Class).Distinct().ToList())
        {
            if (!classes.TryGetValue(name, out var words))
                throw new FormatException($"data/sentences/maker.txt has a frame with {{{name}}}, and no such class.");
            classes[name + Plural] =
            [
                .. words.Except(classes.GetValueOrDefault(OddPlurals, [])).Select(PluralOf).OfType<string>(),
            ];
        }
        found = LookedUp();
    }

    private SentenceMaker(SentenceMaker shipped, Lexicon lexicon)
    {
        (this.lexicon, classes, frames) = (lexicon, shipped.classes, shipped.frames);
        found = LookedUp();
    }

    private FrozenDictionary<string, Word> LookedUp() =>
        classes
            .Values.SelectMany(c => c)
            .Concat(frames.SelectMany(f => f.Words))
            .Distinct()
            .Select(w => (Written: w, Word: Found(w)))
            .Where(w => w.Word is not null)
            .ToFrozenDictionary(w => w.Written, w => w.Word!, StringComparer.Ordinal);

    /// <summary>The same with the words as a school has them.</summary>
    public SentenceMaker With(Lexicon school) => new(this, school);

    private const string Plural = "+";

    /// <summary>The class of words whose plural is none of adding letters: mouse, wolf.</summary>
    private const string OddPlurals = "odd";

    /// <summary>The classes and their words, for whoever checks them.</summary>
    public IReadOnlyDictionary<string, ImmutableArray<string>> Classes => classes;

    private bool IsForLessons(string word) =>
        (lexicon.Find(word.ToLowerInvariant()) ?? lexicon.FindName(word.ToLowerInvariant()))?.Suitability
        == Suitability.Use;

    private string? PluralOf(string word) =>
        new[] { word + "s", word + "es", word.EndsWith('y') ? word[..^1] + "ies" : word }.FirstOrDefault(p =>
            lexicon.Find(p) is { Suffix: { } link }
            && link.Base == word
            && link.Suffix is Patterns.SuffixS or Patterns.SuffixEs
        );

    /// <summary>
    /// Different sentences, or phrases, each with a word that is wanted, until no more are found. The same seed gives
    /// the same ones.
    /// </summary>
    /// <param name="canRead">What children can read, decodable or tricky.</param>
    /// <param name="isWanted">What the sentences are for.</param>
    /// <param name="lists">True for only those with a list in them.</param>
    public IEnumerable<Sentence> Make(
        Func<Word, bool> canRead,
        Func<Word, bool> isWanted,
        Seeded random,
        bool phrases = false,
        bool lists = false
    )
    {
        bool Reads(string written) => found.TryGetValue(written, out var word) && canRead(word);
        var readable = new Dictionary<string, List<string>>(StringComparer.Ordinal);
        List<string> Readable(Slot slot) =>
            readable.TryGetValue(slot.Key, out var kept)
                ? kept
                : readable[slot.Key] = [.. classes[slot.Key].Where(Reads)];
        var usable = frames
            .Where(f => f.IsPhrase == phrases && (!lists || f.IsList))
            .Where(f => f.Words.All(Reads) && f.Slots.All(s => Readable(s).Count > 0))
            .ToList();
        var asked = readable.ToDictionary(r => r.Key, r => r.Value.Where(w => isWanted(found[w])).ToList());
        var wanted = usable
            .Select(f =>
                (
                    Frame: f,
                    Words: f.Slots.Index()
                        .Where(s => !s.Item.IsSame)
                        .SelectMany(s => asked[s.Item.Key].Select(w => (s.Index, w)))
                        .ToList()
                )
            )
            .Where(f => f.Words.Count > 0 || f.Frame.Words.Any(w => isWanted(found[w])))
            .ToList();
        var had = new HashSet<string>(StringComparer.Ordinal);
        for (var missed = 0; wanted.Count > 0 && missed < Patience; missed++)
        {
            var (frame, words) = wanted[random.Below(wanted.Count)];
            (int Index, string Word)? fixedOne = words.Count == 0 ? null : words[random.Below(words.Count)];
            if (
                Filled(frame, readable, fixedOne, random) is not { } text
                || !had.Add(text)
                || Sentence.Read(text, lexicon) is not { } made
                || !made.Tokens.All(t => canRead(t.Word) && t.Word.Suitability == Suitability.Use)
            )
                continue;
            missed = 0;
            yield return made;
        }
    }

    private Word? Found(string written) =>
        lexicon.Find(written.ToLowerInvariant()) ?? lexicon.FindName(written.ToLowerInvariant());

    /// <summary>The frame with a word in each slot, none twice; null where there are too few words.</summary>
    private static string? Filled(
        Frame frame,
        Dictionary<string, List<string>> readable,
        (int Index, string Word)? given,
        Seeded random
    )
    {
        var chosen = new string[frame.Slots.Length];
        if (given is { } one)
            chosen[one.Index] = one.Word;
        for (var i = 0; i < chosen.Length; i++)
        {
            if (chosen[i] is not null || frame.Slots[i].IsSame)
                continue;
            var left = readable[frame.Slots[i].Key].Where(w => !Array.Exists(chosen, c => IsLike(c, w))).ToList();
            if (left.Count == 0)
                return null;
            chosen[i] = left[random.Below(left.Count)];
        }
        for (var i = 0; i < chosen.Length; i++)
        {
            if (frame.Slots[i].IsSame)
                chosen[i] = chosen[
                    Array.FindIndex([.. frame.Slots], s => s.Class == frame.Slots[i].Class && !s.IsSame)
                ];
        }
        return frame.With(chosen);
    }

    /// <summary>True for the same word, and for a word beside its plural.</summary>
    private static bool IsLike(string? one, string other) =>
        one is not null
        && (
            one == other
            || one.StartsWith(other, StringComparison.Ordinal)
            || other.StartsWith(one, StringComparison.Ordinal)
        );

    private readonly record struct Slot(string Class, bool IsPlural, bool IsSame)
    {
        public string Key => IsPlural ? Class + Plural : Class;
    }

    /// <summary>A line with slots: The {pet} is in the {box}.</summary>
    private sealed partial class Frame
    {
        private const string PhraseMark = "~ ";

        private readonly string line;

        public Frame(string given)
        {
            IsPhrase = given.StartsWith(PhraseMark, StringComparison.Ordinal);
            line = IsPhrase ? given[PhraseMark.Length..] : given;
            Slots =
            [
                .. InBraces()
                    .Matches(line)
                    .Select(m => m.Groups[1].Value)
                    .Select(s => new Slot(s.TrimEnd('+', '='), s.EndsWith('+'), s.EndsWith('='))),
            ];
            Words =
            [
                .. InBraces()
                    .Replace(line, "")
                    .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                    .Select(w => w.Trim('.', '?', ','))
                    .Where(w => w.Length > 0 && w is not ("a" or "A")),
            ];
        }

        public bool IsPhrase { get; }

        /// <summary>True where a slot follows a comma; Yes, the cat is here has none.</summary>
        public bool IsList => line.Contains(", {", StringComparison.Ordinal);

        public ImmutableArray<Slot> Slots { get; }

        /// <summary>Its own words; not the article, which follows from the word after it.</summary>
        public ImmutableArray<string> Words { get; }

        public string With(string[] chosen)
        {
            var at = 0;
            var words = InBraces().Replace(line, _ => chosen[at++]).Split(' ');
            for (var i = 0; i + 1 < words.Length; i++)
            {
                if (words[i] is "a" or "A" && StartsWithVowel(words[i + 1]))
                    words[i] += "n";
            }
            return string.Join(' ', words);
        }

        private static bool StartsWithVowel(string word) =>
            word[0] is 'a' or 'e' or 'i' or 'o' or 'u' && !word.StartsWith("uni", StringComparison.Ordinal);

        [GeneratedRegex(@"\{([a-z]+[+=]?)\}")]
        private static partial Regex InBraces();
    }
}

using System.Collections.Frozen;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.MadeUp;

/// <summary>What a string of sounds would remind listeners of.</summary>
internal enum HeardAs
{
    Nothing,
    Word,
    Name,
    Unsuitable,
}

/// <summary>
/// The sounds of all words and names in one accent, to know what a made-up word sounds like. Source: docs/handbook.md,
/// section 7 (Made-up words).
/// </summary>
internal sealed class KnownSounds
{
    private const double RarestHeard = 2.2;
    private const int ShortestContained = 4;

    private readonly FrozenDictionary<string, HeardAs> heard;
    private readonly string[][] rude;
    private readonly string[] rudeLetters;
    private readonly string[] unsuitableLetters;

    /// <param name="otherSounds">What words that the lexicon lacks would sound like (<see cref="HeardOf"/>).</param>
    public KnownSounds(Lexicon lexicon, Accent accent, IEnumerable<string> otherSounds)
    {
        var known = new Dictionary<string, HeardAs>(StringComparer.Ordinal);
        foreach (var name in lexicon.Names)
            known[Lexicon.SoundsIn(accent, name)] = HeardAs.Name;
        foreach (var word in lexicon.Words)
        {
            foreach (var reading in word.Also.Select(a => word.Changed(word.Suitability, a)).Prepend(word))
            {
                var sounds = Lexicon.SoundsIn(accent, reading);
                if (word.Suitability == Suitability.Never)
                    known[sounds] = HeardAs.Unsuitable;
                else if (word.Zipf >= RarestHeard || word.IsKnown)
                    AddWord(known, reading, sounds);
            }
        }
        foreach (var spoken in otherSounds)
            known.TryAdd(spoken, HeardAs.Name);
        var giggles = lexicon
            .Words.Where(w => CrudeWords.Giggles.Contains(w.Spelling) || CrudeWords.Crude.Contains(w.Spelling))
            .Select(w => Lexicon.SoundsIn(accent, w));
        foreach (var giggle in giggles)
            known[giggle] = HeardAs.Unsuitable;
        heard = known.ToFrozenDictionary(StringComparer.Ordinal);
        rude =
        [
            .. lexicon
                .Words.Where(w => w.Flags.HasFlag(WordFlags.Rude))
                .Select(w => Lexicon.SoundsIn(accent, w).Split('+')),
        ];
        rudeLetters =
        [
            .. lexicon
                .Words.Where(w => w.Flags.HasFlag(WordFlags.Rude))
                .Select(w => w.Spelling)
                .Concat(CrudeWords.Crude)
                .Where(w => w.Length >= ShortestContained)
                .Distinct(),
        ];
        unsuitableLetters =
        [
            .. lexicon
                .Words.Where(w =>
                    w.Flags.HasFlag(WordFlags.Rude)
                    || (w.Suitability == Suitability.Never && w.Spelling.Length >= ShortestContained)
                )
                .Select(w => w.Spelling)
                .Concat(CrudeWords.Crude)
                .Distinct(),
        ];
    }

    /// <summary>
    /// The word, as those say it who say noo for new, and its plural and past, whether they are in the lexicon or not:
    /// hoad is hoed.
    /// </summary>
    private static void AddWord(Dictionary<string, HeardAs> known, Word word, string sounds)
    {
        known.TryAdd(sounds, HeardAs.Word);
        known.TryAdd(sounds.Replace("j+uː", "uː", StringComparison.Ordinal), HeardAs.Word);
        if (word.Suffix is not null)
            return;
        if (word.PartsOfSpeech.HasFlag(PartsOfSpeech.Verb))
            known.TryAdd($"{sounds}+{EndingSounds.OfEd(word.Segmentation)}", HeardAs.Word);
        if ((word.PartsOfSpeech & (PartsOfSpeech.Noun | PartsOfSpeech.Verb)) != 0)
            known.TryAdd($"{sounds}+{EndingSounds.OfS(word.Segmentation)}", HeardAs.Word);
    }

    /// <param name="sounds">Joined by "+".</param>
    public HeardAs Of(string sounds)
    {
        var found = heard.GetValueOrDefault(sounds);
        return found != HeardAs.Unsuitable && IsNearRude(sounds.Split('+')) ? HeardAs.Unsuitable : found;
    }

    /// <summary>True when the letters have an unsuitable word in them, or are a letter from a rude one.</summary>
    public bool HasUnsuitable(string letters) =>
        unsuitableLetters.Any(u => letters.Contains(u, StringComparison.Ordinal))
        || rudeLetters.Any(r => IsOneFrom<char>(letters, r, (_, _) => true));

    /// <summary>True for sounds that have those of a rude word in them, or are at most one sound from them.</summary>
    private bool IsNearRude(string[] sounds) =>
        rude.Any(r => Contains(sounds, r) || IsOneFrom<string>(sounds, r, MixedSounds.Are));

    private static bool Contains(ReadOnlySpan<string> sounds, ReadOnlySpan<string> part)
    {
        for (var at = 0; at + part.Length <= sounds.Length; at++)
        {
            if (sounds.Slice(at, part.Length).SequenceEqual(part))
                return true;
        }
        return false;
    }

    /// <param name="mayStartAlike">Another first sound makes a rhyme, not a slip, unless the two are alike: vock is
    /// fine, but not v for f.</param>
    private static bool IsOneFrom<T>(ReadOnlySpan<T> one, ReadOnlySpan<T> other, Func<T, T, bool> mayStartAlike)
        where T : IEquatable<T>
    {
        if (Math.Abs(one.Length - other.Length) > 1)
            return false;
        var start = one.CommonPrefixLength(other);
        var end = 0;
        while (end < Math.Min(one.Length, other.Length) - start && one[^(end + 1)].Equals(other[^(end + 1)]))
            end++;
        return Math.Max(one.Length, other.Length) - start - end <= 1
            && !(start == 0 && one.Length == other.Length && one.Length > 0 && !mayStartAlike(one[0], other[0]));
    }
}

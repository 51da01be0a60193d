using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Activities.MadeUp;

/// <summary>Why letters won't do as a made-up word; the first that applies.</summary>
public enum MadeUpReason
{
    None,

    /// <summary>Two to fourteen letters from a to z, with a vowel among them.</summary>
    NotLetters,

    /// <summary>It has an unsuitable word in it, sounds like one, or is one sound from it.</summary>
    Unsuitable,
    RealWord,
    Name,

    /// <summary>It ends like a word with -ed or -s.</summary>
    LooksSuffixed,

    /// <summary>It can't be read with what was taught.</summary>
    NotTaught,

    /// <summary>It sounds like a real word.</summary>
    SoundsLikeWord,

    /// <summary>English has no word that is built so.</summary>
    NotEnglish,

    /// <summary>It could be read in two ways with what was taught.</summary>
    TwoReadings,
}

/// <summary>A candidate, judged.</summary>
/// <param name="Reading">The one reading of a word that will do; else a reading it could have, or null.</param>
public sealed record JudgedMadeUp(string Candidate, MadeUpReason Reason, Segmentation? Reading)
{
    public bool WillDo => Reason == MadeUpReason.None;
}

/// <summary>
/// Says whether letters will do as a made-up word for children who were taught something, and if not, why. Without a
/// word on what was taught, each common grapheme has its likeliest sound. Source: docs/handbook.md, section 7 (Made-up
/// words).
/// </summary>
public sealed class MadeUpJudge
{
    private static readonly ConditionalWeakTable<Lexicon, ConcurrentDictionary<Accent, Ground>> Grounds = [];

    private const int LongEnoughToMisread = 6;

    private readonly Lexicon lexicon;
    private readonly Accent accent;
    private readonly KnownSounds known;

    /// <summary>The other accents: children of one class hear several, and laff is laugh in some.</summary>
    private readonly (Accent Accent, KnownSounds Known)[] elsewhere;
    private readonly Derivation derivation;
    private readonly SpellingReader taughtReader;
    private readonly SpellingReader usualReader;

    /// <summary>What is the same for all that is taught: made once for a lexicon and an accent.</summary>
    private sealed record Ground(KnownSounds Known, WordShapes Shapes, SpellingReader Usual);

    /// <param name="taught">Null to judge by the likeliest sound of each grapheme.</param>
    public MadeUpJudge(Lexicon lexicon, Taught? taught, Accent accent)
    {
        (this.lexicon, this.accent) = (lexicon, accent);
        // What words sound like is the same for every school; what a school bans or cuts otherwise is found by its
        // letters.
        var shipped = lexicon.Shipped;
        Ground Of(Accent of) =>
            Grounds
                .GetOrCreateValue(shipped)
                .GetOrAdd(of, a =>
                {
                    var usual = new SpellingReader(LikeliestSounds(shipped).Contains);
                    var shapes = new WordShapes(shipped);
                    return new Ground(
                        new KnownSounds(
                            shipped,
                            a,
                            HeardOf
                                .Words.SelectMany(w => usual.Read(w).Where(shapes.Allow).Take(1))
                                .Select(r => Sounds(r, a))
                        ),
                        shapes,
                        usual
                    );
                });
        (known, Shapes, usualReader) = Of(accent);
        elsewhere = [.. Accent.All.Where(a => a != accent).Select(a => (a, Of(a).Known))];
        derivation = new Derivation(lexicon.Find);
        taughtReader = taught is null ? usualReader : new SpellingReader(c => c.IsRegular && taught.Covers(c));
    }

    internal WordShapes Shapes { get; }

    public JudgedMadeUp Judge(string candidate)
    {
        var letters = WordFinder.Plain(candidate.Trim());
        if (
            letters.Length is < 2 or > SpellingReader.LongestWord
            || letters.AsSpan().ContainsAnyExceptInRange('a', 'z')
        )
            return new JudgedMadeUp(candidate, MadeUpReason.NotLetters, null);
        var readings = FewestSyllables(taughtReader.Read(letters).Where(r => r.Syllables > 0));
        var sayable = readings.Where(Shapes.Allow).ToList();
        var reading =
            sayable.Count > 0 ? sayable[0]
            : readings.Count > 0 ? readings[0]
            : null;
        return new JudgedMadeUp(candidate, Reason(letters, readings, sayable), reading);
    }

    /// <summary>Readers take letters together where they can: oi is one vowel, not two.</summary>
    private static List<Segmentation> FewestSyllables(IEnumerable<Segmentation> readings) =>
        readings.GroupBy(r => r.Syllables).MinBy(g => g.Key)?.ToList() ?? [];

    private MadeUpReason Reason(string letters, List<Segmentation> readings, List<Segmentation> sayable)
    {
        if (lexicon.Find(letters) is { } word)
            return word.Suitability == Suitability.Never ? MadeUpReason.Unsuitable : MadeUpReason.RealWord;
        if (known.HasUnsuitable(letters))
            return MadeUpReason.Unsuitable;
        if (lexicon.FindName(letters) is not null)
            return MadeUpReason.Name;
        if (derivation.Of(letters) is { Suffix: not null })
            return MadeUpReason.RealWord;
        if (letters.Length >= LongEnoughToMisread && IsALetterShortOf(letters))
            return MadeUpReason.SoundsLikeWord;
        if (LooksSuffixed(letters))
            return MadeUpReason.LooksSuffixed;
        var usual = usualReader.Read(letters);
        var heard = (sayable.Count > 0 ? sayable : [.. readings, .. usual]).SelectMany(HeardIn).ToList();
        if (heard.Contains(HeardAs.Unsuitable))
            return readings.Count > 0 && heard.Contains(HeardAs.Word)
                ? MadeUpReason.SoundsLikeWord
                : MadeUpReason.Unsuitable;
        if (readings.Count == 0)
            return usual.Count > 0 && usual.Any(Shapes.Allow) ? MadeUpReason.NotTaught : MadeUpReason.NotEnglish;
        if (heard.Contains(HeardAs.Word))
            return MadeUpReason.SoundsLikeWord;
        if (HeardOf.Words.Contains(letters) || heard.Contains(HeardAs.Name))
            return MadeUpReason.Name;
        if (sayable.Count == 0 || sayable.TrueForAll(LooksWrong))
            return MadeUpReason.NotEnglish;
        return HasTwoReadings(sayable) ? MadeUpReason.TwoReadings : MadeUpReason.None;
    }

    /// <summary>
    /// What a reading would remind listeners of: in the school's accent, in the others, and as many children say it
    /// (fing for thing).
    /// </summary>
    private IEnumerable<HeardAs> HeardIn(Segmentation reading)
    {
        var own = Sounds(reading, accent);
        yield return known.Of(own);
        foreach (var (from, to) in ChildrenSay)
        {
            if (
                own.Contains(from, StringComparison.Ordinal)
                && known.Of(own.Replace(from, to, StringComparison.Ordinal)) == HeardAs.Word
            )
                yield return HeardAs.Word;
        }
        foreach (var (other, sounds) in elsewhere)
            yield return sounds.Of(Sounds(reading, other));
    }

    private static readonly (string From, string To)[] ChildrenSay = [("f", "θ"), ("v", "ð"), ("d", "ð")];

    /// <summary>
    /// Letters that children would learn wrongly from: a double that English ends no word with but for a few, ph and
    /// other rare spellings at the start.
    /// </summary>
    private static bool LooksWrong(Segmentation reading) =>
        reading.Parts[^1].Grapheme.Text is "bb" or "dd" or "gg" or "mm" or "nn" or "pp" or "rr" or "tt"
        || reading
            .Parts.Where(
                (p, i) =>
                    p.Notation is "g=g"
                    && i + 1 < reading.Parts.Length
                    && reading.Parts[i + 1].Grapheme.Text[0] is 'e' or 'i' or 'y'
            )
            .Any() // gid or jid?
        || reading.Parts.Any(p => p.Grapheme.Text == "ph")
        || reading.Parts[0].Grapheme.Text is "kn" or "wr" or "gn" or "wh" or "rh" or "ps";

    /// <summary>Voiced or unvoiced th is one reading to a listener.</summary>
    private bool HasTwoReadings(List<Segmentation> readings)
    {
        if (readings.Exists(IsAAfterW))
            return true;
        return readings.Select(r => Sounds(r, accent).Replace('ð', 'θ')).Distinct().Count() > 1;
    }

    /// <summary>a after w, wh or qu says ɒ in most words, whatever was taught.</summary>
    private static bool IsAAfterW(Segmentation reading)
    {
        for (var i = 1; i < reading.Parts.Length; i++)
        {
            if (reading.Parts[i].Grapheme.Text == "a" && reading.Parts[i - 1].Grapheme.Text is "w" or "wh" or "qu")
                return true;
        }
        return false;
    }

    private static string Sounds(Segmentation reading, Accent accent) =>
        Lexicon.SoundsIn(accent, new Word(reading.Rejoin(), reading, 0, Suitability.Use, WordFlags.None, null));

    /// <summary>stright: a known word with a letter left out, which a child would take for it.</summary>
    private bool IsALetterShortOf(string letters) =>
        Enumerable
            .Range(1, letters.Length - 1)
            .Any(at => "aeiouhlr".Any(l => lexicon.Find(letters[..at] + l + letters[at..]) is { IsKnown: true }));

    /// <summary>jopped, vabs: a reader would look for a base.</summary>
    private static bool LooksSuffixed(string letters) =>
        (
            letters.Length > 3
            && letters.EndsWith("ed", StringComparison.Ordinal)
            && letters[^3] is not ('e' or 'a' or 'r')
        ) || (letters.Length > 3 && letters[^1] == 's' && !"aeiouys".Contains(letters[^2], StringComparison.Ordinal));

    /// <summary>
    /// For each common grapheme the sound it most often has in words of one syllable: at their start, inside, and at
    /// their end.
    /// </summary>
    private static HashSet<Correspondence> LikeliestSounds(Lexicon lexicon)
    {
        var counts = new Dictionary<(string Grapheme, Place Place), Dictionary<Correspondence, int>>();
        foreach (var word in lexicon.ForLessons.Where(w => w.Segmentation.Syllables == 1 && w.Suffix is null))
        {
            var parts = word.Segmentation.Parts;
            for (var i = 0; i < parts.Length; i++)
            {
                if (!parts[i].IsRegular)
                    continue;
                var key = (parts[i].Grapheme.Text, Places.Of(i, parts.Length));
                if (!counts.TryGetValue(key, out var sounds))
                    counts[key] = sounds = [];
                sounds[parts[i]] = sounds.GetValueOrDefault(parts[i]) + 1;
            }
        }
        var likeliest = counts.Select(c => c.Value.MaxBy(s => (s.Value, -s.Key.Index)).Key).ToHashSet();
        // Of a grapheme whose places differ (ow in owl and snow), what it says in most words counts; y is a consonant
        // at the start, and n is ŋ before k; longer words have doubles and le.
        foreach (var same in likeliest.GroupBy(c => c.Grapheme.Text).Where(g => g.Count() > 1 && g.Key != "y").ToList())
        {
            var all = same.ToDictionary(
                c => c,
                c => counts.Where(k => k.Key.Grapheme == same.Key).Sum(k => k.Value.GetValueOrDefault(c))
            );
            likeliest.ExceptWith(same.Where(c => c != all.MaxBy(a => (a.Value, -a.Key.Index)).Key));
        }
        likeliest.UnionWith([
            Correspondence.Parse("n=ŋ"),
            Correspondence.Parse("le=ə+l"),
            .. Correspondence.All.Where(c =>
                c.IsRegular && c.Grapheme.Kind == GraphemeKind.Double && c.SoundText == c.Grapheme.Text[..1]
            ),
        ]);
        return likeliest;
    }
}

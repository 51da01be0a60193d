using System.Collections.Immutable;
using System.Text;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Makes data/lexicon from the open sources and the hand work. The same inputs give the same bytes. Source:
/// docs/data.md.
/// </summary>
public sealed class LexiconBuilder(WordSources sources, HandWork hand)
{
    /// <summary>How many words teach the aligner its costs, and how often.</summary>
    private const int LearningWords = 20_000;
    private const int LearningRounds = 4;

    /// <summary>Uses in the source from which a word needs no dictionary to have been heard of.</summary>
    private const int OftenHeard = 40;
    private const int ShortestHeard = 3;
    private const int LongestHeard = 6;

    /// <summary>How much cheaper a later reading of the source must be to win.</summary>
    private const double LaterReading = 4.0;

    /// <summary>Shorter words of the dictionary are seldom what -ed is added to.</summary>
    private const int ShortestBase = 4;

    /// <summary>Words without a count in the source: as common as their kind of word is.</summary>
    private static readonly Dictionary<string, double> UsualZipf = new()
    {
        ["contraction"] = 5.5,
        ["capital"] = 4.5,
        ["child"] = 3.2,
        ["british"] = 3.0,
        ["name"] = 3.5,
    };

    private readonly long total = sources.Counts.Values.Sum();

    /// <summary>Rows of hand work that the last build could make nothing of, with file and line.</summary>
    public IReadOnlyList<string> Complaints { get; private set; } = [];

    /// <summary>All words and names, by spelling.</summary>
    public IReadOnlyList<Word> Build()
    {
        var candidates = new Candidates(sources, hand).ToList();
        var known = candidates.Select(c => c.Spelling).ToHashSet(StringComparer.Ordinal);
        var aligner = Learned(candidates, known);

        var aligned = new Dictionary<string, Segmentation>(StringComparer.Ordinal);
        foreach (var candidate in candidates)
        {
            if ((Settled(candidate.Spelling) ?? Align(aligner, candidate)) is { } found)
                aligned[candidate.Spelling] = found;
        }
        var suffixes = new SuffixFinder(known.Contains, sources, hand);
        var built = new BuiltWords(aligned, suffixes, hand);
        var compounds = new CompoundFinder(built.Of, sources.Counts, hand.NotCompound);
        var words = candidates
            .Where(c => aligned.ContainsKey(c.Spelling))
            .ToDictionary(
                c => c.Spelling,
                c => ToWord(c, built.Of(c.Spelling)!, built.LinkOf(c.Spelling), compounds.Find(c.Spelling)),
                StringComparer.Ordinal
            );
        foreach (var word in Derived(candidates, words, suffixes))
            words[word.Spelling] = word;
        foreach (
            var (spelling, american) in words
                .Values.Where(w => !hand.American.ContainsKey(w.Spelling))
                .Select(w => (w.Spelling, Sounds: LikeItsBase(w, words)))
                .Where(w => w.Sounds is not null)
                .ToList()
        )
        {
            words[spelling] = words[spelling].SaidInAmerica(american!.Value);
        }
        List<Word> all =
        [
            .. words
                .Values.Concat(hand.Names.Select(n => ToName(n, aligner)).OfType<Word>())
                .OrderBy(w => w.Spelling, StringComparer.Ordinal),
        ];
        Complaints = [.. HandCheck.Complaints(hand, all.ToDictionary(w => w.Spelling, StringComparer.Ordinal))];
        return all;
    }

    /// <summary>The spellings of the words that British readers use, commonest first.</summary>
    public IReadOnlyList<string> Ranked() =>
        [
            .. new Candidates(sources, hand)
                .Where(c => c.Pronunciations.Length > 0 && !c.Flags.HasFlag(WordFlags.AmericanOnly))
                .Select(c => c.Spelling),
        ];

    /// <summary>
    /// Short words and names that people have heard of and the lexicon lacks (data/inventory/heard-of.tsv): nothing
    /// made up may be one of them.
    /// </summary>
    public string HeardOf(IEnumerable<Word> words)
    {
        var known = words.Select(w => w.Spelling.ToLowerInvariant()).ToHashSet(StringComparer.Ordinal);
        bool Counts(string word) =>
            word.Length is >= ShortestHeard and <= LongestHeard
            && word.All(char.IsAsciiLetterLower)
            && !known.Contains(word);
        var heard = sources
            .Counts.Where(c => c.Value >= OftenHeard)
            .Select(c => c.Key)
            .Concat(sources.British.Words)
            .Concat(sources.American.Words)
            .Concat(
                sources
                    .Pronunciations.Where(p => p.Key.Length > ShortestHeard && p.Value[0].Count(char.IsAsciiDigit) == 1)
                    .Select(p => p.Key)
            )
            .Where(Counts);
        return heard
            .Concat(hand.Dropped.Where(d => d.Length is >= ShortestHeard and <= LongestHeard))
            .Concat(hand.HeardOf)
            .Distinct()
            .Order(StringComparer.Ordinal)
            .Aggregate(new StringBuilder("word\n"), (text, w) => text.Append(w).Append('\n'))
            .ToString();
    }

    /// <summary>The file for each first letter, and one for names: name and content.</summary>
    public static IEnumerable<(string Name, string Content)> Shards(IEnumerable<Word> words) =>
        words
            .GroupBy(w => char.IsUpper(w.Spelling[0]) ? "names" : w.Spelling[..1])
            .Select(g =>
                (
                    $"{g.Key}.tsv",
                    g.Aggregate(new StringBuilder(LexiconRow.Header).Append('\n'), (text, w) =>
                            text.Append(LexiconRow.Write(w)).Append('\n')
                        )
                        .ToString()
                )
            );

    private Segmentation? Settled(string spelling) =>
        hand.Overrides.GetValueOrDefault(spelling) ?? hand.Extra.GetValueOrDefault(spelling)?.Segmentation;

    private Aligner Learned(IReadOnlyList<Candidate> candidates, HashSet<string> known)
    {
        var model = new AmericanModel(
            known.Contains,
            w => known.Contains(w) || (w.Length >= ShortestBase && sources.British.Contains(w)),
            hand.IsBath,
            sources.British.IsFormOf,
            hand.NotCompound.Contains
        );
        var aligner = new Aligner(model);
        for (var round = 0; round < LearningRounds; round++)
        {
            model.Learn([
                .. candidates
                    .Take(LearningWords)
                    .AsParallel()
                    .AsOrdered()
                    .Select(c => Align(aligner, c))
                    .OfType<Segmentation>(),
            ]);
        }
        return aligner;
    }

    /// <summary>
    /// The cheapest alignment over the word's pronunciations; an earlier one wins unless a later one is clearly
    /// cheaper.
    /// </summary>
    private static Segmentation? Align(Aligner aligner, Candidate candidate) =>
        candidate
            .Pronunciations.Select((phones, place) => (Found: aligner.Align(candidate.Spelling, phones), Place: place))
            .Where(a => a.Found is not null)
            .OrderBy(a => a.Found!.Value.Cost + (LaterReading * a.Place))
            .Select(a => a.Found!.Value.Segmentation)
            .FirstOrDefault();

    /// <summary>Words without a pronunciation of their own that are made from words that have one.</summary>
    private IEnumerable<Word> Derived(
        IEnumerable<Candidate> candidates,
        Dictionary<string, Word> words,
        SuffixFinder suffixes
    )
    {
        var derivation = new Derivation(words.GetValueOrDefault, suffixes.Find);
        // solder is said as sold with -er, though it isn't made of them
        var byLetters = new Derivation(words.GetValueOrDefault);
        foreach (
            var candidate in candidates
                .Where(c => !words.ContainsKey(c.Spelling))
                .OrderBy(c => c.Spelling.Length)
                .ToList()
        ) // a base before what is made of it
        {
            if (derivation.Of(candidate.Spelling) is { } made)
                yield return ToWord(
                    candidate,
                    made.Segmentation,
                    hand.Bases.TryGetValue(candidate.Spelling, out var stem) && stem.Length == 0 ? null : made.Suffix,
                    made.Compound
                );
            else if (byLetters.Of(candidate.Spelling) is { } looksMade)
                yield return ToWord(candidate, looksMade.Segmentation, null, []);
        }
    }

    private Word ToWord(
        Candidate candidate,
        Segmentation segmentation,
        SuffixLink? suffix,
        ImmutableArray<string> compound
    )
    {
        var spelling = candidate.Spelling;
        var read = hand.Review.GetValueOrDefault(spelling);
        var flags =
            candidate.Flags
            | hand.Flags.GetValueOrDefault(spelling)
            | (read is null ? WordFlags.None : WordFlags.Reviewed);
        if (hand.IsBath(spelling) && segmentation.Parts.Any(p => p.Notation is "a=ɑː" or "au=ɑː"))
            flags |= WordFlags.Bath;
        if (candidate.Pronunciations.Any(p => AmericanSounds.IsCloth(segmentation, p)))
            flags |= WordFlags.Cloth;
        ImmutableArray<Segmentation> also = [.. hand.Also[spelling].Where(a => a != segmentation)];
        var plain = new Word(
            spelling,
            segmentation,
            Zipf(candidate),
            SuitabilityOf(spelling, suffix, read),
            flags,
            suffix
        );
        return new Word(
            spelling: spelling,
            segmentation: segmentation,
            zipf: plain.Zipf,
            suitability: plain.Suitability,
            flags: flags,
            suffix: suffix,
            american: AmericanOf(plain, candidate)
        )
        {
            Band = read?.Band
                ?? (hand.Childhood.Contains(spelling) || candidate.Kind == "child" ? Band.Known : Band.Unread),
            PartsOfSpeech = sources.Classes(hand.FunctionWords).Of(spelling, suffix),
            Topics = TopicsOf(spelling, suffix),
            Compound = suffix is null && !hand.NotCompound.Contains(spelling) ? compound : [],
            Also = also,
        };
    }

    private Word? ToName(NameRow row, Aligner aligner)
    {
        var spoken = row.Spelling.ToLowerInvariant();
        var candidate = new Candidate(
            spoken,
            sources.Counts.GetValueOrDefault(spoken),
            [.. sources.Pronunciations.GetValueOrDefault(spoken, []).Select(AmericanPhones.Read)],
            row.Kind,
            "name"
        );
        var segmentation = row.Segmentation
            ?? hand.Overrides.GetValueOrDefault(row.Spelling)
            ?? Align(aligner, candidate);
        if (segmentation is null)
            return null;
        var flags = row.Kind | WordFlags.Capital | (hand.IsBath(spoken) ? WordFlags.Bath : WordFlags.None);
        var plain = new Word(row.Spelling, segmentation, Zipf(candidate), Suitability.Use, flags, null);
        return new Word(
            spelling: row.Spelling,
            segmentation: segmentation,
            zipf: plain.Zipf,
            suitability: Suitability.Use,
            flags: flags,
            suffix: null,
            american: AmericanOf(plain, candidate)
        )
        {
            PartsOfSpeech = PartsOfSpeech.Noun,
        };
    }

    private ImmutableArray<string> AmericanOf(Word word, Candidate candidate)
    {
        if (hand.American.TryGetValue(word.Spelling, out var given))
            return given is [""] ? default : [.. given];
        return candidate.Pronunciations.Length == 0 || word.Flags.HasFlag(WordFlags.Heteronym)
            ? default
            : AmericanSounds.Of(word, candidate.Pronunciations[0]);
    }

    /// <summary>
    /// What Americans say for a form: as for its base, and the ending by the accent's rule; null where that is so
    /// already, or the word is no form.
    /// </summary>
    private static ImmutableArray<string>? LikeItsBase(Word word, Dictionary<string, Word> words)
    {
        if (
            word.Suffix
                is not {
                    Suffix: Patterns.SuffixS
                        or Patterns.SuffixEs
                        or Patterns.SuffixEd
                        or Patterns.SuffixIng
                        or Patterns.SuffixEst
                } link
            || !words.TryGetValue(link.Base, out var stem)
            || stem.Required.Length + link.Parts != word.Required.Length
        )
            return null;
        if (stem.American.IsDefault)
            return word.American.IsDefault ? null : default(ImmutableArray<string>);
        return [.. stem.American, .. word.Required[^link.Parts..].Select(Accent.GeneralAmerican.Project)];
    }

    private double Zipf(Candidate candidate)
    {
        var usual = UsualZipf.GetValueOrDefault(candidate.Kind, 0);
        return candidate.Count == 0
            ? usual
            : Math.Max(
                candidate.Kind is "contraction" ? usual : 0,
                Math.Round(Math.Log10(candidate.Count * 1e9 / total), 2)
            );
    }

    private Suitability SuitabilityOf(string spelling, SuffixLink? suffix, Reading? read)
    {
        if (read is not null)
            return read.Suitability;
        foreach (var form in suffix is null ? [spelling] : new[] { spelling, suffix.Base })
        {
            if (hand.Bands.TryGetValue(form, out var reviewed))
                return reviewed;
            if (hand.Review.TryGetValue(form, out var known))
                return known.Suitability;
            if (sources.Swearing.Contains(form))
                return Suitability.Never;
            if ((hand.Topics.GetValueOrDefault(form) & ~(Topics.FamilyRoles | Topics.FestivalsAndMagic)) != Topics.None)
                return Suitability.Ask;
        }
        return
            Crude.Any(c => spelling.Contains(c, StringComparison.Ordinal))
            || (suffix is not null && hand.Flags.GetValueOrDefault(suffix.Base).HasFlag(WordFlags.Rude))
            ? Suitability.Never
            : Suitability.Use;
    }

    /// <summary>Letters that no harmless word has.</summary>
    private static readonly string[] Crude =
    [
        "fuck",
        "shit",
        "cunt",
        "bitch",
        "whore",
        "arsehole",
        "asshole",
        "bastard",
        "titties",
    ];

    private Topics TopicsOf(string spelling, SuffixLink? suffix) =>
        hand.Topics.GetValueOrDefault(spelling)
        | (suffix is null ? Topics.None : hand.Topics.GetValueOrDefault(suffix.Base));
}

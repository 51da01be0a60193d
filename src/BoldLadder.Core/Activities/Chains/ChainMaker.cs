using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Chains;

/// <summary>What is asked of a chain.</summary>
/// <param name="Length">How many words; a chain may come out shorter where there is no such chain.</param>
/// <param name="With">The correspondence to practise, as often as possible; several where an accent does not tell them
/// apart; empty for none.</param>
public sealed record ChainRequest(int Length, ImmutableArray<Correspondence> With, long Seed)
{
    /// <summary>Nobody needs a longer chain in one lesson.</summary>
    public const int Longest = 60;
}

/// <summary>One word of a made chain, and how it differs from the word before.</summary>
public sealed record ChainStep(Word Word, ChainChange? Change);

/// <summary>
/// Makes word chains: each step changes, adds or drops one grapheme, the place of change varies, no word and no sound
/// of a word comes twice. A beam search with a seed. Source: docs/handbook.md, section 7 (Chain).
/// </summary>
public sealed class ChainMaker
{
    /// <summary>
    /// Paths that are followed at once, and words to start from, for each word of the chain: a short one is found
    /// sooner.
    /// </summary>
    private const int BeamForEachWord = 6;
    private const int MostPaths = 48;
    private const int StartsForEachPath = 2;

    /// <summary>Ways to go on that are kept from each path.</summary>
    private const int MostHeirs = 6;

    private const double TargetWorth = 4;
    private const double NewPlaceWorth = 2;
    private const double OlderPlaceWorth = 0.7;
    private const double KnownWorth = 0.8;
    private const double Chance = 0.9;

    private readonly ChainGraph graph;
    private readonly string?[] sounds;
    private readonly Accent accent;

    /// <param name="taught">Every word is decodable by it.</param>
    /// <param name="rarestZipf">The floor of commonness; words known at five stand above any floor. Null for what
    /// lessons use.</param>
    public ChainMaker(Lexicon lexicon, Taught taught, double? rarestZipf = null)
        : this(
            (rarestZipf is null ? lexicon.ForLessons : lexicon.Words).Where(w =>
                MayStand(w, rarestZipf) && taught.CanRead(w)
            ),
            taught.Accent
        ) { }

    /// <summary>A maker over words that all can be read.</summary>
    public ChainMaker(IEnumerable<Word> words, Accent accent)
    {
        graph = new ChainGraph([.. words]);
        sounds = new string?[graph.Words.Count];
        this.accent = accent;
    }

    private sealed record Path(int Word, ChainChange? Change, double Score, int Length, Path? Before);

    /// <summary>A chain as long as asked, or as long as could be found; the words in order.</summary>
    public ImmutableArray<ChainStep> Make(ChainRequest request) => Make(request, []);

    /// <summary>
    /// Several short chains for reading line by line, without a word in two of them; fewer where there are no more.
    /// </summary>
    public ImmutableArray<ImmutableArray<ChainStep>> Lines(int lines, ChainRequest request)
    {
        var made = ImmutableArray.CreateBuilder<ImmutableArray<ChainStep>>();
        var used = new HashSet<string>(StringComparer.Ordinal);
        for (var line = 0; line < lines; line++)
        {
            var chain = Make(request with { Seed = unchecked(request.Seed + (line * 7919L)) }, used);
            if (chain.Length < 2)
                break;
            made.Add(chain);
            used.UnionWith(chain.Select(s => s.Word.Spelling));
        }
        return made.ToImmutable();
    }

    private ImmutableArray<ChainStep> Make(ChainRequest request, HashSet<string> without)
    {
        var length = Math.Clamp(request.Length, 1, ChainRequest.Longest);
        var random = Seeded.For(request.Seed, "chain");
        var with = CorrespondenceSet.Of(request.With);
        var isTarget = graph.Words.Select(w => w.ContainsAny(with)).ToArray();
        var may = graph.Words.Select(w => !without.Contains(w.Spelling)).ToArray();
        var starts = random.Shuffle(Enumerable.Range(0, graph.Words.Count).Where(i => may[i]));
        var paths = Math.Min(MostPaths, BeamForEachWord * length);
        var beam = starts
            .OrderBy(i => !isTarget[i])
            .Take(StartsForEachPath * paths)
            .Select(i => new Path(i, null, Worth(i), 1, null))
            .ToList();
        Path? best = beam.FirstOrDefault();
        while (beam.Count > 0 && best!.Length < length)
        {
            beam = Extended(beam);
            if (beam.Count > 0)
                best = beam[0];
        }
        return best is null ? [] : Unrolled(best);

        double Worth(int word) =>
            (isTarget[word] ? TargetWorth : 0)
            + (graph.Words[word].IsKnown ? KnownWorth : 0)
            + (Chance * random.Fraction());

        // The best few ways to go on from each path, then the best of all: one path's heirs must not fill the beam.
        List<Path> Extended(List<Path> before)
        {
            var (next, own) = (new List<Path>(), new List<Path>());
            foreach (var path in before)
            {
                own.Clear();
                foreach (var (word, change) in graph.From(path.Word))
                {
                    if (may[word] && !IsIn(path, word))
                        own.Add(
                            new Path(
                                word,
                                change,
                                path.Score + Worth(word) + Variety(path, change),
                                path.Length + 1,
                                path
                            )
                        );
                }
                own.Sort((one, other) => other.Score.CompareTo(one.Score));
                next.AddRange(own.Take(MostHeirs));
            }
            return [.. next.OrderByDescending(p => p.Score).DistinctBy(p => p.Word).Take(paths)];
        }
    }

    private static double Variety(Path path, ChainChange change)
    {
        if (path.Change is null)
            return NewPlaceWorth;
        return (path.Change == change ? 0 : NewPlaceWorth) + (path.Before?.Change == change ? 0 : OlderPlaceWorth);
    }

    /// <summary>True when the word, or one that sounds like it, is in the path.</summary>
    private bool IsIn(Path path, int word)
    {
        for (var at = path; at is not null; at = at.Before)
        {
            if (at.Word == word || SoundsOf(at.Word) == SoundsOf(word))
                return true;
        }
        return false;
    }

    private string SoundsOf(int word) => sounds[word] ??= Lexicon.SoundsIn(accent, graph.Words[word]);

    private ImmutableArray<ChainStep> Unrolled(Path path)
    {
        var steps = new List<ChainStep>();
        for (var at = path; at is not null; at = at.Before)
            steps.Add(new ChainStep(graph.Words[at.Word], at.Change));
        steps.Reverse();
        return [.. steps];
    }

    private static bool MayStand(Word word, double? rarestZipf) =>
        rarestZipf is { } floor
            ? word.Suitability == Suitability.Use
                && word.Band != Band.NotForChildren
                && !word.Flags.HasFlag(WordFlags.Heteronym)
                && word.Spelling.Length > 1
                && (word.IsKnown || word.Zipf >= floor)
            : word.IsForLessons;
}

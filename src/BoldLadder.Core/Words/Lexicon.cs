using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using BoldLadder.Core.Sounds;

namespace BoldLadder.Core.Words;

/// <summary>
/// All words there are, loaded once and shared; named by a hash of its content. A school's own words lie over it.
/// Source: docs/data.md.
/// </summary>
public sealed class Lexicon
{
    private readonly FrozenDictionary<string, Word> bySpelling;
    private readonly FrozenDictionary<string, FrozenDictionary<string, Word[]>> soundAlikes;

    public Lexicon(IEnumerable<Word> words, string hash)
    {
        Words = [.. words.OrderByDescending(w => w.Zipf).ThenBy(w => w.Spelling, StringComparer.Ordinal)];
        Hash = hash;
        bySpelling = Words.ToFrozenDictionary(w => w.Spelling, StringComparer.Ordinal);
        soundAlikes = Accent.All.ToFrozenDictionary(a => a.Id, a => Words.GroupBy(w => SoundsIn(a, w))
            .Where(g => g.Count() > 1).ToFrozenDictionary(g => g.Key, g => g.ToArray()));
    }

    /// <summary>Commonest first, then by ordinal.</summary>
    public ImmutableArray<Word> Words { get; }

    /// <summary>Twelve hexadecimal digits of the SHA-256 of the rows it was read from.</summary>
    public string Hash { get; }

    public Word? Find(string spelling) => bySpelling.GetValueOrDefault(spelling);

    /// <summary>Other words that sound the same in the accent.</summary>
    public IEnumerable<Word> Homophones(Word word, Accent accent) =>
        soundAlikes[accent.Id].GetValueOrDefault(SoundsIn(accent, word), []).Where(w => w != word);

    /// <summary>The sounds of a word in an accent as one comparable string.</summary>
    public static string SoundsIn(Accent accent, Word word) => string.Join('+', word.Required.Select(accent.Project));

    /// <summary>
    /// Reads the shards of data/lexicon, each with its header row.
    /// </summary>
    /// <exception cref="FormatException">A row can't be used; the message says which and why.</exception>
    public static Lexicon Read(IEnumerable<string> shards)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        var words = new List<Word>();
        foreach (var shard in shards)
        {
            hash.AppendData(Encoding.UTF8.GetBytes(shard));
            foreach (var row in shard.Split('\n', StringSplitOptions.RemoveEmptyEntries).Skip(1)) words.Add(LexiconRow.Read(row));
        }
        return new Lexicon(words, Convert.ToHexStringLower(hash.GetHashAndReset())[..12]);
    }
}

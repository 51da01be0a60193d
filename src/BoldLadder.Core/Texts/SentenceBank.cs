using System.Collections.Immutable;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>Captions and sentences of our own, with each word looked up once. Source: docs/handbook.md, section 7 (Sentences).</summary>
public sealed class SentenceBank
{
    private static readonly char[] Punctuation = ['.', ',', '?', '!'];

    /// <param name="lines">A caption or sentence each; lines with a word that is not in the lexicon are left out.</param>
    public SentenceBank(IEnumerable<string> lines, Lexicon lexicon)
    {
        Sentences = [.. lines.Where(l => l.Length > 0).Select(l => new Sentence(l, [.. Tokens(l).Select(t => (t, lexicon.Find(Plain(t))!))]))
            .Where(s => s.Tokens.All(t => t.Word is not null))];
    }

    public ImmutableArray<Sentence> Sentences { get; }

    /// <summary>The sentences whose every word is decodable or a taught tricky word.</summary>
    public IEnumerable<Sentence> Readable(Taught taught, IReadOnlySet<string> tricky) =>
        Sentences.Where(s => s.Tokens.All(t => taught.CanRead(t.Word) || tricky.Contains(t.Word.Spelling)));

    private static string[] Tokens(string line) => line.Split(' ');

    private static string Plain(string token) => token.Trim(Punctuation).ToLowerInvariant();
}

/// <summary>A caption or sentence: its words as written with the word of the lexicon each is.</summary>
public sealed record Sentence(string Text, ImmutableArray<(string Written, Word Word)> Tokens);

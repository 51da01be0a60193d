using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Activities.Crosswords;

/// <summary>What a cell of a crossword takes.</summary>
public enum CrosswordCells
{
    Letters,

    /// <summary>
    /// A box for each grapheme, as when spelling with boxes; words with a split digraph are left out.
    /// </summary>
    Graphemes,
}

/// <summary>
/// Finds the words that may go into a crossword for what was taught, each with a clue that fits the children: a
/// picture, or else a sentence of the bank that they can read, with the word left out. Source: docs/handbook.md,
/// sections 6 (Apply) and 7 (Sentences).
/// </summary>
/// <param name="pictures">Word → name of its picture.</param>
public sealed class CrosswordWords(
    Lexicon lexicon,
    SentenceBank sentences,
    IReadOnlyDictionary<string, string> pictures
)
{
    private const int ShortestSentence = 4;
    private const int FewestCells = 3;

    /// <summary>The words, those that children know first.</summary>
    /// <param name="tricky">Tricky words that children were taught: they may stand in a clue.</param>
    /// <param name="with">Which words; null for all.</param>
    /// <param name="mayBeClue">The sentences that may be clues; null for all that can be read.</param>
    public ImmutableArray<CrosswordWord> For(
        Taught taught,
        IReadOnlySet<string> tricky,
        CrosswordCells cells,
        Func<Word, bool>? with = null,
        Func<Sentence, bool>? mayBeClue = null
    )
    {
        var words = lexicon
            .ForLessonsWhere(taught.Accent, taught.ReadableOf, taught.CanRead)
            .Where(w => with?.Invoke(w) != false)
            .OrderByDescending(w => w.IsKnown)
            .ToList();
        var missing = Missing(
            sentences.Readable(taught, tricky).Where(mayBeClue ?? (_ => true)),
            words.Where(w => !pictures.ContainsKey(w.Spelling)).Select(w => w.Spelling).ToHashSet()
        );
        var found = ImmutableArray.CreateBuilder<CrosswordWord>();
        foreach (var word in words)
        {
            if (CellsOf(word, cells) is not { Length: >= FewestCells } own || ClueOf(word, missing) is not { } clue)
                continue;
            found.Add(new CrosswordWord(word.Spelling, own, clue));
        }
        return found.ToImmutable();
    }

    private CrosswordClue? ClueOf(Word word, Dictionary<string, CrosswordClue.MissingWord> missing) =>
        pictures.TryGetValue(word.Spelling, out var picture)
            ? new CrosswordClue.Picture(picture)
            : missing.GetValueOrDefault(word.Spelling);

    /// <summary>
    /// For each wanted word the longest sentence that has it once, since it points best; no two words have the same
    /// text round their gap.
    /// </summary>
    private static Dictionary<string, CrosswordClue.MissingWord> Missing(
        IEnumerable<Sentence> readable,
        HashSet<string> wanted
    )
    {
        var clues = new Dictionary<string, CrosswordClue.MissingWord>(StringComparer.Ordinal);
        var given = new HashSet<CrosswordClue.MissingWord>();
        foreach (
            var sentence in readable
                .Where(s => s.Tokens.Length >= ShortestSentence && s.Tokens.Any(t => wanted.Contains(t.Word.Spelling)))
                .OrderByDescending(s => s.Tokens.Length)
                .ThenBy(s => s.Text, StringComparer.Ordinal)
        )
        {
            for (var i = 1; i < sentence.Tokens.Length; i++)
            {
                var word = sentence.Tokens[i].Word;
                if (
                    !wanted.Contains(word.Spelling)
                    || clues.ContainsKey(word.Spelling)
                    || char.IsUpper(sentence.Tokens[i].Written[0])
                    || sentence.Tokens.Count(t => t.Word == word) > 1
                )
                    continue;
                if (WithGap(sentence, i) is var clue && given.Add(clue))
                    clues[word.Spelling] = clue;
            }
        }
        return clues;
    }

    private static CrosswordClue.MissingWord WithGap(Sentence sentence, int at)
    {
        var written = sentence.Tokens[at].Written;
        var end = Sentence.End(written);
        return new CrosswordClue.MissingWord(
            string.Join(' ', sentence.Tokens[..at].Select(t => t.Written)),
            end + string.Concat(sentence.Tokens[(at + 1)..].Select(t => " " + t.Written))
        );
    }

    private static ImmutableArray<string>? CellsOf(Word word, CrosswordCells cells) =>
        cells == CrosswordCells.Letters
            ? word.Spelling.All(char.IsAsciiLetterLower)
                ? [.. word.Spelling.Select(c => c.ToString())]
                : null
            : word.Segmentation.Parts.Any(p => p.Grapheme.IsSplit)
                ? null
                : [.. word.Segmentation.Parts.Select(p => p.Grapheme.Text)];
}

using System.Collections.Concurrent;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Alike;
using BoldLadder.Store;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.Schools;

/// <summary>
/// The words as the school of the request sees them: the shipped ones under its own layer. Of a school only the newest layer is kept.
/// </summary>
public sealed class SchoolLexicon(SchoolScope scope, WordData words, WorkCache cache)
{
    /// <summary>Roughly what a layered lexicon weighs, with what is worked out for it when lessons are planned.</summary>
    private const int Kilobytes = 40 * 1024;

    private LayeredWords? layered;

    public Lexicon Lexicon => Materials.Lexicon;

    public Materials Materials => Layered.Materials;

    public WordFinder Finder => Layered.Finder.Value;

    public WordsAlike Alike => Layered.Alike(scope.Accent);

    private LayeredWords Layered => layered ??= scope.Words.Count == 0
        ? cache.Of(nameof(SchoolLexicon), Kilobytes, () => new LayeredWords(words.Materials))
        : cache.Newest((nameof(SchoolLexicon), scope.School.SchoolId), State, Kilobytes, () => new LayeredWords(words.Materials.With(SchoolWords.Over(words.Lexicon, [.. scope.Words.Select(Layer)]))));

    private string State => string.Join('\n', scope.Words.OrderBy(w => w.Spelling, StringComparer.Ordinal).Select(w => $"{w.Spelling} {w.Verdict} {w.Graphemes} {w.Phonemes}"));

    private static SchoolWord Layer(StoredWord word) => new(word.Spelling, word.Verdict, word.Graphemes is null ? null : Segmentation.Parse(word.Graphemes, word.Phonemes), word.Reason);

    /// <summary>One layer, with what looking words up in it needs: kept and let go together.</summary>
    private sealed class LayeredWords(Materials materials)
    {
        private readonly ConcurrentDictionary<Accent, WordsAlike> alike = new();

        public Materials Materials => materials;

        public Lazy<WordFinder> Finder { get; } = new(() => new WordFinder(materials.Lexicon));

        public WordsAlike Alike(Accent accent) => alike.GetOrAdd(accent, a => new WordsAlike(materials.Lexicon, materials.Lexicon.ForLessons, a));
    }
}

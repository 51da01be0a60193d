using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.Extensions.Caching.Memory;

namespace BoldLadder.Web.Schools;

/// <summary>The words as the school of the request sees them: the shipped ones under its own layer. Made once for each state of the layer and kept.</summary>
public sealed class SchoolLexicon(SchoolScope scope, WordData words, IMemoryCache cache)
{
    private Materials? materials;

    public Lexicon Lexicon => Materials.Lexicon;

    public Materials Materials => materials ??= scope.Words.Count == 0 ? words.Materials : Made();

    private Materials Made()
    {
        var key = (nameof(SchoolLexicon), string.Join('\n', scope.Words.OrderBy(w => w.Spelling, StringComparer.Ordinal).Select(w => $"{w.Spelling} {w.Verdict} {w.Graphemes} {w.Phonemes}")));
        return cache.GetOrCreate(key, entry =>
        {
            entry.SlidingExpiration = TimeSpan.FromHours(1);
            return words.Materials.With(SchoolWords.Over(words.Lexicon, [.. scope.Words.Select(Layered)]));
        })!;
    }

    private static SchoolWord Layered(StoredWord word) => new(word.Spelling, word.Verdict, word.Graphemes is null ? null : Segmentation.Parse(word.Graphemes, word.Phonemes), word.Reason);
}

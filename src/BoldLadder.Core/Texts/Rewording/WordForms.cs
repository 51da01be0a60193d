using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>What form of its base a word is.</summary>
public enum WordForm
{
    /// <summary>The base itself: jump, cat, big.</summary>
    Base,

    /// <summary>Of a noun several, of a verb he, she or it: cats, jumps.</summary>
    S,
    Ing,
    Past,
    Participle,

    /// <summary>bigger.</summary>
    More,

    /// <summary>biggest.</summary>
    Most,
}

/// <summary>
/// Words with their bases and forms: the lexicon's own links, and those that have forms of their own
/// (data/sentences/forms.tsv). Source: docs/handbook.md, section 4 (Pattern).
/// </summary>
public sealed class WordForms
{
    private readonly Dictionary<(string Base, WordForm Form), string> forms = [];
    private readonly ILookup<string, (string Base, WordForm Form)> bases;

    /// <param name="rows">base, past, participle, plural, with tabs between; a cell may be empty.</param>
    public WordForms(IEnumerable<string> rows, Lexicon lexicon)
    {
        foreach (var cells in rows.Select(r => r.Split('\t')))
        {
            Add(cells[0], WordForm.Past, cells[1]);
            Add(cells[0], WordForm.Participle, cells[2]);
            Add(cells[0], WordForm.S, cells[3]);
        }
        foreach (var word in lexicon.Words)
        {
            if (word.Suffix is not { } link)
                continue;
            foreach (var form in FormsOf(link.Suffix))
                forms.TryAdd((link.Base, form), word.Spelling);
        }
        bases = forms.ToLookup(f => f.Value, f => f.Key, StringComparer.Ordinal);

        void Add(string word, WordForm form, string spelling)
        {
            if (spelling.Length > 0)
                forms[(word, form)] = spelling;
        }
    }

    /// <summary>The bases that a word is a form of, itself first.</summary>
    public IEnumerable<(string Base, WordForm Form)> Of(string word) => bases[word].Prepend((word, WordForm.Base));

    /// <summary>A form of a base; null where there is none.</summary>
    public string? Find(string word, WordForm form) =>
        form == WordForm.Base ? word : forms.GetValueOrDefault((word, form));

    private static ImmutableArray<WordForm> FormsOf(Patterns suffix) =>
        suffix switch
        {
            Patterns.SuffixS or Patterns.SuffixEs => [WordForm.S],
            Patterns.SuffixIng => [WordForm.Ing],
            Patterns.SuffixEd => [WordForm.Past, WordForm.Participle],
            Patterns.SuffixEr => [WordForm.More],
            Patterns.SuffixEst => [WordForm.Most],
            _ => [],
        };
}

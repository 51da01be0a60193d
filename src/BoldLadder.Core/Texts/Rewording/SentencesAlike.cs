using System.Collections.Frozen;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Texts.Making;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>
/// Made sentences that say something like one of a text: each has half of its words that tell something, at least two,
/// and none is another in other clothes. Source: docs/handbook.md, section 7 (Rewording).
/// </summary>
internal sealed class SentencesAlike(WordForms forms, SentenceMaker maker)
{
    private const int MostDrawn = 400;
    private const int FewestShared = 2;

    private const PartsOfSpeech Little =
        PartsOfSpeech.Pronoun | PartsOfSpeech.Determiner | PartsOfSpeech.Preposition | PartsOfSpeech.Conjunction;

    private static readonly FrozenSet<string> LittleVerbs = FrozenSet.ToFrozenSet([
        "be",
        "is",
        "am",
        "are",
        "was",
        "were",
        "have",
        "has",
        "had",
        "do",
        "did",
        "can",
        "will",
        "get",
        "got",
        "go",
        "went",
    ]);

    /// <summary>The most alike first.</summary>
    public List<string> Of(TextWords text, TextSentence sentence, WordJudge judge, int most, IReadOnlySet<string> avoid)
    {
        bool CanRead(Word word) =>
            !avoid.Contains(word.Spelling) && judge.CanRead(new WrittenWord(word.Spelling, false, [word]));
        var telling = text.WordsOf(sentence)
            .SelectMany(w => forms.Of(w.Plain))
            .Select(f => judge.Finder.Lexicon.Find(f.Base))
            .OfType<Word>()
            .Where(w => Tells(w) && CanRead(w))
            .Select(w => w.Spelling)
            .ToHashSet(StringComparer.Ordinal);
        var told = text.WordsOf(sentence)
            .Where(w => w.Word is { } word && Tells(word))
            .Select(w => w.Plain)
            .Distinct()
            .Count();
        if (telling.Count < FewestShared)
            return [];
        bool IsSaid(Word word) => forms.Of(word.Spelling).Any(f => telling.Contains(f.Base));
        var made = maker
            .Make(CanRead, IsSaid, Seeded.For(0, string.Join(' ', text.WordsOf(sentence).Select(w => w.Plain))))
            .Take(MostDrawn)
            .Where(s => !s.IsCaption)
            .Select(s => (Made: s, Alike: s.Tokens.Where(t => IsSaid(t.Word)).Select(t => t.Word).Distinct().Count()))
            .Where(s => s.Alike >= FewestShared && s.Alike * 2 >= told)
            .OrderByDescending(s => s.Alike)
            .ThenBy(s => s.Made.Text.Length);
        var chosen = new List<Sentence>();
        foreach (var (one, _) in made)
        {
            if (chosen.Count < most && !chosen.Exists(c => c.Words.IsLike(one.Words)))
                chosen.Add(one);
        }
        return [.. chosen.Select(c => c.Text)];
    }

    /// <summary>True for a word that tells something by itself: no little word.</summary>
    private static bool Tells(Word word) =>
        (word.PartsOfSpeech & (PartsOfSpeech.Noun | PartsOfSpeech.Verb)) != PartsOfSpeech.None
        && (word.PartsOfSpeech & (Little | PartsOfSpeech.Adverb)) == PartsOfSpeech.None
        && !LittleVerbs.Contains(word.Spelling);
}

using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>A share counted two ways, each 0 to 1; null where there is nothing to count.</summary>
/// <param name="InText">By running text: a word counts as often as it is said.</param>
/// <param name="InWords">By different words that may stand in a lesson.</param>
public sealed record CountedShare(double? InText, double? InWords);

/// <summary>How far a correspondence can be relied on.</summary>
/// <param name="ReadingReliability">How often its grapheme says its sound.</param>
/// <param name="SpellingShare">How often its sound is spelled with its grapheme.</param>
public sealed record CorrespondenceFacts(CountedShare ReadingReliability, CountedShare SpellingShare);

/// <summary>
/// The facts of every correspondence, counted over a lexicon as an accent sounds it. The two ways of counting can differ wildly: th is voiced
/// in most running text. Until the whole classroom core has been read, words for lessons stand for the words known to children.
/// Source: docs/handbook.md, section 4 (Correspondence).
/// </summary>
public sealed class CorrespondenceTable
{
    private readonly Accent accent;
    private readonly Tally text = new();
    private readonly Tally words = new();

    /// <param name="leaveOut">Words that are not counted: those learned whole as tricky words; null to count all.</param>
    public CorrespondenceTable(Lexicon lexicon, Accent accent, IReadOnlySet<string>? leaveOut = null)
    {
        this.accent = accent;
        var foreign = accent.SoundsR ? WordFlags.BritishOnly : WordFlags.AmericanOnly;
        foreach (var word in lexicon.Words.Where(w => !w.Flags.HasFlag(foreign) && leaveOut?.Contains(w.Spelling) != true))
        {
            var weight = Math.Pow(10, word.Zipf);
            foreach (var part in word.NeedsIn(accent).Parts)
            {
                text.Add(part, accent, weight);
                if (word.IsForLessons) words.Add(part, accent, 1);
            }
        }
    }

    public CorrespondenceFacts Of(Correspondence correspondence)
    {
        var (letters, sounds) = (correspondence.Grapheme.Text, accent.Project(correspondence));
        return new CorrespondenceFacts(
            new CountedShare(text.OfLetters(letters, sounds), words.OfLetters(letters, sounds)),
            new CountedShare(text.OfSounds(letters, sounds), words.OfSounds(letters, sounds)));
    }

    private sealed class Tally
    {
        private readonly Dictionary<string, double> byLetters = [];
        private readonly Dictionary<string, double> bySounds = [];
        private readonly Dictionary<(string, string), double> byBoth = [];

        public void Add(Correspondence part, Accent accent, double weight)
        {
            var (letters, sounds) = (part.Grapheme.Text, accent.Project(part));
            byLetters[letters] = byLetters.GetValueOrDefault(letters) + weight;
            bySounds[sounds] = bySounds.GetValueOrDefault(sounds) + weight;
            byBoth[(letters, sounds)] = byBoth.GetValueOrDefault((letters, sounds)) + weight;
        }

        public double? OfLetters(string letters, string sounds) => Share(byBoth.GetValueOrDefault((letters, sounds)), byLetters.GetValueOrDefault(letters));

        public double? OfSounds(string letters, string sounds) => Share(byBoth.GetValueOrDefault((letters, sounds)), bySounds.GetValueOrDefault(sounds));

        private static double? Share(double part, double whole) => whole == 0 ? null : part / whole;
    }
}

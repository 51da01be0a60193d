using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words.Facts;

/// <summary>A share counted two ways, each 0 to 1; null where there is nothing to count.</summary>
/// <param name="InText">By running text: a word counts as often as it is said.</param>
/// <param name="InWords">By different words that most children know at five.</param>
public sealed record CountedShare(double? InText, double? InWords);

/// <summary>How far a correspondence can be relied on.</summary>
/// <param name="ReadingReliability">How often its grapheme says its sound.</param>
/// <param name="SpellingShare">How often its sound is spelled with its grapheme.</param>
public sealed record CorrespondenceFacts(CountedShare ReadingReliability, CountedShare SpellingShare);

/// <summary>In what a correspondence stands at the start, inside or at the end.</summary>
public enum PlaceIn
{
    Word,

    /// <summary>The word without its suffix.</summary>
    Base,
    Syllable,
}

/// <summary>Where a correspondence usually stands; the three shares of each way of counting add up to 1.</summary>
public sealed record UsualPlaces(CountedShare Start, CountedShare Middle, CountedShare End);

/// <summary>
/// The facts of every correspondence, counted over a lexicon as an accent sounds it. The two ways of counting can
/// differ wildly: th is voiced in most running text. Source: docs/handbook.md, section 4 (Correspondence).
/// </summary>
public sealed class CorrespondenceTable
{
    private readonly Accent accent;
    private readonly Tally text = new();
    private readonly Tally words = new();

    /// <param name="leaveOut">Words that are not counted: those learned whole as tricky words; null to count
    /// all.</param>
    public CorrespondenceTable(Lexicon lexicon, Accent accent, IReadOnlySet<string>? leaveOut = null)
    {
        this.accent = accent;
        foreach (var word in Counted(lexicon, accent, leaveOut))
        {
            foreach (var sited in SitedPart.Of(word, accent))
            {
                text.Add(sited, accent, Weight(word));
                if (word.IsKnown)
                    words.Add(sited, accent, 1);
            }
        }
    }

    public CorrespondenceFacts Of(Correspondence correspondence)
    {
        var (letters, sounds) = (correspondence.Grapheme.Text, accent.Project(correspondence));
        return new CorrespondenceFacts(
            new CountedShare(text.OfLetters(letters, sounds), words.OfLetters(letters, sounds)),
            new CountedShare(text.OfSounds(letters, sounds), words.OfSounds(letters, sounds))
        );
    }

    public UsualPlaces Places(Correspondence correspondence, PlaceIn where)
    {
        CountedShare Share(Place place) =>
            new(
                text.At(correspondence.Grapheme.Text, accent.Project(correspondence), where, place),
                words.At(correspondence.Grapheme.Text, accent.Project(correspondence), where, place)
            );
        return new UsualPlaces(Share(Place.Start), Share(Place.Middle), Share(Place.End));
    }

    /// <summary>How often a word is said in running text, against others.</summary>
    internal static double Weight(Word word) => Math.Pow(10, word.Zipf);

    /// <summary>The words that are counted in an accent: without other countries' spellings.</summary>
    internal static IEnumerable<Word> Counted(Lexicon lexicon, Accent accent, IReadOnlySet<string>? leaveOut)
    {
        var foreign = accent.SoundsR ? WordFlags.BritishOnly : WordFlags.AmericanOnly;
        return lexicon.Words.Where(w => !w.Flags.HasFlag(foreign) && leaveOut?.Contains(w.Spelling) != true);
    }

    private sealed class Tally
    {
        private readonly Dictionary<string, double> byLetters = [];
        private readonly Dictionary<string, double> bySounds = [];
        private readonly Dictionary<(string, string), double> byBoth = [];
        private readonly Dictionary<(string, string, PlaceIn, Place), double> byPlace = [];

        public void Add(SitedPart sited, Accent accent, double weight)
        {
            var (letters, sounds) = (sited.Part.Grapheme.Text, accent.Project(sited.Part));
            byLetters[letters] = byLetters.GetValueOrDefault(letters) + weight;
            bySounds[sounds] = bySounds.GetValueOrDefault(sounds) + weight;
            byBoth[(letters, sounds)] = byBoth.GetValueOrDefault((letters, sounds)) + weight;
            AddPlace(PlaceIn.Word, sited.InWord);
            AddPlace(PlaceIn.Base, sited.InBase);
            AddPlace(PlaceIn.Syllable, sited.InSyllable);

            void AddPlace(PlaceIn where, Place? place)
            {
                if (place is { } known)
                    byPlace[(letters, sounds, where, known)] =
                        byPlace.GetValueOrDefault((letters, sounds, where, known)) + weight;
            }
        }

        public double? OfLetters(string letters, string sounds) =>
            Share(byBoth.GetValueOrDefault((letters, sounds)), byLetters.GetValueOrDefault(letters));

        public double? OfSounds(string letters, string sounds) =>
            Share(byBoth.GetValueOrDefault((letters, sounds)), bySounds.GetValueOrDefault(sounds));

        public double? At(string letters, string sounds, PlaceIn where, Place place) =>
            Share(
                byPlace.GetValueOrDefault((letters, sounds, where, place)),
                Enum.GetValues<Place>().Sum(p => byPlace.GetValueOrDefault((letters, sounds, where, p)))
            );

        private static double? Share(double part, double whole) => whole == 0 ? null : part / whole;
    }
}

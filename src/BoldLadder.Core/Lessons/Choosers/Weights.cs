namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// Where two rules of choosing pull apart, these numbers decide: all trades of a lesson in one place. A higher number
/// matters more; those for words and sentences are compared with each other, those for quality add up to the score of a
/// lesson. Source: docs/handbook.md, section 7 (Choosing words; Sentences).
/// </summary>
internal static class Weights
{
    // A word by itself.
    public const double Known = 3;
    public const double Explained = 1.2;
    public const double NeitherKnownNorExplained = -2.5;

    /// <summary>Words this common (zipf) are heard by everyone every day.</summary>
    public const double HeardByAll = 5;
    public const double Common = 0.5;
    public const double CommonEnough = 6;
    public const double BaseForm = 1;
    public const double EachTapBeyondEasy = -0.7;
    public const int EasyTaps = 4;
    public const double JustSeen = -4;
    public const double BringsBack = 0.6;

    /// <summary>What children showed that they need most: as much as a word's being known and common.</summary>
    public const double MostNeeded = 6;
    public const double ChosenLast = -8;
    public const double Luck = 1;

    // A word beside another.
    public const double SameVowel = -0.5;
    public const double SameStart = -0.7;
    public const double SamePlace = -0.4;
    public const double SameShape = -0.25;
    public const double SameBase = -3;
    public const double SoundsTheSame = -1000;
    public const double SecondSpelling = -5;
    public const double SecondSpellingOfConsonant = -1.5;

    // A sentence.
    public const double TargetInSentence = 3;
    public const double SetWordInSentence = 1.5;
    public const double RecentInSentence = 0.3;
    public const double EachWordTooLong = -2;
    public const double EachWordTooShort = -1.5;
    public const double SentenceJustRead = -6;
    public const double TooManyTargets = -1;

    // Quality of a lesson: what share of the score each rule has.
    public const double QualityTarget = 3;
    public const double QualityKnown = 3;
    public const double QualityFresh = 2;
    public const double QualitySpread = 2;
    public const double QualityRising = 1;
    public const double QualityShared = 2;
    public const double QualityDue = 1;
    public const double QualityApply = 2;
    public const double QualityMinutes = 1;
    public const double QualityAskedFor = 1;
}

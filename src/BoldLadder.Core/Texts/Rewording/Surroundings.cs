using System.Collections.Frozen;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>
/// What stands round a word in its sentence, as far as it tells what the word is there. Source: docs/handbook.md,
/// section 7 (Text check).
/// </summary>
/// <param name="Before">The word before it in its sentence; null for none.</param>
/// <param name="After">The word after it; null where the sentence or a part of it ends.</param>
/// <param name="AfterAdjective">True where the word before it may be an adjective, or says whose.</param>
/// <param name="InSpeech">True where the sentence has words that are said.</param>
internal sealed record Surroundings(string? Before, string? After, bool InSpeech, bool AfterAdjective)
{
    /// <summary>True for one of two things that are one: kitchen floor.</summary>
    public bool IsOfTwo { get; init; }

    /// <summary>True for a word that says whose.</summary>
    public bool IsOwner { get; init; }

    /// <summary>True where the word before it can only be an adjective.</summary>
    public bool AfterPureAdjective { get; init; }

    private static readonly FrozenSet<string> Determiners = Set(
        "a an the my your his her its our their this that these those some any no each every another both one two three "
            + "four five six seven eight nine ten many few more most all what which such"
    );
    private static readonly FrozenSet<string> Subjects = Set("i you he she it we they who there");
    private static readonly FrozenSet<string> Helpers = Set(
        "to can could will would shall should may might must do does did don't didn't doesn't can't couldn't won't "
            + "wouldn't let let's not never please"
    );
    private static readonly FrozenSet<string> Being = Set(
        "am is are was were be been being isn't wasn't aren't weren't"
    );
    private static readonly FrozenSet<string> Having = Set("have has had having got haven't hasn't hadn't");

    /// <summary>What stands after a verb that is done to nothing.</summary>
    private static readonly FrozenSet<string> NoObjects = Set(
        "to into in inside on onto up upon down along across over round around past out outside off away back from "
            + "through under underneath beneath behind beside near by with without after before at for of about between "
            + "towards until till as and but or so then when while if because again too also there here home now soon "
            + "together about fast slow loudly quickly slowly quietly softly happily sadly once all very first next later "
            + "today tomorrow just still ahead forwards backwards upstairs downstairs indoors like than"
    );

    private static readonly FrozenSet<string> Prepositions = Set(
        "in on at to into onto from with without under over by near behind beside for of off up down past round through "
            + "across along inside outside between like after before about"
    );

    public bool AfterDeterminer => Before is not null && Determiners.Contains(Before);

    public bool AfterSubject => Before is not null && Subjects.Contains(Before);

    public bool AfterHelper => Before is not null && Helpers.Contains(Before);

    public bool AfterPreposition => Before is not null && IsPreposition(Before);

    public static bool IsPreposition(string word) => Prepositions.Contains(word);

    public bool AfterBeing => Before is not null && Being.Contains(Before);

    /// <summary>True where a verb is its participle: has eaten, was broken.</summary>
    public bool AsksParticiple => AfterBeing || (Before is not null && Having.Contains(Before));

    /// <summary>True where what comes after is what the verb is done to.</summary>
    public bool HasObject =>
        After is not null
        && !NoObjects.Contains(After)
        && !(After.EndsWith("ly", StringComparison.Ordinal) && After.Length > 4);

    /// <summary>The surroundings of a place of a text.</summary>
    /// <param name="at">Which running word, from 0.</param>
    public static Surroundings Of(string text, TextWords words, int at)
    {
        var place = words.Places[at];
        var sentence = words.SentenceOf(at);
        var before = at > 0 && words.Places[at - 1] is var one && one.Start >= sentence.Start ? one : (TextPlace?)null;
        var after =
            at + 1 < words.Places.Length
            && words.Places[at + 1] is var other
            && other.Start < sentence.Start + sentence.Length
            && IsOpen(text.AsSpan(place.Start + place.Length, other.Start - place.Start - place.Length))
                ? other
                : (TextPlace?)null;
        var around = text.AsSpan(
            Math.Max(0, sentence.Start - 1),
            Math.Min(text.Length, sentence.Start + sentence.Length + 2) - Math.Max(0, sentence.Start - 1)
        );
        return new Surroundings(
            Plain(before),
            Plain(after),
            around.IndexOfAny('"', '“', '”') >= 0,
            before is { } earlier && Describes(words.Words[earlier.Word].Written)
        )
        {
            AfterPureAdjective =
                before is { } stands
                && words.Words[stands.Word].Written.Word?.PartsOfSpeech is { } part
                && part.HasFlag(PartsOfSpeech.Adjective)
                && (part & (PartsOfSpeech.Noun | PartsOfSpeech.Verb)) == PartsOfSpeech.None,
        };

        string? Plain(TextPlace? found) => found is { } here ? words.Words[here.Word].Written.Plain : null;
    }

    private static bool Describes(WrittenWord word) =>
        word.Plain.EndsWith("'s", StringComparison.Ordinal)
        || word.Word?.PartsOfSpeech.HasFlag(PartsOfSpeech.Adjective) == true;

    /// <summary>True for what lets a sentence go on: spaces alone.</summary>
    private static bool IsOpen(ReadOnlySpan<char> between) => between.IsWhiteSpace();

    private static FrozenSet<string> Set(string words) => words.Split(' ').ToFrozenSet(StringComparer.Ordinal);
}

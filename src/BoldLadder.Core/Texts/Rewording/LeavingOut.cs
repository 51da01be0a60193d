using System.Collections.Frozen;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>
/// Which word of a sentence can go and leave a sentence: a word that only describes, before what it describes, and one
/// that only says how. Source: docs/handbook.md, section 7 (Rewording).
/// </summary>
internal static class LeavingOut
{
    /// <summary>What is no mere description: without it something else is said.</summary>
    private static readonly FrozenSet<string> Kept = Set(
        "first last next second third other same own only such half right left wrong full whole best worst good early "
            + "late more most many few much less least all no not any nearly hardly barely almost never ever really "
            + "front back top bottom living high happy fun"
    );

    /// <summary>What goes with the word after it.</summary>
    private static readonly FrozenSet<string> Heightening = Set(
        "very so too as how more most less quite really rather"
    );

    private static readonly FrozenSet<string> Joining = Set("and or but");

    /// <summary>True where the word can go.</summary>
    /// <param name="at">Which running word, from 0.</param>
    public static bool MayGo(string text, TextWords words, int at, Surroundings around)
    {
        var word = words.Words[words.Places[at].Word].Written;
        if (word.Word is null || word.IsName || Kept.Contains(word.Plain) || IsJoined(around))
            return false;
        if (around.Before is not null && !Gap(text, words, at).IsWhiteSpace())
            return false;
        if (word.Plain == "very")
            return around.After is not null && words.Words[words.Places[at + 1].Word].Written.Plain is not "same";
        return SaysHow(word.Word) ? around.After is not ("enough" or "so") : Describes(word.Word, words, at, around);
    }

    /// <summary>The change; the word after it takes a capital letter, an article before it goes along.</summary>
    public static Rewrite Change(string text, TextWords words, int at)
    {
        var place = words.Places[at];
        var end = place.Start + place.Length;
        var isFirst = words.SentenceOf(at).Start == place.Start;
        if (isFirst && at + 1 < words.Places.Length)
        {
            var next = words.Places[at + 1].Start;
            return new Rewrite(place.Start, next + 1 - place.Start, char.ToUpperInvariant(text[next]).ToString(), "");
        }
        var before = words.Places[at - 1];
        var article = text.AsSpan(before.Start, before.Length);
        if (article is "a" or "an" or "A" or "An" && at + 1 < words.Places.Length)
        {
            var next = words.Places[at + 1];
            return new Rewrite(
                before.Start,
                end - before.Start,
                Articles.Before(text.AsSpan(next.Start, next.Length), char.IsUpper(article[0])),
                ""
            );
        }
        return new Rewrite(before.Start + before.Length, end - before.Start - before.Length, "", "");
    }

    private static bool IsJoined(Surroundings around) =>
        (around.Before is { } before && (Joining.Contains(before) || Heightening.Contains(before)))
        || (around.After is { } after && Joining.Contains(after));

    private static bool SaysHow(Word word) =>
        word.PartsOfSpeech == PartsOfSpeech.Adverb && word.Spelling.EndsWith("ly", StringComparison.Ordinal);

    private static bool Describes(Word word, TextWords words, int at, Surroundings around)
    {
        if (!word.PartsOfSpeech.HasFlag(PartsOfSpeech.Adjective) || word.Suffix?.Suffix == Patterns.SuffixEst)
            return false;
        if ((word.PartsOfSpeech & (PartsOfSpeech.Determiner | PartsOfSpeech.Number)) != 0)
            return false;
        if (around.AfterSubject || around.AfterHelper || around.AfterBeing || around.After is null)
            return false;
        // Clean, frightened: something done, but for after a word that something described comes after.
        var isFree = !word.PartsOfSpeech.HasFlag(PartsOfSpeech.Verb);
        return (isFree || around.AfterDeterminer || around.AfterPreposition)
            && IsThing(words, at + 1)
            && !(around.Before is null && IsDone(words, at + 1));
    }

    private static bool IsThing(TextWords words, int at) =>
        words.Words[words.Places[at].Word].Written is { IsName: false, Word.PartsOfSpeech: var part }
        && (part.HasFlag(PartsOfSpeech.Noun) || part == PartsOfSpeech.None);

    private static bool IsDone(TextWords words, int at) =>
        words.Words[words.Places[at].Word].Written.Word?.PartsOfSpeech.HasFlag(PartsOfSpeech.Verb) == true;

    private static ReadOnlySpan<char> Gap(string text, TextWords words, int at)
    {
        var before = words.Places[at - 1];
        return text.AsSpan(before.Start + before.Length, words.Places[at].Start - before.Start - before.Length);
    }

    private static FrozenSet<string> Set(string words) => words.Split(' ').ToFrozenSet(StringComparer.Ordinal);
}

using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>
/// The same sentence with less in it: words that stand in the way give way to others or go, and where one can't, the
/// part that has it goes: where it was, what came after "and", what came before the comma. Source: docs/handbook.md,
/// section 7 (Rewording).
/// </summary>
internal sealed class Shortening
{
    private const int Fewest = 4;
    private static readonly FrozenSet<string> Linking = FrozenSet.ToFrozenSet([
        "and",
        "but",
        "so",
        "then",
        "until",
        "till",
        "because",
        "when",
        "as",
        "while",
        "before",
        "after",
        "if",
    ]);

    /// <summary>What is nothing without where: he lived, she put it.</summary>
    private static readonly FrozenSet<string> Placed = FrozenSet.ToFrozenSet([
        "put",
        "puts",
        "live",
        "lives",
        "lived",
        "stay",
        "stayed",
        "lay",
        "stood",
        "keep",
        "kept",
        "am",
        "is",
        "are",
        "was",
        "were",
        "like",
        "go",
        "goes",
        "went",
    ]);

    private readonly string text;
    private readonly TextWords words;
    private readonly WordJudge judge;
    private readonly int from;
    private readonly int to;

    /// <summary>What each word of the sentence is now; null for one that goes.</summary>
    private readonly string?[] now;
    private readonly Surroundings[] around;

    private Shortening(string text, TextWords words, TextSentence sentence, WordJudge judge)
    {
        (this.text, this.words, this.judge) = (text, words, judge);
        from = words.At(sentence.Start);
        to = from + sentence.Words;
        now = new string?[sentence.Words];
        around = new Surroundings[sentence.Words];
        for (var at = from; at < to; at++)
        {
            now[at - from] = text.Substring(words.Places[at].Start, words.Places[at].Length);
            around[at - from] = Surroundings.Of(text, words, at);
        }
    }

    /// <summary>The sentence with less in it, its mark at the end; null where nothing that can be read is left of it.
    /// </summary>
    /// <param name="instead">What is offered first in the place of a running word; null for nothing.</param>
    public static string? Of(
        string text,
        TextWords words,
        TextSentence sentence,
        WordJudge judge,
        Func<int, string?> instead
    )
    {
        if (sentence.Words < Fewest)
            return null;
        var made = new Shortening(text, words, sentence, judge);
        return made.around[0].InSpeech ? null : made.Made(instead);
    }

    private string? Made(Func<int, string?> instead)
    {
        foreach (var at in Standing().ToList())
        {
            if (instead(at) is { } offered)
                now[at - from] = offered;
            else if (LeavingOut.MayGo(text, words, at, around[at - from]))
                now[at - from] = null;
        }
        foreach (var at in Standing().ToList())
        {
            if (now[at - from] is not null && !(Cut(PhraseWith(at)) || Cut(Opening(at)) || Cut(Ending(at))))
                return null;
        }
        return Text() is { } made && made != Original() ? made : null;
    }

    /// <summary>The words that can't be read as they are now.</summary>
    private IEnumerable<int> Standing() =>
        Enumerable
            .Range(from, to - from)
            .Where(at =>
                now[at - from] is { } word
                && !word.Split(' ').All(w => judge.CanRead(WrittenWord.InPrint(w, judge.Finder)))
            );

    /// <summary>Where it was: a preposition with what belongs to it, as far as the next part.</summary>
    private Range? PhraseWith(int at)
    {
        var start = at;
        while (start > from + 1 && !IsPreposition(start) && Belongs(start) && !IsBreak(start))
            start--;
        if (
            start <= from + 1
            || !IsPreposition(start)
            || Enumerable.Range(from, start - from).Any(w => Placed.Contains(Plain(w)))
        )
            return null;
        var end = at + 1;
        while (end < to && !IsBreak(end) && !IsPreposition(end) && !Linking.Contains(Plain(end)))
        {
            if (!Belongs(end))
                return null;
            end++;
        }
        return start..end;
    }

    /// <summary>All before a comma.</summary>
    private Range? Opening(int at)
    {
        for (var end = at + 1; end < to; end++)
        {
            if (IsBreak(end))
                return from..end;
        }
        return null;
    }

    /// <summary>All from a word that links a second part.</summary>
    private Range? Ending(int at)
    {
        for (var start = at; start > from + 1; start--)
        {
            // The last of a list does not go alone.
            if (Linking.Contains(Plain(start)))
                return Enumerable.Range(from + 1, start - from - 1).Any(IsBreak) ? null : start..to;
        }
        return null;
    }

    /// <summary>Takes a part away, where a sentence is left.</summary>
    private bool Cut(Range? part)
    {
        if (part is not { } range)
            return false;
        var before = now.ToArray();
        for (var at = range.Start.Value; at < range.End.Value; at++)
            now[at - from] = null;
        if (HasVerb())
            return true;
        before.CopyTo(now, 0);
        return false;
    }

    private bool HasVerb() =>
        now.Count(w => w is not null) >= Fewest
        && Enumerable.Range(from, to - from).Any(at => now[at - from] is not null && IsVerb(at));

    private bool IsVerb(int at) =>
        at > from
        && (Word(at)?.PartsOfSpeech.HasFlag(PartsOfSpeech.Verb) ?? false)
        && around[at - from] is { AfterDeterminer: false, AfterPreposition: false, AfterAdjective: false };

    private bool IsPreposition(int at) => Surroundings.IsPreposition(Plain(at));

    /// <summary>True for what may stand between a preposition and its noun, and for the noun.</summary>
    private bool Belongs(int at) =>
        words.Words[words.Places[at].Word].IsName
        || Word(at) is not { } word
        || word.PartsOfSpeech == PartsOfSpeech.None
        || (
            word.PartsOfSpeech
            & (PartsOfSpeech.Noun | PartsOfSpeech.Adjective | PartsOfSpeech.Determiner | PartsOfSpeech.Number)
        ) != 0;

    /// <summary>True where more than a space stands before a word.</summary>
    private bool IsBreak(int at)
    {
        var before = words.Places[at - 1];
        return !text.AsSpan(before.Start + before.Length, words.Places[at].Start - before.Start - before.Length)
            .IsWhiteSpace();
    }

    private string Plain(int at) => words.Words[words.Places[at].Word].Written.Plain;

    private Word? Word(int at) => words.Words[words.Places[at].Word].Written.Word;

    private string Original() => string.Join(' ', Enumerable.Range(from, to - from).Select(Printed)) + ".";

    private string Printed(int at) => text.Substring(words.Places[at].Start, words.Places[at].Length);

    private string? Text()
    {
        if (!HasVerb())
            return null;
        var made = new StringBuilder();
        var last = -1;
        var following = now.OfType<string>().ToImmutableArray();
        var nth = 0;
        for (var at = from; at < to; at++)
        {
            if (now[at - from] is not { } word)
                continue;
            nth++;
            if (word is "a" or "an" or "A" or "An" && nth < following.Length)
                word = Articles.Before(following[nth], char.IsUpper(word[0]));
            if (made.Length == 0)
                word = char.ToUpperInvariant(word[0]) + word[1..];
            else
                made.Append(last == at - 1 && IsBreak(at) ? ", " : " ");
            made.Append(word);
            last = at;
        }
        var end = words.Places[to - 1].Start + words.Places[to - 1].Length;
        made.Append(end < text.Length && text[end] is '!' or '?' ? text[end] : '.');
        return made.ToString()
            .Split(' ')
            .All(w => judge.CanRead(WrittenWord.InPrint(w.Trim(',', '.', '!', '?'), judge.Finder)))
            ? made.ToString()
            : null;
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts.Making;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Rewording;

/// <summary>A change to a text: so many signs from a start are those.</summary>
/// <param name="Words">What is offered, without an article that changes with it; empty to leave the word out.</param>
public sealed record Rewrite(int Start, int Length, string Text, string Words);

/// <summary>
/// Offers words that children can read for one that they can't: of the same kind, in the same form, that fit the
/// sentence; and simpler sentences for a whole one. Nothing is changed by itself. Source: docs/handbook.md, section 7
/// (Text check).
/// </summary>
public sealed class Reworder
{
    private const string Owner = "'s";

    /// <summary>Classes of the maker of sentences whose words are things of one kind, as a last choice.</summary>
    private static readonly ImmutableArray<string> ThingClasses = ["ride"];

    private readonly InsteadGroups groups;
    private readonly WordForms forms;
    private readonly Meanings meanings;
    private readonly NamesByCalling names;
    private readonly SentenceMaker maker;
    private readonly ILookup<string, string> classes;
    private readonly SentencesAlike alike;

    public Reworder(InsteadGroups groups, WordForms forms, Meanings meanings, NamesByCalling names, SentenceMaker maker)
    {
        (this.groups, this.forms, this.meanings, this.names, this.maker) = (groups, forms, meanings, names, maker);
        alike = new SentencesAlike(forms, maker);
        classes = maker
            .Classes.Where(c => ThingClasses.Contains(c.Key))
            .SelectMany(c => c.Value.Select(w => (c.Key, w)))
            .ToLookup(c => c.w, c => c.Key);
    }

    /// <summary>The words that may stand for each other, for whoever checks them.</summary>
    public InsteadGroups Data => groups;

    /// <summary>The names there are, for whoever checks them.</summary>
    public NamesByCalling Names => names;

    /// <summary>The same with the words as a school has them.</summary>
    public Reworder With(SentenceMaker school) => new(groups, forms, meanings, names, school);

    /// <summary>
    /// What would do in the place of a word, the nearest first; last, with no words, to leave it out where the sentence
    /// stands without it.
    /// </summary>
    /// <param name="at">Which running word, from 0.</param>
    /// <param name="judge">What the children can read.</param>
    /// <param name="avoid">Names and words that are not to come; lower case.</param>
    public ImmutableArray<Rewrite> For(
        string text,
        TextWords words,
        int at,
        WordJudge judge,
        int most,
        IReadOnlySet<string> avoid
    )
    {
        var word = words.Words[words.Places[at].Word];
        var around = Surroundings.Of(text, words, at);
        var taken = new HashSet<string>(avoid, StringComparer.Ordinal) { word.Written.Plain };
        taken.UnionWith(InSentence(words, at));
        var isName = word.IsName || (word.Written.HasCapital && IsCalled(word, words, at, judge.Finder.Lexicon));
        if (!isName && IsOfTwo(words, at))
            around = around with { IsOfTwo = true };
        var offers = isName
            ? names.Near(word.Written.Plain, words).Where(n => !words.Words.Any(w => w.Written.Plain == Lower(n)))
            : Likely(word.Written.Plain, around, words, judge.Finder.Lexicon);
        var others = offers
            .Distinct()
            .Where(o => o.Split(' ').All(w => !taken.Contains(Lower(w)) && IsReadable(w, judge)))
            .Take(most)
            .Select(o => Put(text, words, at, o));
        return
        [
            .. LeavingOut.MayGo(text, words, at, around) ? others.Append(LeavingOut.Change(text, words, at)) : others,
        ];
    }

    /// <summary>
    /// Sentences that say something like it and can be read: the same with less in it, then made ones, the most alike
    /// first: each has half of its words that tell something, at least two, and none is another in other clothes.
    /// </summary>
    public ImmutableArray<string> Simpler(
        string written,
        TextWords text,
        TextSentence sentence,
        WordJudge judge,
        int most,
        IReadOnlySet<string> avoid
    )
    {
        string? Instead(int at) => For(written, text, at, judge, 1, avoid).FirstOrDefault(r => r.Words != "")?.Words;
        var shorter = Shortening.Of(written, text, sentence, judge, Instead);
        return
        [
            .. new[] { shorter }
                .OfType<string>()
                .Concat(alike.Of(text, sentence, judge, most, avoid))
                .Distinct()
                .Take(most),
        ];
    }

    /// <summary>True for a word that is a name here: Ruby, wherever it stands, and Will inside a sentence.</summary>
    private bool IsCalled(TextWord word, TextWords words, int at, Lexicon lexicon) =>
        (names.Knows(word.Written.Plain) || lexicon.FindName(word.Written.Plain) is not null)
        && !words.Words.Any(w => w.Written.Plain == word.Written.Plain && !w.Written.HasCapital)
        && (word.Times > 1 || words.Sentences.All(s => s.Start != words.Places[at].Start));

    private IEnumerable<string> Likely(string written, Surroundings around, TextWords words, Lexicon lexicon)
    {
        if (written.EndsWith(Owner, StringComparison.Ordinal))
        {
            var owned = around with { After = null, IsOwner = true };
            return Likely(written[..^Owner.Length], owned, words, lexicon).Select(o => o + Owner);
        }
        return Groups(written, around, words)
            // The nearest first; of those, what children know.
            .SelectMany(g => g.OrderByDescending(o => lexicon.Find(o)?.IsKnown ?? true))
            .Concat(Mates(written, around));
    }

    /// <summary>For each group that fits what it offers, in the form that stands there.</summary>
    private IEnumerable<List<string>> Groups(string plain, Surroundings around, TextWords words)
    {
        var isPast = IsPast(words);
        foreach (var (word, form) in forms.Of(plain))
        {
            foreach (var group in groups.Of(word).Where(g => Fits(g, plain, form, around)))
            {
                yield return
                [
                    .. group
                        .Offered.Where(o => o != word)
                        .Select(o => InForm(o, group, form, plain, around, isPast))
                        .OfType<string>(),
                ];
            }
        }
    }

    /// <summary>What it means in a word, and other things of its kind.</summary>
    private IEnumerable<string> Mates(string plain, Surroundings around)
    {
        foreach (var (word, form) in forms.Of(plain))
        {
            if (
                form is not (WordForm.Base or WordForm.S)
                || around.IsOfTwo
                || around.AfterSubject
                || !IsCounted(form, around)
            )
                continue;
            if (form == WordForm.Base && MeaningOf(word) is { } meant)
                yield return meant;
            foreach (var mate in classes[word].SelectMany(c => maker.Classes[c]))
            {
                if (forms.Find(mate, form) is { } found)
                    yield return found;
            }
        }
    }

    /// <summary>A meaning that is one word: glum, sad.</summary>
    private string? MeaningOf(string word)
    {
        if (meanings.Line(word) is not { } line)
            return null;
        var told = line.Split(' ') is ["a" or "an" or "the" or "very" or "really", var one] ? one : line;
        return told.All(char.IsLetter) ? told : null;
    }

    private bool Fits(InsteadGroup group, string plain, WordForm form, Surroundings around)
    {
        if (group.IsVerb)
        {
            if (around.IsOwner || around.AfterPureAdjective || (around.AfterDeterminer && IsThing(plain)))
                return false;
            var passive = form is WordForm.Participle && around.AfterBeing;
            return group.Kind switch
            {
                GroupKind.VerbAlone => !around.HasObject && !passive && around.After is not ("at" or "for"),
                GroupKind.VerbWithObject => (around.HasObject || passive)
                    && form is not (WordForm.More or WordForm.Most),
                GroupKind.VerbOfSaying => around.InSpeech,
                _ => around.After == group.With,
            };
        }
        var isAction = around.AfterSubject || (around.AfterHelper && around.Before != "to");
        return group.Kind switch
        {
            GroupKind.Noun => form is WordForm.Base or WordForm.S
                && !isAction
                && !around.IsOfTwo
                && IsCounted(form, around),
            GroupKind.Mass or GroupKind.Plural => form == WordForm.Base && !isAction,
            GroupKind.Adjective => form is WordForm.Base or WordForm.More or WordForm.Most
                && !isAction
                && !around.IsOwner
                && !(around.After is null && (around.AfterDeterminer || around.AfterAdjective)),
            _ => form == WordForm.Base,
        };
    }

    /// <summary>True for one of two things that are one: kitchen floor, lolly sticks.</summary>
    private bool IsOfTwo(TextWords words, int at)
    {
        static bool IsNoun(Word? word) => word?.PartsOfSpeech.HasFlag(PartsOfSpeech.Noun) == true;
        var sentence = words.SentenceOf(at);
        var word = words.Words[words.Places[at].Word].Written.Word;
        if (!IsNoun(word))
            return false;
        if (at > 0 && words.Places[at - 1].Start >= sentence.Start)
        {
            var before = words.Words[words.Places[at - 1].Word].Written;
            if (
                !before.IsName
                && !before.Plain.EndsWith(Owner, StringComparison.Ordinal)
                && before.Word is { } beside
                && (
                    beside is { PartsOfSpeech: PartsOfSpeech.Noun, Suffix: null }
                    || (IsNoun(beside) && beside.Suffix?.Suffix == Patterns.SuffixIng)
                )
            )
                return true;
        }
        if (at + 1 >= words.Places.Length || words.Places[at + 1].Start >= sentence.Start + sentence.Length)
            return false;
        var after = words.Words[words.Places[at + 1].Word].Written.Word;
        return word!.Suffix is null
            && IsNoun(after)
            && after!.Suffix?.Suffix is null or Patterns.SuffixS
            && !forms.Of(after.Spelling).Any(f => f.Form is WordForm.Past or WordForm.Participle)
            && (after.Suffix is null || !after.PartsOfSpeech.HasFlag(PartsOfSpeech.Verb));
    }

    /// <summary>True for a word that may be a thing.</summary>
    private bool IsThing(string plain) =>
        forms.Of(plain).SelectMany(f => groups.Of(f.Base)).Any(g => g.Kind is GroupKind.Noun or GroupKind.Mass);

    /// <summary>One thing has an article or the like before it: home in "went home" is no house.</summary>
    private static bool IsCounted(WordForm form, Surroundings around) =>
        form == WordForm.S
            ? !around.AfterHelper
            : around.AfterDeterminer || around.AfterAdjective || around.Before is null;

    /// <summary>What is offered in the form that stands there; of several words the first takes it.</summary>
    private string? InForm(
        string offered,
        InsteadGroup group,
        WordForm form,
        string plain,
        Surroundings around,
        bool isPast
    )
    {
        if (!group.IsVerb)
            return forms.Find(offered, form);
        var meant = form switch
        {
            WordForm.Past or WordForm.Participle => around.AsksParticiple ? WordForm.Participle : WordForm.Past,
            // put, hit: the past is no other word
            WordForm.Base when isPast && !around.AfterHelper && forms.Find(plain, WordForm.Past) == plain =>
                WordForm.Past,
            _ => form,
        };
        var (verb, rest) = offered.Split(' ', 2) is [var first, var more] ? (first, " " + more) : (offered, "");
        return forms.Find(verb, meant) is { } found ? found + rest : null;
    }

    /// <summary>True for a text that tells what was.</summary>
    private static bool IsPast(TextWords words)
    {
        var (was, now) = (0, 0);
        foreach (var word in words.Words)
        {
            if (word.Written.Plain is "was" or "were" or "had" or "said" or "went" or "did")
                was += word.Times;
            else if (word.Written.Plain is "is" or "are" or "has" or "can")
                now += word.Times;
            else if (word.Written.Word?.Suffix is { Suffix: Patterns.SuffixEd })
                was += word.Times;
        }
        return was > now;
    }

    /// <summary>The words of the sentence that may not come twice; little ones may: lots of, in the end.</summary>
    private static IEnumerable<string> InSentence(TextWords words, int at) =>
        words
            .WordsOf(words.SentenceOf(at))
            .Where(w => w.Word is { PartsOfSpeech: var part } && (part & Content) != PartsOfSpeech.None)
            .Select(w => w.Plain);

    private const PartsOfSpeech Content = PartsOfSpeech.Noun | PartsOfSpeech.Verb | PartsOfSpeech.Adjective;

    private static bool IsReadable(string word, WordJudge judge)
    {
        var written = WrittenWord.Of(word, judge.Finder);
        return !written.IsUnknown
            && written.Parts.All(p => p.Suitability == Suitability.Use && !p.Flags.HasFlag(WordFlags.AmericanOnly))
            && judge.CanRead(written);
    }

    /// <summary>The change, with the capital letter of what it replaces, and with the article before it.</summary>
    private static Rewrite Put(string text, TextWords words, int at, string offered)
    {
        var place = words.Places[at];
        var printed = text.AsSpan(place.Start, place.Length);
        var put = char.IsUpper(printed[0]) ? Upper(offered) : offered;
        if (
            at > 0
            && words.Places[at - 1] is var before
            && text.AsSpan(before.Start, before.Length) is "a" or "an" or "A" or "An"
        )
        {
            before = words.Places[at - 1];
            var between = text.AsSpan(before.Start + before.Length, place.Start - before.Start - before.Length);
            var article = Articles.Before(put, char.IsUpper(text[before.Start]));
            return new Rewrite(
                before.Start,
                place.Start + place.Length - before.Start,
                $"{article}{between}{put}",
                put
            );
        }
        return new Rewrite(place.Start, place.Length, put, put);
    }

    private static string Upper(string word) => char.ToUpperInvariant(word[0]) + word[1..];

    private static string Lower(string word) => word.ToLowerInvariant();
}

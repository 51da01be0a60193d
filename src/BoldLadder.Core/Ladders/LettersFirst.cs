using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders;

/// <summary>
/// The letters-first ladder, derived: every letter has one sound, then every sound one spelling, a stretch of longer words, then new
/// spellings of known sounds, then new sounds of known spellings. The phases are fixed, the order inside each is searched.
/// Source: docs/handbook.md, section 8 (Letters first).
/// </summary>
public static class LettersFirst
{
    /// <summary>Needs no teaching on this ladder: what only looks different, and joins, which come with their suffix.</summary>
    private const Patterns Free = Patterns.Capitals | Patterns.Contraction | Patterns.Compound | Patterns.ThreeSyllables;

    public static Ladder Derive(Lexicon lexicon, long seed)
    {
        ImmutableArray<IReadOnlyList<OrderUnit>> phases =
        [
            [.. Letters()],
            [.. Units("doubles", "ck=k", "ff=f zz=z", "ll=l ss=s"), Pattern("doubles", Patterns.SuffixS, "s=s", "z=z")],
            [.. Units("consonant-teams", "sh=ʃ", "ch=tʃ", "th=θ", "ng=ŋ")],
            [.. Units("vowel-teams", "ee=iː", "ai=eɪ", "igh=aɪ", "oa=əʊ", "oo=uː", "oi=ɔɪ", "ow=aʊ", "ar=ɑː", "or=ɔː", "ur=ɜː", "ear=ɪə", "air=eə"),
                Unit("vowel-teams", "oo=ʊ", ["oo=uː"], 10), Unit("vowel-teams", "th=ð", ["th=θ"], 10)],
            [Pattern("longer-words", Patterns.AdjacentEnd), Pattern("longer-words", Patterns.AdjacentStart, "adjacent-end"),
                Pattern("longer-words", Patterns.SuffixIng),
                Pattern("longer-words", Patterns.SuffixEd), Pattern("longer-words", Patterns.TwoSyllables), Unit("longer-words", "n=ŋ", ["adjacent-end"], 1)],
            [.. Units("new-spellings", "ay=eɪ", "a-e=eɪ", "i-e=aɪ", "o-e=əʊ", "u-e=j+uː u-e=uː", "e-e=iː", "ea=iː", "oy=ɔɪ", "ou=aʊ", "aw=ɔː", "au=ɔː", "ir=ɜː", "er=ə er=ɜː",
                "ew=j+uː ew=uː", "ue=uː ue=j+uː", "le=ə+l", "wh=w", "ve=v", "tch=tʃ", "dge=dʒ", "ph=f", "kn=n", "wr=r", "mb=m", "are=eə", "ore=ɔː", "se=s", "se=z", "ce=s", "ge=dʒ", "oe=əʊ", "bb=b tt=t", "dd=d gg=g", "mm=m nn=n", "pp=p rr=r", "eer=ɪə", "ey=iː", "ti=ʃ"),
                Pattern("new-spellings", Patterns.SuffixEs), Pattern("new-spellings", Patterns.JoinDouble, "suffix-ing", "pp=p", "mm=m", "bb=b", "dd=d"), Pattern("new-spellings", Patterns.JoinDropE, "a-e=eɪ", "suffix-ing")],
            [.. Units("new-sounds", "e=iː", "o=əʊ", "i=aɪ", "a=eɪ", "u=j+uː u=uː", "y=iː", "y=aɪ", "ow=əʊ", "ea=e", "c=s", "g=dʒ", "a=ɒ", "a=ɔː", "o=ʌ", "u=ʊ", "ie=iː", "ie=aɪ", "ou=uː", "ch=k", "ear=eə", "or=ɜː", "ar=ɔː", "al=ɔː", "our=ɔː", "o=uː"),
                Pattern("new-sounds", Patterns.SuffixEr, "er=ə"), Pattern("new-sounds", Patterns.SuffixEst, "suffix-er"),
                Pattern("new-sounds", Patterns.SuffixY, "y=iː"), Pattern("new-sounds", Patterns.SuffixLy, "y=iː"), Pattern("new-sounds", Patterns.JoinYToI, "y=aɪ", "y=iː")],
        ];
        var order = new OrderSearch(lexicon.Words, Free, seed).Find(phases);
        var rungs = Paired(order).Select(u => new Rung(u.Id, u.Stage, u.Correspondences, u.Patterns, [], null)).ToImmutableArray();
        var ladder = new Ladder("letters-first", "letters-first", Free, rungs);
        return ThinRungs.WithReasons(new TrickyPlacement(lexicon).On(ladder), lexicon);
    }

    /// <summary>o comes before i: beside a, its mouth shape is the easier one to tell apart.</summary>
    private static IEnumerable<OrderUnit> Letters() =>
        "a=æ b=b c=k d=d e=e f=f g=g h=h j=dʒ k=k l=l m=m n=n o=ɒ p=p r=r s=s t=t v=v w=w x=k+s y=j z=z".Split(' ')
            .Select(n => Unit("letters", n, [], 1)).Append(Unit("letters", "i=ɪ", ["o=ɒ"], 1)).Append(Unit("letters", "u=ʌ", [], 1)).Append(Unit("letters", "qu=k+w", ["u=ʌ"], 1));

    /// <summary>The first two units make the first rung: one sound alone makes no word.</summary>
    private static IEnumerable<OrderUnit> Paired(ImmutableArray<OrderUnit> order) =>
        order.Skip(2).Prepend(order[0] with { Id = $"{order[0].Id} {order[1].Id}", Correspondences = [.. order[0].Correspondences, .. order[1].Correspondences] });

    private static IEnumerable<OrderUnit> Units(string stage, params string[] notations) => notations.Select(n => Unit(stage, n, [], 1));

    private static OrderUnit Unit(string stage, string notations, ImmutableArray<string> after, int gap) =>
        new(notations, stage, [.. notations.Split(' ').Select(Correspondence.Parse)], Patterns.None, after, gap);

    private static OrderUnit Pattern(string stage, Patterns patterns, params ImmutableArray<string> after) =>
        new(patterns.Id(), stage, [], patterns, after, 1);
}

using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// The letters-first ladder, derived: every letter has one sound, then every sound one spelling, a stretch of longer
/// words, then new spellings of known sounds, then new sounds of known spellings. The phases are fixed, the order
/// inside each is searched. Source: docs/handbook.md, section 8 (Letters first).
/// </summary>
public static class LettersFirst
{
    /// <summary>
    /// Needs no teaching on this ladder: what only looks different, and joins, which come with their suffix.
    /// </summary>
    private const Patterns Free =
        Patterns.Capitals | Patterns.Contraction | Patterns.Compound | Patterns.ThreeSyllables;

    public static Ladder Derive(Lexicon lexicon, long seed)
    {
        ImmutableArray<IReadOnlyList<OrderUnit>> phases =
        [
            // the opening is chosen: seen on the lips, held, and like no published order
            [.. OrderUnit.Each("letters", "m=m", "o=ɒ")],
            [.. Letters()],
            [
                .. OrderUnit.Each("doubles", "ck=k", "ff=f zz=z", "ll=l ss=s"),
                OrderUnit.Of("doubles", Patterns.SuffixS, "s=s", "z=z"),
            ],
            [.. OrderUnit.Each("consonant-teams", "sh=ʃ", "ch=tʃ", "th=θ", "ng=ŋ")],
            [
                .. OrderUnit.Each(
                    "vowel-teams",
                    "ee=iː",
                    "ai=eɪ",
                    "igh=aɪ",
                    "oa=əʊ",
                    "oo=uː",
                    "oi=ɔɪ",
                    "ow=aʊ",
                    "ar=ɑː",
                    "or=ɔː",
                    "ur=ɜː",
                    "ear=ɪə",
                    "air=eə"
                ),
                OrderUnit.Of("vowel-teams", "oo=ʊ", ["oo=uː"], 10),
                OrderUnit.Of("vowel-teams", "th=ð", ["th=θ"], 10),
            ],
            [
                OrderUnit.Of("longer-words", Patterns.AdjacentEnd),
                OrderUnit.Of("longer-words", Patterns.AdjacentStart, "adjacent-end"),
                OrderUnit.Of("longer-words", Patterns.SuffixIng),
                OrderUnit.Of("longer-words", Patterns.SuffixEd),
                OrderUnit.Of("longer-words", Patterns.TwoSyllables),
                OrderUnit.Of("longer-words", "n=ŋ", ["adjacent-end"], 1),
            ],
            [
                .. OrderUnit.Each(
                    "new-spellings",
                    "ay=eɪ",
                    "a-e=eɪ",
                    "i-e=aɪ",
                    "o-e=əʊ",
                    "u-e=j+uː u-e=uː",
                    "e-e=iː",
                    "ea=iː",
                    "oy=ɔɪ",
                    "ou=aʊ",
                    "aw=ɔː",
                    "au=ɔː",
                    "ir=ɜː",
                    "er=ə er=ɜː",
                    "le=ə+l",
                    "wh=w",
                    "ve=v",
                    "tch=tʃ",
                    "dge=dʒ",
                    "ph=f",
                    "kn=n",
                    "wr=r",
                    "mb=m",
                    "are=eə",
                    "ore=ɔː",
                    "se=s",
                    "se=z",
                    "ce=s",
                    "ge=dʒ",
                    "oe=əʊ",
                    "bb=b tt=t",
                    "dd=d gg=g",
                    "mm=m nn=n",
                    "pp=p rr=r",
                    "eer=ɪə",
                    "ey=iː",
                    "ti=ʃ"
                ),
                OrderUnit.Of("new-spellings", "ew=j+uː ew=uː", ["u-e=j+uː"], 10),
                OrderUnit.Of("new-spellings", "ue=uː ue=j+uː", ["u-e=j+uː"], 10),
                OrderUnit.Of("new-spellings", Patterns.SuffixEs),
                OrderUnit.Of("new-spellings", Patterns.JoinDouble, "suffix-ing", "pp=p", "mm=m", "bb=b", "dd=d"),
                OrderUnit.Of("new-spellings", Patterns.JoinDropE, "a-e=eɪ", "suffix-ing"),
            ],
            [
                .. OrderUnit.Each(
                    "new-sounds",
                    "e=iː",
                    "o=əʊ",
                    "i=aɪ",
                    "a=eɪ",
                    "u=j+uː u=uː",
                    "y=iː",
                    "y=aɪ",
                    "ow=əʊ",
                    "ea=e",
                    "c=s",
                    "g=dʒ",
                    "a=ɒ",
                    "a=ɔː",
                    "o=ʌ",
                    "u=ʊ",
                    "ie=iː",
                    "ie=aɪ",
                    "ou=uː",
                    "ch=k",
                    "ear=eə",
                    "or=ɜː",
                    "ar=ɔː",
                    "al=ɔː",
                    "our=ɔː",
                    "o=uː"
                ),
                OrderUnit.Of("new-sounds", Patterns.SuffixEr, "er=ə"),
                OrderUnit.Of("new-sounds", Patterns.SuffixEst, "suffix-er"),
                OrderUnit.Of("new-sounds", Patterns.SuffixY, "y=iː"),
                OrderUnit.Of("new-sounds", Patterns.SuffixLy, "y=iː"),
                OrderUnit.Of("new-sounds", Patterns.JoinYToI, "y=aɪ", "y=iː"),
            ],
        ];
        var order = new OrderSearch(lexicon, seed).Find(phases);
        var ladder = new Ladder("letters-first", "letters-first", Free, OrderUnit.Rungs(order));
        return ThinRungs.WithReasons(new TrickyPlacement(lexicon, Accent.SouthernBritish).On(ladder), lexicon);
    }

    /// <summary>o comes before i: beside a, its mouth shape is the easier one to tell apart.</summary>
    private static IEnumerable<OrderUnit> Letters() =>
        "a=æ b=b c=k d=d e=e f=f g=g h=h j=dʒ k=k l=l n=n p=p r=r s=s t=t v=v w=w x=k+s y=j z=z"
            .Split(' ')
            .Select(n => OrderUnit.Of("letters", n, [], 1))
            .Append(OrderUnit.Of("letters", "i=ɪ", ["o=ɒ"], 1))
            .Append(OrderUnit.Of("letters", "u=ʌ", [], 1))
            .Append(OrderUnit.Of("letters", "qu=k+w", ["u=ʌ"], 1));
}

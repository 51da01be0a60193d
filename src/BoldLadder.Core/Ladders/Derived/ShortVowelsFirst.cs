using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// The short-vowels-first ladder, derived: the five short vowels and all consonant letters, then all that closed
/// syllables need, then split digraphs, vowel pairs, vowels with r, open syllables. The phases are fixed, the order
/// inside each is searched. Source: docs/handbook.md, section 8 (Short vowels first).
/// </summary>
public static class ShortVowelsFirst
{
    private const Patterns Free =
        Patterns.Capitals | Patterns.Contraction | Patterns.Compound | Patterns.ThreeSyllables;

    public static Ladder Derive(Lexicon lexicon, long seed)
    {
        ImmutableArray<IReadOnlyList<OrderUnit>> phases =
        [
            // the opening is chosen: held, with words from the third letter, and like no published order
            [.. OrderUnit.Each("letters", "r=r", "u=ʌ")],
            [
                .. OrderUnit.Each(
                    "letters",
                    [
                        .. "a=æ b=b c=k d=d e=e f=f g=g h=h i=ɪ j=dʒ k=k l=l m=m".Split(' '),
                        .. "n=n o=ɒ p=p s=s t=t v=v w=w x=k+s y=j z=z".Split(' '),
                    ]
                ),
                OrderUnit.Of("letters", "qu=k+w", ["u=ʌ"], 1),
            ],
            [
                .. OrderUnit.Each("after-a-short-vowel", "ck=k", "ff=f zz=z", "ll=l", "ss=s"),
                OrderUnit.Of("after-a-short-vowel", Patterns.SuffixS, "s=s", "z=z"),
            ],
            [
                .. OrderUnit.Each("consonant-teams", "sh=ʃ", "ch=tʃ", "th=θ", "ng=ŋ"),
                OrderUnit.Of("consonant-teams", "wh=w", [], 1),
                OrderUnit.Of("consonant-teams", "ve=v", [], 1),
                OrderUnit.Of("consonant-teams", Patterns.AdjacentEnd),
                OrderUnit.Of("consonant-teams", Patterns.AdjacentStart, "adjacent-end"),
                OrderUnit.Of("consonant-teams", Patterns.SuffixIng, "ng=ŋ"),
                OrderUnit.Of("consonant-teams", Patterns.SuffixEd),
                OrderUnit.Of("consonant-teams", Patterns.SuffixEs, "sh=ʃ"),
            ],
            [
                OrderUnit.Of("longer-words", "tch=tʃ", ["ch=tʃ"], 10),
                OrderUnit.Of("longer-words", "th=ð", ["th=θ"], 10),
                OrderUnit.Of("longer-words", "n=ŋ", ["ng=ŋ", "adjacent-end"], 10),
                OrderUnit.Of("longer-words", Patterns.TwoSyllables),
                .. OrderUnit.Each("longer-words", "bb=b tt=t", "dd=d gg=g", "mm=m nn=n", "pp=p rr=r"),
                OrderUnit.Of("longer-words", Patterns.JoinDouble, "pp=p", "tt=t", "gg=g", "nn=n"),
                OrderUnit.Of("longer-words", Patterns.SuffixEst),
            ],
            [
                .. OrderUnit.Each("split-digraphs", "a-e=eɪ", "i-e=aɪ", "o-e=əʊ", "u-e=uː u-e=j+uː", "e-e=iː"),
                OrderUnit.Of("split-digraphs", "c=s", ["a-e=eɪ", "i-e=aɪ"], 1),
                OrderUnit.Of("split-digraphs", "g=dʒ", ["a-e=eɪ"], 1),
                OrderUnit.Of("split-digraphs", Patterns.JoinDropE, "a-e=eɪ", "i-e=aɪ"),
            ],
            [
                .. OrderUnit.Each("vowel-pairs", "oi=ɔɪ", "ou=aʊ", "oy=ɔɪ"),
                .. Later("a-e=eɪ", "ai=eɪ", "ay=eɪ"),
                .. Later("e-e=iː", "ee=iː", "ea=iː"),
                .. Later("i-e=aɪ", "igh=aɪ"),
                .. Later("o-e=əʊ", "oa=əʊ", "ow=əʊ", "oe=əʊ"),
                .. Later("u-e=uː", "oo=uː", "ew=j+uː ew=uː", "ue=uː ue=j+uː"),
            ],
            [
                .. OrderUnit.Each("vowels-with-r", "ar=ɑː", "or=ɔː"),
                .. Many("vowels-with-r", ["ar=ɑː", "or=ɔː"], "ear=ɪə", "air=eə"),
            ],
            [
                .. Many(OrderUnit.Family + "ɜː", ["ar=ɑː", "or=ɔː"], "er=ɜː er=ə", "ir=ɜː", "ur=ɜː"),
                OrderUnit.Sort("ɜː", "er=ɜː", "ir=ɜː", "ur=ɜː"),
            ],
            [
                .. OrderUnit.Each("open-syllables", "e=iː", "o=əʊ", "i=aɪ", "a=eɪ", "y=iː", "u=j+uː u=uː"),
                OrderUnit.Of("open-syllables", "le=ə+l", [], 1),
                OrderUnit.Of("open-syllables", Patterns.SuffixY, "y=iː"),
                OrderUnit.Of("open-syllables", Patterns.SuffixLy, "y=iː"),
                OrderUnit.Of("open-syllables", Patterns.JoinYToI, "y=iː"),
                OrderUnit.Of("open-syllables", "ey=iː", [], 1),
                OrderUnit.Of("open-syllables", Patterns.SuffixEr, "er=ə"),
            ],
            [
                .. OrderUnit.Each(
                    "more-spellings",
                    "se=s",
                    "ce=s",
                    "ge=dʒ",
                    "dge=dʒ",
                    "kn=n",
                    "wr=r",
                    "mb=m",
                    "ph=f",
                    "a=ɔː",
                    "a=ɒ",
                    "o=ʌ",
                    "u=ʊ",
                    "ch=k",
                    "ie=iː",
                    "or=ɜː",
                    "ear=eə",
                    "ar=ɔː",
                    "ti=ʃ",
                    "ou=uː",
                    "are=eə",
                    "ore=ɔː",
                    "eer=ɪə",
                    "our=ɔː",
                    "aw=ɔː",
                    "au=ɔː",
                    "al=ɔː",
                    "ow=aʊ",
                    "ea=e"
                ),
                OrderUnit.Of("more-spellings", "se=z", ["se=s"], 10),
                OrderUnit.Of("more-spellings", "y=aɪ", ["y=iː"], 10),
                OrderUnit.Of("more-spellings", "ie=aɪ", ["ie=iː"], 10),
                OrderUnit.Of("more-spellings", "oo=ʊ", ["oo=uː"], 10),
            ],
        ];
        var order = new OrderSearch(lexicon, seed).Find(phases);
        var ladder = new Ladder("short-vowels-first", "short-vowels-first", Free, OrderUnit.Rungs(order));
        return ThinRungs.WithReasons(new TrickyPlacement(lexicon, Accent.SouthernBritish).On(ladder), lexicon);
    }

    /// <summary>A pair comes when the split digraph that says the same has settled.</summary>
    private static IEnumerable<OrderUnit> Later(string split, params string[] pairs) =>
        pairs.Select(p => OrderUnit.Of("vowel-pairs", p, [split], Apartness.OfSpellings));

    private static IEnumerable<OrderUnit> Many(string stage, ImmutableArray<string> after, params string[] notations) =>
        notations.Select(n => OrderUnit.Of(stage, n, after, 1));
}

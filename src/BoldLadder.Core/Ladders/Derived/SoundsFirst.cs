using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Ladders.Derived;

/// <summary>
/// The sounds-first ladder, derived: each rung adds a new sound in its most useful spelling until every sound has one;
/// then, one sound family at a time, the other spellings, each family closed by a sorting day. Which spelling is the
/// most useful is counted (<see cref="SpellingChoice"/>), the order of sounds and of families is searched. Source:
/// docs/handbook.md, section 8 (Sounds first).
/// </summary>
public static class SoundsFirst
{
    /// <summary>Adjacent consonants need no teaching where every sound is heard first.</summary>
    private const Patterns Free =
        Patterns.Capitals
        | Patterns.Contraction
        | Patterns.Compound
        | Patterns.ThreeSyllables
        | Patterns.AdjacentStart
        | Patterns.AdjacentEnd;

    /// <summary>Until its family comes, a sound is read in its chosen spelling only.</summary>
    public const Leniencies Withheld = Leniencies.SAsZ | Leniencies.ThVoicing;

    /// <summary>The opening is chosen: held, with words from the third sound, and like no published order.</summary>
    private static readonly ImmutableHashSet<string> Opening = ["f=f", "i=ɪ"];

    /// <summary>Letters in teams come when words can be read without them.</summary>
    private const int TeamsFrom = 10;

    /// <summary>s comes when words show it saying s: with i alone there is only is.</summary>
    private const int FromWithS = 5;

    /// <summary>
    /// Sounds with no spelling of their own that young children's short words need; they come in their families.
    /// </summary>
    private static readonly ImmutableHashSet<string> Later = ["ə", "ʒ", "ʊə"];

    /// <summary>
    /// The other spellings of each sound, as they are taught: commonest in young children's words first. Where counting
    /// chose one of them as the first, it is not taught again.
    /// </summary>
    private static readonly ImmutableArray<(string Sound, string[] Spellings)> Families =
    [
        ("k", ["c=k", "ck=k"]),
        ("s", ["ss=s", "ce=s", "c=s", "se=s"]),
        ("l", ["ll=l", "le=ə+l"]),
        ("f", ["ff=f", "ph=f"]),
        ("z", ["zz=z", "s=z", "se=z"]),
        ("ŋ", ["n=ŋ"]),
        ("tʃ", ["tch=tʃ"]),
        ("dʒ", ["ge=dʒ", "dge=dʒ", "g=dʒ"]),
        ("v", ["ve=v"]),
        ("w", ["wh=w"]),
        ("n", ["kn=n"]),
        ("r", ["wr=r"]),
        ("m", ["mb=m"]),
        ("ʃ", ["ti=ʃ"]),
        ("e", ["ea=e"]),
        ("ʌ", ["o=ʌ"]),
        ("ɒ", ["a=ɒ"]),
        ("ʊ", ["u=ʊ"]),
        ("iː", ["ea=iː", "e=iː", "y=iː", "e-e=iː", "ie=iː", "ey=iː"]),
        ("eɪ", ["ai=eɪ", "ay=eɪ", "a=eɪ"]),
        ("aɪ", ["igh=aɪ", "y=aɪ", "i=aɪ", "ie=aɪ"]),
        ("əʊ", ["oa=əʊ", "o-e=əʊ", "ow=əʊ", "o=əʊ", "oe=əʊ"]),
        ("uː", ["ue=uː ue=j+uː", "ew=uː ew=j+uː", "u-e=uː u-e=j+uː", "u=uː u=j+uː", "ou=uː"]),
        ("aʊ", ["ow=aʊ"]),
        ("ɔɪ", ["oy=ɔɪ"]),
        ("ɜː", ["ur=ɜː", "er=ɜː er=ə", "or=ɜː"]),
        ("ɔː", ["aw=ɔː", "a=ɔː", "al=ɔː", "ore=ɔː", "au=ɔː", "our=ɔː", "ar=ɔː"]),
        ("eə", ["are=eə", "ear=eə"]),
        ("ɪə", ["eer=ɪə"]),
    ];

    public static Ladder Derive(Lexicon lexicon, long seed)
    {
        ImmutableArray<IReadOnlyList<OrderUnit>> phases =
        [
            [.. FirstSpellings(lexicon).Where(u => Opening.Contains(u.Id))],
            [.. FirstSpellings(lexicon).Where(u => !Opening.Contains(u.Id))],
            [OrderUnit.Of("two-sounds", "x=k+s", [], 1), OrderUnit.Of("two-sounds", "qu=k+w", ["u=ʌ"], 1)],
            [
                OrderUnit.Of("longer-words", Patterns.SuffixS, "s=s"),
                OrderUnit.Of("longer-words", Patterns.SuffixIng),
                OrderUnit.Of("longer-words", Patterns.TwoSyllables),
                OrderUnit.Of("longer-words", Patterns.SuffixEd),
            ],
        ];
        var order = new OrderSearch(lexicon, seed).Find(phases);
        order = FamilyOrder.Append(order, Stretches(order), lexicon);
        var ladder = new Ladder("sounds-first", "sounds-first", Free, OrderUnit.Rungs(order), Withheld);
        return ThinRungs.WithReasons(
            new TrickyPlacement(lexicon, Accent.SouthernBritish, most: 110).On(ladder),
            lexicon
        );
    }

    /// <summary>
    /// One spelling for each sound; sh and ch are kept apart by the search, and so are the two sounds of th and of oo.
    /// </summary>
    private static IEnumerable<OrderUnit> FirstSpellings(Lexicon lexicon) =>
        from one in new SpellingChoice(lexicon).BestOfEach()
        where !Later.Contains(one.SoundText)
        let waitsFor = one.Notation switch
        {
            "a-e=eɪ" => ["a=æ"],
            "i-e=aɪ" => ["i=ɪ"],
            "o-e=əʊ" => ["o=ɒ"],
            "th=ð" => ["th=θ"],
            "oo=ʊ" => ["oo=uː"],
            _ => ImmutableArray<string>.Empty,
        }
        select OrderUnit.Of("first-spellings", one.Notation, waitsFor, one.Grapheme.Text is "th" or "oo" ? 10 : 1) with
        {
            From =
                one.Grapheme.Text.Length > 1 ? TeamsFrom
                : one.Notation == "s=s" ? FromWithS
                : 0,
        };

    /// <summary>
    /// The families, each closed by its sorting day where there are several to sort, and between them what longer words
    /// need.
    /// </summary>
    private static IEnumerable<ImmutableArray<OrderUnit>> Stretches(ImmutableArray<OrderUnit> taught) =>
        [
            .. Families.Select(f =>
                (ImmutableArray<OrderUnit>)
                    [
                        .. f
                            .Spellings.Where(s => !taught.Any(u => u.Id == s))
                            .Select(s => OrderUnit.Of(OrderUnit.Family + f.Sound, s, s == "se=z" ? ["se=s"] : [], 1)),
                        OrderUnit.Sort(f.Sound),
                    ]
            ),
            [OrderUnit.Of("endings", Patterns.SuffixEs), OrderUnit.Of("endings", Patterns.JoinDropE)],
            [
                OrderUnit.Of("endings", "pp=p mm=m", [], 1),
                OrderUnit.Of("endings", "tt=t bb=b", [], 1),
                OrderUnit.Of("endings", "nn=n gg=g", [], 1),
                OrderUnit.Of("endings", "dd=d rr=r", [], 1),
                OrderUnit.Of("endings", Patterns.JoinDouble),
            ],
            [OrderUnit.Of("endings", Patterns.SuffixEr, "er=ɜː"), OrderUnit.Of("endings", Patterns.SuffixEst)],
            [
                OrderUnit.Of("endings", Patterns.SuffixY, "y=iː"),
                OrderUnit.Of("endings", Patterns.SuffixLy, "y=iː"),
                OrderUnit.Of("endings", Patterns.JoinYToI, "y=iː"),
            ],
        ];
}

using System.Collections.Frozen;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// What the choosers of one lesson share, each thing worked out when first asked for: the words that use what is new,
/// those that can be read, and the small set of words that is met several times in the lesson.
/// </summary>
public sealed class LessonWork(LessonRequest request)
{
    private const int Plenty = 300;

    /// <summary>No more sentences are made than these, whatever becomes of them.</summary>
    private const int MostMade = 120;
    private const int FewMade = 16;

    /// <summary>Sentences with what is new that stay for reading before one is only said.</summary>
    private const int KeptForReading = 8;

    private const int ShortestSaid = 4;
    private const int LongestSaid = 9;

    /// <summary>What was taught last comes back on the days after.</summary>
    private const int JustTaught = 4;

    private IReadOnlyList<Word>? own;
    private IReadOnlyList<Word>? before;
    private IReadOnlyList<Word>? likely;
    private IReadOnlyList<Word>? known;
    private IReadOnlyList<Word>? set;
    private IReadOnlyList<Sentence>? sentences;
    private Dictionary<string, int>? onTarget;
    private readonly Dictionary<Word, double> worths = [];
    private CorrespondenceSet? due;
    private CorrespondenceSet? recent;

    public LessonRequest Request => request;

    /// <summary>How many words the shared set has.</summary>
    public int SetSize { get; set; } = 6;

    /// <summary>
    /// Words that use what is new today, readable after it; on a quiet day, what the day goes back to.
    /// </summary>
    public IReadOnlyList<Word> Own =>
        own ??= [
            .. request
                .Lexicon.ForLessonsWhere(
                    request.After.Accent,
                    rows => Usable.Showing(request.Today, request.After, rows),
                    w => Usable.Shows(request.Today, w) && request.After.CanRead(w)
                )
                .Where(w => StandsAlone(w) && Only?.Contains(w) != false),
        ];

    /// <summary>Where what is made is about some words, of those of the day these alone; null for all.</summary>
    public IReadOnlySet<Word>? Only { get; init; }

    /// <summary>True where nothing else is to stand beside them that could be read before.</summary>
    public bool OnlyThese { get; init; }

    /// <summary>Words that could be read before today.</summary>
    public IReadOnlyList<Word> Before =>
        before ??= [
            .. request
                .Lexicon.ForLessonsWhere(request.Before.Accent, request.Before.ReadableOf, request.Before.CanRead)
                .Where(w => StandsAlone(w) && !OnlyThese),
        ];

    /// <summary>Words that children know at five, for what only the adult says.</summary>
    public IReadOnlyList<Word> Known =>
        known ??= [
            .. request.Lexicon.Known.Where(w =>
                (w.Flags & WordFlags.Capital) == WordFlags.None && !request.Avoid.Contains(w.Spelling)
            ),
        ];

    /// <summary>
    /// Words that could be read before today, where there are plenty only those that children know: the others are
    /// never chosen then.
    /// </summary>
    public IReadOnlyList<Word> LikelyBefore =>
        likely ??= request
            .Lexicon.KnownWhere(request.Before.Accent, request.Before.ReadableOf, request.Before.CanRead)
            .Where(w => StandsAlone(w) && !OnlyThese)
            .ToList()
            is { Count: >= Plenty } plenty
            ? plenty
            : Before;

    /// <summary>
    /// Sentences of the bank that can be read after today's Teach and have what the day is about: what is new, or on a
    /// day with only a new tricky word that word; on a quiet day what it goes back to.
    /// </summary>
    public IReadOnlyList<Sentence> Sentences =>
        sentences ??= [
            .. request
                .Materials.Sentences.ReadableHaving(PlacesOfTargets, request.After, Tricky)
                .Where(s => HitsIn(s) > 0 && MayBeRead(s)),
        ];

    private IEnumerable<int> PlacesOfTargets(WordRows rows) =>
        IsAboutWords
            ? Usable.PlacesShowing(request.Today, rows)
            : rows.Words.Index().Where(w => IsTarget(w.Item)).Select(w => w.Index);

    /// <summary>
    /// The shared set, easy to hard: at least two thirds have what is new today, the rest bring back what is due.
    /// Chosen when first asked for; of a lesson that stands, its words to read. Source: docs/handbook.md, section 7
    /// (Choosing words).
    /// </summary>
    public IReadOnlyList<Word> Set
    {
        get => set ??= ChooseSet();
        init => set = value;
    }

    /// <summary>A generator for one purpose of this lesson.</summary>
    public Seeded Stream(string purpose) => Seeded.For(request.Seed, purpose);

    public WordChoice Choice(string purpose) => new(this, Stream(purpose));

    /// <summary>What a word is worth by itself in this lesson: worked out once for all its activities.</summary>
    public double WorthOf(Word word)
    {
        if (!worths.TryGetValue(word, out var worth))
            worths[word] = worth = WordChoice.Worth(this, word);
        return worth;
    }

    /// <summary>What was seen in the last lessons.</summary>
    public CorrespondenceSet Recent => recent ??= CorrespondenceSet.Of(request.Memory.Recent);

    /// <summary>What was taught and not seen for some lessons.</summary>
    public CorrespondenceSet Due => due ??= CorrespondenceSet.Of(request.Memory.Due);

    private readonly Dictionary<Word, bool> isOwn = new(ReferenceEqualityComparer.Instance);

    /// <summary>True for a word with what is new today; on a quiet day, with what it goes back to.</summary>
    public bool IsOwn(Word word)
    {
        if (!isOwn.TryGetValue(word, out var own))
            isOwn[word] = own = Usable.Shows(request.Today, word);
        return own;
    }

    /// <summary>Sentences that the lesson has, read or said: none comes twice.</summary>
    public ISet<string> Met { get; init; } = new HashSet<string>(StringComparer.Ordinal);

    /// <summary>The different words of a sentence of the lesson.</summary>
    public WordSet WordsOf(string sentence)
    {
        if (!wordsOf.TryGetValue(sentence, out var words))
            wordsOf[sentence] = words = new WordSet(ReadByChildren.InSentence(sentence));
        return words;
    }

    private readonly Dictionary<string, WordSet> wordsOf = new(StringComparer.Ordinal);

    /// <summary>What the lesson's cards have, as reference notations: a card comes once.</summary>
    public ISet<string> MetCards { get; init; } = new HashSet<string>(StringComparer.Ordinal);

    /// <summary>What an activity that does not stand after all had taken may come elsewhere.</summary>
    public void Free(Activity activity)
    {
        MetCards.ExceptWith(activity.Items.OfType<CardItem>().Select(c => c.Correspondence));
        Met.ExceptWith(activity.Items.SelectMany(ReadByChildren.Sentences));
        metNewTricky -= activity.Items.Count(HasNewTricky);
    }

    /// <summary>True when a sentence of the lesson that stands has today's tricky word.</summary>
    public bool HasMetNewTricky => metNewTricky > 0;

    private int metNewTricky;

    /// <summary>
    /// Sentences that were taken for an activity while it was filled: met when it stands, free again when it does not.
    /// </summary>
    private readonly List<string> taken = [];

    /// <summary>Marks what an activity shows as met, and frees what was taken for it and is not in it.</summary>
    public void Settle(IEnumerable<Item> items)
    {
        Met.ExceptWith(taken);
        taken.Clear();
        foreach (var item in items)
        {
            if (item is CardItem card)
                MetCards.Add(card.Correspondence);
            Met.UnionWith(ReadByChildren.Sentences(item));
            metNewTricky += HasNewTricky(item) ? 1 : 0;
        }
    }

    private bool HasNewTricky(Item item) =>
        item is SentenceItem or TextItem or MissingWordItem or ScrambleItem or MendItem
        && ReadByChildren.Words(item).Any(w => request.Today.Tricky.Contains(w));

    /// <summary>Sentences of an activity that are to make way for others; null in a new lesson.</summary>
    public IReadOnlySet<string>? SentencesToGo { get; init; }

    /// <summary>Sentences made for the day, when others are asked for than the bank has.</summary>
    public IEnumerable<Sentence> Made(string id) =>
        (SentencesToGo is null ? null : request.Materials.Maker)
            ?.Make(CanBeRead, IsWorthASentence, Stream($"{id}:made"))
            .Take(MostMade)
            .Where(MayBeRead)
        ?? [];

    /// <summary>Sentences made with a list in them, each going on another way: went to the, and a, in the.</summary>
    public IEnumerable<Sentence> MadeLists(string id) =>
        request
            .Materials.Maker?.Make(CanBeRead, IsWorthASentence, Stream($"{id}:lists"), lists: true)
            .Take(FewMade)
            .Where(MayBeRead)
            .DistinctBy(s => (s.Tokens[^3].Word, s.Tokens[^2].Word))
        ?? [];

    /// <summary>Phrases with what is new, for a story to have.</summary>
    public IEnumerable<Sentence> Phrases(string id) =>
        request
            .Materials.Maker?.Make(CanBeRead, IsOwn, Stream($"{id}:phrases"), phrases: true)
            .Take(FewMade)
            .Where(MayBeRead)
        ?? [];

    /// <summary>True for what a sentence is made for: a word of the day that is more than somebody's name.</summary>
    private bool IsWorthASentence(Word word) => (word.Flags & WordFlags.Capital) == WordFlags.None && IsTarget(word);

    private bool CanBeRead(Word word) => request.After.CanRead(word) || Tricky.Contains(word.Spelling);

    private HashSet<string> Tricky => tricky ??= [.. request.TrickyToday];

    private HashSet<string>? tricky;

    /// <summary>How many words of a sentence have what the day is about.</summary>
    public int HitsIn(Sentence sentence) => sentence.Tokens.Count(t => IsTarget(t.Word));

    /// <summary>Words of an activity that are to make way for others; none in a new lesson.</summary>
    public IReadOnlySet<string> ToGo { get; init; } = FrozenSet<string>.Empty;

    /// <summary>
    /// True for a sentence without a word that is shown only when a teacher asks for it, or that this group is spared.
    /// </summary>
    public bool MayBeRead(Sentence sentence) =>
        sentence.Tokens.All(t =>
            t.Word.Suitability == Suitability.Use
            && !request.Avoid.Contains(t.Word.Spelling)
            && !IsOfTheGroup(t.Written, t.Word)
        );

    /// <summary>
    /// True where a child of the group is named; will and may are no names, though somebody may be called so.
    /// </summary>
    private bool IsOfTheGroup(string written, Word word) =>
        request.Names.Count > 0
        && char.IsUpper(written[0])
        && word.Flags.HasFlag(WordFlags.Name)
        && request.Names.Contains(word.Spelling);

    /// <summary>
    /// True for a word that may be shown by itself: not one with a capital letter, nor a contraction before
    /// contractions are the day's point.
    /// </summary>
    private bool StandsAlone(Word word) =>
        (word.Flags & WordFlags.Capital) == WordFlags.None
        && (!word.Patterns.HasFlag(Patterns.Contraction) || request.Today.Patterns.HasFlag(Patterns.Contraction))
        && !request.Avoid.Contains(word.Spelling);

    /// <summary>
    /// Words that were readable before, known to children and worth reading alone: those that bring back what the last
    /// days taught, or all of them where those are few.
    /// </summary>
    public List<Word> BringBack(IReadOnlyCollection<Word> beside)
    {
        var least = beside.Count == 0 ? 0 : beside.Min(w => w.Segmentation.Taps);
        var others = LikelyBefore
            .Where(w =>
                w.IsKnown
                && w.Suffix is null
                && !IsOwn(w)
                && !ChosenLast.Has(w)
                && w.Segmentation.Taps >= least
                && !beside.Contains(w)
            )
            .ToList();
        var lately = CorrespondenceSet.Of(Lately);
        var back = others.Where(w => w.ContainsAny(lately)).ToList();
        return back.Count >= SetSize ? back : others;
    }

    /// <summary>
    /// A sentence of the bank to say with a word that is written: one that the lesson does not need for reading, and
    /// that it has nowhere else; null where there is none.
    /// </summary>
    public string? TakeToSay(Word word)
    {
        var found = request
            .Materials.Sentences.Having(word)
            .Where(s =>
                s.Tokens.Length is >= ShortestSaid and <= LongestSaid
                && !s.IsCaption
                && !Met.Contains(s.Text)
                && s.Tokens.Count(t => t.Word == word) == 1
                && !s.Tokens.Any(t => request.Today.Tricky.Contains(t.Word.Spelling))
                && MayBeRead(s)
            )
            .ToList();
        var spare = found.Where(s => !OnTarget.ContainsKey(s.Text)).ToList();
        if (spare.Count == 0 && OnTarget.Count > KeptForReading)
            spare = found;
        if (spare.Count == 0)
            return null;
        var said = spare[Stream($"said:{word.Spelling}").Below(spare.Count)].Text;
        if (Met.Add(said))
            taken.Add(said);
        return said;
    }

    /// <summary>The same sentences, and in how many of their words they have it.</summary>
    public IReadOnlyDictionary<string, int> OnTarget =>
        onTarget ??= Sentences.ToDictionary(s => s.Text, HitsIn, StringComparer.Ordinal);

    private bool IsAboutWords => request.Today.IsInWords || request.Today.Kind != RungKind.Lesson;

    private bool IsTarget(Word word) => IsAboutWords ? IsOwn(word) : request.Today.Tricky.Contains(word.Spelling);

    /// <summary>The words of a list that a teacher would pick; all of it where there are too few.</summary>
    public IReadOnlyList<Word> Picked(IReadOnlyList<Word> words) => ChosenLast.LeftOutOf(words, SetSize);

    /// <summary>What is new today, and what was on the days before: those four days bring it back.</summary>
    public IEnumerable<Correspondence> Lately => request.Memory.Newest.Take(JustTaught);

    /// <summary>Short before long; among those as long what is new first, then what is plainer.</summary>
    public IEnumerable<Word> EasyToHard(IEnumerable<Word> words) => WordChoice.EasyToHard(words, IsOwn);

    private List<Word> ChooseSet()
    {
        var pool = Picked(Own);
        var mine = Choice("read").Take(WithoutSpare(pool), Math.Max(SetSize - (SetSize / 4), 1));
        var room = Math.Min(SetSize - mine.Count, mine.Count / 2);
        if (room > 0)
            mine.AddRange(Choice("contrast").Take(BringBack(mine), room, mine));
        return [.. EasyToHard(mine)];
    }

    /// <summary>
    /// The words of a pool that has enough without its easiest two: those stay for whoever needs it easier.
    /// </summary>
    private IReadOnlyList<Word> WithoutSpare(IReadOnlyList<Word> pool)
    {
        if (pool.Count < SetSize + (2 * Leveled.OfEach))
            return pool;
        var easiest = Stream("spare")
            .Shuffle(pool.Where(w => w.IsKnown && w.Suffix is null))
            .OrderBy(w => w.Segmentation.Taps)
            .Take(Leveled.OfEach)
            .ToHashSet();
        return [.. pool.Where(w => !easiest.Contains(w))];
    }
}

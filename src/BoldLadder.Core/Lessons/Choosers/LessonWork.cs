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

    private IReadOnlyList<Word>? own;
    private IReadOnlyList<Word>? before;
    private IReadOnlyList<Word>? likely;
    private IReadOnlyList<Word>? known;
    private IReadOnlyList<Word>? set;
    private IReadOnlyList<Sentence>? sentences;
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
                .Where(StandsAlone),
        ];

    /// <summary>Words that could be read before today.</summary>
    public IReadOnlyList<Word> Before =>
        before ??= [
            .. request
                .Lexicon.ForLessonsWhere(request.Before.Accent, request.Before.ReadableOf, request.Before.CanRead)
                .Where(StandsAlone),
        ];

    /// <summary>Words that children know at five, for what only the adult says.</summary>
    public IReadOnlyList<Word> Known =>
        known ??= [.. request.Lexicon.Known.Where(w => !request.Avoid.Contains(w.Spelling))];

    /// <summary>
    /// Words that could be read before today, where there are plenty only those that children know: the others are
    /// never chosen then.
    /// </summary>
    public IReadOnlyList<Word> LikelyBefore =>
        likely ??= request
            .Lexicon.KnownWhere(request.Before.Accent, request.Before.ReadableOf, request.Before.CanRead)
            .Where(StandsAlone)
            .ToList()
            is { Count: >= Plenty } plenty
            ? plenty
            : Before;

    /// <summary>Sentences of the bank that can be read after today's Teach.</summary>
    public IReadOnlyList<Sentence> Sentences =>
        sentences ??= [
            .. request.Materials.Sentences.Readable(request.After, request.TrickyToday.ToHashSet()).Where(MayBeRead),
        ];

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

    public bool IsOwn(Word word) => Usable.Shows(request.Today, word);

    /// <summary>Sentences that other activities of the lesson have: they are not wanted twice.</summary>
    public ISet<string> Met { get; init; } = new HashSet<string>(StringComparer.Ordinal);

    /// <summary>Words of an activity that are to make way for others; none in a new lesson.</summary>
    public IReadOnlySet<string> ToGo { get; init; } = FrozenSet<string>.Empty;

    /// <summary>
    /// True for a sentence without a word that is shown only when a teacher asks for it, or that this group is spared.
    /// </summary>
    public bool MayBeRead(Sentence sentence) =>
        sentence.Tokens.All(t => t.Word.Suitability == Suitability.Use && !request.Avoid.Contains(t.Word.Spelling));

    /// <summary>
    /// True for a word that may be shown by itself: not one with a capital letter, nor a contraction before
    /// contractions are the day's point.
    /// </summary>
    private bool StandsAlone(Word word) =>
        (word.Flags & WordFlags.Capital) == WordFlags.None
        && (!word.Patterns.HasFlag(Patterns.Contraction) || request.Today.Patterns.HasFlag(Patterns.Contraction))
        && !request.Avoid.Contains(word.Spelling);

    private List<Word> ChooseSet()
    {
        var mine = Choice("read").Take(Own, Math.Max(SetSize - (SetSize / 4), 1));
        var room = Math.Min(SetSize - mine.Count, mine.Count / 2);
        if (room > 0)
            mine.AddRange(Choice("contrast").Take(LikelyBefore.Where(w => !IsOwn(w)), room, mine));
        return [.. WordChoice.EasyToHard(mine)];
    }
}

using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Revisit;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

/// <summary>
/// What a group has in memory, and what is due: today as the log and the lessons before tell it. Choosers ask this, and
/// know nothing of where it comes from.
/// Counts are lessons: 1 for the last one. Source: docs/handbook.md, section 7 (Choosing words).
/// </summary>
public sealed record Memory
{
    /// <summary>Lessons after which a correspondence counts as due.</summary>
    public const int DueAfter = 4;

    /// <summary>What was not seen for so many lessons comes back before anything else.</summary>
    public const int LongestUnseen = 20;

    /// <summary>For each taught correspondence how many lessons ago it was last seen.</summary>
    public IReadOnlyDictionary<Correspondence, int> Seen { get; init; } = FrozenDictionary<Correspondence, int>.Empty;

    /// <summary>For words of recent lessons how many lessons ago they were used.</summary>
    public IReadOnlyDictionary<string, int> Words { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>The same for sentences, and for texts by their titles.</summary>
    public IReadOnlyDictionary<string, int> Texts { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>The same for kinds of activities.</summary>
    public IReadOnlyDictionary<ActivityKind, int> Kinds { get; init; } = FrozenDictionary<ActivityKind, int>.Empty;

    /// <summary>For tricky words how many lessons ago they were read as such.</summary>
    public IReadOnlyDictionary<string, int> TrickyRead { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>For tricky words how many lessons ago they were written from memory.</summary>
    public IReadOnlyDictionary<string, int> TrickyWritten { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>In how many lessons a tricky word was written from memory.</summary>
    public IReadOnlyDictionary<string, int> Written { get; init; } = FrozenDictionary<string, int>.Empty;

    /// <summary>In how many lessons a text was read, by its title.</summary>
    public IReadOnlyDictionary<string, int> TextReadings { get; init; } = FrozenDictionary<string, int>.Empty;

    public int TimesWritten(string word) => Written.GetValueOrDefault(word, 0);

    /// <summary>What was taught last, the newest first.</summary>
    public ImmutableArray<Correspondence> Newest { get; init; } = [];

    /// <summary>What the last lesson left out or missed: it comes first in Revisit.</summary>
    public ImmutableArray<Correspondence> Missed { get; init; } = [];

    /// <summary>
    /// Where children's marks are known, what is due for the group by them, the most needed first; empty where nothing
    /// was marked: then the log alone says it.
    /// </summary>
    public ImmutableArray<DueTarget> Marked
    {
        get;
        init
        {
            field = value;
            marked = value
                .Where(d => d.Target.Kind == TargetKind.Correspondence)
                .Select((d, i) => (One: d.Target.Correspondence!, Due: (d, i)))
                .ToFrozenDictionary(d => d.One, d => d.Due);
        }
    } = [];

    private readonly FrozenDictionary<Correspondence, (DueTarget Due, int Place)> marked = FrozenDictionary<
        Correspondence,
        (DueTarget, int)
    >.Empty;

    /// <summary>So many of what is marked are called due: that is why a word is there.</summary>
    private const int FirstDue = 16;

    /// <summary>So many of what is marked are brought back by the words of a lesson, the first of them most.</summary>
    private const int BroughtBack = 60;

    /// <summary>
    /// What marks say of tricky words for reading, and for writing, each apart, by the word: of the children of whom
    /// something is known.
    /// </summary>
    public IReadOnlyDictionary<string, DueTarget> TrickyToRead { get; init; } =
        FrozenDictionary<string, DueTarget>.Empty;
    public IReadOnlyDictionary<string, DueTarget> TrickyToWrite { get; init; } =
        FrozenDictionary<string, DueTarget>.Empty;

    /// <summary>What the marks say of a correspondence; null where nothing is known.</summary>
    public DueTarget? DueOf(Correspondence one) => marked.TryGetValue(one, out var due) ? due.Due : null;

    /// <summary>What was taught and not seen for some lessons, or is due by what children showed.</summary>
    public IEnumerable<Correspondence> Due => Seen.Keys.Where(IsDue);

    /// <summary>What was seen in the last lessons.</summary>
    public IEnumerable<Correspondence> Recent => Seen.Where(s => s.Value <= DueAfter).Select(s => s.Key);

    /// <summary>How many lessons ago it was seen; 0 when nothing is known of it.</summary>
    public int LessonsSince(Correspondence correspondence) => Seen.GetValueOrDefault(correspondence, 0);

    /// <summary>
    /// How much a correspondence is needed by marks: 1 for the most needed, next to nothing for the last that is
    /// brought back; null where marks say nothing of it, or of nothing at all.
    /// </summary>
    public double? NeedOf(Correspondence correspondence) =>
        marked.TryGetValue(correspondence, out var due) && due.Place < BroughtBack
            ? 1 - (due.Place / (double)BroughtBack)
            : null;

    public bool IsDue(Correspondence correspondence) =>
        marked.TryGetValue(correspondence, out var due)
            ? due.Place < FirstDue
            : Seen.TryGetValue(correspondence, out var lessons) && lessons >= DueAfter;

    /// <summary>The same with what the lessons before showed, too: of a word seen in both the nearer counts.</summary>
    public Memory With(LessonHistory history)
    {
        var words = Words.ToDictionary();
        foreach (var (word, ago) in history.Words)
            words[word] = Math.Min(ago, words.GetValueOrDefault(word, ago));
        return this with
        {
            Words = words,
            Texts = history.Texts,
            Kinds = history.Kinds,
            TrickyRead = history.TrickyRead,
            TrickyWritten = history.TrickyWritten,
            Written = history.Written,
            TextReadings = history.TextReadings,
        };
    }
}

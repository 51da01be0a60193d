using System.Collections.Immutable;
using System.Text.Json;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Teaching;

/// <summary>Something taught, with the day it was taught first.</summary>
public sealed record FirstTaught(string What, DateOnly First);

/// <summary>Something shown or used, with the number of the last lesson that did, from 1.</summary>
public sealed record LastMet(string What, int Lesson);

/// <summary>
/// What a group's teaching log comes to: enough to say where the group stands, without reading the log again. It is
/// kept beside the log and grows by a line with each closing; folded anew from the log it is the same. Format 1.
/// </summary>
/// <param name="Lessons">How many lessons of the log taught or showed something.</param>
/// <param name="Last">The day of the last of them; null before the first.</param>
/// <param name="Closed">The last day that was closed, whatever came of it.</param>
/// <param name="Taught">Correspondences, what was taught last at the end.</param>
/// <param name="Patterns">Pattern ids, in the order they were taught first.</param>
/// <param name="Tricky">Tricky words, in the order they were taught first.</param>
/// <param name="Rungs">The rungs and quiet days that were held, each with its last day.</param>
/// <param name="Seen">Correspondences that were taught or shown, in the order they were met first.</param>
/// <param name="Words">Words that were read, in the order they were met first.</param>
/// <param name="Missed">What the last lesson left out or missed.</param>
public sealed record Standing(
    int Format,
    int Lessons,
    DateOnly? Last,
    DateOnly? Closed,
    ImmutableArray<FirstTaught> Taught,
    ImmutableArray<FirstTaught> Patterns,
    ImmutableArray<string> Tricky,
    ImmutableDictionary<string, DateOnly> Rungs,
    ImmutableArray<LastMet> Seen,
    ImmutableArray<LastMet> Words,
    ImmutableArray<string> Missed
)
{
    public const int CurrentFormat = 1;

    public static Standing Nothing { get; } =
        new(
            Format: CurrentFormat,
            Lessons: 0,
            Last: null,
            Closed: null,
            Taught: [],
            Patterns: [],
            Tricky: [],
            Rungs: ImmutableDictionary<string, DateOnly>.Empty,
            Seen: [],
            Words: [],
            Missed: []
        );

    /// <summary>The standing that a whole log comes to.</summary>
    /// <param name="log">The lines that count, in any order.</param>
    public static Standing Of(IEnumerable<TaughtFact> log) =>
        log.OrderBy(f => f.Date).Aggregate(Nothing, (standing, fact) => standing.With(fact));

    /// <summary>The first day that is not closed yet: today, or the day after the last closed one.</summary>
    public DateOnly FirstOpen(DateOnly today) => Closed >= today ? Closed.Value.AddDays(1) : today;

    /// <summary>The same once a day was closed on which nothing was taught.</summary>
    public Standing WithClosed(DateOnly date) => this with { Closed = Closed > date ? Closed : date };

    /// <summary>The same with one more lesson.</summary>
    /// <exception cref="ArgumentException">The lesson lies before the last one: then the log is to be folded
    /// anew.</exception>
    public Standing With(TaughtFact fact)
    {
        if (fact.Date < Last)
            throw new ArgumentException(
                $"The lesson of {fact.Date:yyyy-MM-dd} lies before that of {Last:yyyy-MM-dd}. Fold the log anew.",
                nameof(fact)
            );
        var taught = fact.Correspondences.Select(Plain).ToList();
        return WithClosed(fact.Date) with
        {
            Lessons = Lessons + 1,
            Last = fact.Date,
            Taught =
            [
                .. Taught.Where(t => !taught.Contains(t.What)),
                .. taught
                    .Distinct()
                    .Select(c => Taught.FirstOrDefault(t => t.What == c) ?? new FirstTaught(c, fact.Date)),
            ],
            Patterns =
            [
                .. Patterns,
                .. fact
                    .Patterns.Distinct()
                    .Where(p => Patterns.All(k => k.What != p))
                    .Select(p => new FirstTaught(p, fact.Date)),
            ],
            Tricky = [.. Tricky.Union(fact.Tricky)],
            Rungs = fact.RungId is { } rung ? Rungs.SetItem(rung, fact.Date) : Rungs,
            Seen = Met(Seen, taught.Concat(fact.Seen.Select(Plain)), Lessons + 1),
            Words = Met(Words, fact.Words, Lessons + 1),
            Missed = fact.Missed,
        };
    }

    public static string Write(Standing standing) => JsonSerializer.Serialize(standing, LessonDocument.Json);

    /// <exception cref="FormatException">Not a standing of a known format.</exception>
    public static Standing Read(string json)
    {
        try
        {
            return JsonSerializer.Deserialize<Standing>(json, LessonDocument.Json) is { Format: CurrentFormat } standing
                ? standing
                : throw new FormatException($"This standing is not of format {CurrentFormat}.");
        }
        catch (JsonException problem)
        {
            throw new FormatException($"This standing is not readable: {problem.Message}", problem);
        }
    }

    private static string Plain(string notation) => Correspondence.Parse(notation).Notation;

    private static ImmutableArray<LastMet> Met(ImmutableArray<LastMet> before, IEnumerable<string> now, int lesson)
    {
        var met = now.Distinct().ToList();
        var known = before.Select(m => m.What).ToHashSet();
        var again = met.Where(known.Contains).ToHashSet();
        return
        [
            .. before.Select(m => again.Contains(m.What) ? m with { Lesson = lesson } : m),
            .. met.Where(m => !known.Contains(m)).Select(m => new LastMet(m, lesson)),
        ];
    }
}

using System.Collections.Immutable;

namespace BoldLadder.Core.Ladders.Calendars;

/// <summary>Something with dates, out of a file: the line it stands on, or which event it is, from 1.</summary>
/// <param name="Said">What the file itself says it is; null when it says nothing.</param>
public sealed record DatedEvent(int Line, string Name, DateOnly First, DateOnly Last, DateMeaning? Said = null);

/// <summary>What something with dates is to a school's calendar.</summary>
public enum DateMeaning
{
    /// <summary>A run of weeks in which the school is open.</summary>
    Term,

    /// <summary>Days without lessons.</summary>
    Closed,

    /// <summary>Nothing: a fair, an evening.</summary>
    Other,
}

/// <summary>What a line of dates is taken for.</summary>
/// <param name="ClosedDays">How many days without lessons come of it; 0 for a holiday between terms.</param>
public sealed record MeantEvent(DatedEvent Event, DateMeaning Meaning, int ClosedDays);

/// <summary>
/// Terms and closed days out of dates that a school has: what each line of them means, and what comes of all. Source:
/// docs/handbook.md, section 8.
/// </summary>
public sealed record DatesMeant(
    ImmutableArray<MeantEvent> Lines,
    ImmutableArray<SchoolTerm> Terms,
    ImmutableArray<DateOnly> Closed
)
{
    /// <summary>Days from which on something is a term, unless it is named otherwise.</summary>
    private const int ShortestTerm = 15;

    /// <summary>Days up to which something that is not called so is taken for a term.</summary>
    private const int LongestGuess = 200;

    private static readonly string[] Free =
    [
        "holiday",
        "holidays",
        "closed",
        "closure",
        "vacation",
        "recess",
        "break",
        "inset",
        "training",
        "half term",
        "day off",
        "no school",
        "no lessons",
        "staff day",
    ];

    private static readonly string[] Begins = ["begins", "begin", "starts", "start", "opens", "reopens", "first day"];
    private static readonly string[] Ends = ["ends", "end", "finishes", "finish", "closes", "last day", "breaks up"];

    /// <param name="lessonDays">Weekdays with lessons, 1 for Monday: only these need to be closed.</param>
    /// <param name="terms">Terms there are: one that overlaps a term of the file gives way to it.</param>
    /// <param name="closed">Closed days there are: they stay.</param>
    /// <param name="choices">What a person says that a line means, by line.</param>
    public static DatesMeant Of(
        IReadOnlyCollection<DatedEvent> events,
        IReadOnlyCollection<int> lessonDays,
        IReadOnlyCollection<SchoolTerm> terms,
        IReadOnlyCollection<DateOnly> closed,
        IReadOnlyDictionary<int, DateMeaning> choices
    )
    {
        var paired = Paired(events);
        var found = new List<(DatedEvent Event, SchoolTerm Term)>();
        // The shorter first: a whole school year beside its terms is no term.
        foreach (var one in events.OrderBy(e => e.Last.DayNumber - e.First.DayNumber).ThenBy(e => e.Line))
        {
            var term = paired.GetValueOrDefault(one.Line) ?? new SchoolTerm(one.Name, one.First, one.Last);
            if (
                Meaning(one) == DateMeaning.Term
                && term.Last.DayNumber - term.First.DayNumber <= CalendarCheck.LongestTerm
                && (IsChosen(one) || found.TrueForAll(f => !Overlap(f.Term, term)))
            )
                found.Add((one, term));
        }
        ImmutableArray<SchoolTerm> all =
        [
            .. terms
                .Where(t => found.TrueForAll(f => !Overlap(f.Term, t)))
                .Concat(found.Select(f => f.Term))
                .OrderBy(t => t.First),
        ];
        // Once for all events, however long they are.
        var open = new SchoolCalendar(
            all.Select(t => (t.First, t.Last)),
            [],
            lessonDays.Select(SchoolWeekday.DayOfWeek)
        ).Days;
        var lines = events
            .OrderBy(e => e.Line)
            .Select(e => new MeantEvent(
                e,
                Meaning(e) == DateMeaning.Term && found.TrueForAll(f => f.Event != e) ? DateMeaning.Other : Meaning(e),
                Meaning(e) == DateMeaning.Closed ? Days(e).Length : 0
            ))
            .ToImmutableArray();
        return new DatesMeant(
            lines,
            all,
            [
                .. lines
                    .Where(l => l.Meaning == DateMeaning.Closed)
                    .SelectMany(l => Days(l.Event).ToArray())
                    .Concat(closed)
                    .Distinct()
                    .Order(),
            ]
        );

        bool IsChosen(DatedEvent one) => choices.ContainsKey(one.Line) || one.Said is not null;
        DateMeaning Meaning(DatedEvent one) =>
            choices.TryGetValue(one.Line, out var chosen) ? chosen
            : one.Said is { } said ? said
            : paired.ContainsKey(one.Line) ? DateMeaning.Term
            : Guess(one);
        // The days are in order.
        ReadOnlySpan<DateOnly> Days(DatedEvent one) => open.AsSpan()[From(one.First)..From(one.Last.AddDays(1))];
        int From(DateOnly day)
        {
            var at = open.BinarySearch(day);
            return at < 0 ? ~at : at;
        }
    }

    private static DateMeaning Guess(DatedEvent one)
    {
        var (name, days) = (Plain(one.Name), one.Last.DayNumber - one.First.DayNumber + 1);
        // The half of a term that lasts for weeks is no half-term break.
        var isFree = Free.Any(f => Says(name, f) && !(f == "half term" && days >= ShortestTerm));
        return isFree ? DateMeaning.Closed
            : days is >= ShortestTerm and <= LongestGuess ? DateMeaning.Term
            : DateMeaning.Other;
    }

    /// <summary>
    /// Terms of which a file names the first day and the last in lines of their own, by the line of the first.
    /// </summary>
    private static Dictionary<int, SchoolTerm> Paired(IReadOnlyCollection<DatedEvent> events)
    {
        var found = new Dictionary<int, SchoolTerm>();
        DatedEvent? open = null;
        foreach (var one in events.Where(e => e.First == e.Last && e.Said is null).OrderBy(e => e.First))
        {
            var name = Plain(one.Name);
            if (!Says(name, "term") && !Says(name, "semester") && !Says(name, "school"))
                continue;
            if (Begins.FirstOrDefault(b => Says(name, b)) is not null)
            {
                open = one;
            }
            else if (open is { } first && Ends.FirstOrDefault(e => Says(name, e)) is not null)
            {
                found[first.Line] = new SchoolTerm(Bare(first.Name), first.First, one.First);
                open = null;
            }
        }
        return found;
    }

    /// <summary>The name of a term without the word that says it begins.</summary>
    private static string Bare(string name)
    {
        foreach (var word in Begins)
        {
            if (name.IndexOf(word, StringComparison.OrdinalIgnoreCase) is > 0 and var at)
                return name[..at].TrimEnd(' ', '-', ':', '–');
        }
        return name;
    }

    private static bool Overlap(SchoolTerm one, SchoolTerm other) => one.First <= other.Last && other.First <= one.Last;

    /// <summary>Words in small letters, with one space before, between and after.</summary>
    private static string Plain(string name)
    {
        var words = name.ToLowerInvariant()
            .Split([.. name.Where(c => !char.IsLetterOrDigit(c))], StringSplitOptions.RemoveEmptyEntries);
        return $" {string.Join(' ', words)} ";
    }

    private static bool Says(string plain, string words) => plain.Contains($" {words} ", StringComparison.Ordinal);
}

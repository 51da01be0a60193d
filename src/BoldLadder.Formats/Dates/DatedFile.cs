using System.Collections.Immutable;
using BoldLadder.Core.Ladders.Calendars;

namespace BoldLadder.Formats.Dates;

/// <summary>A line that has no date that can be read.</summary>
/// <param name="Code">no-date, no-year, unreadable, no-such-day, backwards, out-of-range or repeats.</param>
/// <param name="Value">What stands there.</param>
public sealed record DateProblem(int Line, string Code, string Value);

/// <summary>What a file of dates has.</summary>
/// <param name="InDoubt">A date of which either number may be the day and nothing in the file says which: it has to be
/// asked. Null when there is none.</param>
/// <param name="DayFirst">How dates of numbers were read.</param>
public sealed record DatedFile(
    ImmutableArray<DatedEvent> Events,
    ImmutableArray<DateProblem> Problems,
    string? InDoubt,
    bool DayFirst
)
{
    public const int MostEvents = 1_000;
    private const int LongestName = 80;

    /// <summary>A name as the calendar keeps it: on one line, and not too long.</summary>
    internal static string Name(string text)
    {
        var plain = string.Join(
            ' ',
            text.Split([' ', '\t', '\r', '\n'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
        );
        plain = new string([.. plain.Where(c => !char.IsControl(c))]);
        return plain.Length <= LongestName ? plain : plain[..LongestName].TrimEnd();
    }
}

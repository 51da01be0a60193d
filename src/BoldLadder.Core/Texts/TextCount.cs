namespace BoldLadder.Core.Texts;

/// <summary>
/// The shares of a checked text, by running words and by different words. Numerals are not counted. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TextCount
{
    /// <summary>Different words are counted up to so many; beyond that only running words are.</summary>
    public const int MostDifferent = 200_000;

    private readonly long[] running = new long[Enum.GetValues<ReadingStatus>().Length];
    private readonly long[] different = new long[Enum.GetValues<ReadingStatus>().Length];
    private readonly HashSet<string> seen = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>All words counted so far.</summary>
    public long Words => running.Sum();

    public long DifferentWords => different.Sum();

    public void Add(ReadOnlySpan<char> token, ReadingStatus status)
    {
        running[(int)status]++;
        if (seen.Count < MostDifferent && seen.GetAlternateLookup<ReadOnlySpan<char>>().Add(token)) different[(int)status]++;
    }

    public long Running(ReadingStatus status) => running[(int)status];

    public long Different(ReadingStatus status) => different[(int)status];

    /// <summary>The share of running words that are decodable or tricky words that were taught, 0 to 1; 1 for an empty text.</summary>
    public double Readable => Words == 0 ? 1 : (double)(running[(int)ReadingStatus.Decodable] + running[(int)ReadingStatus.Tricky]) / Words;
}

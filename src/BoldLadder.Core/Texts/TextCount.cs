namespace BoldLadder.Core.Texts;

/// <summary>
/// The shares of a checked text, by running words and by different words. Numerals are not counted. Source:
/// docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TextCount
{
    private readonly long[] running = new long[Enum.GetValues<ReadingStatus>().Length];
    private readonly long[] different = new long[Enum.GetValues<ReadingStatus>().Length];

    /// <param name="spellings">Each spelling with its status and how often it stands in the text; letter case makes no
    /// different word.</param>
    /// <param name="others">By status, running words whose spelling was not kept.</param>
    internal TextCount(
        IEnumerable<(string Spelling, ReadingStatus Status, long Times)> spellings,
        IReadOnlyList<long> others
    )
    {
        var seen = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        foreach (var (spelling, status, times) in spellings)
        {
            running[(int)status] += times;
            if (seen.Add(spelling))
                different[(int)status]++;
        }
        for (var i = 0; i < running.Length; i++)
            running[i] += others[i];
    }

    /// <summary>All words counted.</summary>
    public long Words => running.Sum();

    public long DifferentWords => different.Sum();

    public long Running(ReadingStatus status) => running[(int)status];

    public long Different(ReadingStatus status) => different[(int)status];

    /// <summary>
    /// The share of running words that are decodable or tricky words that were taught, 0 to 1; 1 for an empty text.
    /// </summary>
    public double Readable =>
        Words == 0 ? 1 : (double)(running[(int)ReadingStatus.Decodable] + running[(int)ReadingStatus.Tricky]) / Words;
}

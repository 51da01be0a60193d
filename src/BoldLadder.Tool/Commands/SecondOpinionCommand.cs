using BoldLadder.Core.Words;
using BoldLadder.Tool.Building;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold second-opinion: the commonest words, and those of lessons, that espeak-ng says otherwise than the lexicon and
/// that nobody has judged (data/review/second-opinion), and the judged ones that no longer differ. Ends with 1 when
/// there is one.
/// </summary>
public static class SecondOpinionCommand
{
    private const int Commonest = 10_000;

    public static int Run(TextWriter output, TextWriter errors)
    {
        try
        {
            var lexicon = Lexicon.Read(ProjectFolders.LexiconShards());
            var judged = HandWork.Read(ProjectFolders.Data).SecondOpinion;
            var words = SecondOpinion.Words(lexicon, Commonest);
            var found = SecondOpinion.Of(words).ToList();
            var complaints = Complaints(found, judged).ToList();
            foreach (var complaint in complaints)
                output.WriteLine(complaint);
            errors.WriteLine(
                $"{found.Count} of {words.Count} words are said otherwise; {complaints.Count} of them want judging."
            );
            return complaints.Count > 0 ? 1 : 0;
        }
        catch (FormatException problem)
        {
            errors.WriteLine(problem.Message);
            return 1;
        }
    }

    /// <summary>Lines ready to be judged (word, ours, heard), and file and line of rows that hold no more.</summary>
    public static IEnumerable<string> Complaints(
        IReadOnlyCollection<Disagreement> found,
        IReadOnlyCollection<HandRow> judged
    )
    {
        var rows = judged.ToDictionary(r => r[0]);
        foreach (var (word, ours, heard) in found)
        {
            if (!rows.TryGetValue(word, out var row))
                yield return $"{word}\t{ours}\t{heard}\t";
            else if (row[1] != ours || row[2] != heard)
                yield return row.Bad(
                    $"was judged with {row[1]} against {row[2]}; now it is {ours} against {heard}"
                ).Message;
        }
        foreach (var row in rows.Values.ExceptBy(found.Select(d => d.Word), r => r[0]))
            yield return row.Bad("is not said otherwise any more, or not among the words: remove the row").Message;
    }
}

namespace BoldLadder.Tool.Input;

/// <summary>
/// Reads a tab-separated table from standard input, header first; rows that can't be used are complained of.
/// </summary>
public static class TableInput
{
    /// <summary>The rows' cells in the order of <paramref name="columns"/>, with the line each stands in.</summary>
    /// <exception cref="UsageException">The header lacks a column.</exception>
    public static IEnumerable<(long Line, string[] Cells)> Table(this Session session, params string[] columns)
    {
        int[]? places = null;
        foreach (var line in InputLines.Read(session.Input))
        {
            if (line.Text is null)
            {
                session.Complain("", line.Number, line.Problem!);
                continue;
            }
            if (line.Text.Trim().Length == 0)
                continue;
            var cells = line.Text.Split('\t');
            if (places is null)
            {
                places = [.. columns.Select(c => Array.FindIndex(cells, h => h.Trim() == c))];
                if (places.Contains(-1))
                    throw new UsageException(
                        $"The first line of the input must be a header with the columns {string.Join(" and ", columns)}, separated by a tab."
                    );
                continue;
            }
            if (cells.Length <= places.Max())
                session.Complain(
                    "",
                    line.Number,
                    $"it has {cells.Length} columns; write {string.Join(" and ", columns)} with a tab between"
                );
            else
                yield return (line.Number, [.. places.Select(p => cells[p])]);
        }
    }
}

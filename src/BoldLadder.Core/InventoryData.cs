namespace BoldLadder.Core;

/// <summary>
/// Reads the fixed tables that are compiled into the core: the sounds and the correspondences (<c>data/inventory</c>),
/// the lesson templates (<c>data/templates</c>).
/// </summary>
internal static class InventoryData
{
    /// <summary>The rows of a table after its header, split at tabs.</summary>
    public static IEnumerable<string[]> Rows(string table)
    {
        using var stream = typeof(InventoryData).Assembly.GetManifestResourceStream(table)
            ?? throw new InvalidOperationException($"The table {table} is not compiled into the core.");
        using var reader = new StreamReader(stream);
        reader.ReadLine();
        while (reader.ReadLine() is { } line)
        {
            if (line.Length > 0)
                yield return line.Split('\t');
        }
    }

    /// <summary>A value as tables write it: sound-family.</summary>
    public static T Parse<T>(string kebab)
        where T : struct, Enum => Enum.Parse<T>(kebab.Replace("-", "", StringComparison.Ordinal), ignoreCase: true);
}

using System.Globalization;

namespace BoldLadder.Tool.Building;

/// <summary>
/// Pairs of words that the dictionary of senses links because the one is made from the other (baker, bake; gently,
/// gentle). A badger is linked to no badge.
/// </summary>
public sealed class WordKin
{
    private static readonly (string File, char Part)[] Files =
    [
        ("data.noun", 'n'),
        ("data.verb", 'v'),
        ("data.adj", 'a'),
        ("data.adv", 'r'),
    ];

    private readonly HashSet<(string, string)> pairs = [];

    /// <param name="folder">The dictionary's files: a line is a sense, with its words and its pointers to other
    /// senses.</param>
    public WordKin(string folder)
    {
        var words = new Dictionary<(char Part, string Offset), string[]>();
        var pointers = new List<(char Part, string From, char ToPart, string To, int Word, int ToWord)>();
        foreach (var (file, part) in Files)
        {
            foreach (var line in File.ReadLines(Path.Combine(folder, file)).Where(l => l.Length > 0 && l[0] != ' '))
                Read(line, part, words, pointers);
        }
        foreach (var (part, from, toPart, to, word, toWord) in pointers)
        {
            foreach (var one in Named(words[(part, from)], word))
            {
                foreach (var other in Named(words[(toPart, to)], toWord))
                    pairs.Add((one, other));
            }
        }
    }

    public bool Are(string one, string other) => pairs.Contains((one, other)) || pairs.Contains((other, one));

    /// <summary>A pointer names one word of a sense by its number, or all of them by 0.</summary>
    private static string[] Named(string[] words, int number) => number == 0 ? words : [words[number - 1]];

    private static void Read(
        string line,
        char part,
        Dictionary<(char, string), string[]> words,
        List<(char, string, char, string, int, int)> pointers
    )
    {
        var cells = line[..line.IndexOf(" | ", StringComparison.Ordinal)]
            .Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var count = int.Parse(cells[3], NumberStyles.HexNumber, CultureInfo.InvariantCulture);
        words[(part, cells[0])] =
        [
            .. Enumerable.Range(0, count).Select(i => cells[4 + (2 * i)].Split('(')[0].ToLowerInvariant()),
        ];
        var at = 4 + (2 * count);
        var many = int.Parse(cells[at++], CultureInfo.InvariantCulture);
        for (var i = 0; i < many; i++, at += 4)
        {
            if (cells[at] is not ("+" or "\\"))
                continue;
            var places = int.Parse(cells[at + 3], NumberStyles.HexNumber, CultureInfo.InvariantCulture);
            pointers.Add(
                (
                    part,
                    cells[0],
                    cells[at + 2][0] == 's' ? 'a' : cells[at + 2][0],
                    cells[at + 1],
                    places >> 8,
                    places & 0xff
                )
            );
        }
    }
}

using System.Collections.Immutable;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Decoding;

/// <summary>A line that could not be used, from 1, and why, with what to write instead.</summary>
public sealed record LineProblem(int Line, string Message);

/// <summary>
/// What was taught, as people write it in a file: a correspondence a line, <c>sh=ʃ</c>, in reference or accent
/// notation, and patterns as <c>pattern: suffix-s</c>. Patterns are free unless there is such a line; then those not
/// listed are not taught. Source: docs/data.md (Taught file).
/// </summary>
public sealed record TaughtFile(Taught Taught, ImmutableArray<LineProblem> Problems)
{
    private const string PatternLine = "pattern:";
    private const int MostSuggestions = 6;

    /// <summary>
    /// Reads the lines; those that can't be used are told in <see cref="Problems"/>, the rest counts.
    /// </summary>
    public static TaughtFile Read(IEnumerable<string> lines, Leniencies leniencies, Accent accent)
    {
        var correspondences = new List<Correspondence>();
        var problems = ImmutableArray.CreateBuilder<LineProblem>();
        Patterns? patterns = null;
        var number = 0;
        foreach (var line in lines.Select(l => l.Trim().TrimStart('\uFEFF')))
        {
            number++;
            if (line.Length == 0)
                continue;
            try
            {
                if (line.StartsWith(PatternLine, StringComparison.Ordinal))
                    patterns = (patterns ??= Patterns.None) | PatternIds.Parse(line[PatternLine.Length..].Trim());
                else
                    correspondences.AddRange(Parse(line, accent));
            }
            catch (FormatException problem)
            {
                problems.Add(new LineProblem(number, problem.Message));
            }
        }
        var taught = new Taught(
            CorrespondenceSet.Of(correspondences),
            patterns ?? Patterns.None,
            patterns is null ? Patterns.All : Patterns.None,
            leniencies,
            accent
        );
        return new TaughtFile(taught, problems.ToImmutable());
    }

    /// <summary>
    /// The correspondences that a notation stands for: the reference's, or all that sound so in the accent (General
    /// American <c>ar=ɑː+r</c>).
    /// </summary>
    /// <exception cref="FormatException">There is none; the message names the nearest.</exception>
    public static IReadOnlyList<Correspondence> Parse(string notation, Accent accent)
    {
        if (Correspondence.TryParse(notation, out var reference))
            return [reference];
        var plain = notation.Normalize().Replace('ɡ', 'g').Replace(':', 'ː');
        var inAccent = Correspondence.All.Where(c => $"{c.Grapheme.Text}={accent.Project(c)}" == plain).ToList();
        return inAccent.Count > 0
            ? inAccent
            : throw new FormatException($"\"{Shortened(notation)}\" is not a known correspondence. {Nearest(plain)}");
    }

    private static string Nearest(string notation)
    {
        var cut = notation.IndexOf('=', StringComparison.Ordinal);
        if (cut <= 0 || notation.Length > 20)
            return "Write one a line, like sh=ʃ, a-e=eɪ or x=k+s.";
        var near = Correspondence
            .All.Where(c => !c.IsBath)
            .OrderBy(c =>
                Distance(c.Grapheme.Text, notation[..cut]) * 2
                + Distance(c.SoundText, notation[(cut + 1)..])
                + (c.IsRegular ? 0 : 0.5)
            )
            .Take(MostSuggestions)
            .Select(c => c.Notation);
        return $"The nearest: {string.Join(", ", near)}.";
    }

    private static string Shortened(string text) => text.Length <= 40 ? text : text[..40] + "…";

    /// <summary>How many letters must be changed, added or dropped to make one text the other.</summary>
    private static int Distance(string one, string other)
    {
        var row = Enumerable.Range(0, other.Length + 1).ToArray();
        for (var i = 1; i <= one.Length; i++)
        {
            var diagonal = row[0];
            row[0] = i;
            for (var j = 1; j <= other.Length; j++)
            {
                var changed = diagonal + (one[i - 1] == other[j - 1] ? 0 : 1);
                diagonal = row[j];
                row[j] = Math.Min(changed, Math.Min(row[j], row[j - 1]) + 1);
            }
        }
        return row[^1];
    }
}

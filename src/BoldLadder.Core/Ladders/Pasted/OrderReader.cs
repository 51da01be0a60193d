using System.Collections.Immutable;
using System.Text.RegularExpressions;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Ladders.Pasted;

/// <summary>
/// Reads an order as schools write it, one rung a line: <c>sh</c>, <c>ai as in rain</c>, <c>ow (cow)</c>, <c>a_e</c>,
/// <c>-ed</c>, <c>s a t</c>, with tricky words after a bar. A grapheme stands for what an example says, else for what
/// it says most often that the lines above have not taught; where two are likely both are given.
/// Source: docs/handbook.md, sections 2 and 4.
/// </summary>
public sealed partial class OrderReader(WordFinder finder, CorrespondenceTable facts)
{
    /// <summary>A second choice less likely than this is no question.</summary>
    private const double Likely = 0.15;

    /// <summary>A longer line is no rung, and is not looked into.</summary>
    private const int LongestLine = 300;

    /// <summary>What a single letter is taught as first is no question, whatever it says most often.</summary>
    private static readonly ImmutableDictionary<string, Correspondence> First = new[]
    {
        "a=æ",
        "e=e",
        "i=ɪ",
        "o=ɒ",
        "u=ʌ",
        "y=j",
        "c=k",
        "g=g",
        "s=s",
        "x=k+s",
    }
        .Select(Correspondence.Parse)
        .ToImmutableDictionary(c => c.Grapheme.Text);

    private static readonly ImmutableDictionary<string, Patterns> Suffixes = new[]
    {
        Patterns.SuffixS,
        Patterns.SuffixEs,
        Patterns.SuffixEd,
        Patterns.SuffixIng,
        Patterns.SuffixEr,
        Patterns.SuffixEst,
        Patterns.SuffixY,
        Patterns.SuffixLy,
    }.ToImmutableDictionary(p => p.Id()["suffix".Length..]);

    private static readonly ILookup<string, Correspondence> ByGrapheme = Correspondence
        .All.Where(c => !c.IsBath)
        .ToLookup(c => c.Grapheme.Text);

    /// <summary>The lines of a text that have something on them, in order.</summary>
    public ImmutableArray<PastedLine> Read(string text)
    {
        var taught = new HashSet<Correspondence>();
        return
        [
            .. text.Split('\n')
                .Select((line, i) => (Number: i + 1, Text: line.Trim()))
                .Where(l => l.Text.Length > 0)
                .Select(l => Line(l.Number, l.Text, taught)),
        ];
    }

    /// <param name="taught">What the lines above teach; this line's is added.</param>
    private PastedLine Line(int number, string text, HashSet<Correspondence> taught)
    {
        var (parts, patterns, unread) = (new List<PastedPart>(), Patterns.None, new List<string>());
        if (text.Length > LongestLine)
            return new PastedLine(number, text, [], patterns, [], [text]);
        var halves = text.Split('|', 2);
        foreach (var written in Pieces(Numbered().Replace(halves[0], "").Trim()))
        {
            if (PatternOf(written) is { } pattern)
                patterns |= pattern;
            else if (Part(written, taught) is { } part)
            {
                parts.Add(part);
                taught.Add(part.Choices[0]);
            }
            else
                unread.Add(written);
        }
        var tricky = halves.Length == 1 ? [] : WordBreak().Split(halves[1]).Where(w => w.Length > 0).ToList();
        unread.AddRange(tricky.Where(w => finder.Known(WordFinder.Plain(w), char.IsUpper(w[0])) is null));
        return new PastedLine(
            Line: number,
            Text: text,
            Parts: [.. parts],
            Patterns: patterns,
            Tricky: [.. tricky.Select(WordFinder.Plain).Distinct()],
            Unread: parts.Count == 0 && patterns == Patterns.None && tricky.Count == 0 ? [text] : [.. unread]
        );
    }

    /// <summary>What a line teaches, piece by piece: one with its example stays whole.</summary>
    private static IEnumerable<string> Pieces(string text)
    {
        if (text.Length == 0)
            return [];
        if (PatternOf(text) is not null || Example().IsMatch(text))
            return [text];
        return Between().Split(text).Where(p => p.Length > 0 && p is not "and");
    }

    private static Patterns? PatternOf(string written)
    {
        var plain = written.ToLowerInvariant();
        if (Suffixes.TryGetValue(plain.Replace('–', '-'), out var suffix))
            return suffix;
        var id = plain.Replace(' ', '-');
        return Enum.GetValues<Patterns>()
            .Where(p => int.IsPow2((int)p) && (p.Id() == id || $"{p.Id()}s" == id))
            .Select(p => (Patterns?)p)
            .FirstOrDefault();
    }

    private PastedPart? Part(string written, HashSet<Correspondence> taught)
    {
        if (Correspondence.TryParse(written, out var exact))
            return new PastedPart(written, [exact]);
        var example = Example().Match(written);
        var grapheme = Split()
            .Replace((example.Success ? example.Groups[1].Value : written).ToLowerInvariant(), "$1-e");
        var known = ByGrapheme[grapheme].ToList();
        if (known.Count == 0)
            return null;
        if (example.Success)
        {
            var meant = known.Find(c => example.Groups[2].Value == c.SoundText)
                ?? OfWord(example.Groups[2].Value, known);
            if (meant is not null)
                return new PastedPart(written, [meant]);
        }
        var open = known.Where(c => c.IsRegular && !taught.Contains(c)).ToList();
        if (open.Count == 0)
            open = known;
        if (First.TryGetValue(grapheme, out var first) && open.Contains(first))
            return new PastedPart(written, [first]);
        var ranked = open.Select(c => (Correspondence: c, Share: Share(c))).OrderByDescending(c => c.Share).ToList();
        var all = ranked.Sum(c => c.Share);
        return ranked.Count > 1 && ranked[1].Share > Likely * all
            ? new PastedPart(written, [ranked[0].Correspondence, ranked[1].Correspondence])
            : new PastedPart(written, [ranked[0].Correspondence]);
    }

    /// <summary>How often the letters say it, in words that children know.</summary>
    private double Share(Correspondence one) =>
        facts.Of(one).ReadingReliability is var share ? share.InWords ?? share.InText ?? 0 : 0;

    /// <summary>What the letters say in one of some words.</summary>
    private Correspondence? OfWord(string words, List<Correspondence> known) =>
        WordBreak()
            .Split(words)
            .Where(w => w.Length > 0)
            .SelectMany(w => finder.Find(w).Readings)
            .SelectMany(r => r.Parts)
            .Select(p => Correspondence.Parse(p.ReferenceNotation))
            .FirstOrDefault(known.Contains);

    /// <summary>12. or 12) or • before what is taught.</summary>
    [GeneratedRegex(@"^(?:\d+\s*[.):]|[•*]|[-–]\s)\s*")]
    private static partial Regex Numbered();

    /// <summary>Letters with a word that has them, or with their sound: ai as in rain, ow (cow), th /ð/.</summary>
    [GeneratedRegex(
        @"^([a-z]+(?:[-_–][a-z])?)\s*(?:\s(?:as in|in|like|for)\s+|\(\s*(?:as in\s+)?|\s[-–:]\s*|:\s*|/)\s*([^()/]+?)\s*[)/]?$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Example();

    /// <summary>a_e and a–e for a-e.</summary>
    [GeneratedRegex("^([a-z])[-_–]e$")]
    private static partial Regex Split();

    [GeneratedRegex(@"\s*[,;&/]\s*|\s+\+\s+|\s+")]
    private static partial Regex Between();

    [GeneratedRegex(@"[\s,;]+")]
    private static partial Regex WordBreak();
}

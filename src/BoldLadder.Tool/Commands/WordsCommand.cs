using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>bold words: the decodable words for what was taught, commonest first.</summary>
public static class WordsCommand
{
    private static readonly string[] Columns = ["word", "graphemes", "phonemes", "zipf", "flags"];

    public static void Run(Arguments arguments, Session session)
    {
        var accent = Session.AccentOf(arguments);
        var taught = session.TaughtOf(arguments);
        var with = arguments.Correspondences("--with", accent);
        var shape = arguments.Value("--shape")?.ToUpperInvariant();
        if (shape is not null && shape.AsSpan().ContainsAnyExcept('C', 'V'))
            throw new UsageException("bold words: --shape takes Cs and Vs, like CVC.");
        var limit = arguments.Count("--limit") ?? int.MaxValue;
        var json = arguments.Has("--json");
        var lexicon = Session.ReadLexicon();
        session.Header(json, Columns);
        var words = lexicon
            .Words.Where(w =>
                w.Suitability != Suitability.Never
                && taught.CanRead(w)
                && (with.Count == 0 || with.Any(c => w.NeedsIn(accent).Parts.Contains(c) || w.Contains(c)))
                && (shape is null || w.Segmentation.Shape == shape)
            )
            .Take(limit);
        foreach (var word in words)
        {
            session.Row(
                json,
                Columns,
                word.Spelling,
                word.Segmentation.Graphemes,
                string.Join('|', accent.Sounds(word)),
                word.Zipf.ToString("0.00", CultureInfo.InvariantCulture),
                Flags(word, lexicon, accent)
            );
        }
    }

    private static string Flags(Word word, Lexicon lexicon, Accent accent)
    {
        var flags = new List<string>();
        if (word.Flags.HasFlag(WordFlags.Heteronym))
            flags.Add("heteronym");
        if (lexicon.Homophones(word, accent).Any())
            flags.Add("homophone");
        if (word.Flags.HasFlag(WordFlags.Name))
            flags.Add("name");
        if (word.Flags.HasFlag(WordFlags.BritishOnly))
            flags.Add("gb-only");
        if (word.Flags.HasFlag(WordFlags.AmericanOnly))
            flags.Add("us-only");
        if (word.Suitability == Suitability.Ask)
            flags.Add("ask");
        return string.Join(',', flags);
    }
}

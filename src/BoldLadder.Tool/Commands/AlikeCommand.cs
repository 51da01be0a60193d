using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Alike;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold alike: words, a line each → homophones, words one sound apart, rhymes, what -s and -ed say after them; with
/// --contrast, the pairs such as hop and hope for what was taught.
/// </summary>
public static class AlikeCommand
{
    private const int Shown = 12;

    private static readonly string[] Columns =
    [
        "word",
        "homophones",
        "near_misses",
        "minimal_pairs",
        "rhymes",
        "s_says",
        "ed_says",
    ];
    private static readonly string[] Contrast = ["short", "split"];

    public static void Run(Arguments arguments, Session session)
    {
        var json = arguments.Has("--json");
        var lexicon = Session.ReadLexicon();
        if (arguments.Has("--contrast"))
        {
            var taught = session.TaughtOf(arguments);
            session.Header(json, Contrast);
            foreach (var pair in WordsAlike.ContrastPairs(lexicon.ForLessons.Where(taught.CanRead)))
                session.Row(json, Contrast, pair.Short.Spelling, pair.Split.Spelling);
            return;
        }
        var accent = Session.AccentOf(arguments);
        var finder = new WordFinder(lexicon);
        var alike = new WordsAlike(lexicon, lexicon.ForLessons, accent);
        session.Header(json, Columns);
        foreach (var written in session.Words())
        {
            if (finder.Find(written).Word is not { } word)
            {
                session.Row(json, Columns, written, "", "", "", "", "", "");
                continue;
            }
            var pairs = alike.MinimalPairs(word).ToList();
            session.Row(
                json,
                Columns,
                written,
                Spelled(alike.Homophones(word)),
                Spelled(pairs.Where(p => p.IsNearMiss).Select(p => p.Word)),
                Spelled(pairs.Select(p => p.Word)),
                Spelled(alike.Rhymes(word)),
                EndingSounds.OfS(word.Segmentation),
                EndingSounds.OfEd(word.Segmentation)
            );
        }
    }

    private static string Spelled(IEnumerable<Word> words) =>
        string.Join(' ', words.Select(w => w.Spelling).Distinct().Take(Shown));
}

using System.Globalization;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Facts;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold facts: correspondences, a line each → how far each can be relied on and where it stands; with --rule, how often
/// a rule of thumb is true;
/// with --settled, when the spellings of a sound are settled by their place.
/// </summary>
public static class FactsCommand
{
    private const int KeyWordsShown = 4;

    private static readonly string[] Facts =
    [
        "correspondence",
        "says_it_in_text",
        "says_it_in_words",
        "spelled_so_in_text",
        "spelled_so_in_words",
        "start",
        "middle",
        "end",
        "base_start",
        "base_middle",
        "base_end",
        "syllable_start",
        "syllable_middle",
        "syllable_end",
        "key_words",
    ];

    private static readonly string[] Rule = ["case", "true_in_text", "true_in_words", "words", "for", "against"];
    private static readonly string[] Settled = ["sound", "place", "words", "spellings", "settled"];
    private static readonly string[] SettledPair = ["place", "first", "second", "settled"];

    public static void Run(Arguments arguments, Session session)
    {
        if (arguments.Has("--rule"))
            RunRule(arguments, session);
        else if (arguments.Has("--settled"))
            RunSettled(arguments, session);
        else
            RunFacts(arguments, session);
    }

    private static void RunFacts(Arguments arguments, Session session)
    {
        var accent = Session.AccentOf(arguments);
        var json = arguments.Has("--json");
        var lexicon = Session.ReadLexicon();
        var table = new CorrespondenceTable(lexicon, accent, LeftOut(arguments, session));
        var keyWords = new KeyWords(lexicon);
        session.Header(json, Facts);
        foreach (
            var one in arguments.Has("--all")
                ? Correspondence.All.Where(c => c.IsRegular && !c.IsBath)
                : session.Correspondences(accent)
        )
        {
            var facts = table.Of(one);
            string[] cells =
            [
                $"{one.Grapheme}={accent.Project(one)}",
                Percent(facts.ReadingReliability.InText),
                Percent(facts.ReadingReliability.InWords),
                Percent(facts.SpellingShare.InText),
                Percent(facts.SpellingShare.InWords),
            ];
            var places = Enum.GetValues<PlaceIn>()
                .Select(where => table.Places(one, where))
                .SelectMany(p => new[] { Percent(p.Start.InWords), Percent(p.Middle.InWords), Percent(p.End.InWords) });
            session.Row(json, Facts, [.. cells, .. places, string.Join(' ', keyWords.BestOf(one).Take(KeyWordsShown))]);
        }
    }

    private static void RunRule(Arguments arguments, Session session)
    {
        var accent = Session.AccentOf(arguments);
        var asked = arguments.Required("--rule");
        var rule = RuleOfThumb.All.FirstOrDefault(r => r.Id == asked);
        if (rule is null && asked != "own")
            throw new UsageException(
                $"bold facts: --rule takes one of: {string.Join(", ", RuleOfThumb.All.Select(r => r.Id))}; "
                    + "or own, with what it claims on standard input, like ea=iː, a line each."
            );
        rule ??= RuleOfThumb.Claim([.. session.Correspondences(accent)], accent);
        var json = arguments.Has("--json");
        session.Header(json, Rule);
        foreach (var row in RuleTable.Of(rule, Session.ReadLexicon(), accent, LeftOut(arguments, session)))
        {
            session.Row(
                json,
                Rule,
                row.Case,
                Percent(row.True.InText),
                Percent(row.True.InWords),
                row.Words.ToString(CultureInfo.InvariantCulture),
                string.Join(' ', row.For),
                string.Join(' ', row.Against)
            );
        }
    }

    /// <summary>
    /// The spellings of a sound at each place; for a line of two correspondences, which of the two stands where.
    /// </summary>
    private static void RunSettled(Arguments arguments, Session session)
    {
        var accent = Session.AccentOf(arguments);
        var json = arguments.Has("--json");
        var places = new SpellingPlaces(Session.ReadLexicon(), accent);
        var given = session.Correspondences(accent).ToList();
        if (given.Count == 2 && accent.Project(given[0]) == accent.Project(given[1]))
        {
            session.Header(json, SettledPair);
            foreach (var at in places.Between(given[0], given[1]))
            {
                session.Row(
                    json,
                    SettledPair,
                    Name(at.Place),
                    at.One.ToString(CultureInfo.InvariantCulture),
                    at.Other.ToString(CultureInfo.InvariantCulture),
                    at.Settled ?? (at.One + at.Other == 0 ? "" : "must be known")
                );
            }
            return;
        }
        session.Header(json, Settled);
        foreach (var sounds in given.Select(accent.Project).Distinct())
        {
            foreach (var at in places.Of(sounds))
            {
                session.Row(
                    json,
                    Settled,
                    sounds,
                    Name(at.Place),
                    at.Words.ToString(CultureInfo.InvariantCulture),
                    string.Join(' ', at.Shares.Select(s => $"{s.Grapheme}:{Percent(s.Share)}")),
                    at.Settled ?? (at.Words == 0 ? "" : "must be known")
                );
            }
        }
    }

    /// <summary>The words of the file after --tricky, which are learned whole and not counted.</summary>
    private static HashSet<string>? LeftOut(Arguments arguments, Session session) =>
        arguments.Value("--tricky") is { } path
            ? [.. session.FileLines(path).Select(l => l.Trim().ToLowerInvariant()).Where(l => l.Length > 0)]
            : null;

    private static string Name(Place place) => place.ToString().ToLowerInvariant();

    private static string Percent(double? share) =>
        share is { } known ? known.ToString("0.000", CultureInfo.InvariantCulture) : "";
}

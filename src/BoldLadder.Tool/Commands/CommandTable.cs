using System.CommandLine;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>Every command of bold with what it takes; the help is made from it.</summary>
public static class CommandTable
{
    /// <summary>Does what the arguments say.</summary>
    /// <returns>0; 1 when a line of input could not be used or a check fails.</returns>
    /// <exception cref="UsageException">There is no such command or option; the message says where to look.</exception>
    public static int Run(string[] arguments, Session session)
    {
        var asked = Root(session).Parse(arguments);
        if (asked.Errors.Count > 0)
        {
            var command = asked.CommandResult.Command;
            var of = command is RootCommand ? "bold" : $"bold {command.Name}";
            throw new UsageException($"{of}: {asked.Errors[^1].Message} `{of} --help` says what it takes.");
        }
        return asked.Invoke(
            new InvocationConfiguration
            {
                EnableDefaultExceptionHandler = false,
                Output = session.Output,
                Error = session.Errors,
            }
        );
    }

    private static RootCommand Root(Session session)
    {
        var json = Switch("--json", "JSON lines instead of tab-separated columns");
        var accent = Value("--accent", "ID", "southern-british (default), northern-english, general-american");
        var lenient = Switch("--lenient", "double letters and the like are read without being taught");
        var taught = Value(
            "--taught",
            "FILE",
            "one correspondence a line (sh=ʃ, a-e=eɪ, x=k+s) and \"pattern: suffix-s\"; without such a line all patterns are free"
        );
        var tricky = Value("--tricky", "FILE", "tricky words that were taught, one a line");
        var with = Value("--with", "NOTATION", "a correspondence to show, like ee=iː");
        var seed = Value("--seed", "N", "the same seed draws the same");
        var check = Switch("--check", "compare, write nothing");
        return new RootCommand(
            "The word engine. Input is standard input, UTF-8; output is tab-separated with a header. "
                + "Ends with 0; 1 when a line of input could not be used; 2 after wrong usage."
        )
        {
            Of(
                session,
                "segment",
                "words, one a line → graphemes, phonemes, source (lexicon, derived, guessed, unknown)",
                SegmentCommand.Run,
                [Switch("--all", "every way that a word is said"), json, accent]
            ),
            Of(
                session,
                "words",
                "the decodable words, commonest first",
                WordsCommand.Run,
                [taught, with, Value("--shape", "CVC", "their pattern"), Value("--limit", "N", "so many"), .. Usual()]
            ),
            Of(
                session,
                "tricky",
                "words, one a line → decodable (yes/no), the graphemes not taught",
                TrickyCommand.Run,
                [taught, .. Usual()]
            ),
            Of(
                session,
                "check",
                "a text, DOCX, ODT or EPUB → each word's status (decodable, tricky, not-yet, unknown) and what it needs",
                CheckCommand.Run,
                [
                    taught,
                    tricky,
                    Value("--until-bar", "PERCENT", "how the share grows rung by rung until it reaches this"),
                    Value("--ladder", "ID", "with --until-bar: a shipped ladder; else the lines of the taught file"),
                    .. Usual(),
                ]
            ),
            Of(
                session,
                "reword",
                "a text → each word that can't be read after a rung, and what would do in its place",
                RewordCommand.Run,
                [
                    Value("--ladder", "ID", "letters-first"),
                    Value("--rung", "N", "after so many rungs; all of them without it"),
                    Switch("--sentences", "what would do for each whole sentence, too"),
                    json,
                ]
            ),
            Of(
                session,
                "patterns",
                "words → the patterns each needs, syllables, base, suffix with its sounds, compound",
                PatternsCommand.Run,
                [json, accent]
            ),
            Of(
                session,
                "facts",
                "correspondences (ai=eɪ), one a line → how far each can be relied on, where it stands, key words",
                FactsCommand.Run,
                [
                    Switch("--all", "all that there are, none read"),
                    Value(
                        "--rule",
                        "R",
                        "how often a rule of thumb is true; own: what it claims is read, ea=iː a line"
                    ),
                    Switch("--settled", "how their sounds are spelled at the start, inside, at the end"),
                    tricky,
                    json,
                    accent,
                ]
            ),
            Of(
                session,
                "alike",
                "words → homophones, near misses, words one sound apart, rhymes, what -s and -ed say",
                AlikeCommand.Run,
                [Switch("--contrast", "pairs such as hop and hope that can be read"), taught, .. Usual()]
            ),
            Of(
                session,
                "chain",
                "a word chain, one grapheme changed a step; the tiles on standard error",
                ChainCommand.Run,
                [
                    Value("--length", "N", "so many words"),
                    Switch("--longest", "as many words as there are"),
                    Value("--lines", "K", "so many chains"),
                    Value("--zipf", "Z", "no rarer words"),
                    Switch("--judge", "a table with from, to → valid (yes/no), the change, problems"),
                    Switch("--words", "with --judge: one word a line → what is wrong at which step"),
                    with,
                    seed,
                    taught,
                    .. Usual(),
                ]
            ),
            Of(
                session,
                "madeup",
                "made-up words with one reading",
                MadeUpCommand.Run,
                [
                    Value("--count", "N", "how many"),
                    Switch(
                        "--judge",
                        $"candidates, one a line → ok (yes/no), reason: {string.Join(", ", MadeUpCommand.Reasons)}"
                    ),
                    with,
                    seed,
                    taught,
                    .. Usual(),
                ]
            ),
            Of(
                session,
                "mark",
                "a table with target, attempt → a verdict for each grapheme, extra letters, ticks, whole, notes",
                MarkCommand.Run,
                [json, accent]
            ),
            Of(
                session,
                "crossword",
                "a crossword with clues that can be read",
                CrosswordCommand.Run,
                [
                    Value("--count", "N", "how many words"),
                    Switch("--graphemes", "a cell a grapheme, not a letter"),
                    Switch("--answers", "with the answers written in"),
                    Value("--svg", "FILE", "draws it"),
                    tricky,
                    with,
                    seed,
                    taught,
                    .. Usual(),
                ]
            ),
            Of(
                session,
                "sentences",
                "captions, sentences and texts → the rung of each shipped ladder after which they can be read",
                SentencesCommand.Run,
                [Switch("--input", "those of standard input"), json]
            ),
            Of(
                session,
                "lessons",
                "lessons of a shipped ladder as text",
                LessonsCommand.Run,
                [
                    Value("--ladder", "ID", "letters-first"),
                    Value("--rungs", "5,20", "of these rungs"),
                    Value("--minutes", "N", "how long"),
                    accent,
                    seed,
                    Value("--picks", "FILE", "those that its lines name: letters-first 34 20 southern-british 7"),
                ]
            ),
            Of(session, "sample-lessons", "makes docs/sample-lessons", LessonsCommand.WriteSamples, [check]),
            Of(session, "build-lexicon", "makes data/lexicon from data/sources", BuildLexiconCommand.Run, [check]),
            Of(
                session,
                "derive-ladder",
                "makes data/ladders from data/lexicon",
                DeriveLadderCommand.Run,
                [
                    check,
                    Value("--only", "ID", "this ladder"),
                    Value("--perturb", "N", "how far rungs move when the words are drawn anew, so many times"),
                ]
            ),
            Of(
                session,
                "review",
                "words that the first rungs reach and nobody has read yet",
                ReviewCommand.Run,
                [Value("--rungs", "N", "so many rungs")]
            ),
            Of(session, "gold", "scores data/lexicon against data/gold", (_, s) => GoldCommand.Run(s.Output), []),
            Of(
                session,
                "draw-gold",
                "the seeded draw of words to judge by hand",
                DrawGoldCommand.Run,
                [Switch("--unread", "of the words that nobody has read"), seed]
            ),
            Of(
                session,
                "second-opinion",
                "common words that espeak-ng says otherwise and nobody has judged",
                (_, s) => SecondOpinionCommand.Run(s.Output, s.Errors),
                []
            ),
        };

        Option[] Usual() => [lenient, json, accent];
    }

    private static Command Of(
        Session session,
        string name,
        string does,
        Action<Arguments, Session> run,
        Option[] takes
    ) =>
        Of(
            session,
            name,
            does,
            (given, to) =>
            {
                run(given, to);
                return 0;
            },
            takes
        );

    /// <param name="run">Answers what the command ends with, unless it complained of its input.</param>
    private static Command Of(
        Session session,
        string name,
        string does,
        Func<Arguments, Session, int> run,
        Option[] takes
    )
    {
        var command = new Command(name, does);
        foreach (var option in takes)
            command.Options.Add(option);
        command.SetAction(given =>
        {
            var status = run(new Arguments(name, given), session);
            return session.Complained ? 1 : status;
        });
        return command;
    }

    private static Option<bool> Switch(string name, string means) => new(name) { Description = means };

    private static Option<string> Value(string name, string shape, string means) =>
        new(name) { Description = means, HelpName = shape };
}

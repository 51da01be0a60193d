using System.Text;
using BoldLadder.Tool.Commands;
using BoldLadder.Tool.Input;

const string Usage = """
    bold COMMAND

      segment [--all]                     words, one a line → graphemes, phonemes, source (lexicon, derived, guessed, unknown)
      words --taught F [--with ee=iː] [--shape CVC] [--limit N]
                                          the decodable words, commonest first
      tricky --taught F                   words, one a line → decodable (yes/no), the graphemes not taught
      check --taught F [--tricky F]       a text → each word's status (decodable, tricky, not-yet, unknown) and what it needs
      patterns                            words → the patterns each needs, syllables, base, suffix with its sounds, compound
      facts [--all] [--tricky F]          correspondences (ai=eɪ), one a line → how far each can be relied on, where it stands, key words
      facts --rule R [--tricky F]         how often a rule of thumb is true, case by case; own: what it claims is read, ea=iː a line
      facts --settled                     correspondences → how their sounds are spelled at the start, inside, at the end; of two, which where
      alike                               words → homophones, near misses, words one sound apart, rhymes, what -s and -ed say
      alike --contrast --taught F         pairs such as hop and hope that can be read
      chain --taught F --length N [--with ai=eɪ] [--seed S] [--zipf Z] [--longest] [--lines K]
                                          a word chain, one grapheme changed a step; K lines of N words; the tiles on standard error
      chain --judge                       a table with from, to → valid (yes/no), the change, problems
      chain --judge --words [--taught F]  a chain, one word a line → what is wrong at which step
      madeup --taught F --count N [--with ai=eɪ] [--seed S]
                                          made-up words with one reading
      madeup --judge [--taught F]         candidates, one a line → ok (yes/no), reason:
                                          REASONS
      mark                                a table with target, attempt → a verdict for each grapheme (ok, alt, wrong, missing, reversed),
                                          extra letters, ticks, whole, notes (order, spoken)
      crossword --taught F --count N [--tricky F] [--with ai=eɪ] [--graphemes] [--seed S] [--svg FILE] [--answers]
                                          a crossword with clues that can be read
      sentences [--input]                 captions, sentences and texts → the rung of each shipped ladder after which they can be read
      lessons --ladder L --rungs 5,20 [--minutes 20] [--seed S]
                                          lessons of a shipped ladder as text

      sample-lessons [--check]            make docs/sample-lessons (--check: compare, write nothing)
      build-lexicon [--check]             make data/lexicon from data/sources (--check: compare, write nothing)
      derive-ladder [--check]             make data/ladders from data/lexicon (--check: compare, write nothing)
      review [--rungs N]                  words that the first rungs reach and nobody has read yet
      gold                                score data/lexicon against data/gold
      draw-gold [--unread [--seed S]]     the seeded draw of words to judge by hand
      second-opinion                      common words that espeak-ng says otherwise and nobody has judged

    All but lessons and the last seven take --json, and --accent southern-british (default), northern-english, general-american;
    commands that take --taught take --lenient too. Input is standard input, UTF-8; output is tab-separated with a header.
    A taught file has one correspondence a line (sh=ʃ, a-e=eɪ, x=k+s) and patterns as "pattern: suffix-s"; without such a line all patterns are free.
    Ends with 0; 1 when a line of input could not be used; 2 after wrong usage.
    """;

using var output = new StreamWriter(Console.OpenStandardOutput(), new UTF8Encoding(false), 1 << 16);
Console.OutputEncoding = new UTF8Encoding(false);
var session = new Session(Console.OpenStandardInput(), output, Console.Error);
try
{
    var status = args switch
    {
        ["segment", .. var rest] => Run(SegmentCommand.Run, rest),
        ["words", .. var rest] => Run(WordsCommand.Run, rest),
        ["tricky", .. var rest] => Run(TrickyCommand.Run, rest),
        ["check", .. var rest] => Run(CheckCommand.Run, rest),
        ["build-lexicon", .. var rest] => BuildLexiconCommand.Run(rest, Console.Error),
        ["derive-ladder", .. var rest] => DeriveLadderCommand.Run(rest, Console.Error),
        ["chain", .. var rest] => Run(ChainCommand.Run, rest),
        ["madeup", .. var rest] => Run(MadeUpCommand.Run, rest),
        ["crossword", .. var rest] => Run(CrosswordCommand.Run, rest),
        ["sentences", .. var rest] => Run(SentencesCommand.Run, rest),
        ["lessons", .. var rest] => Run(LessonsCommand.Run, rest),
        ["sample-lessons", .. var rest] => LessonsCommand.WriteSamples(rest, Console.Error),
        ["facts", .. var rest] => Run(FactsCommand.Run, rest),
        ["alike", .. var rest] => Run(AlikeCommand.Run, rest),
        ["patterns", .. var rest] => Run(PatternsCommand.Run, rest),
        ["mark", .. var rest] => Run(MarkCommand.Run, rest),
        ["review", .. var rest] => Run(ReviewCommand.Run, rest),
        ["gold"] => GoldCommand.Run(output),
        ["second-opinion"] => SecondOpinionCommand.Run(output, Console.Error),
        ["draw-gold", .. var rest] => DrawGoldCommand.Run(rest, output),
        ["--help" or "help"] => Help(Console.Out, 0),
        _ => Help(Console.Error, 2),
    };
    output.Flush();
    return status;
}
catch (UsageException problem)
{
    Console.Error.WriteLine(problem.Message);
    return 2;
}
catch (IOException)
{
    // Whoever read the output has gone (bold check | head): nothing is left to say.
    return 0;
}

int Run(Action<string[], Session> command, string[] rest)
{
    command(rest, session);
    return session.Complained ? 1 : 0;
}

static int Help(TextWriter writer, int status)
{
    writer.WriteLine(Usage.Replace("REASONS", string.Join(", ", MadeUpCommand.Reasons), StringComparison.Ordinal));
    return status;
}

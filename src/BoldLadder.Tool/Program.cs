using System.Text;
using BoldLadder.Tool.Commands;

Console.OutputEncoding = new UTF8Encoding(false);
return args switch
{
    ["segment", .. var rest] => SegmentCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["build-lexicon", .. var rest] => BuildLexiconCommand.Run(rest, Console.Error),
    ["derive-ladder"] => DeriveLadderCommand.Run(Console.Error),
    ["draw-gold"] => DrawGoldCommand.Run(Console.Out),
    ["gold"] => GoldCommand.Run(Console.Out),
    _ => Usage(),
};

static int Usage()
{
    Console.Error.WriteLine("""
        bold COMMAND

          segment [--accent A] [--json]   words on standard input, one a line → graphemes and phonemes
          build-lexicon [--check]         make data/lexicon from data/sources (--check: compare, write nothing)
          derive-ladder                   make data/ladders from data/lexicon
          draw-gold                       the seeded draw of words to judge by hand
          gold                            score data/lexicon against data/gold

        Accents: southern-british (default), northern-english, general-american.
        """);
    return 2;
}

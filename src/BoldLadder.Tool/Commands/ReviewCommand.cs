using System.Globalization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Ladders;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold review: the words that the first rungs of a shipped ladder reach and nobody has read yet, commonest first;
/// without the engine's split.
/// </summary>
public static class ReviewCommand
{
    private const int UsualRungs = 40;
    private const double RarestWorthReading = 2.0;

    private static readonly string[] Columns = ["word", "zipf"];

    public static void Run(Arguments arguments, Session session)
    {
        var rungs = arguments.Count("--rungs") ?? UsualRungs;
        var ladder = LadderDocument.Read(
            File.ReadAllText(Path.Combine(ProjectFolders.Data, "ladders", "letters-first.json"))
        );
        var reach = ladder.ReachIn(Leniencies.All, Accent.SouthernBritish);
        session.Header(false, Columns);
        foreach (
            var word in Session
                .ReadLexicon()
                .Words.Where(w =>
                    !w.Flags.HasFlag(WordFlags.Reviewed)
                    && w.Suitability != Suitability.Never
                    && (w.IsKnown || w.Zipf >= RarestWorthReading)
                    && reach.RungOf(w) < rungs
                )
        )
        {
            session.Row(false, Columns, word.Spelling, word.Zipf.ToString("0.00", CultureInfo.InvariantCulture));
        }
    }
}

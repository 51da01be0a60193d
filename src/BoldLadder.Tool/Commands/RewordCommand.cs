using System.Collections.Immutable;
using System.Text;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Tool.Input;

namespace BoldLadder.Tool.Commands;

/// <summary>
/// bold reword: a text → each word that can't be read yet after a rung of a shipped ladder, and what would do in its
/// place there; with --sentences what would do for each sentence that has one.
/// </summary>
public static class RewordCommand
{
    private const int Most = 6;

    private static readonly string[] Columns = ["sentence", "token", "instead"];

    public static void Run(Arguments arguments, Session session)
    {
        var ladder = LessonsCommand.Read(arguments.Required("--ladder"));
        var rungs = arguments.Count("--rung") ?? ladder.Rungs.Length;
        var lexicon = Session.ReadLexicon();
        var materials = Materials.Read(lexicon, file => File.ReadLines(Path.Combine(ProjectFolders.Data, file)));
        var finder = new WordFinder(lexicon);
        var judge = new WordJudge(
            finder,
            ladder.TaughtAfter(rungs, Leniencies.All, Accent.SouthernBritish),
            ladder.Rungs.Take(rungs).SelectMany(r => r.Tricky).ToHashSet(StringComparer.Ordinal)
        );
        var text = new StreamReader(session.Input, new UTF8Encoding(false)).ReadToEnd();
        var words = TextWords.Read(text, finder);
        var reworder = materials.Reworder!.Value;
        var json = arguments.Has("--json");
        session.Header(json, Columns);
        foreach (var sentence in words.Sentences)
        {
            var places = Enumerable
                .Range(0, words.Places.Length)
                .Where(p =>
                    words.Places[p].Start >= sentence.Start
                    && words.Places[p].Start < sentence.Start + sentence.Length
                    && !judge.Of(words.Words[words.Places[p].Word].Written).CanBeRead
                )
                .ToImmutableArray();
            var printed = text.Substring(sentence.Start, sentence.Length).ReplaceLineEndings(" ");
            if (arguments.Has("--sentences") && !places.IsEmpty)
            {
                session.Row(
                    json,
                    Columns,
                    printed,
                    "",
                    string.Join(
                        " | ",
                        reworder.Simpler(text, words, sentence, judge, Most, ImmutableHashSet<string>.Empty)
                    )
                );
            }
            foreach (var at in places)
            {
                var offers = reworder.For(text, words, at, judge, Most, ImmutableHashSet<string>.Empty);
                session.Row(
                    json,
                    Columns,
                    printed,
                    words.Words[words.Places[at].Word].Printed,
                    string.Join(" | ", offers.Select(o => o.Words.Length > 0 ? o.Words : "(leave it out)"))
                );
            }
        }
    }
}

using BoldLadder.Core.Decoding;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Formats.Texts;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;

namespace BoldLadder.School.Texts;

/// <summary>
/// Checks a text for whoever is to read it. Nothing of it is kept. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TextDesk(SchoolScope scope, ReadersLevels levels)
{
    /// <summary>Of a file.</summary>
    public const int Megabytes = 20;

    /// <summary>More different words than this are named to be taught first by no one.</summary>
    private const int MostFirst = 5;
    private const int MostTold = 200;

    /// <summary>A longer text is not shown word by word.</summary>
    private const int MostShown = 3_000;

    /// <summary>Of a book the commonest of its different words are listed.</summary>
    private const int MostListed = 3_000;

    public async Task<Answer<TextView>> Check(TextAsked asked)
    {
        if (Refuse(asked) is { } refused)
            return refused;
        var first = (asked.FirstWords ?? []).Select(WordFinder.Plain).ToHashSet(StringComparer.Ordinal);
        var level = await levels.Of(asked.Level, first);
        if (level.Refusal is { } unknown)
            return unknown;
        // What takes long is worked out without holding a connection.
        var (finder, way) = (scope.Words.Finder, scope.Way);
        await scope.Release();
        var text = TextsRead.Words(asked.Text, finder);
        return text.Refusal is { } unread ? unread : View(asked, text.Value, level.Value, way);
    }

    /// <summary>The text of a file; nothing of it is kept.</summary>
    public Answer<TextOfFile> Open(TextFileAsked asked) =>
        TextsRead.From(() =>
        {
            var text = TextFile.Read(asked.Content);
            return new TextOfFile(text, TextWords.Read(text, scope.Words.Finder).Places.Length);
        });

    private static Refusal? Refuse(TextAsked asked)
    {
        if (asked.Text.Length > TextFile.MostSigns)
            return Refusal.Unusable("text-too-long", ("most", TextWords.MostWords));
        if (asked.Bar is < 1 or > 100)
            return Refusal.Unusable("text-bar");
        if ((asked.Told?.Count ?? 0) > MostTold || (asked.FirstWords?.Count ?? 0) > MostTold)
            return Refusal.Unusable("too-many-words", ("most", MostTold));
        return Scripts.IsLatin(asked.Text) ? null : Refusal.Unusable("text-script");
    }

    private static TextView View(TextAsked asked, TextWords text, ReadersLevel level, WayOfReading way)
    {
        var told = (asked.Told ?? []).Select(WordFinder.Plain).ToHashSet(StringComparer.Ordinal);
        bool IsTold(TextWord word) => told.Contains(word.Written.Plain) || (asked.NamesTold && word.IsName);
        var verdict = new TextVerdict(text, level.Judge, IsTold);
        var places = level.Ladder is { } ladder ? new SentencePlaces(ladder, way.Leniencies, way.Accent) : null;
        var along = places is null ? null : new TextOnLadder(text, places, level.Ladder!.Rungs.Length, IsTold);
        var bar = asked.Bar / 100.0;
        var reaches = verdict.Count.Words > 0 && verdict.Count.Readable >= bar - 1e-9;
        var reached = along?.Reaches(bar);
        var hunting = new Hunting(level.Targets, level.Judge.Finder, way.Accent);
        var whens = new Dictionary<Obstacle, NeedView>();
        NeedView Need(Obstacle need) =>
            whens.TryGetValue(need, out var known)
                ? known
                : whens[need] = new NeedView(
                    need.ToString(),
                    level.Ladder is { } l ? level.When(l.WhenTaught(need)) : null
                );
        return new TextView(
            Words:
            [
                .. text
                    .Words.Take(MostListed)
                    .Select(
                        (w, i) =>
                            new TextWordView(
                                Text: w.Printed,
                                Status: verdict.Judgements[i].Status,
                                Times: w.Times,
                                IsTold: verdict.Told[i],
                                IsName: w.IsName,
                                IsNever: w.Written.IsNever,
                                Needs: [.. verdict.Judgements[i].Needs.Distinct().Select(Need)],
                                Readable: verdict.Judgements[i].CanBeRead ? null : level.When(along?.RungOf[i]),
                                Hunt: level.Targets.IsEmpty ? null : hunting.In(w.Printed)
                            )
                    ),
            ],
            Places: text.Places.Length > MostShown
                ? []
                : [.. text.Places.SelectMany(p => new[] { p.Start, p.Length, p.Word })],
            Counts:
            [
                .. Enum.GetValues<ReadingStatus>()
                    .Select(s => new StatusCount(s, verdict.Count.Running(s), verdict.Count.Different(s))),
            ],
            Readable: verdict.Count.Readable,
            ReachesBar: reaches,
            Reached: reaches ? null : level.When(reached),
            Along: along is null
                ? null
                : new TextAlong(
                    [.. level.Ladder!.Rungs.Select(r => r.Label)],
                    along.Running,
                    along.Different,
                    level.Standing,
                    reached + 1
                ),
            TeachFirst: verdict.TeachFirst(bar, MostFirst),
            Sentences: Lengths(asked.Text, text),
            LooksEnglish: text.LooksEnglish,
            Unread: level.Unread
        );
    }

    private static SentenceLengths Lengths(string written, TextWords text)
    {
        if (text.Sentences.IsEmpty)
            return new SentenceLengths(0, 0, 0, "");
        var longest = text.Sentences.MaxBy(s => s.Words);
        return new SentenceLengths(
            text.Sentences.Length,
            Math.Round(text.Sentences.Average(s => s.Words), 1),
            longest.Words,
            written.Substring(longest.Start, Math.Min(longest.Length, LongestShown))
        );
    }

    private const int LongestShown = 300;
}

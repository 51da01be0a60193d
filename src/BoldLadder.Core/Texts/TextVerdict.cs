using System.Collections.Immutable;

namespace BoldLadder.Core.Texts;

/// <summary>
/// A text for one group on one day: the verdict on each of its different words, the shares, and what would have to be
/// taught first. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class TextVerdict
{
    /// <param name="isTold">Words that the adult says: they count neither way.</param>
    public TextVerdict(TextWords text, WordJudge judge, Func<TextWord, bool> isTold)
    {
        Text = text;
        Told = [.. text.Words.Select(isTold)];
        Judgements = [.. text.Words.Select(w => judge.Of(w.Written))];
        Count = new TextCount(
            text.Words.Index()
                .Where(w => !Told[w.Index])
                .Select(w => (w.Item.Written.Plain, Judgements[w.Index].Status, (long)w.Item.Times)),
            new long[Enum.GetValues<ReadingStatus>().Length]
        );
    }

    public TextWords Text { get; }

    /// <summary>For each different word whether the adult says it.</summary>
    public ImmutableArray<bool> Told { get; }

    /// <summary>For each different word what the group can do with it.</summary>
    public ImmutableArray<Judgement> Judgements { get; }

    public TextCount Count { get; }

    /// <summary>
    /// The words to teach first, by heart, so that the share of running words that can be read reaches the bar: as few
    /// as will do, those that come most often before others. None where the bar is reached, or where not even so many
    /// words are enough.
    /// </summary>
    /// <param name="bar">0 to 1.</param>
    /// <param name="most">More words than this are not taught before a text.</param>
    public ImmutableArray<string> TeachFirst(double bar, int most)
    {
        var missing = Text
            .Words.Index()
            .Where(w => !Told[w.Index] && !Judgements[w.Index].CanBeRead)
            .GroupBy(w => w.Item.Written.Plain)
            .Select(g =>
                (
                    Word: g.Key,
                    Times: g.Sum(w => w.Item.Times),
                    Zipf: g.Max(w => w.Item.Written.Word?.Zipf ?? 0),
                    CanBeTaught: g.All(w => w.Item.Written is { IsUnknown: false, IsNever: false })
                )
            )
            .OrderByDescending(w => w.Times)
            .ThenByDescending(w => w.Zipf)
            .ToList();
        var allowed = (long)Math.Floor((1 - bar + 1e-9) * Count.Words);
        var left = missing.Sum(w => (long)w.Times);
        var first = ImmutableArray.CreateBuilder<string>();
        foreach (var word in missing.Where(w => w.CanBeTaught))
        {
            if (left <= allowed || first.Count > most)
                break;
            first.Add(word.Word);
            left -= word.Times;
        }
        return left <= allowed && first.Count <= most ? first.ToImmutable() : [];
    }
}

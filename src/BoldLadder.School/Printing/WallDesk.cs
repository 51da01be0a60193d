using System.Collections.Immutable;
using BoldLadder.Core.Spelling;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Style;

namespace BoldLadder.School.Printing;

/// <summary>A group's whole ladder, to hang on a wall.</summary>
/// <param name="Rungs">In their order, for what is printed of one of them.</param>
public sealed record WallView(
    string GroupName,
    DateOnly Date,
    ImmutableArray<WallStage> Stages,
    ImmutableArray<WallRung> Rungs
);

/// <param name="Label">What the rung is called.</param>
public sealed record WallRung(string Id, string Label);

/// <param name="Stage">The stage's code or name.</param>
public sealed record WallStage(string Stage, ImmutableArray<WallCell> Cells);

/// <param name="Picture">Of the key word; null where there is none.</param>
/// <param name="Taught">By the end of the day.</param>
public sealed record WallCell(
    string Notation,
    string Grapheme,
    string Sounds,
    string KeyWord,
    string? Picture,
    bool Taught
);

/// <summary>The ladder for the wall. Source: docs/handbook.md, section 6 (cards).</summary>
public sealed class WallDesk(SchoolScope scope, GroupDays groupDays, LadderWork work, StyleDesk style)
{
    public async Task<Answer<WallView>> Show(Guid groupId, DateOnly date)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var day = await groupDays.Day(found.Value, date);
        var before = day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent);
        var taught = (day.Rung is null ? before : before.With(day.Rung.Correspondences)).Correspondences;
        var way = await style.Way();
        var notes = (await style.Notes()).ToDictionary(n => n.Subject);
        var seen = new HashSet<Correspondence>();
        WallCell Cell(Correspondence one)
        {
            var own = notes.GetValueOrDefault(one.Notation)?.KeyWord;
            var word = string.IsNullOrEmpty(own) ? work.KeyWords.Of(one) : own;
            return new WallCell(
                one.Notation,
                one.Grapheme.Text,
                one.SoundText,
                word,
                way.Picture(word),
                taught.Contains(one)
            );
        }
        return new WallView(
            found.Value.Name,
            date,
            [
                .. day
                    .Ladder.Rungs.GroupBy(r => r.Stage)
                    .Select(s => new WallStage(
                        s.Key,
                        [.. s.SelectMany(r => r.Correspondences).Where(seen.Add).Select(Cell)]
                    ))
                    .Where(s => !s.Cells.IsEmpty),
            ],
            [.. day.Ladder.Rungs.Select(r => new WallRung(r.Id, r.Label))]
        );
    }
}

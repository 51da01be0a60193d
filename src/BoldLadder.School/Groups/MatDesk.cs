using BoldLadder.Core.Ladders;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Teaching;
using BoldLadder.Core.Words;
using BoldLadder.School.Ladders;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Groups;

/// <summary>
/// What a group has been taught by a day, and the words that can be used on it: one printed page each.
/// </summary>
/// <param name="Stages">The graphemes in the ladder's order, by stage.</param>
/// <param name="New">Graphemes new on the day.</param>
/// <param name="Words">Words to use: those with what is new first, then by length.</param>
public sealed record MatView(
    string GroupName,
    DateOnly Date,
    string RungLabel,
    IReadOnlyList<MatStage> Stages,
    IReadOnlyList<string> New,
    IReadOnlyList<string> Tricky,
    IReadOnlyList<string> NewTricky,
    int WordCount,
    IReadOnlyList<MatWords> Words
);

/// <param name="Stage">The stage's code or name; empty for what the log has and the ladder has not.</param>
public sealed record MatStage(string Stage, IReadOnlyList<MatCell> Cells);

public sealed record MatCell(string Notation, string Grapheme, string Sounds, string KeyWord);

/// <param name="Shape">A word pattern: CVC; new for words with what is new.</param>
public sealed record MatWords(string Shape, IReadOnlyList<string> Words);

/// <summary>The taught-so-far mat and the words for a day.</summary>
public sealed class MatDesk(SchoolScope scope, LadderWork work, GroupDays groupDays)
{
    private const int MostNew = 36;
    private const int MostOfShape = 42;
    private const int MostShapes = 5;

    public async Task<Answer<MatView>> Show(Guid groupId, DateOnly date)
    {
        var found = await scope.Group(groupId);
        if (found.Refusal is { } unknown)
            return unknown;
        var group = found.Value;
        var day = await groupDays.Day(group, date);
        var rung = day.Rung is { Kind: RungKind.Lesson } news ? news : null;
        var before = day.Progress.Before(day.Ahead, scope.Leniencies, scope.Accent);
        var after = rung is null ? before : before.With(rung.Correspondences, rung.Patterns);
        var keyWords = await scope
            .Store.TeachingNotes.Where(n => n.KeyWord != "")
            .ToDictionaryAsync(n => n.Subject, n => n.KeyWord, scope.Stop);
        MatCell Cell(Correspondence one) =>
            new(
                one.Notation,
                one.Grapheme.Text,
                one.SoundText,
                keyWords.GetValueOrDefault(one.Notation) ?? work.KeyWords.Of(one)
            );
        var cells = after.Correspondences.ToHashSet();
        var stages = day
            .Ladder.Rungs.GroupBy(r => r.Stage)
            .Select(s => new MatStage(
                s.Key,
                [.. s.SelectMany(r => r.Correspondences).Where(cells.Remove).Select(Cell)]
            ))
            .Where(s => s.Cells.Count > 0)
            .ToList();
        if (cells.Count > 0)
            stages.Add(new MatStage("", [.. cells.Select(Cell)]));
        var usable = scope
            .Words.Lexicon.ForLessons.Where(w => w.IsKnown && !w.Flags.HasFlag(WordFlags.Name) && after.CanRead(w))
            .ToList();
        var own = rung is null ? [] : usable.Where(w => Usable.Shows(rung, w)).ToList();
        var lists = new List<MatWords>();
        if (own.Count > 0)
            lists.Add(new MatWords("new", [.. own.Take(MostNew).Select(w => w.Spelling)]));
        lists.AddRange(
            usable
                .Except(own)
                .GroupBy(w => w.Segmentation.Shape)
                .OrderByDescending(s => s.Count())
                .Take(MostShapes)
                .OrderBy(s => s.Key.Length)
                .ThenBy(s => s.Key, StringComparer.Ordinal)
                .Select(s => new MatWords(
                    s.Key,
                    [.. s.Take(MostOfShape).Select(w => w.Spelling).Order(StringComparer.Ordinal)]
                ))
        );
        IReadOnlyList<string> newTricky = rung is null ? [] : [.. rung.Tricky];
        return new MatView(
            GroupName: group.Name,
            Date: date,
            RungLabel: day.Rung is null ? "" : TeachingDay.TitleOf(day.Rung).Label,
            Stages: stages,
            New: rung is null ? [] : [.. rung.Correspondences.Select(c => c.Notation)],
            Tricky: [.. day.Progress.TrickyBefore(day.Ahead).Except(newTricky)],
            NewTricky: newTricky,
            WordCount: usable.Count,
            Words: lists
        );
    }
}

using BoldLadder.Core.Randomness;

namespace BoldLadder.Core.Activities.Crosswords;

/// <summary>
/// Fits words into a small, dense, connected crossword: from several seeded starts the word and the place that cross
/// most and spread least are taken, again and again; the best of the starts is kept. Source: docs/handbook.md, section
/// 6 (Apply: crossword).
/// </summary>
public static class CrosswordFitter
{
    /// <summary>The widest and highest a crossword may be, so that its cells can be written in on a page.</summary>
    public const int Largest = 13;

    private const int Starts = 10;
    private const int MostLookedAt = 60;
    private const int MostPictured = 40;

    private const int WordWorth = 1000;
    private const int CrossingWorth = 40;

    /// <summary>
    /// A crossword of as many of the words as asked, fewer where they don't fit; without entries when none can be
    /// placed.
    /// </summary>
    public static Crossword Fit(IEnumerable<CrosswordWord> words, int count, long seed)
    {
        var random = Seeded.For(seed, "crossword");
        var shuffled = random.Shuffle(
            words.Where(w => w.Cells.Length is >= 2 and <= Largest).DistinctBy(w => w.Spelling)
        );
        // Mostly words with pictures: they point without reading.
        var pictured = shuffled.Where(w => w.Clue is CrosswordClue.Picture).Take(MostPictured).ToList();
        var pool = pictured
            .Concat(shuffled.Where(w => w.Clue is not CrosswordClue.Picture))
            .Take(MostLookedAt)
            .ToList();
        Grid? best = null;
        for (var start = 0; start < Math.Min(Starts, pool.Count); start++)
        {
            var grid = Filled(pool, start, count);
            if ((best is null || Worth(grid) > Worth(best)) && !grid.ToCrossword().LeavesCrudeShape)
                best = grid;
        }
        return best?.ToCrossword() ?? new Crossword(0, 0, []);
    }

    private static int Worth(Grid grid) => (grid.Words * WordWorth) + (grid.Crossings * CrossingWorth) - grid.Area;

    private static Grid Filled(List<CrosswordWord> pool, int start, int count)
    {
        var grid = new Grid();
        grid.Put(pool[start], 0, 0, across: true);
        var left = pool.Where((_, i) => i != start).ToList();
        while (grid.Words < count && BestPlace(grid, left) is { } place)
        {
            grid.Put(place.Word, place.Row, place.Column, place.Across);
            left.Remove(place.Word);
        }
        return grid;
    }

    private static (CrosswordWord Word, int Row, int Column, bool Across)? BestPlace(
        Grid grid,
        List<CrosswordWord> left
    )
    {
        (CrosswordWord, int, int, bool)? best = null;
        var bestWorth = int.MinValue;
        foreach (var word in left)
        {
            foreach (var (row, column, across) in grid.Crossing(word))
            {
                if (grid.CrossingsAt(word, row, column, across) is not { } crossings)
                    continue;
                var worth = (crossings * CrossingWorth) - grid.AreaWith(word, row, column, across);
                if (worth > bestWorth)
                    (best, bestWorth) = ((word, row, column, across), worth);
            }
        }
        return best;
    }

    /// <summary>A crossword that grows: cells by row and column, which may be below 0.</summary>
    private sealed class Grid
    {
        /// <summary>The first word lies at 0, 0: nothing that is looked at is further off than two words.</summary>
        private const int Reach = (2 * Largest) + 1;
        private const int Side = (2 * Reach) + 1;

        private readonly (string? Cell, bool Across, bool Down)[] cells = new (string?, bool, bool)[Side * Side];
        private readonly List<(int Row, int Column)> filled = [];
        private readonly List<(CrosswordWord Word, int Row, int Column, bool Across)> placed = [];
        private int top,
            bottom = -1,
            left,
            right = -1;

        public int Words => placed.Count;

        public int Crossings => filled.Count(f => cells[Index(f)] is { Across: true, Down: true });

        public int Area => (bottom - top + 1) * (right - left + 1);

        public void Put(CrosswordWord word, int row, int column, bool across)
        {
            for (var i = 0; i < word.Cells.Length; i++)
            {
                var at = At(row, column, across, i);
                var old = cells[Index(at)];
                if (old.Cell is null)
                    filled.Add(at);
                cells[Index(at)] = (word.Cells[i], across || old.Across, !across || old.Down);
            }
            (top, bottom, left, right) =
                placed.Count == 0
                    ? (row, row, column, column)
                    : (Math.Min(top, row), bottom, Math.Min(left, column), right);
            (bottom, right) = (
                Math.Max(bottom, across ? row : row + word.Cells.Length - 1),
                Math.Max(right, across ? column + word.Cells.Length - 1 : column)
            );
            placed.Add((word, row, column, across));
        }

        /// <summary>
        /// Every place at which one of the word's cells would lie on a filled one that says the same.
        /// </summary>
        public IEnumerable<(int Row, int Column, bool Across)> Crossing(CrosswordWord word)
        {
            foreach (var (row, column) in filled)
            {
                var cell = cells[Index((row, column))];
                if (cell.Across && cell.Down)
                    continue;
                for (var i = 0; i < word.Cells.Length; i++)
                {
                    if (word.Cells[i] == cell.Cell)
                        yield return cell.Across ? (row - i, column, false) : (row, column - i, true);
                }
            }
        }

        /// <summary>
        /// How many words it would cross there; null where it would touch one without crossing it, or the crossword
        /// would be too large.
        /// </summary>
        public int? CrossingsAt(CrosswordWord word, int row, int column, bool across)
        {
            if (IsFilled(At(row, column, across, -1)) || IsFilled(At(row, column, across, word.Cells.Length)))
                return null;
            if (Span(word, row, column, across) is var (height, width) && (height > Largest || width > Largest))
                return null;
            var crossings = 0;
            for (var i = 0; i < word.Cells.Length; i++)
            {
                var at = At(row, column, across, i);
                if (cells[Index(at)] is { Cell: not null } cell)
                {
                    if (cell.Cell != word.Cells[i] || (across ? cell.Across : cell.Down))
                        return null;
                    crossings++;
                }
                else if (IsFilled(At(at.Row, at.Column, !across, -1)) || IsFilled(At(at.Row, at.Column, !across, 1)))
                {
                    return null;
                }
            }
            return crossings;
        }

        public int AreaWith(CrosswordWord word, int row, int column, bool across) =>
            Span(word, row, column, across) is var (height, width) ? height * width : 0;

        public Crossword ToCrossword()
        {
            var numbers = placed
                .Select(p => (p.Row, p.Column))
                .Distinct()
                .Order()
                .Select((at, i) => (at, Number: i + 1))
                .ToDictionary(n => n.at, n => n.Number);
            return new Crossword(
                right - left + 1,
                bottom - top + 1,
                [
                    .. placed
                        .Select(p => new CrosswordEntry(
                            p.Word,
                            numbers[(p.Row, p.Column)],
                            p.Row - top,
                            p.Column - left,
                            p.Across
                        ))
                        .OrderBy(e => !e.Across)
                        .ThenBy(e => e.Number),
                ]
            );
        }

        private (int Height, int Width) Span(CrosswordWord word, int row, int column, bool across) =>
            (
                Math.Max(bottom, across ? row : row + word.Cells.Length - 1) - Math.Min(top, row) + 1,
                Math.Max(right, across ? column + word.Cells.Length - 1 : column) - Math.Min(left, column) + 1
            );

        private bool IsFilled((int Row, int Column) at) => cells[Index(at)].Cell is not null;

        private static int Index((int Row, int Column) at) => ((at.Row + Reach) * Side) + at.Column + Reach;

        private static (int Row, int Column) At(int row, int column, bool across, int along) =>
            across ? (row, column + along) : (row + along, column);
    }
}

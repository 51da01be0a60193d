using System.Buffers;
using System.Collections.Immutable;
using System.Globalization;
using System.Numerics;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Ladders.Analysis;

/// <summary>What one rung of a ladder does.</summary>
/// <param name="NewWords">Words for lessons that become readable with the rung.</param>
/// <param name="KnownWords">Of these, those that children know at five.</param>
/// <param name="UsableWords">Words for lessons that use what the rung teaches and can be read after it.</param>
/// <param name="Graduates">Tricky words of the ladder that become readable here.</param>
/// <param name="WordsSoFar">Words for lessons that can be read after the rung.</param>
/// <param name="TextShare">Share of running text that can be read after the rung, the tricky words taught by then among
/// it; 0 to 1.</param>
public sealed record RungAnalysis(
    int NewWords,
    int KnownWords,
    int UsableWords,
    ImmutableArray<string> Graduates,
    int WordsSoFar,
    double TextShare,
    ImmutableArray<LadderWarning> Warnings
);

/// <summary>
/// What a ladder does, rung by rung, and what is wrong with it: cheap enough to be made again for each place that a
/// rung is dragged to.
/// Source: docs/handbook.md, section 7 (Ladder analysis).
/// </summary>
public sealed record LadderAnalysis(ImmutableArray<RungAnalysis> Rungs)
{
    public IEnumerable<LadderWarning> Warnings => Rungs.SelectMany(r => r.Warnings);

    /// <param name="more">Warnings from elsewhere: the calendar's.</param>
    public static LadderAnalysis Of(Ladder ladder, WordIndex index, params IEnumerable<LadderWarning> more)
    {
        // Rented: a new large array for each place of a drag would keep the garbage collector busy.
        var rented = ArrayPool<int>.Shared.Rent(index.Words.Length);
        try
        {
            var rungOf = rented.AsMemory(0, index.Words.Length);
            index.Rungs(ladder, rungOf.Span);
            return Of(ladder, index, rungOf, more);
        }
        finally
        {
            ArrayPool<int>.Shared.Return(rented);
        }
    }

    private static LadderAnalysis Of(
        Ladder ladder,
        WordIndex index,
        ReadOnlyMemory<int> readable,
        IEnumerable<LadderWarning> more
    )
    {
        var rungOf = readable.Span;
        var sums = new Sums(ladder);
        sums.Text(rungOf, index.Weights);
        foreach (var (tricky, taughtAs) in FirstTaught(ladder))
        {
            if (index.PlaceOf(tricky) is { } place)
                sums.Tricky(tricky, rungOf[place], taughtAs, index.Weights[place]);
        }
        foreach (var word in index.ForLessons)
            sums.Word(index, word, rungOf[word]);
        var warnings = OrderWarnings
            .Of(ladder, index.Accent)
            .Concat(TrickyWarnings.Of(ladder, index, readable))
            .Concat(StartWarnings.Of(ladder, index, readable))
            .Concat(ApproachWarnings.Of(ladder))
            .Concat(more)
            .ToLookup(w => w.Rung);
        return new LadderAnalysis(sums.Rungs(ladder, warnings));
    }

    /// <summary>The tricky words of a ladder, each with the first rung that has it.</summary>
    private static IEnumerable<(string Word, int Rung)> FirstTaught(Ladder ladder) =>
        ladder.Rungs.SelectMany((r, i) => r.Tricky.Select(t => (Word: t, Rung: i))).DistinctBy(t => t.Word);

    /// <summary>Adds up over the words what each rung does.</summary>
    private sealed class Sums
    {
        private readonly int[] newWords;
        private readonly int[] known;
        private readonly int[] usable;
        private readonly double[] text;
        private readonly List<string>[] graduates;
        private readonly int[] taughtOn = new int[Correspondence.All.Length];
        private readonly int[] patternOn = new int[32];

        /// <summary>The word that each rung was counted for last.</summary>
        private readonly int[] countedFor;
        private int fromTheStart;
        private double textFromTheStart;
        private double textOfAll;

        public Sums(Ladder ladder)
        {
            var count = ladder.Rungs.Length;
            (newWords, known, usable, text, graduates) = (
                new int[count],
                new int[count],
                new int[count],
                new double[count],
                new List<string>[count]
            );
            countedFor = new int[count];
            Array.Fill(countedFor, -1);
            Array.Fill(taughtOn, -1);
            Array.Fill(patternOn, -1);
            for (var rung = 0; rung < count; rung++)
            {
                graduates[rung] = [];
                foreach (var one in ladder.Rungs[rung].Correspondences)
                    taughtOn[one.Index] = rung;
                foreach (var pattern in ladder.Rungs[rung].Patterns.Each())
                    patternOn[BitOperations.TrailingZeroCount((int)pattern)] = rung;
            }
            taughtOn[Correspondence.BathA.Index] = taughtOn[
                Correspondence.Parse(Correspondence.BathA.ReferenceNotation).Index
            ];
        }

        public void Text(ReadOnlySpan<int> rungOf, ReadOnlySpan<double> weights)
        {
            for (var i = 0; i < rungOf.Length; i++)
            {
                textOfAll += weights[i];
                if (rungOf[i] < 0)
                    textFromTheStart += weights[i];
                else if (rungOf[i] < text.Length)
                    text[rungOf[i]] += weights[i];
            }
        }

        /// <summary>
        /// A tricky word can be read from the rung that teaches it, and graduates on the rung that makes it readable.
        /// </summary>
        public void Tricky(string word, int readable, int taught, double weight)
        {
            if (readable >= 0 && readable < text.Length)
                graduates[readable].Add(word);
            if (taught >= readable)
                return;
            if (readable < text.Length)
                text[readable] -= weight;
            text[taught] += weight;
        }

        public void Word(WordIndex index, int word, int rung)
        {
            if (rung >= newWords.Length)
                return;
            if (rung < 0)
            {
                fromTheStart++;
            }
            else
            {
                newWords[rung]++;
                if (index.IsKnown(word))
                    known[rung]++;
            }
            // A word shows every rung whose teaching it uses, but can be read only from its own rung on.
            foreach (var need in index.NeedsOf(word))
                Use(taughtOn[need], word, rung);
            for (var left = (int)index.PatternsOf(word); left != 0; left &= left - 1)
                Use(patternOn[BitOperations.TrailingZeroCount(left)], word, rung);
        }

        private void Use(int on, int word, int rung)
        {
            if (on < 0 || on < rung || countedFor[on] == word)
                return;
            usable[on]++;
            countedFor[on] = word;
        }

        public ImmutableArray<RungAnalysis> Rungs(Ladder ladder, ILookup<int, LadderWarning> warnings)
        {
            var rungs = ImmutableArray.CreateBuilder<RungAnalysis>(newWords.Length);
            var (words, share) = (fromTheStart, textFromTheStart);
            for (var i = 0; i < newWords.Length; i++)
            {
                words += newWords[i];
                share += text[i];
                ImmutableArray<LadderWarning> own = [.. warnings[i]];
                if (usable[i] < Usable.Enough && ladder.Rungs[i] is { Reason: null, TeachesSomething: true })
                    own = own.Insert(
                        0,
                        LadderWarning.On(i, WarningKind.Thin, usable[i].ToString(CultureInfo.InvariantCulture))
                    );
                if (FirstSuffixWithoutBase(ladder.Rungs[i], usable[i]) is { } suffix)
                    own = own.Add(LadderWarning.On(i, WarningKind.SuffixBeforeBase, suffix));
                rungs.Add(
                    new RungAnalysis(
                        NewWords: newWords[i],
                        KnownWords: known[i],
                        UsableWords: usable[i],
                        Graduates: [.. graduates[i]],
                        WordsSoFar: words,
                        TextShare: textOfAll == 0 ? 0 : share / textOfAll,
                        Warnings: own
                    )
                );
            }
            return rungs.MoveToImmutable();
        }

        /// <summary>A suffix that no word for lessons can take yet.</summary>
        private static string? FirstSuffixWithoutBase(Rung rung, int usable) =>
            usable == 0
            && rung.Patterns.Each().FirstOrDefault(p => p >= Patterns.SuffixS) is var suffix and not Patterns.None
                ? PatternIds.Id(suffix)
                : null;
    }
}

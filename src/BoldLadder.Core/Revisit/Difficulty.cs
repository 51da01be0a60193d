using BoldLadder.Core.Spelling;
using BoldLadder.Core.Words.Facts;

namespace BoldLadder.Core.Revisit;

/// <summary>
/// With what half-life a memory begins: shorter for letters that often say something else, for a sound that is often
/// spelled otherwise, for many letters, for letters that look like others. Source: docs/memory.md.
/// </summary>
public sealed class Difficulty(CorrespondenceTable facts)
{
    private const double TrickyWord = 0.8;
    private const double PatternOfWords = 1;
    private const double ForEachLetter = 0.88;
    private const double LooksLikeOthers = 0.75;

    /// <summary>In days.</summary>
    public double Begins(MemoryTarget target, Skill skill) =>
        MemoryModel.Begins
        * target.Kind switch
        {
            TargetKind.Tricky => TrickyWord * (skill == Skill.Spelling ? ForEachLetter : 1),
            TargetKind.Pattern => PatternOfWords,
            _ => Of(target.Correspondence!, skill),
        };

    private double Of(Correspondence one, Skill skill)
    {
        var known = facts.Of(one);
        var share = skill == Skill.Reading ? known.ReadingReliability : known.SpellingShare;
        var often = share.InWords ?? share.InText ?? 0.5;
        var letters = one.Grapheme.Letters.Length;
        return (0.6 + (0.8 * often))
            * Math.Pow(ForEachLetter, letters - 1)
            * (letters == 1 && "bdpqnumw".Contains(one.Grapheme.Letters[0]) ? LooksLikeOthers : 1);
    }
}

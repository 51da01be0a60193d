namespace BoldLadder.Core.Spelling;

/// <summary>How many letters a grapheme has and how they stand. Source: docs/handbook.md, section 4.</summary>
public enum GraphemeKind
{
    SingleLetter,
    Double,
    Digraph,
    Trigraph,
    FourLetter,
    SplitDigraph,
}

/// <summary>
/// The letters that stand together for a sound. A split digraph is written with a hyphen where the consonant
/// grapheme goes: <c>a-e</c>. Source: docs/handbook.md, section 4.
/// </summary>
public readonly record struct Grapheme(string Text)
{
    public bool IsSplit => Text.Length == 3 && Text[1] == '-';

    /// <summary>The letters without the hyphen of a split digraph.</summary>
    public string Letters => IsSplit ? $"{Text[0]}{Text[2]}" : Text;

    /// <summary>True when the first letter is a, e, i, o, u, or a y that is not alone.</summary>
    public bool StartsWithVowelLetter => "aeiou".Contains(Text[0], StringComparison.Ordinal) || Text[0] == 'y';

    public GraphemeKind Kind =>
        this switch
        {
            { IsSplit: true } => GraphemeKind.SplitDigraph,
            { Text.Length: 1 } => GraphemeKind.SingleLetter,
            { Text.Length: 2 } => Text[0] == Text[1] && !"aeiou".Contains(Text[0], StringComparison.Ordinal)
                ? GraphemeKind.Double
                : GraphemeKind.Digraph,
            { Text.Length: 3 } => GraphemeKind.Trigraph,
            _ => GraphemeKind.FourLetter,
        };

    public override string ToString() => Text;
}

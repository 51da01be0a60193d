using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Revisit;

/// <summary>What kind of thing a child remembers.</summary>
public enum TargetKind
{
    Correspondence,
    Pattern,
    Tricky,
}

/// <summary>Reading and spelling are remembered apart.</summary>
public enum Skill
{
    Reading,
    Spelling,
}

/// <summary>
/// What a child remembers or not: a correspondence by its reference notation, a pattern by its id, a tricky word. It is
/// stored as text: ai=eɪ, pattern:suffix-s, tricky:said. Source: docs/handbook.md, section 4.
/// </summary>
public readonly record struct MemoryTarget(TargetKind Kind, string Id)
{
    private const string OfPattern = "pattern:";
    private const string OfTricky = "tricky:";

    public static MemoryTarget Of(Correspondence correspondence) =>
        new(TargetKind.Correspondence, correspondence.ReferenceNotation);

    public static MemoryTarget Tricky(string word) => new(TargetKind.Tricky, word);

    /// <summary>A target as it is stored; false for what is none.</summary>
    public static bool TryParse(string text, out MemoryTarget target)
    {
        target = default;
        if (text.StartsWith(OfTricky, StringComparison.Ordinal))
            target = new MemoryTarget(TargetKind.Tricky, text[OfTricky.Length..]);
        else if (text.StartsWith(OfPattern, StringComparison.Ordinal))
            target = new MemoryTarget(TargetKind.Pattern, text[OfPattern.Length..]);
        else if (Correspondence.TryParse(text, out var correspondence))
            target = Of(correspondence);
        return target.Id is { Length: > 0 };
    }

    /// <summary>The correspondence; null for another kind.</summary>
    public Correspondence? Correspondence =>
        Kind == TargetKind.Correspondence ? Spelling.Correspondence.Parse(Id) : null;

    public override string ToString() =>
        Kind switch
        {
            TargetKind.Pattern => OfPattern + Id,
            TargetKind.Tricky => OfTricky + Id,
            _ => Id,
        };
}

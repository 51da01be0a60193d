using System.Collections.Immutable;

namespace BoldLadder.Core.Lessons.Sheets;

/// <summary>A sheet of paper for children, with its answers: what is shown of them says who prints it.</summary>
/// <param name="Items">As an activity has them; each kind of sheet lays them out its own way.</param>
/// <param name="Pictures">Word → its picture, for words of the items that have a sure one.</param>
/// <param name="Bank">Words to choose from, mixed; empty where there are none.</param>
public sealed record PaperSheet(
    SheetKind Kind,
    SheetLevel Level,
    ImmutableArray<Item> Items,
    ImmutableSortedDictionary<string, string> Pictures,
    ImmutableArray<string> Bank
)
{
    /// <summary>False where nothing on it is right or wrong.</summary>
    public bool HasAnswers => SheetFacts.Of(Kind).HasAnswers;
}

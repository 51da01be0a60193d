namespace BoldLadder.School.Work;

/// <summary>A change as far as taking back goes.</summary>
/// <param name="Undoes">The change that this one takes back: an undo a change, a redo an undo.</param>
public readonly record struct Undoable(int Version, int? Undoes);

/// <summary>
/// What of a history can be taken back and done again, and what of it still stands: the same for ladders and lessons.
/// </summary>
public static class UndoStacks
{
    /// <summary>What a person can take back, and what they can do again: the version of the last of each.</summary>
    /// <param name="own">This person's changes, in order.</param>
    public static (int? Undo, int? Redo) Of(IEnumerable<Undoable> own)
    {
        var (undo, redo) = (new Stack<int>(), new Stack<int>());
        foreach (var change in own)
        {
            if (change.Undoes is null)
            {
                undo.Push(change.Version);
                redo.Clear();
            }
            else if (undo.TryPeek(out var last) && last == change.Undoes)
            {
                undo.Pop();
                redo.Push(change.Version);
            }
            else if (redo.TryPeek(out var taken) && taken == change.Undoes)
            {
                redo.Pop();
                undo.Push(change.Version);
            }
        }
        return (undo.TryPeek(out var first) ? first : null, redo.TryPeek(out var again) ? again : null);
    }

    /// <summary>
    /// The versions of the changes that still stand: one that was taken back meanwhile, and what took it back, cancel
    /// out.
    /// </summary>
    public static HashSet<int> Standing(IEnumerable<Undoable> changes)
    {
        var all = changes.ToList();
        var standing = all.Select(c => c.Version).ToHashSet();
        foreach (var change in all.AsEnumerable().Reverse())
        {
            if (change.Undoes is { } taken && standing.Contains(change.Version) && standing.Remove(taken))
                standing.Remove(change.Version);
        }
        return standing;
    }
}

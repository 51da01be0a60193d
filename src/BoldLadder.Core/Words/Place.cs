namespace BoldLadder.Core.Words;

/// <summary>Where in a word, base or syllable; what is all of it stands at its start.</summary>
public enum Place
{
    Start,
    Middle,
    End,
}

public static class Places
{
    /// <summary>Where the part with this number stands among so many.</summary>
    public static Place Of(int part, int parts) =>
        part == 0 ? Place.Start
        : part == parts - 1 ? Place.End
        : Place.Middle;
}

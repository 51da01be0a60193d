using System.Collections.Immutable;

namespace BoldLadder.Formats.Office;

/// <summary>Slides to be shown one after the other.</summary>
/// <param name="Language">en-GB.</param>
/// <param name="ReadingFont">The font of what children read, by name: it is not in the file.</param>
public sealed record Deck(string Title, string Language, string ReadingFont, ImmutableArray<Slide> Slides);

/// <summary>One idea.</summary>
/// <param name="Heading">Small, over it; each slide has one, for screen readers and for the list of slides.</param>
/// <param name="Notes">What the adult says and knows.</param>
public sealed record Slide(
    string Heading,
    ImmutableArray<SlideLine> Lines,
    ImmutableArray<OfficePicture> Pictures,
    string Notes
);

/// <param name="Points">How large the letters are.</param>
/// <param name="Reading">True for what children read.</param>
public sealed record SlideLine(string Text, int Points, bool Reading = true);

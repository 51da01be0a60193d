using BoldLadder.Core.Accents;

namespace BoldLadder.Core.Decoding;

/// <summary>How a school reads: what an answer about words and ladders depends on besides them.</summary>
public readonly record struct WayOfReading(Accent Accent, Leniencies Leniencies);

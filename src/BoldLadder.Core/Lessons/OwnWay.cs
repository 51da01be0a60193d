namespace BoldLadder.Core.Lessons;

/// <summary>A school's own way to teach something; empty where it has none.</summary>
/// <param name="Picture">Of the phrase; null where there is none.</param>
public sealed record OwnWay(string KeyWord, string Phrase, string MouthCue, string Formation, string? Picture = null);

/// <summary>A chunk in a word: the places of its first and last grapheme.</summary>
public sealed record ChunkInWord(string Text, int From, int To);

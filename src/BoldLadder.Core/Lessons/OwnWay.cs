namespace BoldLadder.Core.Lessons;

/// <summary>A school's own way to teach something; empty where it has none.</summary>
public sealed record OwnWay(string KeyWord, string Phrase, string MouthCue, string Formation);

/// <summary>A chunk in a word: the places of its first and last grapheme.</summary>
public sealed record ChunkInWord(string Text, int From, int To);

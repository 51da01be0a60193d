using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace BoldLadder.Core.Lessons;

/// <summary>One thing children meet in an activity.</summary>
/// <param name="Id">Stable within the lesson: the activity's id and what the item shows.</param>
/// <param name="Kept">True when the teacher wants it kept while others are chosen.</param>
[JsonDerivedType(typeof(CardItem), "card")]
[JsonDerivedType(typeof(WordItem), "word")]
[JsonDerivedType(typeof(PatternItem), "pattern")]
[JsonDerivedType(typeof(SentenceItem), "sentence")]
[JsonDerivedType(typeof(MadeUpItem), "made-up")]
[JsonDerivedType(typeof(GapItem), "gap")]
[JsonDerivedType(typeof(SpellingsItem), "spellings")]
[JsonDerivedType(typeof(ClueItem), "clue")]
[JsonDerivedType(typeof(BesideItem), "beside")]
[JsonDerivedType(typeof(SyllablesItem), "syllables")]
[JsonDerivedType(typeof(LineItem), "line")]
[JsonDerivedType(typeof(ChoiceItem), "choice")]
[JsonDerivedType(typeof(SortItem), "sort")]
[JsonDerivedType(typeof(PictureItem), "picture")]
[JsonDerivedType(typeof(TextItem), "text")]
[JsonDerivedType(typeof(CrosswordItem), "crossword")]
[JsonDerivedType(typeof(MissingWordItem), "missing-word")]
[JsonDerivedType(typeof(PromptItem), "prompt")]
[JsonDerivedType(typeof(PairItem), "pair")]
[JsonDerivedType(typeof(BuildItem), "build")]
[JsonDerivedType(typeof(HuntItem), "hunt")]
[JsonDerivedType(typeof(ScrambleItem), "scramble")]
[JsonDerivedType(typeof(MendItem), "mend")]
[JsonDerivedType(typeof(ChunkItem), "chunk")]
[JsonDerivedType(typeof(SceneItem), "scene")]
public abstract record Item(string Id, bool Kept);

/// <summary>
/// An item that is about one word of the lexicon, read, spelled or only said: what a teacher can ask never to see
/// again.
/// </summary>
public interface IOfWord
{
    string Word { get; }
}

/// <summary>An item that was chosen for reasons, and says them when it is asked why.</summary>
public interface IExplained
{
    ImmutableArray<Reason> Reasons { get; }
}

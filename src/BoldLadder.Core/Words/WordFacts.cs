namespace BoldLadder.Core.Words;

/// <summary>
/// Whether a word may be shown to children: never, only when a teacher asks for it, or freely. Handbook, section 9.
/// </summary>
public enum Suitability
{
    Use,
    Ask,
    Never,
}

/// <summary>
/// Whether young children know a word: set by hand for the classroom words. Source: docs/handbook.md, section 7 (Known
/// to children).
/// </summary>
public enum Band
{
    /// <summary>Nobody has judged it.</summary>
    Unread,

    /// <summary>Most children know it at five.</summary>
    Known,

    /// <summary>Worth teaching with a one-line meaning.</summary>
    Teach,

    /// <summary>Harmless, but not a word for young children's lessons.</summary>
    NotForChildren,
}

/// <summary>Facts about a word that the judgements need.</summary>
[Flags]
public enum WordFlags
{
    None = 0,

    /// <summary>Southern British long a, /æ/ in other accents.</summary>
    Bath = 1,

    /// <summary>A second common reading (read, wind): never alone in an item.</summary>
    Heteronym = 1 << 1,

    /// <summary>A spelling used in Britain only.</summary>
    BritishOnly = 1 << 2,

    /// <summary>A word or spelling used in America only.</summary>
    AmericanOnly = 1 << 3,

    /// <summary>
    /// Short o in the reference, often long in America (dog, cross); for teaching it keeps the o of frog.
    /// </summary>
    Cloth = 1 << 4,

    /// <summary>poor, sure: ʊə where an accent keeps it apart from paw.</summary>
    Cure = 1 << 5,

    /// <summary>A first name; in the lexicon proper, a word that is also one (rose, will).</summary>
    Name = 1 << 6,

    /// <summary>The name of a place.</summary>
    Place = 1 << 7,

    /// <summary>Written with a capital letter wherever it stands (Monday).</summary>
    Capital = 1 << 8,

    /// <summary>Two words run together with an apostrophe (don't).</summary>
    Contraction = 1 << 9,

    /// <summary>Read by hand, split and sounds: data/review.</summary>
    Reviewed = 1 << 10,

    /// <summary>Rude enough that nothing made up may sound like it, contain it, or be one sound from it.</summary>
    Rude = 1 << 11,
}

/// <summary>What a word can be in a sentence; a word may be several.</summary>
[Flags]
public enum PartsOfSpeech
{
    None = 0,
    Noun = 1,
    Verb = 1 << 1,
    Adjective = 1 << 2,
    Adverb = 1 << 3,
    Pronoun = 1 << 4,
    Determiner = 1 << 5,
    Preposition = 1 << 6,
    Conjunction = 1 << 7,
    Exclamation = 1 << 8,
    Number = 1 << 9,
}

/// <summary>
/// What a word is about, where a school may want none of it. Source: docs/handbook.md, section 10 (topic switches).
/// </summary>
[Flags]
public enum Topics
{
    None = 0,
    Alcohol = 1,
    Drugs = 1 << 1,
    Weapons = 1 << 2,
    Death = 1 << 3,
    Crime = 1 << 4,
    Romance = 1 << 5,
    Religion = 1 << 6,
    FestivalsAndMagic = 1 << 7,
    FamilyRoles = 1 << 8,
}

using System.Globalization;
using BoldLadder.Core.Spelling;

namespace BoldLadder.Core.Words;

/// <summary>One row of data/lexicon. Columns: docs/data.md.</summary>
public static class LexiconRow
{
    public const string Header =
        "word\tgraphemes\tphonemes\tzipf\tsuitability\tband\tflags\tspeech\tbase\tsuffix\tjoin\tcompound\ttopics\tamerican\talso";

    private const int Columns = 15;

    private static readonly (WordFlags Flag, string Name)[] FlagNames =
    [
        (WordFlags.Bath, "bath"),
        (WordFlags.Heteronym, "heteronym"),
        (WordFlags.BritishOnly, "gb-only"),
        (WordFlags.AmericanOnly, "us-only"),
        (WordFlags.Cloth, "cloth"),
        (WordFlags.Cure, "cure"),
        (WordFlags.Name, "name"),
        (WordFlags.Place, "place"),
        (WordFlags.Capital, "capital"),
        (WordFlags.Contraction, "contraction"),
        (WordFlags.Reviewed, "reviewed"),
        (WordFlags.Rude, "rude"),
    ];

    private static readonly (PartsOfSpeech Part, char Letter)[] SpeechLetters =
    [
        (PartsOfSpeech.Noun, 'n'),
        (PartsOfSpeech.Verb, 'v'),
        (PartsOfSpeech.Adjective, 'j'),
        (PartsOfSpeech.Adverb, 'r'),
        (PartsOfSpeech.Pronoun, 'p'),
        (PartsOfSpeech.Determiner, 'd'),
        (PartsOfSpeech.Preposition, 'i'),
        (PartsOfSpeech.Conjunction, 'c'),
        (PartsOfSpeech.Exclamation, 'x'),
        (PartsOfSpeech.Number, 'm'),
    ];

    private static readonly (Topics Topic, string Name)[] TopicNames =
    [
        (Topics.Alcohol, "alcohol"),
        (Topics.Drugs, "drugs"),
        (Topics.Weapons, "weapons"),
        (Topics.Death, "death"),
        (Topics.Crime, "crime"),
        (Topics.Romance, "romance"),
        (Topics.Religion, "religion"),
        (Topics.FestivalsAndMagic, "festivals-and-magic"),
        (Topics.FamilyRoles, "family-roles"),
    ];

    /// <exception cref="FormatException">The row has the wrong columns or an unknown value.</exception>
    public static Word Read(ReadOnlySpan<char> row)
    {
        Span<Range> cells = stackalloc Range[Columns + 1];
        var count = row.TrimEnd('\r').Split(cells, '\t');
        if (count != Columns)
            throw new FormatException($"A lexicon row has {Columns} columns, this one {count}: {row}");
        var spelling = row[cells[0]].ToString();
        var suffix = row[cells[8]].IsEmpty
            ? null
            : new SuffixLink(
                row[cells[8]].ToString(),
                PatternIds.Parse(row[cells[9]]),
                row[cells[10]].IsEmpty ? Patterns.None : PatternIds.Parse(row[cells[10]])
            );
        return new Word(
            spelling: spelling,
            segmentation: Segmentation.Parse(row[cells[1]], row[cells[2]]),
            zipf: double.Parse(row[cells[3]], CultureInfo.InvariantCulture),
            suitability: ReadSuitability(row[cells[4]]),
            flags: ReadFlags(row[cells[6]]),
            suffix: suffix,
            american: row[cells[13]].IsEmpty ? default : [.. row[cells[13]].ToString().Split('|')]
        )
        {
            Band = ReadBand(row[cells[5]]),
            PartsOfSpeech = ReadSpeech(row[cells[7]]),
            Compound = row[cells[11]].IsEmpty ? [] : [.. row[cells[11]].ToString().Split('+')],
            Topics = ReadTopics(row[cells[12]]),
            Also = row[cells[14]].IsEmpty
                ? []
                : [.. row[cells[14]].ToString().Split(';').Select(Segmentation.ParsePair)],
        };
    }

    public static string Write(Word word) =>
        string.Join(
            '\t',
            word.Spelling,
            word.Segmentation.Graphemes,
            word.Segmentation.Phonemes,
            word.Zipf.ToString("0.00", CultureInfo.InvariantCulture),
            word.Suitability.ToString().ToLowerInvariant(),
            BandText(word.Band),
            FlagText(word.Flags),
            string.Concat(SpeechLetters.Where(s => word.PartsOfSpeech.HasFlag(s.Part)).Select(s => s.Letter)),
            word.Suffix?.Base ?? "",
            word.Suffix?.Suffix.Id() ?? "",
            word.Suffix is { Join: not Patterns.None } s ? s.Join.Id() : "",
            string.Join('+', word.Compound),
            string.Join(',', TopicNames.Where(t => word.Topics.HasFlag(t.Topic)).Select(t => t.Name)),
            word.American.IsDefault ? "" : string.Join('|', word.American),
            string.Join(';', word.Also.Select(a => $"{a.Graphemes}={a.Phonemes}"))
        );

    /// <summary>The flags as the file and the command write them.</summary>
    public static string FlagText(WordFlags flags) =>
        string.Join(',', FlagNames.Where(f => flags.HasFlag(f.Flag)).Select(f => f.Name));

    /// <exception cref="FormatException">A name is not a topic's; the message lists those there are.</exception>
    public static Topics ParseTopic(string name) => ReadTopics(name);

    /// <summary>Letters for parts of speech: n v j r p d i c x m.</summary>
    public static PartsOfSpeech ParseSpeech(string letters) => ReadSpeech(letters);

    /// <exception cref="FormatException">It is none of use, ask, never.</exception>
    public static Suitability ParseSuitability(string name) => ReadSuitability(name);

    /// <exception cref="FormatException">The name is not a flag's.</exception>
    public static WordFlags ParseFlag(string name) => ReadFlags(name);

    /// <exception cref="FormatException">It is none of known, teach, not-for-children.</exception>
    public static Band ParseBand(string name) => ReadBand(name);

    private static string BandText(Band band) =>
        band switch
        {
            Band.Known => "known",
            Band.Teach => "teach",
            Band.NotForChildren => "not-for-children",
            _ => "",
        };

    private static Suitability ReadSuitability(ReadOnlySpan<char> text) =>
        text switch
        {
            "use" => Suitability.Use,
            "ask" => Suitability.Ask,
            "never" => Suitability.Never,
            _ => throw new FormatException($"\"{text}\" is not a suitability. Use one of: use, ask, never."),
        };

    private static Band ReadBand(ReadOnlySpan<char> text) =>
        text switch
        {
            "" => Band.Unread,
            "known" => Band.Known,
            "teach" => Band.Teach,
            "not-for-children" => Band.NotForChildren,
            _ => throw new FormatException($"\"{text}\" is not a band. Use one of: known, teach, not-for-children."),
        };

    private static WordFlags ReadFlags(ReadOnlySpan<char> text)
    {
        var flags = WordFlags.None;
        if (text.IsEmpty)
            return flags;
        foreach (var range in text.Split(','))
        {
            var name = text[range];
            if (name.IsEmpty)
                continue;
            var found = WordFlags.None;
            foreach (var (flag, known) in FlagNames)
            {
                if (name.SequenceEqual(known))
                    found = flag;
            }
            flags |=
                found != WordFlags.None
                    ? found
                    : throw new FormatException(
                        $"\"{name}\" is not a flag. Use one of: {string.Join(", ", FlagNames.Select(f => f.Name))}."
                    );
        }
        return flags;
    }

    private static PartsOfSpeech ReadSpeech(ReadOnlySpan<char> text)
    {
        var parts = PartsOfSpeech.None;
        foreach (var letter in text)
        {
            foreach (var (part, known) in SpeechLetters)
            {
                if (letter == known)
                    parts |= part;
            }
        }
        return parts;
    }

    private static Topics ReadTopics(ReadOnlySpan<char> text)
    {
        var topics = Topics.None;
        if (text.IsEmpty)
            return topics;
        foreach (var range in text.Split(','))
        {
            var name = text[range];
            if (name.IsEmpty)
                continue;
            var found = Topics.None;
            foreach (var (topic, known) in TopicNames)
            {
                if (name.SequenceEqual(known))
                    found = topic;
            }
            topics |=
                found != Topics.None
                    ? found
                    : throw new FormatException(
                        $"\"{name}\" is not a topic. Use one of: {string.Join(", ", TopicNames.Select(t => t.Name))}."
                    );
        }
        return topics;
    }
}

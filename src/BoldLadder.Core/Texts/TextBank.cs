using System.Collections.Immutable;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts;

/// <summary>
/// A short text for Apply: its sentences, and questions that the adult asks afterwards. Source: docs/handbook.md,
/// section 6 (Apply).
/// </summary>
/// <param name="Name">The title as a sentence: children read it too.</param>
public sealed record ShortText(Sentence Name, ImmutableArray<Sentence> Sentences, ImmutableArray<string> Questions)
{
    public string Title => Name.Text;

    /// <summary>The different words of its sentences.</summary>
    public ImmutableArray<Word> Words { get; } =
    [.. Sentences.SelectMany(s => s.Tokens).Select(t => t.Word).Distinct()];

    /// <summary>How many different correspondences reading its sentences asks for.</summary>
    public int Asks { get; } = Sentences.SelectMany(s => s.Asks).Distinct().Count();

    /// <summary>A text of its parts; null where a word of it is in no list.</summary>
    public static ShortText? Read(
        string title,
        IReadOnlyCollection<string> lines,
        IEnumerable<string> questions,
        Lexicon lexicon
    ) =>
        lines.Count > 0
        && Sentence.Read(title, lexicon) is { } name
        && lines.Select(l => Sentence.Read(l, lexicon)).ToList() is var read
        && !read.Contains(null)
            ? new ShortText(name, [.. read.OfType<Sentence>()], [.. questions])
            : null;

    /// <summary>The title and the sentences.</summary>
    public IEnumerable<Sentence> All => Sentences.Prepend(Name);
}

/// <summary>
/// Short texts of our own. A file has, for each text, <c># title</c>, its sentences a line each, and its questions,
/// each after <c>? </c>; blank lines may stand between texts.
/// </summary>
public sealed class TextBank
{
    /// <summary>A text with a word that is not in the lexicon is left out.</summary>
    public TextBank(IEnumerable<string> lines, Lexicon lexicon)
    {
        var texts = ImmutableArray.CreateBuilder<ShortText>();
        var (title, own, questions) = ("", new List<string>(), new List<string>());
        foreach (var line in lines.Append("# "))
        {
            if (line.StartsWith("# ", StringComparison.Ordinal))
            {
                if (ShortText.Read(title, own, questions, lexicon) is { } text)
                    texts.Add(text);
                (title, own, questions) = (line[2..], [], []);
            }
            else if (line.StartsWith("? ", StringComparison.Ordinal))
                questions.Add(line[2..]);
            else if (line.Length > 0)
                own.Add(line);
        }
        Texts = texts.ToImmutable();
    }

    private TextBank(ImmutableArray<ShortText> texts) => Texts = texts;

    public ImmutableArray<ShortText> Texts { get; }

    /// <summary>The same with those that a school wrote itself after them.</summary>
    public TextBank And(IEnumerable<ShortText> own) => new([.. Texts, .. own]);

    /// <summary>The same texts with the words as another lexicon has them.</summary>
    public TextBank With(Lexicon lexicon) =>
        new([
            .. Texts.Select(t =>
                t.All.All(s => ReferenceEquals(s.With(lexicon), s))
                    ? t
                    : new(t.Name.With(lexicon), [.. t.Sentences.Select(s => s.With(lexicon))], t.Questions)
            ),
        ]);

    /// <summary>The texts whose every word is decodable or a taught tricky word.</summary>
    public IEnumerable<ShortText> Readable(Taught taught, IReadOnlySet<string> tricky) =>
        Texts.Where(t => t.All.All(s => s.CanBeRead(taught, tricky)));
}

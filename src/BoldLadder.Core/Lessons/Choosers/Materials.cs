using System.Collections.Frozen;
using System.Collections.Immutable;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Texts.Making;
using BoldLadder.Core.Texts.Rewording;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Lessons.Choosers;

/// <summary>
/// What lessons are filled from: words, sentences, texts, meanings, and the words that have a picture.
/// </summary>
/// <param name="Pictures">Word → name of its picture in data/pictures, or of the school's own.</param>
public sealed record Materials(
    Lexicon Lexicon,
    SentenceBank Sentences,
    TextBank Texts,
    Meanings Meanings,
    IReadOnlyDictionary<string, string> Pictures
)
{
    /// <summary>
    /// Word → a sentence for the adult to say with it when it is written, so that no word that sounds the same is
    /// meant. It need not be readable.
    /// </summary>
    public IReadOnlyDictionary<string, string> Said { get; init; } = FrozenDictionary<string, string>.Empty;

    /// <summary>What makes sentences when those of the bank were had.</summary>
    public SentenceMaker? Maker { get; init; }

    /// <summary>What offers other words for those that stand in the way; made when it is first asked for.</summary>
    public Lazy<Reworder>? Reworder { get; init; }

    /// <summary>What who writes for children is offered; made when it is first asked for.</summary>
    public Lazy<WritersWords>? Writers { get; init; }

    /// <summary>Sentences with a gap and the words to choose from.</summary>
    public GapBank Gaps { get; init; } = GapBank.Empty;

    /// <summary>Places with things in them that have a picture.</summary>
    public ImmutableArray<Scene> Scenes { get; init; } = [];

    /// <summary>The materials of a data folder.</summary>
    /// <param name="linesOf">The lines of a file of the folder, by its path in it: sentences/bank.txt.</param>
    public static Materials Read(Lexicon lexicon, Func<string, IEnumerable<string>> linesOf)
    {
        var meanings = new Meanings(linesOf("sentences/meanings.tsv").Skip(1));
        var maker = new SentenceMaker(linesOf("sentences/maker.txt"), lexicon);
        return new(
            lexicon,
            new SentenceBank(linesOf("sentences/bank.txt"), lexicon),
            new TextBank(linesOf("sentences/texts.txt"), lexicon),
            meanings,
            linesOf("pictures/pictures.tsv")
                .Skip(1)
                .Select(l => l.Split('\t'))
                .ToDictionary(r => r[0], r => r[1], StringComparer.Ordinal)
        )
        {
            Said = linesOf("sentences/said.tsv")
                .Skip(1)
                .Select(l => l.Split('\t'))
                .ToFrozenDictionary(r => r[0], r => r[1], StringComparer.Ordinal),
            Gaps = new GapBank(linesOf("sentences/gaps.txt"), lexicon),
            Maker = maker,
            Scenes = Scene.Read(linesOf("pictures/scenes.tsv")),
            Writers = new(() =>
                new WritersWords(
                    linesOf("sentences/maker.txt"),
                    linesOf("sentences/stories.txt"),
                    linesOf("sentences/topics.txt"),
                    lexicon
                )
            ),
            Reworder = new(() =>
                new Reworder(
                    new InsteadGroups(linesOf("sentences/instead.txt")),
                    new WordForms(linesOf("sentences/forms.tsv").Skip(1), lexicon),
                    meanings,
                    new NamesByCalling(linesOf("sentences/called.txt")),
                    maker
                )
            ),
        };
    }

    /// <summary>The same with a school's own pictures for some words, in the place of ours.</summary>
    public Materials Showing(IReadOnlyCollection<string> words) =>
        words.Count == 0
            ? this
            : this with
            {
                Pictures = Pictures
                    .Where(p => !words.Contains(p.Key))
                    .Concat(words.Select(w => KeyValuePair.Create(w, OwnPictures.NameOf(w))))
                    .ToFrozenDictionary(StringComparer.Ordinal),
            };

    /// <summary>The same with other words, in sentences and texts too: a school's own layer.</summary>
    public Materials With(Lexicon lexicon)
    {
        var maker = Maker?.With(lexicon);
        return this with
        {
            Lexicon = lexicon,
            Sentences = Sentences.With(lexicon),
            Texts = Texts.With(lexicon),
            Gaps = Gaps.With(lexicon),
            Maker = maker,
            Reworder = Reworder is { } shipped && maker is not null ? new(() => shipped.Value.With(maker)) : null,
            Writers = Writers is { } writers ? new(() => writers.Value.With(lexicon)) : null,
        };
    }
}

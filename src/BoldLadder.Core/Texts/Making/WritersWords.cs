using System.Collections.Immutable;
using BoldLadder.Core.Randomness;
using BoldLadder.Core.Words;

namespace BoldLadder.Core.Texts.Making;

/// <summary>
/// What someone who writes for children is offered: words by what they are about, and the bones of a story, as far as
/// the children can read them. Source: docs/handbook.md, section 7 (Text check).
/// </summary>
public sealed class WritersWords
{
    private readonly SentenceMaker stories;
    private readonly ImmutableArray<(string Topic, ImmutableArray<string> Classes)> topics;

    /// <param name="maker">The lines of data/sentences/maker.txt, of which the classes are taken.</param>
    /// <param name="stories">A story a line, a sentence for each of its bones.</param>
    /// <param name="topics">A topic, a colon and its classes.</param>
    public WritersWords(
        IEnumerable<string> maker,
        IEnumerable<string> stories,
        IEnumerable<string> topics,
        Lexicon lexicon
    )
    {
        this.stories = new SentenceMaker(
            [.. maker.Where(l => l.Contains(": ", StringComparison.Ordinal) && !l.StartsWith('#')), .. stories],
            lexicon
        );
        this.topics =
        [
            .. topics
                .Where(l => !l.StartsWith('#'))
                .Select(l => l.Split(": "))
                .Select(l => (l[0], l[1].Split(' ').ToImmutableArray())),
        ];
    }

    private WritersWords(WritersWords shipped, Lexicon school) =>
        (stories, topics) = (shipped.stories.With(school), shipped.topics);

    /// <summary>The same with the words as a school has them.</summary>
    public WritersWords With(Lexicon school) => new(this, school);

    /// <summary>What words can be asked by.</summary>
    public IEnumerable<string> Topics => topics.Select(t => t.Topic);

    /// <summary>The words about something, as they are written; none for what is no topic.</summary>
    public IEnumerable<string> About(string topic) =>
        topics.Where(t => t.Topic == topic).SelectMany(t => t.Classes).SelectMany(c => stories.Classes[c]).Distinct();

    /// <summary>
    /// The bones of a story, a sentence each: who, where, what goes wrong, how it ends; none where too few words can
    /// be read for any.
    /// </summary>
    public ImmutableArray<string> Story(Func<Word, bool> canRead, Seeded random) =>
        stories.Make(canRead, _ => true, random).FirstOrDefault() is { } story
            ? [.. story.Text.Split(". ").Select(s => s.EndsWith('.') ? s : s + ".")]
            : [];
}

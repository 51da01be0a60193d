using System.Collections.Concurrent;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Lessons.Choosers;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Texts;
using BoldLadder.Core.Words;
using BoldLadder.Core.Words.Alike;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Words;

/// <summary>
/// The words as schools see them: the shipped ones under each school's own layer, which is a mask and a handful of
/// words, with the words it has pictures for. Of a school only the newest layer is kept.
/// </summary>
public sealed class SchoolLayers(WordData words, WorkCache cache)
{
    private readonly SchoolLayer shipped = new(words.Materials, null);

    /// <summary>The shipped words as American schools have them: worked out once for all of them.</summary>
    private SchoolLayer American => american ??= Over([], SpellingVariety.American);

    private SchoolLayer? american;

    /// <summary>
    /// The school's layer: read from the store only when its words or pictures changed since it was last asked for.
    /// </summary>
    public async Task<SchoolLayer> Of(StoredSchool school, BoldContext store, CancellationToken stop)
    {
        var variety = Varieties.Of(school.SpellingVariety);
        var plain = variety == SpellingVariety.British ? shipped : American;
        if (school.WordsStamp == Guid.Empty)
            return plain;
        var (key, state) = ((nameof(SchoolLayers), school.SchoolId), $"{school.WordsStamp} {variety}");
        if (cache.Find<SchoolLayer>(key, state) is { } known)
            return known;
        var own = (await store.SchoolWords.AsNoTracking().ToListAsync(stop)).ConvertAll(Layer);
        var pictured = await store.OwnPictures.Select(p => p.Word).ToListAsync(stop);
        var texts = await store
            .OwnTexts.AsNoTracking()
            .Where(t => t.IsShared && t.RetiredAt == null)
            .OrderBy(t => t.MadeAt)
            .ThenBy(t => t.Id)
            .ToListAsync(stop);
        return cache.Newest(key, state, SchoolLayer.Kilobytes + (2 * texts.Count), () =>
            Reading(Showing(own.Count == 0 ? plain : Over(own, variety), [.. pictured.Where(IsWord)]), texts)
        );
    }

    /// <summary>With the texts that the school shares: lessons are planned with them like with ours.</summary>
    private SchoolLayer Reading(SchoolLayer layer, IReadOnlyCollection<OwnText> own)
    {
        if (own.Count == 0)
            return layer;
        var (materials, lexicon) = (layer.Materials, layer.Lexicon);
        var stories = own.Where(t => t.Kind == OwnTextKind.Story)
            .Select(t =>
                ShortText.Read(t.Title, SentenceCut.Of(t.Body, layer.Finder, byLine: false), t.Questions, lexicon)
            )
            .OfType<ShortText>();
        var lines = own.Where(t => t.Kind != OwnTextKind.Story)
            .SelectMany(t => SentenceCut.Of(t.Body, layer.Finder, byLine: true));
        return new(
            materials with
            {
                Texts = materials.Texts.And(stories),
                Sentences = materials.Sentences.And(new SentenceBank(lines, lexicon)),
            },
            shipped
        );
    }

    /// <summary>Of a correspondence it is its phrase that has a picture.</summary>
    private static bool IsWord(string subject) => !subject.Contains('=', StringComparison.Ordinal);

    private SchoolLayer Showing(SchoolLayer layer, IReadOnlyCollection<string> pictured) =>
        pictured.Count == 0 ? layer : new(layer.Materials.Showing(pictured), shipped);

    private SchoolLayer Over(IReadOnlyCollection<SchoolWord> own, SpellingVariety variety) =>
        new(words.Materials.With(SchoolWords.Over(words.Lexicon, own, variety)), shipped);

    private static SchoolWord Layer(StoredWord word) =>
        new(
            word.Spelling,
            word.Verdict,
            word.Graphemes is null ? null : Segmentation.Parse(word.Graphemes, word.Phonemes),
            word.Reason
        );
}

/// <summary>One layer, with what looking words up in it needs: kept and let go together.</summary>
/// <param name="shipped">What the layer lies over; null for the shipped words themselves.</param>
public sealed class SchoolLayer(Materials materials, SchoolLayer? shipped)
{
    /// <summary>Roughly what a layer weighs (bench: 200 schools that ban fifty words each).</summary>
    public const int Kilobytes = 256;

    private readonly ConcurrentDictionary<Accent, WordsAlike> alike = new();
    private readonly Lazy<WordFinder> finder = new(() => new WordFinder(materials.Lexicon));

    public Materials Materials => materials;

    public Lexicon Lexicon => materials.Lexicon;

    public WordFinder Finder => finder.Value;

    public WordsAlike Alike(Accent accent) =>
        alike.GetOrAdd(accent, a => shipped?.Alike(a).Over(Lexicon) ?? new WordsAlike(Lexicon, Lexicon.ForLessons, a));
}

using BoldLadder.Core.Randomness;

namespace BoldLadder.Core.Lessons.Extras;

/// <summary>
/// Which spellings do we know for a sound? The answers are what was taught before today, as the accent sounds it.
/// Source: docs/handbook.md, section 6 (Revisit: sound to spellings).
/// </summary>
internal static class SpellingsActivity
{
    public const string Id = "revisit-spellings";

    /// <summary>Null until a sound has two spellings.</summary>
    public static Activity? Of(LessonRequest request, int count)
    {
        var accent = request.Before.Accent;
        var sounds = request.Before.Correspondences.Where(c => !c.IsBath).GroupBy(accent.Project)
            .Select(g => (Sounds: g.Key, Taught: g.OrderByDescending(c => request.Recall.GetValueOrDefault(c, 0)).ToList()))
            .Where(s => s.Taught.DistinctBy(c => c.Grapheme).Count() > 1).OrderBy(s => s.Sounds, StringComparer.Ordinal).ToList();
        if (sounds.Count == 0) return null;
        var chosen = Seeded.For(request.Seed, Id).Shuffle(sounds).Take(count);
        return new Activity(Id, ActivityKind.SoundToSpellings, ResponseMode.ShowOnBoards, 0, [.. chosen.Select(s => Items.OfSpellings(Id, s.Sounds, s.Taught))]);
    }
}

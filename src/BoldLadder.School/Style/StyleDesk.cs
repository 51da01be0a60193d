using BoldLadder.Core;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Showing;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Words;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Style;

/// <summary>Our school's way, with what it is chosen from.</summary>
/// <param name="Accent">Id of the accent profile, one of <paramref name="Accents"/>.</param>
/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record StyleView(
    string Accent,
    HouseStyle Style,
    IReadOnlyList<AccentView> Accents,
    IReadOnlyList<SampleWord> Sample,
    IReadOnlyList<SoundView> Sounds,
    string Stamp
);

public sealed record StyleRequest(string Accent, HouseStyle Style);

/// <summary>A word to show a style on.</summary>
public sealed record SampleWord(
    string Word,
    string Graphemes,
    string Phonemes,
    IReadOnlyList<int> Marks,
    int Taps,
    int Sounds
);

/// <param name="Switches">The switches that the profile usually has.</param>
public sealed record AccentView(string Id, IReadOnlyList<string> Switches);

public sealed record SoundView(string Symbol, string Label, string KeyWord);

/// <summary>The school's own way to teach something; empty where it has none.</summary>
public sealed record Note(string Subject, string KeyWord, string Phrase, string MouthCue, string Formation);

/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record NoteView(
    string Subject,
    string KeyWord,
    string Phrase,
    string MouthCue,
    string Formation,
    string Stamp
);

/// <param name="NoStamp">The stamp of what has no note yet, for its first one.</param>
public sealed record NotesView(IReadOnlyList<NoteView> Notes, string NoStamp);

/// <summary>Our school's way: house style, and the notes on how it teaches each correspondence.</summary>
public sealed class StyleDesk(SchoolScope scope, WordData shipped)
{
    private const int LongestNote = 400;
    private static readonly string[] Sample = ["ship", "cake", "box", "night", "few", "car", "bath", "putt", "happy"];

    /// <summary>The school's own ways to teach its correspondences and patterns.</summary>
    public async Task<List<NoteView>> Notes() =>
        (await scope.Store.TeachingNotes.AsNoTracking().OrderBy(n => n.Subject).ToListAsync(scope.Stop)).ConvertAll(
            View
        );

    /// <summary>The school's way, to be laid over a lesson that is shown.</summary>
    public async Task<SchoolWay> Way() =>
        new(
            scope.Style,
            await scope
                .Store.TeachingNotes.AsNoTracking()
                .ToDictionaryAsync(
                    n => n.Subject,
                    n => new OwnWay(n.KeyWord, n.Phrase, n.MouthCue, n.Formation),
                    scope.Stop
                ),
            scope.Words.Lexicon,
            scope.Accent,
            shipped.Materials.Pictures,
            await PictureDesk.Names(scope)
        );

    public static string NoStamp { get; } = Stamps.Of<Note?>(null);

    private static Note Content(TeachingNote note) =>
        new(note.Subject, note.KeyWord, note.Phrase, note.MouthCue, note.Formation);

    private static NoteView View(TeachingNote note) =>
        new(note.Subject, note.KeyWord, note.Phrase, note.MouthCue, note.Formation, Stamps.Of(Content(note)));

    private StyleRequest Settings() => new(scope.School.Accent, scope.Style);

    public StyleView View() =>
        new(
            scope.School.Accent,
            scope.Style,
            [.. Accent.All.Select(a => new AccentView(a.Id, AccentSwitchIds.Of(a.Switches)))],
            Words(scope.Accent),
            [.. Sound.All.Select(s => new SoundView(s.Symbol, s.PlainLabel, s.KeyWord))],
            Stamps.Of(Settings())
        );

    private List<SampleWord> Words(Accent accent) =>
        [.. Sample.Select(shipped.Lexicon.Find).OfType<Word>().Select(w => Shown(w, accent))];

    /// <summary>
    /// The sample as another accent would say it, with its usual switches or those named, joined by commas.
    /// </summary>
    public Answer<List<SampleWord>> TrySample(string accent, string? switches)
    {
        try
        {
            var profile = Accent.Parse(accent);
            return Words(
                switches is null
                    ? profile
                    : profile with
                    {
                        Switches = AccentSwitchIds.Parse(switches.Split(',', StringSplitOptions.RemoveEmptyEntries)),
                    }
            );
        }
        catch (FormatException)
        {
            return Refusal.Unusable("bad-style").About("accent");
        }
    }

    private static SampleWord Shown(Word word, Accent accent)
    {
        var said = string.Join("|", accent.Sounds(word));
        return new SampleWord(
            word.Spelling,
            word.Segmentation.Graphemes,
            said,
            [.. word.Segmentation.Letters().Select(l => l.Part)],
            word.Segmentation.Taps,
            said.Split(["|", "+"], StringSplitOptions.None).Length
        );
    }

    public async Task<Answer<StyleView>> Save(StyleRequest request, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        try
        {
            Accent.Parse(request.Accent);
            request.Style.Checked();
        }
        catch (FormatException)
        {
            return Refusal.Unusable("bad-style").About("accent");
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
        await scope.LockSettings();
        await scope.Refresh();
        if (Stamps.Stale(Settings(), seen) is { } stale)
            return stale;
        var school = await scope.Store.Schools.SingleAsync(scope.Stop);
        (school.Accent, school.Style) = (request.Accent, request.Style);
        scope.Audit("style-saved", school.SchoolId);
        await scope.Save();
        await scope.Refresh();
        return View();
    }

    public async Task<Answer<NoteView>> SaveNote(Note note, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var texts = new[] { note.KeyWord, note.Phrase, note.MouthCue, note.Formation };
        if (texts.Any(t => t.Length > LongestNote))
            return Refusal.Unusable("note-too-long", ("most", LongestNote));
        if (!Correspondence.TryParse(note.Subject, out _) && !IsPattern(note.Subject))
            return Refusal.Unusable("unknown-teaching").About("note");
        await scope.LockSettings();
        var kept = await scope.Store.TeachingNotes.SingleOrDefaultAsync(n => n.Subject == note.Subject, scope.Stop);
        if (Stamps.Stale(kept is null ? null : Content(kept), seen) is { } stale)
            return stale;
        kept ??= scope
            .Store.TeachingNotes.Add(
                new TeachingNote
                {
                    SchoolId = scope.School.SchoolId,
                    Subject = note.Subject,
                    KeyWord = "",
                    Phrase = "",
                    MouthCue = "",
                    Formation = "",
                }
            )
            .Entity;
        (kept.KeyWord, kept.Phrase, kept.MouthCue, kept.Formation) = (
            note.KeyWord.Trim(),
            note.Phrase.Trim(),
            note.MouthCue.Trim(),
            note.Formation.Trim()
        );
        scope.Audit("note-saved", scope.School.SchoolId);
        await scope.Save();
        return View(kept);
    }

    private static bool IsPattern(string id) => Enum.GetValues<Patterns>().Any(p => int.IsPow2((int)p) && p.Id() == id);
}

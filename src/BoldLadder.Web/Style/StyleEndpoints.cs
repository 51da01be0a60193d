using BoldLadder.Core.Accents;
using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Words;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Style;

/// <summary>Our school's way, with what it is chosen from.</summary>
/// <param name="Accent">Id of the accent profile, one of <paramref name="Accents"/>.</param>
/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record StyleView(string Accent, HouseStyle Style, IReadOnlyList<AccentView> Accents, IReadOnlyList<SampleWord> Sample, IReadOnlyList<SoundView> Sounds, string Stamp);

public sealed record StyleRequest(string Accent, HouseStyle Style);

/// <summary>A word to show a style on.</summary>
public sealed record SampleWord(string Word, string Graphemes, string Phonemes, IReadOnlyList<int> Marks, int Taps, int Sounds);

/// <param name="Switches">The switches that the profile usually has.</param>
public sealed record AccentView(string Id, IReadOnlyList<string> Switches);

public sealed record SoundView(string Symbol, string Label, string KeyWord);

/// <summary>The school's own way to teach something; empty where it has none.</summary>
public sealed record Note(string Subject, string KeyWord, string Phrase, string MouthCue, string Formation);

/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record NoteView(string Subject, string KeyWord, string Phrase, string MouthCue, string Formation, string Stamp);

/// <param name="NoStamp">The stamp of what has no note yet, for its first one.</param>
public sealed record NotesView(IReadOnlyList<NoteView> Notes, string NoStamp);

/// <summary>Our school's way: house style, and the notes on how it teaches each correspondence.</summary>
public static class StyleEndpoints
{
    private const int LongestNote = 400;
    private static readonly string[] Sample = ["ship", "cake", "box", "night", "few", "car", "bath", "putt", "happy"];

    public static void MapStyle(this IEndpointRouteBuilder school)
    {
        school.MapGet("/style", (SchoolScope scope, WordData words, Stamps stamps) => TypedResults.Ok(View(scope, words, stamps))).WithName("getStyle");
        school.MapGet("/style/sample", TrySample).WithName("getStyleSample");
        school.MapPost("/style", Save).WithName("saveStyle");
        school.MapGet("/notes", async (SchoolScope scope, Stamps stamps) => TypedResults.Ok(new NotesView(await Notes(scope, stamps), stamps.Of<Note?>(null)))).WithName("getNotes");
        school.MapPost("/notes", SaveNote).WithName("saveNote");
    }

    /// <summary>The school's own ways to teach its correspondences and patterns.</summary>
    public static async Task<IReadOnlyList<NoteView>> Notes(SchoolScope scope, Stamps stamps) =>
        [.. (await scope.Store.TeachingNotes.AsNoTracking().OrderBy(n => n.Subject).ToListAsync()).Select(n => View(n, stamps))];

    private static Note Content(TeachingNote note) => new(note.Subject, note.KeyWord, note.Phrase, note.MouthCue, note.Formation);

    private static NoteView View(TeachingNote note, Stamps stamps) =>
        new(note.Subject, note.KeyWord, note.Phrase, note.MouthCue, note.Formation, stamps.Of(Content(note)));

    private static StyleRequest Settings(SchoolScope scope) => new(scope.School.Accent, scope.Style);

    public static StyleView View(SchoolScope scope, WordData words, Stamps stamps) => new(scope.School.Accent, scope.Style, [.. Accent.All.Select(a => new AccentView(a.Id, AccentSwitchIds.Of(a.Switches)))], Words(words, scope.Accent),
        [.. Sound.All.Select(s => new SoundView(s.Symbol, s.PlainLabel, s.KeyWord))], stamps.Of(Settings(scope)));

    private static IReadOnlyList<SampleWord> Words(WordData words, Accent accent) => [.. Sample.Select(words.Lexicon.Find).OfType<Word>().Select(w => Shown(w, accent))];

    /// <summary>The sample as another accent would say it, with its usual switches or those named, joined by commas.</summary>
    private static Results<Ok<IReadOnlyList<SampleWord>>, ProblemHttpResult> TrySample(string accent, string? switches, WordData words)
    {
        try
        {
            var profile = Accent.Parse(accent);
            return TypedResults.Ok(Words(words, switches is null ? profile : profile with { Switches = AccentSwitchIds.Parse(switches.Split(',', StringSplitOptions.RemoveEmptyEntries)) }));
        }
        catch (FormatException problem)
        {
            return Problem.Of(StatusCodes.Status422UnprocessableEntity, "bad-style", problem.Message);
        }
    }

    private static SampleWord Shown(Word word, Accent accent)
    {
        var said = string.Join("|", accent.Sounds(word));
        return new SampleWord(word.Spelling, word.Segmentation.Graphemes, said, [.. word.Segmentation.Letters().Select(l => l.Part)], word.Segmentation.Taps, said.Split(["|", "+"], StringSplitOptions.None).Length);
    }

    private static async Task<Results<Ok<StyleView>, ProblemHttpResult>> Save(
        StyleRequest request, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, WordData words, Stamps stamps)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        try
        {
            Accent.Parse(request.Accent);
            request.Style.Checked();
        }
        catch (FormatException problem)
        {
            return Problem.Of(StatusCodes.Status422UnprocessableEntity, "bad-style", problem.Message);
        }
        await scope.LockSettings();
        await scope.Refresh();
        if (stamps.Stale(Settings(scope), ifMatch) is { } stale) return stale;
        var school = await scope.Store.Schools.SingleAsync();
        (school.Accent, school.Style) = (request.Accent, request.Style);
        scope.Audit("style-saved", school.SchoolId);
        await scope.Store.SaveChangesAsync();
        scope.Changed(school);
        return TypedResults.Ok(View(scope, words, stamps));
    }

    private static async Task<Results<Ok<NoteView>, ProblemHttpResult>> SaveNote(
        Note note, [FromHeader(Name = "If-Match")] string? ifMatch, SchoolScope scope, Stamps stamps)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        var texts = new[] { note.KeyWord, note.Phrase, note.MouthCue, note.Formation };
        if (texts.Any(t => t.Length > LongestNote)) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "note-too-long", $"Keep each note to {LongestNote} letters. Shorten it and save again.");
        if (!Correspondence.TryParse(note.Subject, out _) && !IsPattern(note.Subject)) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "unknown-teaching", "Write the note for a correspondence or pattern of the ladder.");
        await scope.LockSettings();
        var kept = await scope.Store.TeachingNotes.SingleOrDefaultAsync(n => n.Subject == note.Subject);
        if (stamps.Stale(kept is null ? null : Content(kept), ifMatch) is { } stale) return stale;
        kept ??= scope.Store.TeachingNotes.Add(new TeachingNote { SchoolId = scope.School.SchoolId, Subject = note.Subject, KeyWord = "", Phrase = "", MouthCue = "", Formation = "" }).Entity;
        (kept.KeyWord, kept.Phrase, kept.MouthCue, kept.Formation) = (note.KeyWord.Trim(), note.Phrase.Trim(), note.MouthCue.Trim(), note.Formation.Trim());
        scope.Audit("note-saved", scope.School.SchoolId);
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(View(kept, stamps));
    }

    private static bool IsPattern(string id) => Enum.GetValues<Patterns>().Any(p => int.IsPow2((int)p) && p.Id() == id);
}

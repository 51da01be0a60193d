using BoldLadder.Core.Sounds;
using BoldLadder.Core.Spelling;
using BoldLadder.Core.Style;
using BoldLadder.Core.Words;
using BoldLadder.Store;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.Web.Style;

/// <summary>Our school's way, with what it is chosen from.</summary>
/// <param name="Accent">Id of the accent profile, one of <paramref name="Accents"/>.</param>
public sealed record StyleView(string Accent, HouseStyle Style, IReadOnlyList<AccentView> Accents, IReadOnlyList<SampleWord> Sample, IReadOnlyList<SoundView> Sounds);

public sealed record StyleRequest(string Accent, HouseStyle Style);

/// <summary>A word to show a style on.</summary>
public sealed record SampleWord(string Word, string Graphemes, string Phonemes, IReadOnlyList<int> Marks, int Taps, int Sounds);

/// <param name="Switches">The switches that the profile usually has.</param>
public sealed record AccentView(string Id, IReadOnlyList<string> Switches);

public sealed record SoundView(string Symbol, string Label, string KeyWord);

/// <summary>The school's own way to teach something; empty where it has none.</summary>
public sealed record NoteView(string Subject, string KeyWord, string Phrase, string MouthCue, string Formation);

/// <summary>Our school's way: house style, and the notes on how it teaches each correspondence.</summary>
public static class StyleEndpoints
{
    private const int LongestNote = 400;
    private static readonly string[] Sample = ["ship", "cake", "box", "night", "few", "car", "bath", "putt", "happy"];

    public static void MapStyle(this IEndpointRouteBuilder school)
    {
        school.MapGet("/style", (SchoolScope scope, WordData words) => TypedResults.Ok(View(scope, words))).WithName("getStyle");
        school.MapGet("/style/sample", TrySample).WithName("getStyleSample");
        school.MapPost("/style", Save).WithName("saveStyle");
        school.MapGet("/notes", async (SchoolScope scope) => TypedResults.Ok(await Notes(scope))).WithName("getNotes");
        school.MapPost("/notes", SaveNote).WithName("saveNote");
    }

    /// <summary>The school's own ways to teach its correspondences and patterns.</summary>
    public static Task<List<NoteView>> Notes(SchoolScope scope) => scope.Store.TeachingNotes.OrderBy(n => n.Subject)
        .Select(n => new NoteView(n.Subject, n.KeyWord, n.Phrase, n.MouthCue, n.Formation)).ToListAsync();

    public static StyleView View(SchoolScope scope, WordData words) => new(scope.School.Accent, scope.Style, [.. Accent.All.Select(a => new AccentView(a.Id, AccentSwitchIds.Of(a.Switches)))], Words(words, scope.Accent),
        [.. Sound.All.Select(s => new SoundView(s.Symbol, s.PlainLabel, s.KeyWord))]);

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

    private static async Task<Results<Ok<StyleView>, ProblemHttpResult>> Save(StyleRequest request, SchoolScope scope, WordData words)
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
        var school = await scope.Store.Schools.SingleAsync();
        (school.Accent, school.Style) = (request.Accent, request.Style);
        scope.Audit("style-saved", school.SchoolId);
        await scope.Store.SaveChangesAsync();
        scope.Changed(school);
        return TypedResults.Ok(View(scope, words));
    }

    private static async Task<Results<Ok<NoteView>, ProblemHttpResult>> SaveNote(NoteView note, SchoolScope scope)
    {
        if (scope.LeadOnly() is { } refused) return refused;
        var texts = new[] { note.KeyWord, note.Phrase, note.MouthCue, note.Formation };
        if (texts.Any(t => t.Length > LongestNote)) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "note-too-long", $"Keep each note to {LongestNote} letters. Shorten it and save again.");
        if (!Correspondence.TryParse(note.Subject, out _) && !IsPattern(note.Subject)) return Problem.Of(StatusCodes.Status422UnprocessableEntity, "unknown-teaching", "Write the note for a correspondence or pattern of the ladder.");
        if (await scope.Store.TeachingNotes.SingleOrDefaultAsync(n => n.Subject == note.Subject) is { } kept)
        {
            (kept.KeyWord, kept.Phrase, kept.MouthCue, kept.Formation) = (note.KeyWord.Trim(), note.Phrase.Trim(), note.MouthCue.Trim(), note.Formation.Trim());
        }
        else
        {
            scope.Store.TeachingNotes.Add(new TeachingNote
            {
                SchoolId = scope.School.SchoolId,
                Subject = note.Subject,
                KeyWord = note.KeyWord.Trim(),
                Phrase = note.Phrase.Trim(),
                MouthCue = note.MouthCue.Trim(),
                Formation = note.Formation.Trim(),
            });
        }
        await scope.Store.SaveChangesAsync();
        return TypedResults.Ok(note);
    }

    private static bool IsPattern(string id) => Enum.GetValues<Patterns>().Any(p => int.IsPow2((int)p) && p.Id() == id);
}

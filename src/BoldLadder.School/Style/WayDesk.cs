using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using BoldLadder.Core;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.Core.Style;
using BoldLadder.Formats.Tables;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Templates;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Style;

/// <summary>A file of a school's way, as it was saved and perhaps edited.</summary>
public sealed record WayFile(byte[] Content);

/// <summary>What reading it would change.</summary>
/// <param name="Lines">accent with the old and the new one, style with the name of the field, note with what it is
/// about, template with its day, length and weekday (0 for every day).</param>
/// <param name="Stamp">What If-Match gives back when it is read in.</param>
public sealed record WayPreview(IReadOnlyList<Reason> Lines, string Stamp);

/// <summary>
/// A school's way and its templates out as a file and in again. What the file does not name stays as it is.
/// </summary>
public sealed class WayDesk(SchoolScope scope, StyleDesk style, TemplateDesk templates)
{
    private const int LargestFile = 1024 * 1024;
    private const int MostEach = 2_000;

    public async Task<byte[]> Write() => Encoding.UTF8.GetBytes(WayDocument.Write(await Now()));

    private async Task<WayDocument> Now() =>
        new(
            WayDocument.CurrentFormat,
            scope.School.Accent,
            scope.Style,
            (await style.Notes()).ConvertAll(n => new Note(n.Subject, n.KeyWord, n.Phrase, n.MouthCue, n.Formation)),
            (await scope.Store.LessonTemplates.AsNoTracking().ToListAsync(scope.Stop))
                .OrderBy(t => t.Document.Day)
                .ThenBy(t => t.Document.Minutes)
                .ThenBy(t => t.Weekday)
                .Select(t => new TemplateRequest(t.Document, t.Weekday))
                .ToList()
        );

    /// <summary>What reading a file would change; nothing is.</summary>
    public async Task<Answer<WayPreview>> Look(WayFile file)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var read = Read(file);
        if (read.Refusal is { } refusal)
            return refusal;
        var now = await Now();
        return new WayPreview(Differences(now, read.Value).ToList(), Stamps.Of(now));
    }

    /// <summary>Lays a file over the school's way and templates: all of it or nothing.</summary>
    public async Task<Answer<WayPreview>> ReadIn(WayFile file, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var read = Read(file);
        if (read.Refusal is { } refusal)
            return refusal;
        await scope.LockSettings();
        await scope.Refresh();
        var now = await Now();
        if (Stamps.Stale(now, seen) is { } stale)
            return stale;
        var way = read.Value;
        if ((await style.Save(new StyleRequest(way.Accent, way.Style), style.View().Stamp)).Refusal is { } badStyle)
            return badStyle;
        var notes = (await style.Notes()).ToDictionary(n => n.Subject, n => n.Stamp);
        foreach (var note in way.Notes)
        {
            if (
                (await style.SaveNote(note, notes.GetValueOrDefault(note.Subject, StyleDesk.NoStamp))).Refusal is
                { } badNote
            )
                return badNote;
        }
        foreach (var template in way.Templates)
        {
            if ((await templates.Save(template, await templates.StampOf(template))).Refusal is { } badTemplate)
                return badTemplate;
        }
        await scope.Refresh();
        return new WayPreview([], Stamps.Of(await Now()));
    }

    /// <summary>The file when all of it can be used.</summary>
    private static Answer<WayDocument> Read(WayFile file)
    {
        if (file.Content.Length > LargestFile)
            return Refusal.Unusable("file-too-large", ("most", LargestFile / 1024 / 1024));
        try
        {
            var way = WayDocument.Read(PlainText.Read(file.Content));
            if (
                Accent.All.All(a => a.Id != way.Accent)
                || way.Notes.Count + way.Templates.Count > MostEach
                || way.Notes.DistinctBy(n => n.Subject).Count() < way.Notes.Count
                || way.Templates.DistinctBy(Place).Count() < way.Templates.Count
            )
                return Refusal.Unusable("not-a-way");
            way.Style.Checked();
            foreach (var template in way.Templates)
                template.Template.Checked();
            return way;
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
    }

    private static IEnumerable<Reason> Differences(WayDocument now, WayDocument then)
    {
        if (now.Accent != then.Accent)
            yield return Reason.Of("accent", now.Accent, then.Accent);
        var (before, after) = (Fields(now.Style), Fields(then.Style));
        foreach (var (name, value) in after.Where(f => !JsonNode.DeepEquals(f.Value, before[f.Key])))
            yield return Reason.Of("style", name);
        var notes = now.Notes.ToDictionary(n => n.Subject);
        foreach (var note in then.Notes.Where(n => notes.GetValueOrDefault(n.Subject) != n))
            yield return Reason.Of("note", note.Subject);
        var kept = now.Templates.ToDictionary(Place, Written);
        foreach (var template in then.Templates)
        {
            var place = Place(template);
            if (kept.GetValueOrDefault(place) != Written(template))
                yield return Reason.Of(
                    "template",
                    template.Template.Day.Code(),
                    place.Minutes.ToString(CultureInfo.InvariantCulture),
                    (place.Weekday ?? 0).ToString(CultureInfo.InvariantCulture)
                );
        }

        static JsonObject Fields(HouseStyle style) => JsonNode.Parse(HouseStyle.Write(style))!.AsObject();
        static string Written(TemplateRequest one) => LessonTemplate.Write(one.Template);
    }

    /// <summary>Which template it is: there is one for each of these.</summary>
    private static (LessonDay Day, int Minutes, int? Weekday) Place(TemplateRequest one) =>
        (one.Template.Day, one.Template.Minutes, one.Weekday);
}

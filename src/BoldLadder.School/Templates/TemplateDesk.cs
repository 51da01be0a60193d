using BoldLadder.Core;
using BoldLadder.Core.Ladders.Calendars;
using BoldLadder.Core.Lessons;
using BoldLadder.Core.Lessons.Planning;
using BoldLadder.Core.Lessons.Templates;
using BoldLadder.School.Lessons;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.School.Work;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Templates;

/// <summary>The template for a kind of day and a length.</summary>
/// <param name="Own">True when it is the school's; false for the shipped one.</param>
/// <param name="Weekday">1 for Monday; null for every day.</param>
/// <param name="Stamp">What If-Match gives back when it is saved or taken away.</param>
public sealed record TemplateView(LessonTemplate Template, int? Weekday, bool Own, string Stamp);

/// <param name="Templates">One for each kind of day and length: the school's, or else the shipped one; and the school's
/// for single weekdays.</param>
/// <param name="NoStamp">The stamp of a weekday that has no template of its own yet, for its first one.</param>
public sealed record TemplatesView(IReadOnlyList<TemplateView> Templates, string NoStamp);

public sealed record TemplateRequest(LessonTemplate Template, int? Weekday = null);

/// <summary>A place of a template that is being edited.</summary>
public sealed record SlotRequest(LessonDay Day, int Minutes, PartKind Part, Slot Slot);

/// <summary>What lessons are built from: shipped templates, and the school's own.</summary>
public sealed class TemplateDesk(SchoolScope scope, GroupDays groupDays, HeavyWork heavy)
{
    private const int MostItems = 30;

    /// <summary>
    /// On which days of its kind a place can't be filled: tried on the ladder of the school's first group. Heavy, so
    /// worked out after the request has given its connection back.
    /// </summary>
    public async Task<Answer<SlotFit>> Fit(SlotRequest request)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (
            request.Slot.Kinds.IsDefaultOrEmpty
            || request.Slot.Items is < 1 or > MostItems
            || request.Slot.Kinds.Any(k => !ActivityFacts.Of(k).MayStandIn(request.Part))
        )
            return Refusal.Unusable("wrong-part");
        if (await scope.Groups.OrderBy(g => g.Name).FirstOrDefaultAsync(scope.Stop) is not { } group)
            return new SlotFit(0, []);
        var ladder = (await groupDays.States([group]))[0].Ladder;
        var (materials, leniencies, accent) = (scope.Words.Materials, scope.Leniencies, scope.Accent);
        await scope.Release();
        return await heavy.Run(
            () =>
                SlotFit.Of(
                    ladder,
                    materials,
                    leniencies,
                    accent,
                    request.Day,
                    Pace.NearestLength(request.Minutes),
                    request.Part,
                    request.Slot
                ),
            scope.Stop
        );
    }

    public async Task<TemplatesView> View()
    {
        var own = await scope.Store.LessonTemplates.AsNoTracking().ToListAsync(scope.Stop);
        var views = Enum.GetValues<LessonDay>()
            .SelectMany(d =>
                Pace.Lengths.Select(m =>
                    own.Find(t => t.Weekday is null && t.Document.Day == d && t.Document.Minutes == m) is { } mine
                        ? new TemplateView(mine.Document, null, true, Stamps.Of(mine.Document))
                        : new TemplateView(LessonTemplate.Shipped(d, m), null, false, Stamps.Of<LessonTemplate?>(null))
                )
            );
        return new TemplatesView(
            [
                .. views,
                .. own.Where(t => t.Weekday is not null)
                    .OrderBy(t => t.Weekday)
                    .Select(t => new TemplateView(t.Document, t.Weekday, true, Stamps.Of(t.Document))),
            ],
            Stamps.Of<LessonTemplate?>(null)
        );
    }

    public async Task<Answer<TemplatesView>> Save(TemplateRequest request, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (request.Weekday is { } named && !SchoolWeekday.Is(named))
            return Refusal.Unusable("bad-weekday");
        try
        {
            request.Template.Checked();
        }
        catch (RefusedException refusal)
        {
            return Refused.Of(refusal);
        }
        await scope.LockSettings();
        var kept = Find(
            await scope.Store.LessonTemplates.ToListAsync(scope.Stop),
            request.Template.Day,
            request.Template.Minutes,
            request.Weekday
        );
        if (Stamps.Stale(kept?.Document, seen) is { } stale)
            return stale;
        if (kept is not null)
            kept.Document = request.Template;
        else
            scope.Store.LessonTemplates.Add(
                new StoredTemplate
                {
                    SchoolId = scope.School.SchoolId,
                    Id = Guid.CreateVersion7(),
                    Weekday = request.Weekday,
                    Document = request.Template,
                }
            );
        scope.Audit("template-saved", scope.School.SchoolId);
        await scope.Save();
        return await View();
    }

    /// <summary>The stamp of what stands in a template's place now.</summary>
    internal async Task<string> StampOf(TemplateRequest request) =>
        Stamps.Of(
            Find(
                await scope.Store.LessonTemplates.AsNoTracking().ToListAsync(scope.Stop),
                request.Template.Day,
                request.Template.Minutes,
                request.Weekday
            )?.Document
        );

    private static StoredTemplate? Find(List<StoredTemplate> all, LessonDay day, int minutes, int? weekday) =>
        all.Find(t => t.Weekday == weekday && t.Document.Day == day && t.Document.Minutes == minutes);

    /// <summary>Back to the shipped template, or for a weekday to that of every day.</summary>
    public async Task<Answer<TemplatesView>> Remove(LessonDay? day, int minutes, string? seen, int? weekday = null)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        await scope.LockSettings();
        if (
            day is { } kind
            && Find(await scope.Store.LessonTemplates.ToListAsync(scope.Stop), kind, minutes, weekday) is { } kept
        )
        {
            if (Stamps.Stale(kept.Document, seen) is { } stale)
                return stale;
            scope.Store.LessonTemplates.Remove(kept);
            scope.Audit("template-removed", scope.School.SchoolId);
            await scope.Save();
        }
        return await View();
    }
}

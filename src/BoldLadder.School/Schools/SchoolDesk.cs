using BoldLadder.School.Refusals;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Schools;

/// <summary>What a school is called and how its pages are: its accent is of its way to teach.</summary>
/// <param name="TimeZone">IANA zone, which decides which day today is.</param>
/// <param name="Language">Of screens and sheets: en-GB or en-US.</param>
/// <param name="Spelling">Of the words that children read: en-GB (colour) or en-US (color).</param>
/// <param name="PaperSize">A4 or Letter.</param>
public sealed record SchoolRequest(string Name, string TimeZone, string Language, string Spelling, string PaperSize);

/// <param name="Stamp">What If-Match gives back when it is saved.</param>
public sealed record SchoolView(SchoolRequest Settings, string Stamp);

/// <summary>The school's own settings. All may look, leads change them.</summary>
public sealed class SchoolDesk(SchoolScope scope)
{
    public SchoolView Show() => new(Settings(), Stamps.Of(Settings()));

    public async Task<Answer<SchoolView>> Save(SchoolRequest wanted, string? seen)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (!Refused.IsName(wanted.Name))
            return Refused.BadName;
        if (SchoolSettings.Wrong(wanted.TimeZone, scope.School.Accent, wanted.Language, wanted.Spelling) is { } problem)
            return problem;
        if (!SchoolSettings.Papers.Contains(wanted.PaperSize))
            return Refusal.Unusable("unknown-paper", ("known", string.Join(", ", SchoolSettings.Papers)));
        await scope.LockSettings();
        await scope.Refresh();
        if (Stamps.Stale(Settings(), seen) is { } stale)
            return stale;
        var school = await scope.Store.Schools.SingleAsync(scope.Stop);
        (school.Name, school.TimeZone, school.Language, school.SpellingVariety, school.PaperSize) = (
            wanted.Name.Trim(),
            wanted.TimeZone,
            wanted.Language,
            wanted.Spelling,
            wanted.PaperSize
        );
        scope.Audit("school-saved", school.SchoolId);
        await scope.Save();
        await scope.Refresh();
        return Show();
    }

    private SchoolRequest Settings() =>
        new(
            scope.School.Name,
            scope.School.TimeZone,
            scope.School.Language,
            scope.School.SpellingVariety,
            scope.School.PaperSize
        );
}

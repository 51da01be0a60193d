using System.Text;
using BoldLadder.Core.Spelling;
using BoldLadder.Formats.Pictures;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Words;

/// <summary>A picture of the school's own.</summary>
/// <param name="Word">What it shows: a word, or the correspondence whose memory phrase it shows.</param>
/// <param name="Picture">Its name, as lessons name pictures.</param>
public sealed record OwnPictureView(Guid Id, string Word, string Picture, string Licence);

/// <param name="Content">A PNG or SVG file in base64.</param>
/// <param name="Licence">Whose it is and on what terms.</param>
public sealed record NewPicture(string Word, string Content, string Licence);

/// <summary>
/// The school's own pictures, one for a word: made safe when they come in, named by an address that cannot be guessed,
/// so that print, cover and phone show them too. Source: docs/board.md (pictures).
/// </summary>
public sealed class PictureDesk(SchoolScope scope)
{
    /// <summary>Of the file itself.</summary>
    public const int Megabytes = 1;

    private const int LongestLicence = 160;
    private const int LongestWord = 30;
    private const int Most = 2000;

    public async Task<List<OwnPictureView>> List() =>
        await scope
            .Store.OwnPictures.OrderBy(p => p.Word)
            .Select(p => new OwnPictureView(p.Id, p.Word, NameOf(p.SchoolId, p.Id), p.Licence))
            .ToListAsync(scope.Stop);

    /// <summary>Word → the name of the school's own picture.</summary>
    public static async Task<Dictionary<string, string>> Names(SchoolScope scope) =>
        await scope
            .Store.OwnPictures.Select(p => new
            {
                p.Word,
                p.SchoolId,
                p.Id,
            })
            .ToDictionaryAsync(p => p.Word, p => NameOf(p.SchoolId, p.Id), scope.Stop);

    /// <summary>The file, for whoever has its address.</summary>
    public async Task<Answer<(byte[] Content, bool IsSvg)>> Open(Guid schoolId, Guid pictureId, CancellationToken stop)
    {
        if (!await scope.OpenForGuest(schoolId, stop))
            return Refusal.NotFound("unknown-picture");
        var found = await scope
            .Store.OwnPictures.AsNoTracking()
            .SingleOrDefaultAsync(p => p.Id == pictureId, scope.Stop);
        await scope.Release();
        return found is null ? Refusal.NotFound("unknown-picture") : (found.Content, found.IsSvg);
    }

    /// <summary>Keeps a picture for a word, in the place of the one that there was.</summary>
    public async Task<Answer<List<OwnPictureView>>> Keep(NewPicture picture)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        var (word, licence) = (picture.Word.Trim(), picture.Licence.Trim());
        if (word.Length is 0 or > LongestWord || !IsWord(word) && !Correspondence.TryParse(word, out _))
            return Refusal.Unusable("picture-of-what");
        if (licence.Length is 0 or > LongestLicence)
            return Refusal.Unusable("picture-whose", ("most", LongestLicence));
        if (Cleaned(picture.Content) is not { } clean)
            return Refusal.Unusable("not-a-picture", ("pixels", PngFile.Largest), ("megabytes", Megabytes));
        await scope.LockSettings();
        await scope.Store.OwnPictures.Where(p => p.Word == word).ExecuteDeleteAsync(scope.Stop);
        if (await scope.Store.OwnPictures.CountAsync(scope.Stop) >= Most)
            return Refusal.Conflict("too-many-pictures", ("most", Most));
        var kept = new OwnPicture
        {
            SchoolId = scope.School.SchoolId,
            Id = Guid.NewGuid(),
            Word = word,
            Content = clean.Content,
            IsSvg = clean.IsSvg,
            Licence = licence,
            MadeAt = scope.UtcNow,
        };
        scope.Store.OwnPictures.Add(kept);
        await SchoolVerdicts.Changed(scope);
        scope.Audit("picture-kept", kept.Id);
        await scope.Save();
        return await List();
    }

    public async Task<Answer<List<OwnPictureView>>> Delete(Guid pictureId)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await scope.Store.OwnPictures.SingleOrDefaultAsync(p => p.Id == pictureId, scope.Stop) is not { } picture)
            return Refusal.NotFound("unknown-picture");
        scope.Store.OwnPictures.Remove(picture);
        await SchoolVerdicts.Changed(scope);
        scope.Audit("picture-deleted", pictureId);
        await scope.Save();
        return await List();
    }

    private static bool IsWord(string word) => word.All(c => char.IsLetter(c) || c is '\'' or '-');

    /// <summary>The id of a picture of a school's own, by its name; null for one of ours.</summary>
    public static Guid? IdOf(string name) =>
        name.Split('/') is ["own", _, var id] && Guid.TryParse(id, out var picture) ? picture : null;

    private static string NameOf(Guid school, Guid picture) => $"own/{school:N}/{picture:N}";

    private static (byte[] Content, bool IsSvg)? Cleaned(string base64)
    {
        var file = new byte[base64.Length * 3 / 4];
        if (file.Length > Megabytes * 1024 * 1024 || !Convert.TryFromBase64String(base64, file, out var length))
            return null;
        var content = file.AsSpan(0, length);
        if (PngFile.Clean(content) is { } png)
            return (png, false);
        return SvgFile.Clean(Encoding.UTF8.GetString(content).TrimStart('\uFEFF')) is { } svg
            ? (Encoding.UTF8.GetBytes(svg), true)
            : null;
    }
}

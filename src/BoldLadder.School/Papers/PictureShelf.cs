using System.Collections.Concurrent;
using BoldLadder.Formats.Office;
using BoldLadder.Formats.Pictures;
using BoldLadder.School.Schools;
using BoldLadder.School.Words;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Papers;

/// <summary>
/// Pictures as pixels for office files, ours drawn once for all; those of the school's own are read with the document
/// that has them.
/// </summary>
public sealed class PictureShelf(WordData data)
{
    /// <summary>Sharp at 45 mm on paper, and on a slide.</summary>
    private const int Pixels = 420;

    private readonly ConcurrentDictionary<string, byte[]> drawn = new(StringComparer.Ordinal);

    /// <summary>What gives the pictures of a document by their names; null for one that is gone.</summary>
    /// <param name="names">All that may be asked for.</param>
    public async Task<Func<string, OfficePicture?>> For(SchoolScope scope, IEnumerable<string> names)
    {
        var own = new Dictionary<string, byte[]>(StringComparer.Ordinal);
        var wanted = names.Where(n => PictureDesk.IdOf(n) is not null).ToDictionary(n => PictureDesk.IdOf(n)!.Value);
        if (wanted.Count > 0)
        {
            var ids = wanted.Keys.ToList();
            foreach (
                var picture in await scope
                    .Store.OwnPictures.AsNoTracking()
                    .Where(p => ids.Contains(p.Id))
                    .ToListAsync(scope.Stop)
            )
            {
                own[wanted[picture.Id]] = picture.IsSvg
                    ? PictureRaster.OfSvg(picture.Content, Pixels)
                    : picture.Content;
            }
        }
        return name =>
            own.TryGetValue(name, out var content) ? new OfficePicture(content, "")
            : name.Length == 0 || PictureDesk.IdOf(name) is not null ? null
            : new OfficePicture(drawn.GetOrAdd(name, n => PictureRaster.OfSvg(data.Picture(n), Pixels)), "");
    }
}

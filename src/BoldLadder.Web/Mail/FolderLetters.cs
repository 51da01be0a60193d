using System.Globalization;
using BoldLadder.School.People;

namespace BoldLadder.Web.Mail;

/// <summary>
/// Letters as files in a folder, for who carries them further, and to try the whole without a mail server.
/// </summary>
public sealed partial class FolderLetters(
    string folder,
    LetterWriter writer,
    TimeProvider time,
    ILogger<FolderLetters> log
) : ILetters
{
    public bool CanSend => true;

    public bool IsAddress(string address) => LetterWriter.IsAddress(address);

    public async Task<bool> Send(Letter letter, CancellationToken stop)
    {
        try
        {
            await Put(letter, stop);
            return true;
        }
        catch (Exception problem) when (problem is IOException or UnauthorizedAccessException)
        {
            NotPut(problem.GetType().Name);
            return false;
        }
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "A letter could not be put into its folder: {Kind}.")]
    private partial void NotPut(string kind);

    private async Task Put(Letter letter, CancellationToken stop)
    {
        Directory.CreateDirectory(folder);
        var name = string.Create(
            CultureInfo.InvariantCulture,
            $"{time.GetUtcNow():yyyyMMdd'T'HHmmss}-{Guid.NewGuid():N}.eml"
        );
        var (part, whole) = (Path.Combine(folder, name + ".part"), Path.Combine(folder, name));
        await using (var file = new FileStream(part, Options()))
            await writer.Write(letter).WriteToAsync(file, stop);
        // Whoever looks into the folder finds whole letters alone.
        File.Move(part, whole);
    }

    /// <summary>A letter has a link in it that lets someone in: only who runs the app reads it.</summary>
    private static FileStreamOptions Options()
    {
        var options = new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
            options.UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        return options;
    }
}

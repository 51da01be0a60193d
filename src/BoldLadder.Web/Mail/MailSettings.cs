using BoldLadder.School.People;
using MimeKit;

namespace BoldLadder.Web.Mail;

/// <summary>
/// Whether letters are sent, and how: settings <c>Mail:Server</c> or <c>Mail:Folder</c>, and <c>Mail:From</c>.
/// </summary>
public static class MailSettings
{
    private const int UsualPort = 587;

    /// <exception cref="InvalidOperationException">The settings name a way and lack what it needs.</exception>
    public static void AddLetters(this IServiceCollection services, IConfiguration configuration)
    {
        var mail = configuration.GetSection("Mail");
        var (server, folder) = (mail["Server"], mail["Folder"]);
        if (string.IsNullOrWhiteSpace(server) && string.IsNullOrWhiteSpace(folder))
        {
            services.AddSingleton<ILetters, NoLetters>();
            return;
        }
        if (!MailboxAddress.TryParse(mail["From"], out var sender))
            throw new InvalidOperationException("Set Mail:From to the address that letters come from.");
        if (configuration["Address"] is not { Length: > 0 } address)
            throw new InvalidOperationException(
                "Set Address to the server's own address: links in letters lead there."
            );
        services.AddSingleton(new LetterWriter(sender, address.TrimEnd('/')));
        if (string.IsNullOrWhiteSpace(server))
        {
            services.AddSingleton<ILetters>(s => ActivatorUtilities.CreateInstance<FolderLetters>(s, folder!));
            return;
        }
        services.AddSingleton(
            new SmtpSettings(
                server,
                mail.GetValue("Port", UsualPort),
                mail["Security"] ?? "starttls",
                mail["User"],
                mail["Password"]
            )
        );
        services.AddSingleton<ILetters, SmtpLetters>();
    }
}

using System.Net.Sockets;
using BoldLadder.School.People;
using MailKit;
using MailKit.Net.Smtp;
using MailKit.Security;

namespace BoldLadder.Web.Mail;

/// <param name="Security">starttls (the usual), ssl, or none for a server on this machine.</param>
public sealed record SmtpSettings(string Server, int Port, string Security, string? User, string? Password);

/// <summary>Letters by a mail server.</summary>
public sealed partial class SmtpLetters(SmtpSettings settings, LetterWriter writer, ILogger<SmtpLetters> log) : ILetters
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(15);

    public bool CanSend => true;

    public bool IsAddress(string address) => LetterWriter.IsAddress(address);

    public async Task<bool> Send(Letter letter, CancellationToken stop)
    {
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(stop);
        limit.CancelAfter(Patience);
        try
        {
            using var client = new SmtpClient();
            await client.ConnectAsync(settings.Server, settings.Port, Secured(settings.Security), limit.Token);
            if (settings.User is { Length: > 0 } user)
                await client.AuthenticateAsync(user, settings.Password ?? "", limit.Token);
            await client.SendAsync(writer.Write(letter), limit.Token);
            await client.DisconnectAsync(true, limit.Token);
            return true;
        }
        catch (Exception problem)
            when (problem
                    is SocketException
                        or IOException
                        or ProtocolException
                        or CommandException
                        or AuthenticationException
                        or SslHandshakeException
                        or NotSupportedException
                || (problem is OperationCanceledException && !stop.IsCancellationRequested)
            )
        {
            // What a mail server answers may name the person: only the kind of the trouble is written down.
            NotSent(problem.GetType().Name);
            return false;
        }
    }

    private static SecureSocketOptions Secured(string security) =>
        security switch
        {
            "starttls" => SecureSocketOptions.StartTls,
            "ssl" => SecureSocketOptions.SslOnConnect,
            "none" => SecureSocketOptions.None,
            _ => throw new InvalidOperationException("Set Mail:Security to starttls, ssl or none."),
        };

    [LoggerMessage(Level = LogLevel.Warning, Message = "A letter could not be sent: {Kind}.")]
    private partial void NotSent(string kind);
}

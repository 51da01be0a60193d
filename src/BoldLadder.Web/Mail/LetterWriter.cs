using System.Globalization;
using BoldLadder.School.People;
using BoldLadder.Wording;
using MimeKit;

namespace BoldLadder.Web.Mail;

/// <summary>A letter in words: plain text, from the sender that the settings name.</summary>
/// <param name="address">The server's own address, without a slash at its end.</param>
public sealed class LetterWriter(MailboxAddress sender, string address)
{
    /// <summary>True for an address that a letter can go to.</summary>
    public static bool IsAddress(string address) => MailboxAddress.TryParse(address, out _);

    public MimeMessage Write(Letter letter)
    {
        var catalogue = Catalogue.Of(letter.Language);
        var values = new Dictionary<string, object>
        {
            ["school"] = letter.SchoolName,
            ["address"] = address + letter.Path,
            ["until"] = Moment(TimeZoneInfo.ConvertTimeFromUtc(letter.ExpiresAt, letter.Zone), letter.Language),
        };
        var kind = letter.Kind == LetterKind.Invitation ? "invitation" : "reset";
        var message = new MimeMessage
        {
            Subject = catalogue.Say($"letter.{kind}.subject", values),
            Body = new TextPart("plain") { Text = catalogue.Say($"letter.{kind}.text", values) },
        };
        message.From.Add(sender);
        message.To.Add(MailboxAddress.Parse(letter.To));
        return message;
    }

    private static string Moment(DateTime local, string language) =>
        local.ToString(
            language == "en-US" ? "MMMM d, yyyy, h:mm tt" : "d MMMM yyyy, HH:mm",
            CultureInfo.InvariantCulture
        );
}

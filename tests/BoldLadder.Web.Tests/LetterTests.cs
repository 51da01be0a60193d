using System.Net;
using System.Net.Sockets;
using System.Text;
using System.Text.RegularExpressions;
using BoldLadder.School.People;
using BoldLadder.Store;
using MimeKit;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Links by mail: into a folder, to a mail server, or to be copied where neither is there.</summary>
public sealed partial class LetterTests : IAsyncLifetime
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), $"bold-letters-{Guid.NewGuid():N}");
    private TestSchool school = null!;

    public async Task InitializeAsync() => school = await TestSchool.Open();

    public async Task DisposeAsync()
    {
        await school.DisposeAsync();
        if (Directory.Exists(folder))
            Directory.Delete(folder, true);
    }

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private async Task<TestClient> Serve(params (string Key, string Value)[] settings)
    {
        school.Serve([
            ("Address", "https://bold.test.example/"),
            ("Mail:From", "Bold Ladder <bold@test.example>"),
            .. settings,
        ]);
        return await school.As("lead");
    }

    private static NewInvitation Invitation(string? to) => new(Guid.NewGuid(), "Ada", Role.Teacher, [], 7, to);

    private static string LinkIn(string? text) => Link().Match(text ?? "").Groups[1].Value;

    [GeneratedRegex(@"https://bold\.test\.example/\w+#(\S+)")]
    private static partial Regex Link();

    [Fact]
    public async Task A_letter_in_the_folder_has_the_link_that_lets_them_in()
    {
        var lead = await Serve(("Mail:Folder", folder));
        Assert.True((await lead.Get<PeopleView>(At("people"))).CanMail);
        var link = await TestClient.Read<LinkView>(
            await lead.Send(HttpMethod.Post, At("invitations"), Invitation("ada@test.example"))
        );
        Assert.True(link.Mailed);
        var file = Assert.Single(Directory.GetFiles(folder));
        if (!OperatingSystem.IsWindows())
            Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(file));
        var letter = await MimeMessage.LoadAsync(file);
        Assert.Equal(["ada@test.example"], letter.To.Mailboxes.Select(m => m.Address));
        Assert.Equal(link.Key, LinkIn(letter.TextBody));
        var stranger = await school.As(null);
        var joined = await stranger.Send(
            HttpMethod.Post,
            "/api/joining",
            new Joining(link.Key, new NewPerson("Ada Lang", "ada@test.example", "a-long-new-password"))
        );
        Assert.True(joined.IsSuccessStatusCode, await joined.Content.ReadAsStringAsync());

        // A forgotten password: to the address of their account alone.
        var teacher = (await lead.Get<PeopleView>(At("people"))).People.Single(p => p.Email == "teacher@test.example");
        var reset = await TestClient.Read<LinkView>(
            await lead.Send(HttpMethod.Post, At($"people/{teacher.Id}/reset"), new ResetRequest(ByMail: true))
        );
        Assert.True(reset.Mailed);
        var second = await MimeMessage.LoadAsync(Directory.GetFiles(folder).Single(f => f != file));
        Assert.Equal(["teacher@test.example"], second.To.Mailboxes.Select(m => m.Address));
        Assert.Equal(reset.Key, LinkIn(second.TextBody));
        // Only when it is asked for.
        await TestClient.Read<LinkView>(
            await lead.Send(HttpMethod.Post, At($"people/{teacher.Id}/reset"), new ResetRequest(ByMail: false))
        );
        Assert.Equal(2, Directory.GetFiles(folder).Length);
    }

    [Fact]
    public async Task Where_there_is_no_mail_or_no_address_the_link_is_copied()
    {
        var lead = await school.As("lead");
        Assert.False((await lead.Get<PeopleView>(At("people"))).CanMail);
        await TestClient.Problem(
            await lead.Send(HttpMethod.Post, At("invitations"), Invitation("ada@test.example")),
            HttpStatusCode.UnprocessableEntity
        );
        var link = await TestClient.Read<LinkView>(
            await lead.Send(HttpMethod.Post, At("invitations"), Invitation(null))
        );
        Assert.Null(link.Mailed);
        lead = await Serve(("Mail:Folder", folder));
        foreach (var odd in new[] { "no address", "", "a@b.example\r\nBcc: c@d.example" })
        {
            await TestClient.Problem(
                await lead.Send(HttpMethod.Post, At("invitations"), Invitation(odd)),
                HttpStatusCode.UnprocessableEntity
            );
        }
        Assert.False(Directory.Exists(folder));
    }

    [Fact]
    public async Task A_folder_that_can_not_be_written_is_said_and_the_link_still_opens()
    {
        // A file stands where the folder should be.
        await File.WriteAllTextAsync(folder, "");
        try
        {
            var lead = await Serve(("Mail:Folder", folder));
            var link = await TestClient.Read<LinkView>(
                await lead.Send(HttpMethod.Post, At("invitations"), Invitation("ada@test.example"))
            );
            Assert.False(link.Mailed);
            var stranger = await school.As(null);
            (
                await stranger.Send(HttpMethod.Post, "/api/joining/look", new JoiningKey(link.Key))
            ).EnsureSuccessStatusCode();
        }
        finally
        {
            File.Delete(folder);
        }
    }

    [Fact]
    public async Task A_mail_server_is_given_the_letter_and_one_that_is_not_there_is_said_so()
    {
        using var server = new TcpListener(IPAddress.Loopback, 0);
        server.Start();
        var port = ((IPEndPoint)server.LocalEndpoint).Port;
        var talk = Take(server);
        var lead = await Serve(("Mail:Server", "127.0.0.1"), ("Mail:Port", $"{port}"), ("Mail:Security", "none"));
        var link = await TestClient.Read<LinkView>(
            await lead.Send(HttpMethod.Post, At("invitations"), Invitation("ada@test.example"))
        );
        Assert.True(link.Mailed);
        var said = await talk;
        Assert.Contains("RCPT TO:<ada@test.example>", said, StringComparison.Ordinal);
        Assert.Contains(
            link.Key,
            LinkIn(said.Replace("=\r\n", "", StringComparison.Ordinal)),
            StringComparison.Ordinal
        );
        server.Stop();
        var unsent = await TestClient.Read<LinkView>(
            await lead.Send(HttpMethod.Post, At("invitations"), Invitation("bo@test.example"))
        );
        Assert.False(unsent.Mailed);
        Assert.Equal(2, (await lead.Get<PeopleView>(At("people"))).Invitations.Count);
    }

    /// <summary>As little of a mail server as takes one letter (RFC 5321).</summary>
    private static async Task<string> Take(TcpListener server)
    {
        using var client = await server.AcceptTcpClientAsync();
        using var reader = new StreamReader(client.GetStream(), Encoding.UTF8);
        await using var writer = new StreamWriter(client.GetStream()) { NewLine = "\r\n", AutoFlush = true };
        var said = new StringBuilder();
        await writer.WriteLineAsync("220 here");
        var isText = false;
        while (await reader.ReadLineAsync() is { } line)
        {
            said.Append(line).Append("\r\n");
            if (isText && line != ".")
                continue;
            var answer =
                isText ? "250 taken"
                : line == "DATA" ? "354 go on"
                : line == "QUIT" ? "221 bye"
                : "250 yes";
            isText = line == "DATA";
            await writer.WriteLineAsync(answer);
            if (line == "QUIT")
                break;
        }
        return said.ToString();
    }
}

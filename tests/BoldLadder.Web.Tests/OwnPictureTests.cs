using System.Buffers.Binary;
using System.IO.Hashing;
using System.Net;
using System.Text;
using BoldLadder.Core.Lessons;
using BoldLadder.Formats.Pictures;
using BoldLadder.School.Lessons;
using BoldLadder.School.Weeks;
using BoldLadder.School.Words;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>Pictures of the school's own, made safe. Source: docs/board.md (pictures).</summary>
public sealed class OwnPictureTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest = "") => $"/api/schools/{school.School}/pictures{rest}";

    private Task<HttpResponseMessage> Keep(
        TestClient who,
        string word,
        byte[] content,
        string licence = "Drawn by us"
    ) => who.Send(HttpMethod.Post, At(), new NewPicture(word, Convert.ToBase64String(content), licence));

    private static byte[] Chunk(string kind, byte[] content)
    {
        byte[] named = [.. Encoding.ASCII.GetBytes(kind), .. content];
        var (length, sum) = (new byte[4], new byte[4]);
        BinaryPrimitives.WriteInt32BigEndian(length, content.Length);
        BinaryPrimitives.WriteUInt32BigEndian(sum, Crc32.HashToUInt32(named));
        return [.. length, .. named, .. sum];
    }

    /// <summary>A PNG of one dot, with where it was taken in it and something behind its end.</summary>
    private static byte[] Png(int width = 1) =>
        [
            0x89,
            .. "PNG\r\n\u001a\n"u8,
            .. Chunk("IHDR", [0, 0, (byte)(width >> 8), (byte)width, 0, 0, 0, 1, 8, 0, 0, 0, 0]),
            .. Chunk("tEXt", [.. "Place\0Fernhollow"u8]),
            .. Chunk("IDAT", [0x78, 0x9C, 0x63, 0x60, 0, 0, 0, 2, 0, 1]),
            .. Chunk("IEND", []),
            .. "secret"u8,
        ];

    private const string Evil = """
        <?xml version="1.0"?>
        <!-- Fernhollow -->
        <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"
             viewBox="0 0 9 9" onload="alert(1)">
          <script>alert(2)</script>
          <style>@import url(https://evil.example/x.css);</style>
          <metadata>Fernhollow</metadata>
          <a href="https://evil.example"><rect width="9" height="9"/></a>
          <foreignObject><iframe src="https://evil.example"/></foreignObject>
          <image href="https://evil.example/x.png"/>
          <use xlink:href="https://evil.example/x.svg#a"/>
          <g id="a" style="background:url(https://evil.example)" onclick="alert(3)"
             fill="url( 'https://evil.example' )">
            <circle cx="4" cy="4" r="3" fill="url(#b)" stroke="red"/>
            <set attributeName="href" to="javascript:alert(4)"/>
          </g>
          <linearGradient id="b"><stop offset="0" stop-color="blue"/></linearGradient>
          <use href="#a"/>
          <text x="1" y="2">sun &lt;script&gt;</text>
        </svg>
        """;

    [Fact]
    public async Task A_drawing_with_scripts_is_made_harmless_and_is_shown_in_lessons_to_whoever_has_its_address()
    {
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        var word = lesson.Lesson.Find("practise-read")!.Items.OfType<WordItem>().First().Word;
        var kept = Assert.Single(
            await TestClient.Read<List<OwnPictureView>>(await Keep(lead, word, Encoding.UTF8.GetBytes(Evil)))
        );
        Assert.Equal((word, "Drawn by us"), (kept.Word, kept.Licence));
        var guest = await school.As(null);
        var path = "/api/pictures/" + kept.Picture["own/".Length..];
        var file = await guest.Send(HttpMethod.Get, path);
        Assert.Equal("image/svg+xml", file.Content.Headers.ContentType!.MediaType);
        Assert.Contains(
            "default-src 'self'",
            file.Headers.GetValues("Content-Security-Policy").Single(),
            StringComparison.Ordinal
        );
        var svg = await file.Content.ReadAsStringAsync();
        foreach (
            var bad in (string[])
                [
                    "alert",
                    "evil",
                    "Fernhollow",
                    "<script",
                    "style",
                    "foreignObject",
                    "<a",
                    "<set",
                    "onload",
                    "onclick",
                    "image",
                ]
        )
            Assert.DoesNotContain(bad, svg, StringComparison.OrdinalIgnoreCase);
        foreach (
            var good in (string[])
                ["viewBox=\"0 0 9 9\"", "url(#b)", "href=\"#a\"", "linearGradient", "sun &lt;script&gt;"]
        )
            Assert.Contains(good, svg, StringComparison.Ordinal);
        Assert.Equal(svg, SvgFile.Clean(svg));

        var shown = (await lead.Get<LessonView>(lead.Lesson(lesson.Id))).Lesson;
        Assert.Equal(
            kept.Picture,
            shown.Find("practise-read")!.Items.OfType<WordItem>().Single(w => w.Word == word).Picture
        );
        await TestClient.Read<List<OwnPictureView>>(await lead.Send(HttpMethod.Delete, At($"/{kept.Id}")));
        await TestClient.Problem(await guest.Send(HttpMethod.Get, path), HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_word_with_a_picture_of_the_schools_own_is_planned_and_gathered_with_it_until_it_goes()
    {
        var lesson = await lead.Open(school.Otters, TestSchool.Today);
        var read = lesson.Lesson.Find("practise-read")!.Items.OfType<WordItem>().Select(w => w.Word).ToList();
        var kept = new List<OwnPictureView>();
        foreach (var word in read)
            kept = await TestClient.Read<List<OwnPictureView>>(await Keep(lead, word, Png()));
        var names = kept.Select(p => p.Picture).ToHashSet();
        var kind = new[] { ActivityKind.LabelPicture, ActivityKind.WordThenPicture }.First(k =>
            lesson.Lesson.Activities.All(a => a.Kind != k)
        );
        var added = await lead.Changed(lesson, new AddActivity(PartKind.Practise, kind));
        var pictures = Pictures(added, kind);
        Assert.NotEmpty(pictures);
        Assert.All(pictures, p => Assert.Contains(p.Picture, names));

        var gathered = await lead.Get<GatheringView>(
            $"/api/schools/{school.School}/groups/{school.Otters}/gathering/{TestSchool.Today:yyyy-MM-dd}"
        );
        Assert.Contains(pictures[0].Picture, gathered.Gathering.Pictures);

        await lead.Send(HttpMethod.Delete, At($"/{kept.Single(p => p.Picture == pictures[0].Picture).Id}"));
        var after = await lead.Get<LessonView>(lead.Lesson(lesson.Id));
        Assert.DoesNotContain(pictures[0].Picture, Pictures(after, kind).Select(p => p.Picture));
        Assert.Equal(HttpStatusCode.OK, (await Keep(lead, "sh=ʃ", Png())).StatusCode);
    }

    private static List<PictureItem> Pictures(LessonView lesson, ActivityKind kind) =>
        [.. lesson.Lesson.Activities.Single(a => a.Kind == kind).Items.OfType<PictureItem>()];

    [Fact]
    public async Task A_photo_keeps_nothing_of_where_it_was_taken_and_replaces_the_one_before()
    {
        await Keep(lead, "dog", Encoding.UTF8.GetBytes("<svg xmlns='http://www.w3.org/2000/svg'/>"));
        var kept = Assert.Single(await TestClient.Read<List<OwnPictureView>>(await Keep(lead, "dog", Png())));
        var file = await lead.Send(HttpMethod.Get, "/api/pictures/" + kept.Picture["own/".Length..]);
        Assert.Equal("image/png", file.Content.Headers.ContentType!.MediaType);
        var bytes = await file.Content.ReadAsByteArrayAsync();
        Assert.Equal(-1, bytes.AsSpan().IndexOf("Fernhollow"u8));
        Assert.Equal(-1, bytes.AsSpan().IndexOf("secret"u8));
        Assert.Equal(bytes, PngFile.Clean(bytes));
    }

    [Fact]
    public async Task What_is_no_picture_has_no_owner_or_is_for_no_word_is_refused_and_only_a_lead_brings_one()
    {
        async Task Refused(string code, string word, byte[] content, string licence = "Drawn by us") =>
            Assert.Equal(
                code,
                (await TestClient.Problem(await Keep(lead, word, content, licence), HttpStatusCode.UnprocessableEntity))
                    .GetProperty("title")
                    .GetString()
            );
        await Refused("picture-of-what", "two words", Png());
        await Refused("picture-whose", "dog", Png(), " ");
        var torn = Png();
        torn[40] ^= 1;
        byte[][] bad =
        [
            [],
            "GIF89a"u8.ToArray(),
            Png()[..30],
            Png(2000),
            torn,
            "<svg>"u8.ToArray(),
            "<svg xmlns='http://www.w3.org/1999/xhtml'/>"u8.ToArray(),
            "<!DOCTYPE svg [<!ENTITY a 'aaaa'>]><svg xmlns='http://www.w3.org/2000/svg'>&a;</svg>"u8.ToArray(),
            Encoding.UTF8.GetBytes(
                "<svg xmlns='http://www.w3.org/2000/svg'>"
                    + string.Concat(Enumerable.Repeat("<g>", 100))
                    + string.Concat(Enumerable.Repeat("</g>", 100))
                    + "</svg>"
            ),
        ];
        foreach (var content in bad)
            await Refused("not-a-picture", "dog", content);
        var teacher = await school.As("teacher");
        Assert.Equal(HttpStatusCode.Forbidden, (await Keep(teacher, "dog", Png())).StatusCode);
        Assert.Empty(await lead.Get<List<OwnPictureView>>(At()));
    }
}

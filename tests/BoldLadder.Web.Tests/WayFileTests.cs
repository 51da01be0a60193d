using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using BoldLadder.School.Ladders;
using BoldLadder.School.Style;
using BoldLadder.School.Templates;
using BoldLadder.School.Transfer;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>A school's way and its templates leave as a file and come back; the shapes are published.</summary>
public sealed class WayFileTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest) => $"/api/schools/{school.School}/{rest}";

    private async Task<byte[]> Written()
    {
        var file = await lead.Send(HttpMethod.Get, At("way/file"));
        Assert.Equal("application/json", file.Content.Headers.ContentType!.MediaType);
        return await file.Content.ReadAsByteArrayAsync();
    }

    private async Task<WayPreview> Look(byte[] file) =>
        await TestClient.Read<WayPreview>(await lead.Send(HttpMethod.Post, At("way/file/look"), new WayFile(file)));

    private Task<HttpResponseMessage> Read(byte[] file, string stamp) =>
        lead.Send(HttpMethod.Post, At("way/file"), new WayFile(file), stamp: stamp);

    [Fact]
    public async Task A_way_comes_back_as_it_left()
    {
        // Something in every part of it.
        var style = await lead.Get<StyleView>(At("style"));
        var noted = await lead.Get<NotesView>(At("notes"));
        (
            await lead.Send(
                HttpMethod.Post,
                At("notes"),
                new Note("ai=eɪ", "rain", "rain, again", "Smile wide.", "Round, up, down."),
                stamp: noted.NoStamp
            )
        ).EnsureSuccessStatusCode();
        var templates = await lead.Get<TemplatesView>(At("templates"));
        var shipped = templates.Templates[0];
        (
            await lead.Send(
                HttpMethod.Put,
                At("templates"),
                new TemplateRequest(shipped.Template, 5),
                stamp: templates.NoStamp
            )
        ).EnsureSuccessStatusCode();
        var file = await Written();
        Assert.Empty((await Look(file)).Lines);

        // All of it is changed, then the file is laid over it.
        (
            await lead.Send(
                HttpMethod.Post,
                At("style"),
                new StyleRequest(
                    "general-american",
                    style.Style with
                    {
                        Labels = new Dictionary<string, string> { ["tricky"] = "heart words" },
                        Meanings = false,
                    }
                ),
                stamp: style.Stamp
            )
        ).EnsureSuccessStatusCode();
        var seen = await Look(file);
        Assert.Equal(
            ["accent southern-british", "style labels", "style meanings"],
            seen.Lines.Select(l => $"{l.Code} {l.Arguments[^1]}").Order()
        );
        var read = await TestClient.Read<WayPreview>(await Read(file, seen.Stamp));
        Assert.Empty(read.Lines);
        Assert.Equal(file, await Written());
        Assert.Equal(style.Stamp, (await lead.Get<StyleView>(At("style"))).Stamp);
        // On another state than was seen it is refused.
        await TestClient.Problem(await Read(file, seen.Stamp), HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task A_file_that_can_not_be_used_changes_nothing()
    {
        var file = await Written();
        var text = Encoding.UTF8.GetString(file);
        var stamp = (await Look(file)).Stamp;
        var twice = JsonNode.Parse(text)!;
        var note = JsonNode.Parse("""{"subject":"ai=eɪ","keyWord":"","phrase":"","mouthCue":"","formation":""}""")!;
        twice["notes"] = new JsonArray(note.DeepClone(), note);
        foreach (
            var (broken, code) in new[]
            {
                (twice.ToJsonString(), "not-a-way"),
                ("{}", "not-a-way"),
                ("nonsense", "not-a-way"),
                (text.Replace("\"trays\"", "\"painted\"", StringComparison.Ordinal), "way-line"),
                (text.Replace("southern-british", "martian", StringComparison.Ordinal), "not-a-way"),
                (text.Replace("\"weight\": 2", "\"weight\": 20", StringComparison.Ordinal), "bad-style"),
            }
        )
        {
            Assert.NotEqual(text, broken);
            var problem = await TestClient.Problem(
                await Read(Encoding.UTF8.GetBytes(broken), stamp),
                HttpStatusCode.UnprocessableEntity
            );
            Assert.Equal($"bold:{code}", problem.GetProperty("type").GetString());
        }
        Assert.Equal(file, await Written());
        var line = await TestClient.Problem(
            await lead.Send(
                HttpMethod.Post,
                At("way/file/look"),
                new WayFile(Encoding.UTF8.GetBytes(text.Replace("\"trays\"", "\"painted\"", StringComparison.Ordinal)))
            ),
            HttpStatusCode.UnprocessableEntity
        );
        Assert.Contains("style.marks", line.GetProperty("detail").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public void The_published_shapes_are_those_that_are_written()
    {
        foreach (var (name, schema) in DocumentSchemas.All)
            Assert.Equal(
                schema + "\n",
                File.ReadAllText(Path.Combine(TestFolders.Repository, "docs", "formats", name))
            );
    }

    [Fact]
    public async Task Files_have_what_their_shape_asks_for_and_nothing_else()
    {
        var ladder = await lead.Send(HttpMethod.Get, At($"ladders/{school.Ladder}/versions/1/file?kind=json"));
        foreach (
            var (name, file) in new[]
            {
                ("way.schema.json", await Written()),
                ("ladder.schema.json", await ladder.Content.ReadAsByteArrayAsync()),
            }
        )
            Fits(JsonNode.Parse(file)!, JsonNode.Parse(DocumentSchemas.All[name])!, name);
    }

    /// <summary>Enough of JSON Schema for shapes that follow from types.</summary>
    private static void Fits(JsonNode? value, JsonNode schema, string at)
    {
        if (schema["enum"] is JsonArray known)
        {
            Assert.Contains(known, k => JsonNode.DeepEquals(k, value));
            return;
        }
        if (schema["properties"] is JsonObject properties)
        {
            if (value is null)
            {
                Assert.Contains("null", schema["type"]!.ToJsonString(), StringComparison.Ordinal);
                return;
            }
            var found = value.AsObject();
            Assert.All((schema["required"] as JsonArray) ?? [], r =>
                Assert.True(found.ContainsKey((string)r!), $"{at}: {r}")
            );
            foreach (var (name, part) in found)
                Fits(part, properties[name] ?? throw new InvalidOperationException($"{at}.{name}"), $"{at}.{name}");
        }
        else if (value is JsonArray items && schema["items"] is { } item)
        {
            foreach (var one in items)
                Fits(one, item, $"{at}[]");
        }
    }

    [Fact]
    public async Task Three_orders_stand_side_by_side_with_what_their_months_bring()
    {
        var starts = await lead.Get<List<StartView>>(At("orders"));
        Assert.Equal(["letters-first", "short-vowels-first", "sounds-first"], starts.Select(s => s.Id));
        foreach (var start in starts)
        {
            Assert.Equal(3, start.Months.Count);
            Assert.All(start.Months, m => Assert.Equal(16, m.Rungs.Count));
            Assert.Equal(start.Months.Select(m => m.Words), start.Months.Select(m => m.Words).Order());
            Assert.All(start.Months, m => Assert.NotEmpty(m.Examples));
        }
        Assert.Equal(3, starts.Select(s => string.Join(' ', s.Months[0].Rungs)).Distinct().Count());
    }
}

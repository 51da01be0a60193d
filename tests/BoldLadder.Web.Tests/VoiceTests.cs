using System.Buffers.Binary;
using System.Net;
using BoldLadder.School.Style;
using BoldLadder.Store;
using Xunit;

namespace BoldLadder.Web.Tests;

/// <summary>The school's own voices. Source: docs/handbook.md, section 10.</summary>
public sealed class VoiceTests : IAsyncLifetime
{
    private TestSchool school = null!;
    private TestClient lead = null!;

    public async Task InitializeAsync()
    {
        school = await TestSchool.Open();
        lead = await school.As("lead");
    }

    public async Task DisposeAsync() => await school.DisposeAsync();

    private string At(string rest = "") => $"/api/schools/{school.School}/voices{rest}";

    /// <summary>A WAVE file with a note in it, as recorders write.</summary>
    private static byte[] Wav(
        int milliseconds = 500,
        int rate = 22_050,
        short channels = 1,
        short bits = 16,
        short format = 1
    )
    {
        var samples = new byte[rate * milliseconds / 1000 * 2];
        new Random(1).NextBytes(samples);
        using var file = new MemoryStream();
        using var writer = new BinaryWriter(file);
        writer.Write("RIFF"u8);
        writer.Write(36 + 8 + 6 + samples.Length);
        writer.Write("WAVELIST"u8);
        writer.Write(5);
        writer.Write("Maya\0\0"u8);
        writer.Write("fmt "u8);
        writer.Write(16);
        writer.Write(format);
        writer.Write(channels);
        writer.Write(rate);
        writer.Write(rate * 2);
        writer.Write((short)2);
        writer.Write(bits);
        writer.Write("data"u8);
        writer.Write(samples.Length);
        writer.Write(samples);
        return file.ToArray();
    }

    private Task<HttpResponseMessage> Keep(TestClient who, VoiceKind kind, string name, byte[] wav) =>
        who.Send(HttpMethod.Post, At(), new NewVoice(kind, name, Convert.ToBase64String(wav)));

    [Fact]
    public async Task A_recording_is_kept_without_what_else_is_in_its_file_played_replaced_and_deleted()
    {
        var first = Assert.Single(
            await TestClient.Read<List<VoiceView>>(await Keep(lead, VoiceKind.Sound, "ʃ", Wav()))
        );
        Assert.Equal((VoiceKind.Sound, "ʃ", 500), (first.Kind, first.Name, first.Milliseconds));
        var second = await TestClient.Read<List<VoiceView>>(await Keep(lead, VoiceKind.Sound, "ʃ", Wav(700)));
        Assert.Equal(700, Assert.Single(second).Milliseconds);
        await TestClient.Read<List<VoiceView>>(await Keep(lead, VoiceKind.KeyWord, "ship", Wav()));

        // Whoever teaches hears it; who made it is not in the file.
        var teacher = await school.As("teacher");
        var heard = await teacher.Send(HttpMethod.Get, At($"/{second[0].Id}/sound"));
        Assert.Equal("audio/wav", heard.Content.Headers.ContentType!.MediaType);
        var bytes = await heard.Content.ReadAsByteArrayAsync();
        Assert.Equal(-1, bytes.AsSpan().IndexOf("Maya"u8));
        Assert.Equal(bytes.Length - 8, BinaryPrimitives.ReadInt32LittleEndian(bytes.AsSpan(4)));
        Assert.Equal(HttpStatusCode.NotFound, (await lead.Send(HttpMethod.Get, At($"/{first.Id}/sound"))).StatusCode);

        var left = await TestClient.Read<List<VoiceView>>(await lead.Send(HttpMethod.Delete, At($"/{second[0].Id}")));
        Assert.Equal("ship", Assert.Single(left).Name);
        await TestClient.Problem(await lead.Send(HttpMethod.Delete, At($"/{second[0].Id}")), HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_is_no_short_recording_of_a_sound_or_word_is_refused_and_only_a_lead_records()
    {
        async Task Refused(string code, VoiceKind kind, string name, byte[] wav) =>
            Assert.Equal(
                code,
                (await TestClient.Problem(await Keep(lead, kind, name, wav), HttpStatusCode.UnprocessableEntity))
                    .GetProperty("title")
                    .GetString()
            );
        await Refused("voice-of-what", VoiceKind.Sound, "x", Wav());
        await Refused("voice-of-what", VoiceKind.KeyWord, "two words", Wav());
        await Refused("voice-of-what", VoiceKind.KeyWord, "", Wav());
        var good = Wav();
        byte[][] bad =
        [
            [],
            "no sound at all"u8.ToArray(),
            good[..40],
            good[..^100],
            Wav(10),
            Wav(4500, 16_000),
            Wav(rate: 4000),
            Wav(channels: 2),
            Wav(bits: 8),
            Wav(format: 3),
            [.. good[..12], .. good[36..]],
        ];
        foreach (var wav in bad)
            await Refused("not-a-recording", VoiceKind.Sound, "ʃ", wav);
        Assert.Empty(await lead.Get<List<VoiceView>>(At()));
        var teacher = await school.As("teacher");
        var refused = await Keep(teacher, VoiceKind.Sound, "ʃ", good);
        Assert.Equal(HttpStatusCode.Forbidden, refused.StatusCode);
        var other = await school.As("other");
        Assert.NotEqual(HttpStatusCode.OK, (await other.Send(HttpMethod.Get, At())).StatusCode);
    }
}

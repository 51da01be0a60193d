using BoldLadder.Formats.Sounds;
using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using BoldLadder.Store;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Style;

/// <summary>A recording of the school's, without the sound itself.</summary>
/// <param name="Name">The sound's symbol, or the key word.</param>
public sealed record VoiceView(Guid Id, VoiceKind Kind, string Name, int Milliseconds, DateTime MadeAt);

/// <param name="Wav">A RIFF WAVE file in base64: one channel, 16 bits, at most four seconds.</param>
public sealed record NewVoice(VoiceKind Kind, string Name, string Wav);

/// <summary>
/// The school's own voices: how an adult of the school says each sound and key word, for the board to play. Nothing of
/// children is recorded. Source: docs/handbook.md, section 10.
/// </summary>
public sealed class VoiceDesk(SchoolScope scope)
{
    private const int LongestWord = 30;

    public async Task<List<VoiceView>> List() =>
        await scope
            .Store.Voices.OrderBy(v => v.Kind)
            .ThenBy(v => v.Name)
            .Select(v => new VoiceView(v.Id, v.Kind, v.Name, v.Milliseconds, v.MadeAt))
            .ToListAsync(scope.Stop);

    /// <summary>The sound as a file.</summary>
    public async Task<Answer<byte[]>> Sound(Guid voiceId) =>
        await scope.Store.Voices.Where(v => v.Id == voiceId).Select(v => v.Wav).SingleOrDefaultAsync(scope.Stop)
            is { } wav
            ? wav
            : Refusal.NotFound("unknown-voice");

    /// <summary>Keeps a recording, in the place of the one that there was.</summary>
    public async Task<Answer<List<VoiceView>>> Keep(NewVoice voice)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (!IsKnown(voice))
            return Refusal.Unusable("voice-of-what");
        var file = new byte[voice.Wav.Length * 3 / 4];
        if (
            !Convert.TryFromBase64String(voice.Wav, file, out var length)
            || WavFile.Read(file.AsSpan(0, length)) is not { } sound
        )
            return Refusal.Unusable("not-a-recording", ("most", WavFile.Longest / 1000));
        await scope.LockSettings();
        await scope
            .Store.Voices.Where(v => v.Kind == voice.Kind && v.Name == voice.Name)
            .ExecuteDeleteAsync(scope.Stop);
        var kept = new Voice
        {
            SchoolId = scope.School.SchoolId,
            Id = Guid.CreateVersion7(),
            Kind = voice.Kind,
            Name = voice.Name,
            Wav = sound.Bytes,
            Milliseconds = sound.Milliseconds,
            MadeAt = scope.UtcNow,
        };
        scope.Store.Voices.Add(kept);
        scope.Audit("voice-kept", kept.Id);
        await scope.Save();
        return await List();
    }

    public async Task<Answer<List<VoiceView>>> Delete(Guid voiceId)
    {
        if (scope.LeadOnly() is { } refused)
            return refused;
        if (await scope.Store.Voices.SingleOrDefaultAsync(v => v.Id == voiceId, scope.Stop) is not { } voice)
            return Refusal.NotFound("unknown-voice");
        scope.Store.Voices.Remove(voice);
        scope.Audit("voice-deleted", voiceId);
        await scope.Save();
        return await List();
    }

    private static bool IsKnown(NewVoice voice) =>
        voice.Kind == VoiceKind.Sound
            ? Core.Sounds.Sound.All.Any(s => s.Symbol == voice.Name)
            : voice.Name.Length is > 0 and <= LongestWord && voice.Name.All(char.IsAsciiLetter);
}

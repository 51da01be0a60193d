using System.Collections.Concurrent;
using System.Globalization;
using System.Security.Cryptography;
using BoldLadder.School.People;

namespace BoldLadder.School.Remote;

/// <summary>A board that a phone can lead, while its lesson is taught.</summary>
public sealed class RemoteRoom
{
    public required Guid LessonId { get; init; }

    public required DateTime Until { get; init; }

    /// <summary>By this the board's window shows that it is the board.</summary>
    public required string Token { get; init; }

    /// <summary>What is typed into the phone; null once a phone has it.</summary>
    public string? Code { get; internal set; }

    /// <summary>By this the phone that typed the code comes back after its link was lost.</summary>
    public string? Key { get; internal set; }
}

/// <summary>
/// The boards that wait for a phone or have one. Kept in memory alone: a phone that leads a board is gone when the
/// lesson is over, and a new code is one key away. Source: docs/board.md (the phone).
/// </summary>
public sealed class RemoteRooms(TimeProvider clock)
{
    /// <summary>A lesson is over by then.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromHours(2);

    private const int CodeDigits = 6;

    /// <summary>With more boards at once a guess would hit one too often.</summary>
    private const int Most = 500;

    private readonly ConcurrentDictionary<string, RemoteRoom> byToken = new(StringComparer.Ordinal);

    /// <summary>
    /// A room for a board, with a code that no other has. The one its lesson had before is over. Null where there are
    /// too many.
    /// </summary>
    public RemoteRoom? Open(Guid lessonId)
    {
        foreach (var old in byToken.Values.Where(r => r.LessonId == lessonId || IsOver(r)))
            byToken.TryRemove(old.Token, out _);
        if (byToken.Count >= Most)
            return null;
        var taken = byToken.Values.Select(r => r.Code).ToHashSet();
        string code;
        do code = RandomNumberGenerator
            .GetInt32((int)Math.Pow(10, CodeDigits))
            .ToString($"D{CodeDigits}", CultureInfo.InvariantCulture);
        while (taken.Contains(code));
        var room = new RemoteRoom
        {
            LessonId = lessonId,
            Until = clock.GetUtcNow().UtcDateTime + Longest,
            Token = OneTimeCode.Make(),
            Code = code,
        };
        byToken[room.Token] = room;
        return room;
    }

    public RemoteRoom? OfBoard(string token) => byToken.TryGetValue(token, out var room) && !IsOver(room) ? room : null;

    /// <summary>The room of a code, which is used up by it; null for one that opens nothing.</summary>
    public RemoteRoom? OfCode(string code)
    {
        var digits = string.Concat(code.Where(char.IsAsciiDigit));
        foreach (var room in byToken.Values.Where(r => !IsOver(r)))
        {
            lock (room)
            {
                if (room.Code != digits)
                    continue;
                (room.Code, room.Key) = (null, OneTimeCode.Make());
                return room;
            }
        }
        return null;
    }

    public RemoteRoom? OfPhone(string key) => byToken.Values.FirstOrDefault(r => r.Key == key && !IsOver(r));

    public void End(string token) => byToken.TryRemove(token, out _);

    private bool IsOver(RemoteRoom room) => room.Until <= clock.GetUtcNow().UtcDateTime;
}

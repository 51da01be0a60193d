using System.Text.Json;
using BoldLadder.School.Remote;
using Microsoft.AspNetCore.SignalR;

namespace BoldLadder.Web.Remote;

/// <summary>
/// The link between a board and the phone that leads it. What they say to each other is passed on as it is and kept
/// nowhere: the board tells the phone the lesson and where it stands, the phone tells the board what was pressed.
/// </summary>
public sealed class RemoteHub(RemoteRooms rooms) : Hub
{
    /// <summary>The longest that a board says at once, in bytes: a lesson with its words.</summary>
    public const int Longest = 768 * 1024;

    /// <summary>What a phone says is a key that was pressed.</summary>
    private const int LongestOfPhone = 4 * 1024;

    /// <summary>Who types so many codes that open nothing is guessing.</summary>
    private const int MostWrong = 5;

    private const string Wrong = "wrong";
    private const string Room = "room";
    private const string IsPhone = "phone";

    /// <summary>The board shows that it is the board; false where its room is over.</summary>
    public async Task<bool> Board(string token)
    {
        if (rooms.OfBoard(token) is not { } room)
            return false;
        await Enter(room, isPhone: false);
        return true;
    }

    /// <summary>
    /// The phone comes in by its code, or comes back by the key it was given. Null for what opens nothing.
    /// </summary>
    public async Task<string?> Phone(string code)
    {
        if (rooms.OfPhone(code) is { } back)
        {
            await Enter(back, isPhone: true);
            return back.Key;
        }
        if (rooms.OfCode(code) is { } room)
        {
            await Enter(room, isPhone: true);
            return room.Key;
        }
        var wrong = 1 + (Context.Items.TryGetValue(Wrong, out var before) ? (int)before! : 0);
        Context.Items[Wrong] = wrong;
        if (wrong >= MostWrong)
            Context.Abort();
        return null;
    }

    /// <summary>Passed on to the other side.</summary>
    public async Task Say(JsonElement message)
    {
        if (Here is not { } token || rooms.OfBoard(token) is null)
            return;
        var fromPhone = Context.Items.ContainsKey(IsPhone);
        if (fromPhone && message.GetRawText().Length > LongestOfPhone)
        {
            Context.Abort();
            return;
        }
        await Clients.Group(Side(token, !fromPhone)).SendAsync("said", message, Context.ConnectionAborted);
    }

    /// <summary>The board ends it: the lesson is over.</summary>
    public async Task End()
    {
        if (Here is not { } token || Context.Items.ContainsKey(IsPhone))
            return;
        rooms.End(token);
        // Said to the phone even where the board has gone by now.
        await Clients.Group(Side(token, isPhone: true)).SendAsync("over", CancellationToken.None);
    }

    private string? Here => Context.Items.TryGetValue(Room, out var token) ? (string)token! : null;

    private async Task Enter(RemoteRoom room, bool isPhone)
    {
        Context.Items[Room] = room.Token;
        if (isPhone)
            Context.Items[IsPhone] = true;
        await Groups.AddToGroupAsync(Context.ConnectionId, Side(room.Token, isPhone), Context.ConnectionAborted);
        if (isPhone)
            await Clients.Group(Side(room.Token, isPhone: false)).SendAsync("joined", Context.ConnectionAborted);
    }

    private static string Side(string token, bool isPhone) => $"{(isPhone ? "phone" : "board")}:{token}";
}

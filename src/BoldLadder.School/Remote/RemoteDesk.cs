using BoldLadder.School.Refusals;
using BoldLadder.School.Schools;
using Microsoft.EntityFrameworkCore;

namespace BoldLadder.School.Remote;

/// <param name="Token">For the board's own link.</param>
/// <param name="Code">Six digits to type into the phone; good for one phone.</param>
public sealed record RemoteView(string Token, string Code, DateTime Until);

/// <summary>A phone as remote for a lesson's board: whoever teaches the group opens it.</summary>
public sealed class RemoteDesk(SchoolScope scope, RemoteRooms rooms)
{
    public async Task<Answer<RemoteView>> Open(Guid lessonId)
    {
        if (
            !await scope.Store.Lessons.AnyAsync(
                l => l.Id == lessonId && scope.Groups.Any(g => g.Id == l.GroupId),
                scope.Stop
            )
        )
            return Refused.UnknownLesson;
        return rooms.Open(lessonId) is { } room
            ? new RemoteView(room.Token, room.Code!, room.Until)
            : Refusal.Conflict("too-many-remotes");
    }
}

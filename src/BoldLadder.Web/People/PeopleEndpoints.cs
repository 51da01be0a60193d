using BoldLadder.School.People;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Setup;

namespace BoldLadder.Web.People;

/// <summary>Who belongs to the school, and the links by which people come in.</summary>
public static class PeopleEndpoints
{
    public static void MapPeople(this IEndpointRouteBuilder school)
    {
        school
            .MapGet("/people", (PeopleDesk desk) => desk.Show().Http())
            .WithMetadata(AskedEachTime.It)
            .WithName("getPeople");
        school
            .MapPost("/people/{userId:guid}", (Guid userId, PersonChange wanted, PeopleDesk desk) =>
                desk.Change(userId, wanted).Http()
            )
            .WithName("changePerson");
        school
            .MapPost("/people/{userId:guid}/reset", (Guid userId, ResetRequest request, PeopleDesk desk) =>
                desk.ResetPassword(userId, request.ByMail).Http()
            )
            .WithName("makeResetLink");
        school
            .MapPost("/invitations", (NewInvitation wanted, PeopleDesk desk) => desk.Invite(wanted).Http())
            .WithName("invite");
        school
            .MapDelete("/invitations/{invitationId:guid}", (Guid invitationId, PeopleDesk desk) =>
                desk.TakeBack(invitationId).Http()
            )
            .WithName("takeBackInvitation");
    }
}

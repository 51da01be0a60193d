using BoldLadder.School.Ladders;
using BoldLadder.School.Words;
using BoldLadder.Web.Audit;
using BoldLadder.Web.Calendars;
using BoldLadder.Web.Children;
using BoldLadder.Web.Cover;
using BoldLadder.Web.Demo;
using BoldLadder.Web.Facts;
using BoldLadder.Web.Groups;
using BoldLadder.Web.Jobs;
using BoldLadder.Web.Ladders;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Marks;
using BoldLadder.Web.People;
using BoldLadder.Web.Printing;
using BoldLadder.Web.Remote;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using BoldLadder.Web.Style;
using BoldLadder.Web.Templates;
using BoldLadder.Web.Texts;
using BoldLadder.Web.Transfer;
using BoldLadder.Web.Weeks;
using BoldLadder.Web.Words;
using Microsoft.AspNetCore.Http.Json;

if (args is ["migrate" or "load-demo" or "write-schemas" or "rebuild-memories", ..])
    return await OwnerCommands.Run(args);

var builder = WebApplication.CreateBuilder(args);
var isDocumentRun = System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

var demoGuard = new DemoGuard();
builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.Limits.MaxRequestBodySize = 256 * 1024;
    kestrel.AddServerHeader = false;
    kestrel.ConfigureEndpointDefaults(endpoint => demoGuard.Check(endpoint.EndPoint));
});
builder.AddLogFiles();
builder.AddMetrics();
builder.Services.AddDatabase(builder.Configuration);
builder.Services.Configure<JsonOptions>(Reading.Strictly);
builder.Services.AddProblemDetails(options =>
    options.CustomizeProblemDetails = context =>
    {
        if (context.ProblemDetails.Type?.StartsWith("bold:", StringComparison.Ordinal) == true)
            return;
        var code = Problem.CodeOf(context.ProblemDetails.Status ?? context.HttpContext.Response.StatusCode);
        (context.ProblemDetails.Title, context.ProblemDetails.Type, context.ProblemDetails.Detail) = (
            code,
            $"bold:{code}",
            Problem.WhatToDo(code)
        );
    }
);
builder.Services.Configure<RouteHandlerOptions>(options => options.ThrowOnBadRequest = false);
Failures.Add(builder.Services);
builder.Services.AddSecurity(builder.Configuration);
JobLine.Add(builder.Services, builder.Configuration, runs: !isDocumentRun);
builder.Services.AddLimits();
builder.Services.AddSignalR(hub => hub.MaximumReceiveMessageSize = RemoteHub.Longest);
builder.Services.AddSchools(builder.Configuration);
builder.Services.AddOpenApi(ApiDocument.NameTheSchool);

var app = builder.Build();
app.UseForwardedHeaders();
app.UseSecurityHeaders();
app.UseExceptionHandler();
app.UseStatusCodePages();
app.UseMetrics();
app.UseKnownHosts();
app.UseRouting();
app.UseRoom();
app.UseKnownAddresses();
app.UseAuthentication();
app.UseAuthorization();
app.UseRateLimiter();
app.UseReading();

var api = app.MapGroup("/api")
    .AddEndpointFilter(Reading.Filter)
    .AddEndpointFilter(Security.CheckAntiforgery)
    .ProducesProblem(StatusCodes.Status400BadRequest);
api.MapSession();
api.MapCover();
api.MapCalendarPrograms();
api.MapJoining();
api.MapAccount();
api.MapFacts();
api.MapPictureFiles();
var school = api.MapGroup("/schools/{schoolId:guid}").AddEndpointFilter<SchoolFilter>().WithMetadata(SchoolDoor.Here);
school.MapLadders();
school.MapDrafts();
school.MapLadderFiles();
school.MapCalendars();
school.MapFeeds();
school.MapStyle();
school.MapVoices();
school.MapGroups();
school.MapLessons();
school.MapRemotes();
school.MapWords();
school.MapOwnPictures();
school.MapTemplates();
school.MapWeeks();
school.MapPrinting();
school.MapTexts();
school.MapCoverPasses();
school.MapAudit();
school.MapPeople();
school.MapChildren();
school.MapMarks();
school.MapJobs();
school.MapTransfer();
school.MapSchool();

app.MapRemoteLink();
app.MapHealth();
app.MapReadiness();
app.MapBare();
app.MapStaticAssets().AllowAnonymous();
app.MapFallbackToFile("/", "index.html").AllowAnonymous();
app.MapFallbackToFile("{*path:regex(^(?!api(/|$)).*$):nonfile}", "index.html").AllowAnonymous();

if (!isDocumentRun)
{
    app.Services.GetRequiredService<WordData>();
    await demoGuard.Look(app.Services);
    await FirstRunNotice.Print(app);
    if (app.Environment.IsProduction())
        app.Lifetime.ApplicationStarted.Register(() =>
            _ = Task.Run(() =>
                WarmUp.Run(app.Services.GetRequiredService<WordData>(), app.Services.GetRequiredService<LadderStudy>())
            )
        );
}
await app.RunAsync();
return 0;

/// <summary>Named so that tests can start the app.</summary>
public partial class Program;

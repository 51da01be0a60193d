using System.Text.Json;
using System.Text.Json.Serialization;
using BoldLadder.Store;
using BoldLadder.Web.Calendars;
using BoldLadder.Web.Cover;
using BoldLadder.Web.Demo;
using BoldLadder.Web.Groups;
using BoldLadder.Web.Ladders;
using BoldLadder.Web.Lessons;
using BoldLadder.Web.Schools;
using BoldLadder.Web.Session;
using BoldLadder.Web.Setup;
using BoldLadder.Web.Style;
using BoldLadder.Web.Templates;
using BoldLadder.Web.Weeks;
using BoldLadder.Web.Words;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;

if (args is ["migrate" or "load-demo", ..]) return await OwnerCommands.Run(args);

var builder = WebApplication.CreateBuilder(args);
var isDocumentRun = System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = 256 * 1024);
builder.Services.AddDbContext<BoldContext>(options => options
    .UseNpgsql(builder.Configuration.GetConnectionString("App")).UseSnakeCaseNamingConvention());
builder.Services.Configure<JsonOptions>(options =>
{
    options.SerializerOptions.MaxDepth = 32;
    options.SerializerOptions.AllowOutOfOrderMetadataProperties = true;
    options.SerializerOptions.RespectRequiredConstructorParameters = options.SerializerOptions.RespectNullableAnnotations = true;
    options.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
    options.SerializerOptions.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower));
});
builder.Services.AddProblemDetails(options => options.CustomizeProblemDetails = context =>
{
    if (context.ProblemDetails.Type?.StartsWith("bold:", StringComparison.Ordinal) == true) return;
    var (code, whatToDo) = Problem.ForStatus(context.ProblemDetails.Status ?? context.HttpContext.Response.StatusCode);
    (context.ProblemDetails.Title, context.ProblemDetails.Type, context.ProblemDetails.Detail) = (code, $"bold:{code}", whatToDo);
});
builder.Services.Configure<RouteHandlerOptions>(options => options.ThrowOnBadRequest = false);
builder.Services.AddSecurity();
builder.Services.AddMemoryCache();
builder.Services.AddOpenApi(ApiDocument.NameTheSchool);
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton<Clock>();
builder.Services.AddSingleton<WordData>();
builder.Services.AddScoped<SchoolScope>();
builder.Services.AddScoped<SchoolLexicon>();
builder.Services.AddScoped<LessonMaking>();
builder.Services.AddScoped<LessonChanges>();
builder.Services.AddScoped<LadderWork>();
builder.Services.AddScoped<Drafts>();

var app = builder.Build();
app.UseSecurityHeaders();
app.UseExceptionHandler();
app.UseStatusCodePages();
app.UseAuthentication();
app.UseAuthorization();
app.UseRateLimiter();

var api = app.MapGroup("/api").AddEndpointFilter(Security.CheckAntiforgery).ProducesProblem(StatusCodes.Status400BadRequest);
api.MapSession();
api.MapCover();
var school = api.MapGroup("/schools/{schoolId:guid}").AddEndpointFilter<SchoolFilter>();
school.MapLadders();
school.MapDrafts();
school.MapCalendars();
school.MapStyle();
school.MapGroups();
school.MapMats();
school.MapLessons();
school.MapWords();
school.MapTemplates();
school.MapWeeks();
school.MapCoverPasses();
api.MapFallback(() => Problem.NotFound("not-found", "There is nothing at this address. Go back to the start page.")).AllowAnonymous();

app.MapGet("/health", async (BoldContext store) => await store.Database.CanConnectAsync() ? Results.Ok("ok") : Results.StatusCode(503)).AllowAnonymous().ExcludeFromDescription();
app.MapStaticAssets().AllowAnonymous();
app.MapFallbackToFile("index.html").AllowAnonymous();

if (!isDocumentRun)
{
    app.Services.GetRequiredService<WordData>();
    await DemoGuard.Check(app);
    if (app.Environment.IsProduction()) app.Lifetime.ApplicationStarted.Register(() => _ = Task.Run(() => WarmUp.Run(app.Services.GetRequiredService<WordData>())));
}
await app.RunAsync();
return 0;

/// <summary>Named so that tests can start the app.</summary>
public partial class Program;

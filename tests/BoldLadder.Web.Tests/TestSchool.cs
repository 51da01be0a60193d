using System.Text.Json;
using System.Text.Json.Serialization;
using BoldLadder.Core.Accents;
using BoldLadder.Core.Decoding;
using BoldLadder.Core.Teaching;
using BoldLadder.School.Words;
using BoldLadder.Store;
using BoldLadder.Web.Setup;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Npgsql;

namespace BoldLadder.Web.Tests;

/// <summary>
/// A database of its own cloned from a migrated template, with two schools without a rhythm, and the app serving it on
/// a fixed day.
/// Needs the cluster that ./test starts (BOLD_TEST_OWNER and BOLD_TEST_APP hold connection strings without a database).
/// </summary>
public sealed class TestSchool : IAsyncDisposable
{
    public static readonly DateOnly Today = new(2026, 11, 24);
    public const string Password = "a-long-test-password";

    /// <summary>Few, so that signing in costs nothing.</summary>
    private const int PasswordRounds = 1000;

    private const string Template = "bold_template";
    private static readonly SemaphoreSlim TemplateLock = new(1, 1);
    private static bool templateReady;
    private static readonly Lazy<WordData> Words = new(() => new WordData());

    /// <summary>
    /// Where all apps of the process log: Quartz keeps one for the process, and in one that ended with its app, jobs of
    /// the others would fail.
    /// </summary>
    private static readonly LoggerFactory Log = new();

    private readonly string database;

    private TestSchool(string database) => this.database = database;

    public Guid School { get; } = Guid.CreateVersion7();

    public Guid OtherSchool { get; } = Guid.CreateVersion7();

    /// <summary>The rungs Otters come to from today on: twelve are behind them.</summary>
    public IEnumerable<BoldLadder.Core.Ladders.Rung> OttersNext =>
        App.Services.GetRequiredService<WordData>().LettersFirst.Rungs.Skip(12);

    public Guid Otters { get; } = Guid.CreateVersion7();

    public Guid Kestrels { get; } = Guid.CreateVersion7();

    public Guid Ladder { get; } = Guid.CreateVersion7();

    public string Database => database;

    public WebApplicationFactory<Program> App { get; private set; } = null!;

    public static JsonSerializerOptions Json { get; } =
        new(JsonSerializerDefaults.Web)
        {
            AllowOutOfOrderMetadataProperties = true,
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) },
        };

    public static string Owner(string database) =>
        $"{Environment.GetEnvironmentVariable("BOLD_TEST_OWNER") ?? throw new InvalidOperationException("Run the tests with ./test: it starts their database.")};Database={database}";

    public static string AppRole(string database) =>
        $"{Environment.GetEnvironmentVariable("BOLD_TEST_APP")};Database={database}";

    public static async Task<TestSchool> Open()
    {
        var school = await OpenEmpty();
        await school.Fill();
        return school;
    }

    /// <summary>A database in which there is nobody yet.</summary>
    public static async Task<TestSchool> OpenEmpty()
    {
        await MakeTemplate();
        var school = new TestSchool($"bold_test_{Guid.NewGuid():N}");
        await Sql("postgres", $"create database {school.database} template {Template} strategy file_copy");
        school.Serve();
        return school;
    }

    /// <summary>
    /// Starts the app on the database, with other settings where a test needs them; the one before is stopped.
    /// </summary>
    public void Serve(params (string Key, string Value)[] settings) => Serve(null, settings);

    /// <param name="services">Other parts where a test needs them.</param>
    public void Serve(Action<IServiceCollection>? services, params (string Key, string Value)[] settings)
    {
        App?.Dispose();
        App = new WebApplicationFactory<Program>().WithWebHostBuilder(host =>
        {
            host.UseSetting("ConnectionStrings:App", AppRole(database));
            host.UseSetting(
                "PasswordRounds",
                PasswordRounds.ToString(System.Globalization.CultureInfo.InvariantCulture)
            );
            host.UseSetting("VerifyKept", "true");
            // Only tests of jobs need them run.
            host.UseSetting("Jobs", "false");
            host.UseSetting("Today", Today.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture));
            foreach (var (key, value) in settings)
                host.UseSetting(key, value);
            // Word data is immutable and takes longest to read: all apps share it, but for those that are given data of
            // their own.
            host.ConfigureTestServices(parts =>
            {
                if (settings.All(s => s.Key != "DataFolder"))
                    parts.AddSingleton(Words.Value);
                parts.AddSingleton<ILoggerFactory>(Log);
                parts.AddSingleton<IStartupFilter, AddressFromHeader>();
                services?.Invoke(parts);
            });
        });
    }

    /// <summary>
    /// A client that is signed in as lead@, deputy@ (a lead too), teacher@ or helper@ (of the Otters), head@ or other@,
    /// or as nobody.
    /// </summary>
    public async Task<TestClient> As(string? who)
    {
        var client = new TestClient(
            App.CreateClient(
                new WebApplicationFactoryClientOptions
                {
                    BaseAddress = new Uri("https://localhost"),
                    HandleCookies = true,
                }
            ),
            this
        );
        if (who is not null)
        {
            var answer = await client.Send(
                HttpMethod.Post,
                "/api/session",
                new { email = $"{who}@test.example", password = Password }
            );
            answer.EnsureSuccessStatusCode();
            client.ForgetToken();
        }
        return client;
    }

    /// <summary>A second membership, so that one person belongs to both schools.</summary>
    public Task<int> AlsoIn(Guid schoolId, string who, Role role) =>
        AsOwner(async store =>
        {
            var user = await store.Users.SingleAsync(u => u.Email == $"{who}@test.example");
            store.Memberships.Add(
                new Membership
                {
                    SchoolId = schoolId,
                    UserId = user.Id,
                    Role = role,
                }
            );
            return 0;
        });

    /// <summary>Works on the database as the owner, who sees every school.</summary>
    public async Task<T> AsOwner<T>(Func<BoldContext, Task<T>> work)
    {
        await using var store = new BoldContext(
            DesignTimeFactory.Configure(new DbContextOptionsBuilder<BoldContext>(), Owner(database)).Options
        );
        store.EnterSchool(Guid.Empty, School);
        var result = await work(store);
        await store.SaveChangesAsync();
        return result;
    }

    /// <summary>Tables that say what goes on or was done, which never stand still.</summary>
    private const string Moving = "^(qrtz_|jobs|audit|account_events|user_sessions|school_states|data_protection|__EF)";

    /// <summary>How many rows each table of the whole database has, but for those that never stand still.</summary>
    public async Task<string> Rows() =>
        string.Join(
            '\n',
            await AsOwner(s =>
                s.Database.SqlQuery<string>(
                        $"""
                        select table_name || ' ' || (xpath('/row/c/text()', query_to_xml(
                            format('select count(*) as c from %I', table_name), false, true, '')))[1]::text as "Value"
                        from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'
                            and table_name !~ {Moving}
                        order by 1
                        """
                    )
                    .ToListAsync()
            )
        );

    public static async Task Sql(string database, string sql)
    {
        await using var source = NpgsqlDataSource.Create(Owner(database));
        await using var command = source.CreateCommand(sql);
        await command.ExecuteNonQueryAsync();
    }

    public async ValueTask DisposeAsync()
    {
        await App.DisposeAsync();
        NpgsqlConnection.ClearAllPools();
        await Sql("postgres", $"drop database if exists {database} with (force)");
    }

    private static async Task MakeTemplate()
    {
        await TemplateLock.WaitAsync();
        try
        {
            if (templateReady)
                return;
            await Sql("postgres", $"drop database if exists {Template} with (force)");
            await Sql("postgres", $"create database {Template}");
            await using (
                var store = new BoldContext(
                    DesignTimeFactory.Configure(new DbContextOptionsBuilder<BoldContext>(), Owner(Template)).Options
                )
            )
                await store.Database.MigrateAsync();
            if (Partitioned.Wanted)
                await Sql(Template, Partitioned.Sql);
            NpgsqlConnection.ClearAllPools();
            templateReady = true;
        }
        finally
        {
            TemplateLock.Release();
        }
    }

    private async Task Fill()
    {
        await using var provider = new ServiceCollection()
            .AddLogging()
            .AddDbContext<BoldContext>(o =>
                DesignTimeFactory.Configure((DbContextOptionsBuilder<BoldContext>)o, Owner(database))
            )
            .AddIdentityCore<User>(Security.AccountRules)
            .AddEntityFrameworkStores<BoldContext>()
            .Services.Configure<PasswordHasherOptions>(o => o.IterationCount = PasswordRounds)
            .BuildServiceProvider();
        var store = provider.GetRequiredService<BoldContext>();
        var users = provider.GetRequiredService<UserManager<User>>();
        foreach (var id in new[] { School, OtherSchool })
        {
            store.Schools.Add(
                new StoredSchool
                {
                    SchoolId = id,
                    Name = $"School {id:N}",
                    TimeZone = "Europe/London",
                    Accent = "southern-british",
                    Language = "en-GB",
                    SpellingVariety = "en-GB",
                    PaperSize = "A4",
                    ReviewWeeks = 0,
                    CheckWeeks = 0,
                    RecapWeeks = 0,
                }
            );
            store.Terms.Add(
                new Term
                {
                    SchoolId = id,
                    Id = Guid.CreateVersion7(),
                    Name = "Term",
                    First = Today.AddDays(-60),
                    Last = Today.AddDays(60),
                }
            );
        }
        var lead = await Person(users, "lead");
        var teacher = await Person(users, "teacher");
        var other = await Person(users, "other");
        var deputy = await Person(users, "deputy");
        store.Memberships.Add(
            new Membership
            {
                SchoolId = School,
                UserId = lead,
                Role = Role.Lead,
            }
        );
        store.Memberships.Add(
            new Membership
            {
                SchoolId = School,
                UserId = teacher,
                Role = Role.Teacher,
            }
        );
        store.Memberships.Add(
            new Membership
            {
                SchoolId = School,
                UserId = deputy,
                Role = Role.Lead,
            }
        );
        var helper = await Person(users, "helper");
        foreach (var (person, role) in new[] { (helper, Role.Helper), (await Person(users, "head"), Role.Head) })
        {
            store.Memberships.Add(
                new Membership
                {
                    SchoolId = School,
                    UserId = person,
                    Role = role,
                }
            );
        }
        store.Memberships.Add(
            new Membership
            {
                SchoolId = OtherSchool,
                UserId = other,
                Role = Role.Lead,
            }
        );
        store.ClosedDays.Add(new ClosedDay { SchoolId = School, Date = Today.AddDays(3) });
        store.Ladders.Add(
            new SchoolLadder
            {
                SchoolId = School,
                Id = Ladder,
                Name = "Ladder",
            }
        );
        var shipped = App.Services.GetRequiredService<WordData>().LettersFirst;
        store.LadderVersions.Add(
            new LadderVersion
            {
                SchoolId = School,
                LadderId = Ladder,
                Version = 1,
                Document = shipped,
                PublishedAt = DateTime.UtcNow,
            }
        );
        await store.SaveChangesAsync();
        foreach (var (id, name) in new[] { (Otters, "Otters"), (Kestrels, "Kestrels") })
        {
            store.Groups.Add(
                new Group
                {
                    SchoolId = School,
                    Id = id,
                    Name = name,
                    LadderId = Ladder,
                    LadderVersion = 1,
                    LessonMinutes = 20,
                }
            );
        }
        store.GroupTeachers.AddRange(
            new[] { teacher, helper }.Select(person => new GroupTeacher
            {
                SchoolId = School,
                GroupId = Otters,
                UserId = person,
            })
        );
        // Otters have been taught twelve rungs, on the teaching days before today.
        for (var i = 0; i < 12; i++)
        {
            var rung = shipped.Rungs[i];
            store.TeachingLog.Add(
                new TeachingLogEntry
                {
                    SchoolId = School,
                    Id = Guid.CreateVersion7(),
                    GroupId = Otters,
                    Date = Today.AddDays(i - 20),
                    RungId = rung.Id,
                    Outcome = LessonOutcome.Taught,
                    Correspondences = [.. rung.Correspondences.Select(c => c.Notation)],
                    Patterns = [],
                    Tricky = [.. rung.Tricky],
                    Seen = [],
                    Words = [],
                    RecordedAt = DateTime.UtcNow,
                    RecordedBy = lead,
                }
            );
        }
        await store.SaveChangesAsync();
    }

    private static async Task<Guid> Person(UserManager<User> users, string name)
    {
        var user = new User
        {
            Id = Guid.CreateVersion7(),
            UserName = $"{name}@test.example",
            Email = $"{name}@test.example",
            DisplayName = name,
        };
        var made = await users.CreateAsync(user, Password);
        if (!made.Succeeded)
            throw new InvalidOperationException(string.Join(' ', made.Errors.Select(e => e.Description)));
        return user.Id;
    }

    /// <summary>Requests come from the address that they name, so that a test can be several places.</summary>
    private sealed class AddressFromHeader : IStartupFilter
    {
        public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
            app =>
            {
                app.Use(
                    (context, then) =>
                    {
                        context.Connection.RemoteIpAddress = System.Net.IPAddress.Parse(
                            context.Request.Headers["X-Test-Address"].FirstOrDefault() ?? "127.0.0.1"
                        );
                        return then(context);
                    }
                );
                next(app);
            };
    }
}

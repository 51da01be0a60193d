using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata;
using Npgsql;
using NpgsqlTypes;

namespace BoldLadder.Store;

/// <summary>A column as it leaves the database: its name and PostgreSQL type.</summary>
public sealed record SchoolColumn(string Name, string Type, bool IsNullable);

/// <summary>A table of a school's own, without the column that says whose it is.</summary>
public sealed record SchoolTable(string Name, ImmutableArray<SchoolColumn> Columns, ImmutableArray<string> Key);

/// <summary>
/// Everything of a school as rows of JSON, out of the database and into it again. What is a secret (hashes of codes),
/// runs just now, or follows from the rest is not among it.
/// </summary>
public static class SchoolTables
{
    private static readonly Type[] LeftOut =
    [
        typeof(SchoolState),
        typeof(StoredSchool),
        typeof(Membership),
        typeof(Invitation),
        typeof(CoverPass),
        typeof(CalendarFeed),
        typeof(LookRound),
        typeof(StoredJob),
        typeof(LessonUndo),
        typeof(GroupStanding),
    ];

    private const string SchoolId = "school_id";

    /// <summary>The tables, each after those that it refers to.</summary>
    public static ImmutableArray<SchoolTable> Of(BoldContext store)
    {
        var open = Types(store).OrderBy(t => t.GetTableName(), StringComparer.Ordinal).ToList();
        var ordered = ImmutableArray.CreateBuilder<SchoolTable>();
        while (open.Count > 0)
        {
            var next = open.First(t =>
                !t.GetForeignKeys().Any(k => k.PrincipalEntityType != t && open.Contains(k.PrincipalEntityType))
            );
            open.Remove(next);
            ordered.Add(Described(next));
        }
        return ordered.ToImmutable();
    }

    /// <summary>The school's own settings, as the one row of a table.</summary>
    public static SchoolTable Settings(BoldContext store) =>
        Described(store.Model.FindEntityType(typeof(StoredSchool))!);

    /// <summary>Rows of the current school, each as a JSON object, in the order of their keys.</summary>
    public static async IAsyncEnumerable<string> Rows(
        BoldContext store,
        SchoolTable table,
        [EnumeratorCancellation] CancellationToken stop
    )
    {
        // Row-level security shows the current school's rows alone.
        await using var command = await Command(
            store,
            $"select (to_jsonb(t) - '{SchoolId}')::text from {table.Name} t where {SchoolId} = @school"
                + (table.Key.IsEmpty ? "" : $" order by {string.Join(", ", table.Key)}"),
            stop
        );
        await using var reader = await command.ExecuteReaderAsync(stop);
        while (await reader.ReadAsync(stop))
            yield return reader.GetString(0);
    }

    /// <summary>Adds rows to the current school.</summary>
    /// <param name="rows">A JSON array of objects with the columns of the table.</param>
    /// <exception cref="PostgresException">A value is not of its column's type, or refers to nothing.</exception>
    public static async Task Add(BoldContext store, SchoolTable table, string rows, CancellationToken stop)
    {
        var columns = string.Join(", ", table.Columns.Select(c => $"\"{c.Name}\""));
        await using var command = await Command(
            store,
            $"insert into {table.Name} ({SchoolId}, {columns}) "
                + $"select @school, {columns} from jsonb_populate_recordset(null::{table.Name}, @rows)",
            stop
        );
        command.Parameters.Add(new NpgsqlParameter("rows", NpgsqlDbType.Jsonb) { Value = rows });
        await command.ExecuteNonQueryAsync(stop);
    }

    /// <summary>Sets the current school's own settings.</summary>
    /// <param name="row">A JSON object with the columns of <see cref="Settings"/>.</param>
    /// <exception cref="PostgresException">A value is not of its column's type.</exception>
    public static async Task Set(BoldContext store, string row, CancellationToken stop)
    {
        var table = Settings(store);
        var columns = string.Join(", ", table.Columns.Select(c => $"\"{c.Name}\" = r.\"{c.Name}\""));
        await using var command = await Command(
            store,
            $"update {table.Name} t set {columns} from jsonb_populate_record(null::{table.Name}, @row) r "
                + $"where t.{SchoolId} = @school",
            stop
        );
        command.Parameters.Add(new NpgsqlParameter("row", NpgsqlDbType.Jsonb) { Value = row });
        await command.ExecuteNonQueryAsync(stop);
    }

    /// <summary>Reads every row once, so that a document that can't be read is found at once.</summary>
    /// <exception cref="FormatException">A document of this table is not readable.</exception>
    public static async Task ReadAll(BoldContext store, SchoolTable table, CancellationToken stop)
    {
        var type = Types(store).Single(t => t.GetTableName() == table.Name);
        await (Task)
            typeof(SchoolTables)
                .GetMethod(
                    nameof(ReadRows),
                    System.Reflection.BindingFlags.NonPublic | System.Reflection.BindingFlags.Static
                )!
                .MakeGenericMethod(type.ClrType)
                .Invoke(null, [store, stop])!;
    }

    private static async Task ReadRows<T>(BoldContext store, CancellationToken stop)
        where T : class
    {
        await foreach (var _ in store.Set<T>().AsNoTracking().AsAsyncEnumerable().WithCancellation(stop)) { }
    }

    private static IEnumerable<IEntityType> Types(BoldContext store) =>
        store
            .Model.GetEntityTypes()
            .Where(t => t.ClrType.IsAssignableTo(typeof(ISchoolOwned)) && !LeftOut.Contains(t.ClrType));

    private static SchoolTable Described(IEntityType type)
    {
        var table = StoreObjectIdentifier.Table(type.GetTableName()!);
        return new SchoolTable(
            table.Name,
            [
                .. type.GetProperties()
                    .Select(p => new SchoolColumn(
                        p.GetColumnName(table)!,
                        p.GetColumnType(),
                        p.IsColumnNullable(table)
                    ))
                    .Where(c => c.Name != SchoolId)
                    .OrderBy(c => c.Name, StringComparer.Ordinal),
            ],
            [.. type.FindPrimaryKey()!.Properties.Select(p => p.GetColumnName(table)!).Where(n => n != SchoolId)]
        );
    }

    /// <summary>A command of the open transaction, which has named the school.</summary>
    private static async Task<NpgsqlCommand> Command(BoldContext store, string sql, CancellationToken stop)
    {
        // What names the school is sent with the first command that goes through EF.
        await store.Database.ExecuteSqlRawAsync("set local timezone = 'UTC'", stop);
        var command = (NpgsqlCommand)store.Database.GetDbConnection().CreateCommand();
        command.CommandText = sql;
        command.Transaction = (NpgsqlTransaction)
            Microsoft.EntityFrameworkCore.Storage.DbContextTransactionExtensions.GetDbTransaction(
                store.Database.CurrentTransaction!
            );
        command.Parameters.Add(new NpgsqlParameter("school", store.CurrentSchool));
        return command;
    }
}

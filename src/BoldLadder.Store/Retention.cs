using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// What ages out of tables that the app may only add to: a function of the tables' owner removes it. Source:
/// docs/handbook.md, section 10.
/// </summary>
public static class Retention
{
    /// <summary>Months that are kept at least, whatever is asked for.</summary>
    public const int Least = 13;

    /// <summary>
    /// Removes what is older than so many months: lines of the audit, how lessons were changed, ways in for cover, and
    /// addresses of calendars that were ended. Lessons and what was taught stay.
    /// </summary>
    /// <returns>How many rows went.</returns>
    public static async Task<long> Tidy(BoldContext store, int months, CancellationToken stop) =>
        (await store.Database.SqlQuery<long>($"select remove_old({months}) as \"Value\"").ToListAsync(stop))[0];

    public static void AddFunction(MigrationBuilder migration)
    {
        migration.Sql(
            $"""
            create function remove_old(months integer) returns bigint
                language plpgsql security definer set search_path = public, pg_temp as $$
            declare
                until timestamptz := now() - make_interval(months => greatest(months, {Least}));
                part bigint;
                gone bigint := 0;
            begin
                delete from audit where at < until;
                get diagnostics gone = row_count;
                delete from lesson_changes where at < until;
                get diagnostics part = row_count;
                gone := gone + part;
                delete from cover_passes where made_at < until;
                get diagnostics part = row_count;
                gone := gone + part;
                delete from calendar_feeds where ended_at < until;
                get diagnostics part = row_count;
                return gone + part;
            end
            $$
            """
        );
        migration.Sql("revoke all on function remove_old(integer) from public");
        migration.Sql($"grant execute on function remove_old(integer) to {RowLevelSecurity.AppRole}");
    }
}

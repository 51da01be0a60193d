using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// The second wall between schools: the app's role owns nothing, and sees only rows of the school that the transaction
/// named.
/// A new school-owned table calls <see cref="Protect"/> in its migration.
/// </summary>
public static class RowLevelSecurity
{
    /// <summary>The role the app signs in as; made by ./start and ./test.</summary>
    public const string AppRole = "bold_app";

    /// <summary>Lets the app read and write rows of the current school in these tables.</summary>
    public static void Protect(MigrationBuilder migration, params string[] tables)
    {
        foreach (var table in tables)
        {
            migration.Sql($"alter table {table} enable row level security");
            migration.Sql(
                $"create policy {table}_of_school on {table} using (school_id = nullif(current_setting('app.school_id', true), '')::uuid)"
            );
        }
    }

    /// <summary>Grants on tables; what is append-only gets no update or delete.</summary>
    public static void Grant(MigrationBuilder migration, string rights, params string[] tables)
    {
        foreach (var table in tables)
            migration.Sql($"grant {rights} on {table} to {AppRole}");
    }
}

using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// In what state a school is: another stamp with each transaction that changes a row of it, whoever made the change.
/// What was answered under a stamp is the answer while the stamp stands.
/// </summary>
public sealed class SchoolState : ISchoolOwned
{
    public const string Trigger = "changes_the_school";

    public required Guid SchoolId { get; init; }

    public required Guid Stamp { get; set; }

    /// <summary>
    /// The function behind the triggers. It runs once a transaction, when that commits: no lock is held before, so
    /// nobody waits for who is still at work.
    /// </summary>
    public static void AddFunction(MigrationBuilder migration)
    {
        migration.Sql(
            """
            create function change_school() returns trigger
                language plpgsql security definer set search_path = public, pg_temp as $$
            declare
                school uuid := case when tg_op = 'DELETE' then old.school_id else new.school_id end;
                told text := school || ' ' || pg_current_xact_id();
            begin
                if current_setting('app.changed', true) is distinct from told then
                    -- A school that goes takes its state along.
                    insert into school_states (school_id, stamp)
                        select school_id, gen_random_uuid() from schools where school_id = school
                        on conflict (school_id) do update set stamp = excluded.stamp;
                    perform set_config('app.changed', told, true);
                end if;
                return null;
            end
            $$
            """
        );
        migration.Sql("revoke all on function change_school() from public");
    }

    /// <summary>Every school-owned table is watched; a new one calls this in its migration.</summary>
    public static void Watch(MigrationBuilder migration, params string[] tables)
    {
        foreach (var table in tables)
            migration.Sql(
                $"create constraint trigger {Trigger} after insert or update or delete on {table} "
                    + "deferrable initially deferred for each row execute function change_school()"
            );
    }
}

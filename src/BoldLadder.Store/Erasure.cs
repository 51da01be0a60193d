using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// Erasing what is kept of one child, from tables that the app may only add to: a function of the tables' owner does
/// it, asked for by a lead, in the lead's own school alone. It finds the tables by their column child_id, so that a new
/// one is covered when it is made. Source: docs/handbook.md, section 10.
/// </summary>
public static class Erasure
{
    public static void AddFunction(MigrationBuilder migration)
    {
        migration.Sql(
            """
            create or replace function erase_child(child uuid) returns bigint
                language plpgsql security definer set search_path = public, pg_temp as $$
            declare
                school uuid := nullif(current_setting('app.school_id', true), '')::uuid;
                person uuid := nullif(current_setting('app.user_id', true), '')::uuid;
                kept record;
                gone bigint;
                erased bigint := 0;
            begin
                if not exists (
                    select 1 from memberships
                    where school_id = school and user_id = person and role = 'Lead' and is_active
                ) then
                    raise exception 'Only a lead of the school erases a child.'
                        using errcode = 'insufficient_privilege';
                end if;
                for kept in
                    select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace
                    where n.nspname = 'public' and c.relkind in ('r', 'p') and not c.relispartition
                        and exists (select 1 from pg_attribute a
                            where a.attrelid = c.oid and a.attname = 'child_id' and not a.attisdropped)
                        and exists (select 1 from pg_attribute a
                            where a.attrelid = c.oid and a.attname = 'school_id' and not a.attisdropped)
                    -- The name last, so that all that goes is counted.
                    order by c.relname = 'children', c.relname
                loop
                    execute format(
                        'delete from %I where school_id = %L and child_id = %L', kept.relname, school, child);
                    get diagnostics gone = row_count;
                    erased := erased + gone;
                end loop;
                insert into audit (school_id, id, user_id, at, action, subject)
                    values (school, gen_random_uuid(), person, now(), 'child-erased', child);
                return erased;
            end
            $$
            """
        );
        migration.Sql("revoke all on function erase_child(uuid) from public");
        migration.Sql($"grant execute on function erase_child(uuid) to {RowLevelSecurity.AppRole}");
    }
}

using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// Deleting a school that was made to look round in, with everyone who was invented for it: a function of the tables'
/// owner does it, asked for by who made the school. No other school can be deleted so.
/// </summary>
public static class Leaving
{
    public static Task Delete(BoldContext store, CancellationToken stop) =>
        store.Database.ExecuteSqlAsync($"select delete_look_round()", stop);

    public static void AddFunction(MigrationBuilder migration)
    {
        migration.Sql(
            """
            create function delete_look_round() returns void
                language plpgsql security definer set search_path = public, pg_temp as $$
            declare
                school uuid := nullif(current_setting('app.school_id', true), '')::uuid;
                person uuid := nullif(current_setting('app.user_id', true), '')::uuid;
                people uuid[];
                open text[];
                held text[];
                one text;
            begin
                if not exists (select 1 from look_rounds where school_id = school and made_by = person) then
                    raise exception 'Only who made a school to look round in deletes it.'
                        using errcode = 'insufficient_privilege';
                end if;
                people := array(select user_id from memberships where school_id = school and user_id <> person);
                open := array(select c.relname::text from pg_class c join pg_namespace n on n.oid = c.relnamespace
                    where n.nspname = 'public' and c.relkind in ('r', 'p') and not c.relispartition
                        and c.relname <> 'schools'
                        and exists (select 1 from pg_attribute a
                            where a.attrelid = c.oid and a.attname = 'school_id' and not a.attisdropped));
                -- What refers to others goes first: round by round what nothing holds any more.
                while array_length(open, 1) > 0 loop
                    held := '{}';
                    foreach one in array open loop
                        begin
                            execute format('delete from %I where school_id = %L', one, school);
                        exception when foreign_key_violation then
                            held := held || one;
                        end;
                    end loop;
                    if held = open then
                        raise exception 'The school is held by %.', held;
                    end if;
                    open := held;
                end loop;
                delete from schools where school_id = school;
                -- Invented people have no way in, and are nowhere else.
                delete from users u where u.id = any(people) and u.password_hash is null
                    and not exists (select 1 from memberships m where m.user_id = u.id);
            end
            $$
            """
        );
        migration.Sql("revoke all on function delete_look_round() from public");
        migration.Sql($"grant execute on function delete_look_round() to {RowLevelSecurity.AppRole}");
    }
}

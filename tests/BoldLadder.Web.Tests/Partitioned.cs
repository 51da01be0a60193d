namespace BoldLadder.Web.Tests;

/// <summary>
/// The same tables as partitions by school, as a store of many schools would have them: keys, foreign keys, policies
/// and rights are what they were. With BOLD_PARTITIONED=1 every test runs on these.
/// </summary>
public static class Partitioned
{
    public static bool Wanted => Environment.GetEnvironmentVariable("BOLD_PARTITIONED") == "1";

    /// <summary>Turns every school-owned table of a migrated, empty database into one with four partitions.</summary>
    public const string Sql = """
        do $$
        declare
            owned text[] := array(select c.relname::text from pg_class c join pg_namespace n on n.oid = c.relnamespace
                where n.nspname = 'public' and c.relkind = 'r' and not c.relispartition
                    and exists (select 1 from pg_attribute a
                    where a.attrelid = c.oid and a.attname = 'school_id' and not a.attisdropped));
            keys text[] := '{}';
            rights text[] := '{}';
            one record;
            name text;
        begin
            for one in select conrelid::regclass::text as holder, conname, pg_get_constraintdef(oid) as definition
                from pg_constraint where contype = 'f' and conparentid = 0
                    and (conrelid::regclass::text = any(owned) or confrelid::regclass::text = any(owned))
            loop
                keys := keys || format('alter table %s add constraint %I %s', one.holder, one.conname, one.definition);
                execute format('alter table %s drop constraint %I', one.holder, one.conname);
            end loop;
            for one in select * from pg_policies where schemaname = 'public' loop
                rights := rights || format(
                    'create policy %I on %I for %s using (%s)', one.policyname, one.tablename, one.cmd, one.qual);
                execute format('drop policy %I on %I', one.policyname, one.tablename);
            end loop;
            for one in select table_name, grantee, privilege_type from information_schema.role_table_grants
                where table_schema = 'public' and table_name = any(owned) and grantee <> current_user
            loop
                rights := rights || format('grant %s on %I to %I', one.privilege_type, one.table_name, one.grantee);
            end loop;
            for one in select pg_get_triggerdef(t.oid) as definition from pg_trigger t
                where not t.tgisinternal and t.tgrelid::regclass::text = any(owned)
            loop
                keys := keys || one.definition;
            end loop;
            foreach name in array owned loop
                execute format('alter table %I rename to %I', name, name || '_whole');
                execute format(
                    'create table %I (like %I including defaults including constraints including indexes)'
                    || ' partition by hash (school_id)', name, name || '_whole');
                for part in 0..3 loop
                    execute format(
                        'create table %I partition of %I for values with (modulus 4, remainder %s)',
                        name || '_' || part, name, part);
                end loop;
                execute format('drop table %I', name || '_whole');
                execute format('alter table %I enable row level security', name);
            end loop;
            foreach name in array rights || keys loop
                execute name;
            end loop;
        end
        $$
        """;
}

using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// The tables by which Quartz runs jobs in any of several processes, as its PostgreSQL store asks for them, and the
/// function by which open jobs are found in all schools. Nothing in them names a person or a child.
/// </summary>
public static class JobTables
{
    /// <summary>A job that has not ended.</summary>
    public sealed record Open(Guid SchoolId, Guid Id);

    /// <summary>
    /// Jobs of all schools that have not ended; on the way what jobs made a day ago goes, and what is said of them
    /// after a month.
    /// </summary>
    public static Task<List<Open>> Tidy(BoldContext store, CancellationToken stop) =>
        store.Database.SqlQuery<Open>($"select * from tidy_jobs()").ToListAsync(stop);

    /// <summary>
    /// The kind of a job that no process of the app runs: a backup has all schools in it, which the app never sees.
    /// It is taken by <c>bold-admin</c>.
    /// </summary>
    public const string Elsewhere = "backup";

    /// <summary>Leaves what is run elsewhere to whoever runs it.</summary>
    public static void LeaveElsewhere(MigrationBuilder migration) =>
        migration.Sql(
            $"""
            create or replace function tidy_jobs() returns table (school_id uuid, id uuid)
                language plpgsql security definer set search_path = public, pg_temp as $$
            begin
                update jobs j set result = null
                    where j.result is not null and j.ended_at < now() - interval '1 day';
                delete from jobs j where j.ended_at < now() - interval '30 days';
                return query select j.school_id, j.id from jobs j
                    where j.ended_at is null and j.kind <> '{Elsewhere}' order by j.made_at;
            end
            $$
            """
        );

    public static void Add(MigrationBuilder migration)
    {
        migration.Sql(Quartz);
        foreach (var table in Tables)
            migration.Sql($"grant select, insert, update, delete on {table} to {RowLevelSecurity.AppRole}");
        migration.Sql(
            """
            create function tidy_jobs() returns table (school_id uuid, id uuid)
                language plpgsql security definer set search_path = public, pg_temp as $$
            begin
                update jobs j set result = null
                    where j.result is not null and j.ended_at < now() - interval '1 day';
                delete from jobs j where j.ended_at < now() - interval '30 days';
                return query select j.school_id, j.id from jobs j where j.ended_at is null order by j.made_at;
            end
            $$
            """
        );
        migration.Sql("revoke all on function tidy_jobs() from public");
        migration.Sql($"grant execute on function tidy_jobs() to {RowLevelSecurity.AppRole}");
    }

    public static void Drop(MigrationBuilder migration)
    {
        migration.Sql("drop function tidy_jobs()");
        foreach (var table in Tables.Reverse())
            migration.Sql($"drop table {table}");
    }

    private static readonly string[] Tables =
    [
        "qrtz_job_details",
        "qrtz_triggers",
        "qrtz_simple_triggers",
        "qrtz_simprop_triggers",
        "qrtz_cron_triggers",
        "qrtz_blob_triggers",
        "qrtz_calendars",
        "qrtz_paused_trigger_grps",
        "qrtz_fired_triggers",
        "qrtz_scheduler_state",
        "qrtz_locks",
    ];

    private const string Quartz = """
        create table qrtz_job_details (
            sched_name text not null, job_name text not null, job_group text not null, description text,
            job_class_name text not null, is_durable bool not null, is_nonconcurrent bool not null,
            is_update_data bool not null, requests_recovery bool not null, job_data bytea,
            primary key (sched_name, job_name, job_group));
        create table qrtz_triggers (
            sched_name text not null, trigger_name text not null, trigger_group text not null,
            job_name text not null, job_group text not null, description text, next_fire_time bigint,
            prev_fire_time bigint, priority integer, trigger_state text not null, trigger_type text not null,
            start_time bigint not null, end_time bigint, calendar_name text, misfire_instr smallint, job_data bytea,
            misfire_orig_fire_time bigint,
            primary key (sched_name, trigger_name, trigger_group),
            foreign key (sched_name, job_name, job_group)
                references qrtz_job_details (sched_name, job_name, job_group));
        create table qrtz_simple_triggers (
            sched_name text not null, trigger_name text not null, trigger_group text not null,
            repeat_count bigint not null, repeat_interval bigint not null, times_triggered bigint not null,
            primary key (sched_name, trigger_name, trigger_group),
            foreign key (sched_name, trigger_name, trigger_group)
                references qrtz_triggers (sched_name, trigger_name, trigger_group) on delete cascade);
        create table qrtz_simprop_triggers (
            sched_name text not null, trigger_name text not null, trigger_group text not null,
            str_prop_1 text, str_prop_2 text, str_prop_3 text, int_prop_1 integer, int_prop_2 integer,
            long_prop_1 bigint, long_prop_2 bigint, dec_prop_1 numeric, dec_prop_2 numeric,
            bool_prop_1 bool, bool_prop_2 bool, time_zone_id text,
            primary key (sched_name, trigger_name, trigger_group),
            foreign key (sched_name, trigger_name, trigger_group)
                references qrtz_triggers (sched_name, trigger_name, trigger_group) on delete cascade);
        create table qrtz_cron_triggers (
            sched_name text not null, trigger_name text not null, trigger_group text not null,
            cron_expression text not null, time_zone_id text,
            primary key (sched_name, trigger_name, trigger_group),
            foreign key (sched_name, trigger_name, trigger_group)
                references qrtz_triggers (sched_name, trigger_name, trigger_group) on delete cascade);
        create table qrtz_blob_triggers (
            sched_name text not null, trigger_name text not null, trigger_group text not null, blob_data bytea,
            primary key (sched_name, trigger_name, trigger_group),
            foreign key (sched_name, trigger_name, trigger_group)
                references qrtz_triggers (sched_name, trigger_name, trigger_group) on delete cascade);
        create table qrtz_calendars (
            sched_name text not null, calendar_name text not null, calendar bytea not null,
            primary key (sched_name, calendar_name));
        create table qrtz_paused_trigger_grps (
            sched_name text not null, trigger_group text not null, primary key (sched_name, trigger_group));
        create table qrtz_fired_triggers (
            sched_name text not null, entry_id text not null, trigger_name text not null, trigger_group text not null,
            instance_name text not null, fired_time bigint not null, sched_time bigint not null,
            priority integer not null, state text not null, job_name text, job_group text,
            is_nonconcurrent bool not null, requests_recovery bool, primary key (sched_name, entry_id));
        create table qrtz_scheduler_state (
            sched_name text not null, instance_name text not null, last_checkin_time bigint not null,
            checkin_interval bigint not null, primary key (sched_name, instance_name));
        create table qrtz_locks (
            sched_name text not null, lock_name text not null, primary key (sched_name, lock_name));
        create index ix_qrtz_triggers_next on qrtz_triggers (next_fire_time);
        create index ix_qrtz_triggers_state on qrtz_triggers (trigger_state, next_fire_time);
        create index ix_qrtz_fired_by_instance on qrtz_fired_triggers (instance_name);
        create index ix_qrtz_fired_by_job on qrtz_fired_triggers (job_name, job_group)
        """;
}

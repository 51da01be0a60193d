using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Migrations;

namespace BoldLadder.Store;

/// <summary>
/// Who stands at a school's door, in one statement that needs no transaction: the person's session, their role in the
/// school, and in what state the school is.
/// </summary>
/// <param name="StartedAt">Null when there is no such session, or it was ended.</param>
/// <param name="Role">Null for who does not belong to the school.</param>
/// <param name="Stamp">Null while nothing of the school has changed since states are kept.</param>
public sealed record Entrance(
    DateTime? StartedAt,
    DateTime? SeenAt,
    string? SecurityStamp,
    DateTimeOffset? LockoutEnd,
    string? Role,
    string? TimeZone,
    Guid? Stamp
)
{
    public static Task<Entrance> Look(
        BoldContext store,
        Guid user,
        Guid session,
        Guid school,
        CancellationToken stop
    ) => store.Database.SqlQuery<Entrance>($"select * from look_in({user}, {session}, {school})").SingleAsync(stop);

    /// <summary>
    /// The function, of the tables' owner: what it shows of a school follows from the person's membership alone.
    /// </summary>
    public static void AddFunction(MigrationBuilder migration)
    {
        migration.Sql(
            """
            create or replace function look_in(person uuid, session uuid, school uuid)
                returns table (started_at timestamptz, seen_at timestamptz, security_stamp text,
                    lockout_end timestamptz, role text, time_zone text, stamp uuid)
                language plpgsql stable security definer set search_path = public, pg_temp as $$
            begin
                -- In this language the plan is kept with the connection.
                return query
                select e.started_at, e.seen_at, u.security_stamp, u.lockout_end, m.role::text, s.time_zone, c.stamp
                from (select person as id) p
                left join user_sessions e on e.id = session and e.user_id = p.id and e.ended_at is null
                    and e.locked_at is null
                left join users u on u.id = e.user_id
                left join memberships m on m.school_id = school and m.user_id = p.id and m.is_active
                left join schools s on s.school_id = m.school_id
                left join school_states c on c.school_id = m.school_id;
            end
            $$
            """
        );
        migration.Sql("revoke all on function look_in(uuid, uuid, uuid) from public");
        migration.Sql($"grant execute on function look_in(uuid, uuid, uuid) to {RowLevelSecurity.AppRole}");
    }
}

using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class FeedsAndLookRound : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "backups",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    proven_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    rows = table.Column<long>(type: "bigint", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_backups", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "calendar_feeds",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    group_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_by = table.Column<Guid>(type: "uuid", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    code_hash = table.Column<byte[]>(type: "bytea", nullable: false),
                    starts_at = table.Column<TimeOnly>(type: "time without time zone", nullable: true),
                    ended_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_calendar_feeds", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_calendar_feeds_groups_school_id_group_id",
                        columns: x => new { x.school_id, x.group_id },
                        principalTable: "groups",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "look_rounds",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_by = table.Column<Guid>(type: "uuid", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_look_rounds", x => x.school_id);
                    table.ForeignKey(
                        name: "fk_look_rounds_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_calendar_feeds_school_id_code_hash",
                table: "calendar_feeds",
                columns: new[] { "school_id", "code_hash" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_calendar_feeds_school_id_group_id",
                table: "calendar_feeds",
                columns: new[] { "school_id", "group_id" });

            RowLevelSecurity.Protect(migrationBuilder, "calendar_feeds", "look_rounds");
            // Which of their schools is one to look round in is shown before any is chosen.
            migrationBuilder.Sql("create policy look_rounds_of_user on look_rounds for select using (made_by = nullif(current_setting('app.user_id', true), '')::uuid)");
            SchoolState.Watch(migrationBuilder, "calendar_feeds", "look_rounds");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "calendar_feeds");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert", "look_rounds");
            RowLevelSecurity.Grant(migrationBuilder, "select", "backups");
            Retention.AddFunction(migrationBuilder);
            Leaving.AddFunction(migrationBuilder);
            JobTables.LeaveElsewhere(migrationBuilder);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql("drop function delete_look_round()");
            migrationBuilder.Sql("drop function remove_old(integer)");

            migrationBuilder.DropTable(
                name: "backups");

            migrationBuilder.DropTable(
                name: "calendar_feeds");

            migrationBuilder.DropTable(
                name: "look_rounds");
        }
    }
}

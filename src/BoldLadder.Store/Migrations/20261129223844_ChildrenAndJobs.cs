using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class ChildrenAndJobs : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_groups_school_id_name",
                table: "groups");

            migrationBuilder.AddColumn<DateTime>(
                name: "confirmed_at",
                table: "user_sessions",
                type: "timestamp with time zone",
                nullable: false,
                defaultValue: new DateTime(1, 1, 1, 0, 0, 0, 0, DateTimeKind.Unspecified));

            migrationBuilder.AddColumn<int[]>(
                name: "weekday_minutes",
                table: "groups",
                type: "integer[]",
                nullable: true);

            migrationBuilder.AddColumn<int[]>(
                name: "weekdays",
                table: "group_teachers",
                type: "integer[]",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "children",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    child_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "character varying(30)", maxLength: 30, nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_children", x => new { x.school_id, x.child_id });
                    table.ForeignKey(
                        name: "fk_children_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "jobs",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "text", nullable: false),
                    made_by = table.Column<Guid>(type: "uuid", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    state = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    input = table.Column<byte[]>(type: "bytea", nullable: true),
                    done = table.Column<int>(type: "integer", nullable: false),
                    total = table.Column<int>(type: "integer", nullable: false),
                    is_to_cancel = table.Column<bool>(type: "boolean", nullable: false),
                    ended_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true),
                    refusal = table.Column<string>(type: "text", nullable: true),
                    refusal_arguments = table.Column<string>(type: "text", nullable: true),
                    result = table.Column<byte[]>(type: "bytea", nullable: true),
                    result_name = table.Column<string>(type: "text", nullable: true),
                    tries = table.Column<int>(type: "integer", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_jobs", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_jobs_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "child_absences",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    child_id = table.Column<Guid>(type: "uuid", nullable: false),
                    date = table.Column<DateOnly>(type: "date", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_child_absences", x => new { x.school_id, x.child_id, x.date });
                    table.ForeignKey(
                        name: "fk_child_absences_children_school_id_child_id",
                        columns: x => new { x.school_id, x.child_id },
                        principalTable: "children",
                        principalColumns: new[] { "school_id", "child_id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "child_places",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    child_id = table.Column<Guid>(type: "uuid", nullable: false),
                    group_id = table.Column<Guid>(type: "uuid", nullable: false),
                    first = table.Column<DateOnly>(type: "date", nullable: false),
                    last = table.Column<DateOnly>(type: "date", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_child_places", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_child_places_children_school_id_child_id",
                        columns: x => new { x.school_id, x.child_id },
                        principalTable: "children",
                        principalColumns: new[] { "school_id", "child_id" },
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_child_places_groups_school_id_group_id",
                        columns: x => new { x.school_id, x.group_id },
                        principalTable: "groups",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_groups_school_id_name",
                table: "groups",
                columns: new[] { "school_id", "name" },
                unique: true,
                filter: "ended_on is null");

            migrationBuilder.CreateIndex(
                name: "ix_child_places_school_id_child_id",
                table: "child_places",
                columns: new[] { "school_id", "child_id" });

            migrationBuilder.CreateIndex(
                name: "ix_child_places_school_id_group_id",
                table: "child_places",
                columns: new[] { "school_id", "group_id" });

            migrationBuilder.CreateIndex(
                name: "ix_jobs_school_id_made_at",
                table: "jobs",
                columns: new[] { "school_id", "made_at" });

            RowLevelSecurity.Protect(migrationBuilder, "children", "child_places", "child_absences", "jobs");
            SchoolState.Watch(migrationBuilder, "children", "child_places", "child_absences", "jobs");
            // A child's name goes by erasure alone.
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "children", "jobs");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "child_places", "child_absences");
            RowLevelSecurity.Grant(migrationBuilder, "update", "group_teachers");
            // Whether its tables are of the version it was made for, an app asks before it is sent work.
            migrationBuilder.Sql($"grant select on \"__EFMigrationsHistory\" to {RowLevelSecurity.AppRole}");
            JobTables.Add(migrationBuilder);
            Erasure.AddFunction(migrationBuilder);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql($"revoke select on \"__EFMigrationsHistory\" from {RowLevelSecurity.AppRole}");
            JobTables.Drop(migrationBuilder);
            migrationBuilder.DropTable(
                name: "child_absences");

            migrationBuilder.DropTable(
                name: "child_places");

            migrationBuilder.DropTable(
                name: "jobs");

            migrationBuilder.DropTable(
                name: "children");

            migrationBuilder.DropIndex(
                name: "ix_groups_school_id_name",
                table: "groups");

            migrationBuilder.DropColumn(
                name: "confirmed_at",
                table: "user_sessions");

            migrationBuilder.DropColumn(
                name: "weekday_minutes",
                table: "groups");

            migrationBuilder.DropColumn(
                name: "weekdays",
                table: "group_teachers");

            migrationBuilder.CreateIndex(
                name: "ix_groups_school_id_name",
                table: "groups",
                columns: new[] { "school_id", "name" },
                unique: true);
        }
    }
}

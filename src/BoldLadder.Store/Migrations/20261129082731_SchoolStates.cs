using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class SchoolStates : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "school_states",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    stamp = table.Column<Guid>(type: "uuid", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_school_states", x => x.school_id);
                    table.ForeignKey(
                        name: "fk_school_states_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            RowLevelSecurity.Protect(migrationBuilder, "school_states");
            RowLevelSecurity.Grant(migrationBuilder, "select", "school_states");
            SchoolState.AddFunction(migrationBuilder);
            SchoolState.Watch(
                migrationBuilder,
                "schools", "memberships", "terms", "closed_days", "audit", "ladders", "ladder_versions", "ladder_drafts",
                "ladder_changes", "checkpoints", "teaching_notes", "groups", "group_teachers", "teaching_log", "lessons",
                "lesson_changes", "lesson_undos", "group_standings", "school_words", "lesson_templates", "cover_passes");
            Entrance.AddFunction(migrationBuilder);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql("drop function look_in(uuid, uuid, uuid)");
            migrationBuilder.Sql("drop function change_school() cascade");
            migrationBuilder.DropTable(
                name: "school_states");
        }
    }
}

using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class LadderEditing : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "check_weeks",
                table: "schools",
                type: "integer",
                nullable: false,
                defaultValue: 6);

            migrationBuilder.AddColumn<int[]>(
                name: "lesson_days",
                table: "schools",
                type: "integer[]",
                nullable: false,
                defaultValueSql: "'{1,2,3,4,5}'");

            migrationBuilder.AddColumn<int>(
                name: "recap_weeks",
                table: "schools",
                type: "integer",
                nullable: false,
                defaultValue: 2);

            migrationBuilder.AddColumn<int>(
                name: "review_weeks",
                table: "schools",
                type: "integer",
                nullable: false,
                defaultValue: 1);

            migrationBuilder.AddColumn<string>(
                name: "style",
                table: "schools",
                type: "jsonb",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "name",
                table: "ladder_versions",
                type: "text",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<Guid>(
                name: "published_by",
                table: "ladder_versions",
                type: "uuid",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "checkpoints",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    date = table.Column<DateOnly>(type: "date", nullable: false),
                    what = table.Column<string>(type: "text", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_checkpoints", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_checkpoints_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "ladder_changes",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    ladder_id = table.Column<Guid>(type: "uuid", nullable: false),
                    version = table.Column<int>(type: "integer", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    steps = table.Column<string>(type: "jsonb", nullable: false),
                    inverse = table.Column<string>(type: "jsonb", nullable: false),
                    undoes = table.Column<int>(type: "integer", nullable: true),
                    at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    user_id = table.Column<Guid>(type: "uuid", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_ladder_changes", x => new { x.school_id, x.ladder_id, x.version });
                    table.ForeignKey(
                        name: "fk_ladder_changes_ladders_school_id_ladder_id",
                        columns: x => new { x.school_id, x.ladder_id },
                        principalTable: "ladders",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "ladder_drafts",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    ladder_id = table.Column<Guid>(type: "uuid", nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                    version = table.Column<int>(type: "integer", nullable: false),
                    based_on = table.Column<int>(type: "integer", nullable: false),
                    since = table.Column<int>(type: "integer", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_ladder_drafts", x => new { x.school_id, x.ladder_id });
                    table.ForeignKey(
                        name: "fk_ladder_drafts_ladders_school_id_ladder_id",
                        columns: x => new { x.school_id, x.ladder_id },
                        principalTable: "ladders",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "teaching_notes",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    subject = table.Column<string>(type: "text", nullable: false),
                    key_word = table.Column<string>(type: "text", nullable: false),
                    phrase = table.Column<string>(type: "text", nullable: false),
                    mouth_cue = table.Column<string>(type: "text", nullable: false),
                    formation = table.Column<string>(type: "text", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_teaching_notes", x => new { x.school_id, x.subject });
                    table.ForeignKey(
                        name: "fk_teaching_notes_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            RowLevelSecurity.Protect(migrationBuilder, "ladder_drafts", "ladder_changes", "checkpoints", "teaching_notes");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "ladder_drafts");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert", "ladder_changes");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "checkpoints", "teaching_notes", "terms", "closed_days");
            RowLevelSecurity.Grant(migrationBuilder, "insert", "ladders", "ladder_versions");
            RowLevelSecurity.Grant(migrationBuilder, "update", "ladders", "groups", "schools");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "checkpoints");

            migrationBuilder.DropTable(
                name: "ladder_changes");

            migrationBuilder.DropTable(
                name: "ladder_drafts");

            migrationBuilder.DropTable(
                name: "teaching_notes");

            migrationBuilder.DropColumn(
                name: "check_weeks",
                table: "schools");

            migrationBuilder.DropColumn(
                name: "lesson_days",
                table: "schools");

            migrationBuilder.DropColumn(
                name: "recap_weeks",
                table: "schools");

            migrationBuilder.DropColumn(
                name: "review_weeks",
                table: "schools");

            migrationBuilder.DropColumn(
                name: "style",
                table: "schools");

            migrationBuilder.DropColumn(
                name: "name",
                table: "ladder_versions");

            migrationBuilder.DropColumn(
                name: "published_by",
                table: "ladder_versions");
        }
    }
}

using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class DailyLessons : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string[]>(
                name: "missed",
                table: "teaching_log",
                type: "text[]",
                nullable: false,
                defaultValueSql: "'{}'");

            migrationBuilder.AddColumn<string[]>(
                name: "avoid",
                table: "groups",
                type: "text[]",
                nullable: false,
                defaultValueSql: "'{}'");

            migrationBuilder.CreateTable(
                name: "cover_passes",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    group_id = table.Column<Guid>(type: "uuid", nullable: false),
                    date = table.Column<DateOnly>(type: "date", nullable: false),
                    code_hash = table.Column<byte[]>(type: "bytea", nullable: false),
                    made_by = table.Column<Guid>(type: "uuid", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    ended = table.Column<bool>(type: "boolean", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_cover_passes", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_cover_passes_groups_school_id_group_id",
                        columns: x => new { x.school_id, x.group_id },
                        principalTable: "groups",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "lesson_templates",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    weekday = table.Column<int>(type: "integer", nullable: true),
                    document = table.Column<string>(type: "jsonb", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_lesson_templates", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_lesson_templates_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "school_words",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    spelling = table.Column<string>(type: "text", nullable: false),
                    verdict = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    graphemes = table.Column<string>(type: "text", nullable: true),
                    phonemes = table.Column<string>(type: "text", nullable: true),
                    reason = table.Column<string>(type: "text", nullable: false),
                    user_id = table.Column<Guid>(type: "uuid", nullable: false),
                    at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_school_words", x => new { x.school_id, x.spelling });
                    table.ForeignKey(
                        name: "fk_school_words_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_cover_passes_school_id_code_hash",
                table: "cover_passes",
                columns: new[] { "school_id", "code_hash" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_cover_passes_school_id_group_id",
                table: "cover_passes",
                columns: new[] { "school_id", "group_id" });

            RowLevelSecurity.Protect(migrationBuilder, "school_words", "lesson_templates", "cover_passes");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "school_words", "lesson_templates");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "cover_passes");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "cover_passes");

            migrationBuilder.DropTable(
                name: "lesson_templates");

            migrationBuilder.DropTable(
                name: "school_words");

            migrationBuilder.DropColumn(
                name: "missed",
                table: "teaching_log");

            migrationBuilder.DropColumn(
                name: "avoid",
                table: "groups");
        }
    }
}

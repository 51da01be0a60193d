using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class LessonsById : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_lessons_school_id_group_id_date",
                table: "lessons");

            migrationBuilder.AddColumn<Guid>(
                name: "lesson_id",
                table: "teaching_log",
                type: "uuid",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "kind",
                table: "lessons",
                type: "character varying(20)",
                maxLength: 20,
                nullable: false,
                defaultValue: "Lesson");

            migrationBuilder.AddColumn<Guid>(
                name: "lesson_id",
                table: "cover_passes",
                type: "uuid",
                nullable: false,
                defaultValue: new Guid("00000000-0000-0000-0000-000000000000"));

            migrationBuilder.CreateTable(
                name: "lesson_undos",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    lesson_id = table.Column<Guid>(type: "uuid", nullable: false),
                    version = table.Column<int>(type: "integer", nullable: false),
                    inverse = table.Column<string>(type: "jsonb", nullable: false),
                    stamp_before = table.Column<string>(type: "jsonb", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_lesson_undos", x => new { x.school_id, x.lesson_id, x.version });
                    table.ForeignKey(
                        name: "fk_lesson_undos_lessons_school_id_lesson_id",
                        columns: x => new { x.school_id, x.lesson_id },
                        principalTable: "lessons",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            // The rung that stood beside a lesson goes into it, where today's reader finds it.
            migrationBuilder.Sql("update lessons set document = document || jsonb_build_object('rungId', rung_id) where document->>'format' = '1'");
            migrationBuilder.Sql("""
                insert into lesson_undos (school_id, lesson_id, version, inverse, stamp_before)
                select c.school_id, c.lesson_id, c.version,
                    jsonb_build_array(jsonb_build_object('$type', 'anew', 'lesson', c.before || jsonb_build_object('rungId', coalesce(c.rung_before, l.rung_id)))), c.stamp_before
                from lesson_changes c join lessons l on l.school_id = c.school_id and l.id = c.lesson_id where l.status = 'Planned'
                """);
            migrationBuilder.Sql("update teaching_log t set lesson_id = l.id from lessons l where l.school_id = t.school_id and l.group_id = t.group_id and l.date = t.date");
            migrationBuilder.Sql("update cover_passes p set lesson_id = l.id from lessons l where l.school_id = p.school_id and l.group_id = p.group_id and l.date = p.date");
            migrationBuilder.Sql("delete from cover_passes where lesson_id = '00000000-0000-0000-0000-000000000000'");

            migrationBuilder.DropColumn(
                name: "before",
                table: "lesson_changes");

            migrationBuilder.DropColumn(
                name: "rung_before",
                table: "lesson_changes");

            migrationBuilder.DropColumn(
                name: "stamp_before",
                table: "lesson_changes");

            migrationBuilder.CreateIndex(
                name: "ix_teaching_log_school_id_lesson_id",
                table: "teaching_log",
                columns: new[] { "school_id", "lesson_id" });

            migrationBuilder.CreateIndex(
                name: "ix_lessons_school_id_date_status",
                table: "lessons",
                columns: new[] { "school_id", "date", "status" });

            migrationBuilder.CreateIndex(
                name: "ix_lessons_school_id_group_id_date",
                table: "lessons",
                columns: new[] { "school_id", "group_id", "date" },
                unique: true,
                filter: "kind = 'Lesson'");

            migrationBuilder.CreateIndex(
                name: "ix_cover_passes_school_id_lesson_id",
                table: "cover_passes",
                columns: new[] { "school_id", "lesson_id" });

            migrationBuilder.AddForeignKey(
                name: "fk_cover_passes_lessons_school_id_lesson_id",
                table: "cover_passes",
                columns: new[] { "school_id", "lesson_id" },
                principalTable: "lessons",
                principalColumns: new[] { "school_id", "id" },
                onDelete: ReferentialAction.Cascade);

            migrationBuilder.AddForeignKey(
                name: "fk_teaching_log_lessons_school_id_lesson_id",
                table: "teaching_log",
                columns: new[] { "school_id", "lesson_id" },
                principalTable: "lessons",
                principalColumns: new[] { "school_id", "id" });

            RowLevelSecurity.Protect(migrationBuilder, "lesson_undos");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, delete", "lesson_undos");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(
                name: "fk_cover_passes_lessons_school_id_lesson_id",
                table: "cover_passes");

            migrationBuilder.DropForeignKey(
                name: "fk_teaching_log_lessons_school_id_lesson_id",
                table: "teaching_log");

            migrationBuilder.DropTable(
                name: "lesson_undos");

            migrationBuilder.DropIndex(
                name: "ix_teaching_log_school_id_lesson_id",
                table: "teaching_log");

            migrationBuilder.DropIndex(
                name: "ix_lessons_school_id_date_status",
                table: "lessons");

            migrationBuilder.DropIndex(
                name: "ix_lessons_school_id_group_id_date",
                table: "lessons");

            migrationBuilder.DropIndex(
                name: "ix_cover_passes_school_id_lesson_id",
                table: "cover_passes");

            migrationBuilder.DropColumn(
                name: "lesson_id",
                table: "teaching_log");

            migrationBuilder.DropColumn(
                name: "kind",
                table: "lessons");

            migrationBuilder.DropColumn(
                name: "lesson_id",
                table: "cover_passes");

            migrationBuilder.AddColumn<string>(
                name: "before",
                table: "lesson_changes",
                type: "jsonb",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "rung_before",
                table: "lesson_changes",
                type: "text",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "stamp_before",
                table: "lesson_changes",
                type: "jsonb",
                nullable: true);

            migrationBuilder.CreateIndex(
                name: "ix_lessons_school_id_group_id_date",
                table: "lessons",
                columns: new[] { "school_id", "group_id", "date" },
                unique: true);
        }
    }
}

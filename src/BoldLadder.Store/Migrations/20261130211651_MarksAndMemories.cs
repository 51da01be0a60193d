using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class MarksAndMemories : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // The one table that grows without end is in parts by school from the start.
            migrationBuilder.Sql(
                """
                create table evidence (
                    school_id uuid not null,
                    id uuid not null,
                    mark_id uuid not null,
                    lesson_id uuid not null,
                    group_id uuid not null,
                    child_id uuid,
                    day date not null,
                    target character varying(60) not null,
                    skill character varying(10) not null,
                    seen character varying(20) not null,
                    source character varying(20) not null,
                    word text not null,
                    place integer not null,
                    written text not null,
                    as_spoken boolean not null,
                    made_at timestamp with time zone not null,
                    constraint pk_evidence primary key (school_id, id),
                    constraint fk_evidence_lessons_school_id_lesson_id foreign key (school_id, lesson_id)
                        references lessons (school_id, id) on delete cascade
                ) partition by hash (school_id)
                """
            );
            for (var part = 0; part < 8; part++)
                migrationBuilder.Sql(
                    $"create table evidence_{part} partition of evidence for values with (modulus 8, remainder {part})"
                );

            migrationBuilder.CreateTable(
                name: "marks",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    lesson_id = table.Column<Guid>(type: "uuid", nullable: false),
                    child_id = table.Column<Guid>(type: "uuid", nullable: true),
                    content_hash = table.Column<string>(type: "text", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    recorded_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    user_id = table.Column<Guid>(type: "uuid", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_marks", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_marks_lessons_school_id_lesson_id",
                        columns: x => new { x.school_id, x.lesson_id },
                        principalTable: "lessons",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "memories",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    child_id = table.Column<Guid>(type: "uuid", nullable: false),
                    target = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    skill = table.Column<string>(type: "character varying(10)", maxLength: 10, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_memories", x => new { x.school_id, x.child_id, x.target, x.skill });
                    table.ForeignKey(
                        name: "fk_memories_children_school_id_child_id",
                        columns: x => new { x.school_id, x.child_id },
                        principalTable: "children",
                        principalColumns: new[] { "school_id", "child_id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_evidence_school_id_child_id_target",
                table: "evidence",
                columns: new[] { "school_id", "child_id", "target" });

            migrationBuilder.CreateIndex(
                name: "ix_evidence_school_id_lesson_id",
                table: "evidence",
                columns: new[] { "school_id", "lesson_id" });

            migrationBuilder.CreateIndex(
                name: "ix_marks_school_id_lesson_id",
                table: "marks",
                columns: new[] { "school_id", "lesson_id" });

            foreach (var table in (string[])["marks", "evidence", "memories"])
            {
                RowLevelSecurity.Protect(migrationBuilder, table);
                SchoolState.Watch(migrationBuilder, table);
            }
            RowLevelSecurity.Grant(migrationBuilder, "select, insert", "marks", "evidence");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "memories");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "evidence");

            migrationBuilder.DropTable(
                name: "marks");

            migrationBuilder.DropTable(
                name: "memories");
        }
    }
}

using System;
using System.Collections.Generic;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class TextsAndBooks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "books",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    title = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    label = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    pages = table.Column<int>(type: "integer", nullable: false),
                    copies = table.Column<int>(type: "integer", nullable: false),
                    body = table.Column<string>(type: "text", nullable: false),
                    told = table.Column<List<string>>(type: "text[]", nullable: false),
                    changed_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_books", x => new { x.school_id, x.id });
                });

            migrationBuilder.CreateTable(
                name: "own_texts",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    title = table.Column<string>(type: "character varying(80)", maxLength: 80, nullable: false),
                    body = table.Column<string>(type: "text", nullable: false),
                    questions = table.Column<List<string>>(type: "text[]", nullable: false),
                    first = table.Column<List<string>>(type: "text[]", nullable: false),
                    told = table.Column<List<string>>(type: "text[]", nullable: false),
                    before = table.Column<string>(type: "text", nullable: false),
                    author_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    changed_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    is_shared = table.Column<bool>(type: "boolean", nullable: false),
                    retired_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_own_texts", x => new { x.school_id, x.id });
                });

            migrationBuilder.CreateTable(
                name: "book_uses",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    book_id = table.Column<Guid>(type: "uuid", nullable: false),
                    group_id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    day = table.Column<DateOnly>(type: "date", nullable: false),
                    copies = table.Column<int>(type: "integer", nullable: false),
                    back_on = table.Column<DateOnly>(type: "date", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_book_uses", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_book_uses_books_school_id_book_id",
                        columns: x => new { x.school_id, x.book_id },
                        principalTable: "books",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_book_uses_groups_school_id_group_id",
                        columns: x => new { x.school_id, x.group_id },
                        principalTable: "groups",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_book_uses_school_id_book_id",
                table: "book_uses",
                columns: new[] { "school_id", "book_id" });

            migrationBuilder.CreateIndex(
                name: "ix_book_uses_school_id_group_id",
                table: "book_uses",
                columns: new[] { "school_id", "group_id" });

            foreach (var table in (string[])["own_texts", "books", "book_uses"])
            {
                RowLevelSecurity.Protect(migrationBuilder, table);
                SchoolState.Watch(migrationBuilder, table);
            }
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "own_texts");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "books");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "book_uses");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "book_uses");

            migrationBuilder.DropTable(
                name: "own_texts");

            migrationBuilder.DropTable(
                name: "books");
        }
    }
}

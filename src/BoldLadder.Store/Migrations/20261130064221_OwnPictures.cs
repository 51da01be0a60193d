using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class OwnPictures : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "own_pictures",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    word = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    content = table.Column<byte[]>(type: "bytea", nullable: false),
                    is_svg = table.Column<bool>(type: "boolean", nullable: false),
                    licence = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_own_pictures", x => new { x.school_id, x.id });
                });

            migrationBuilder.CreateIndex(
                name: "ix_own_pictures_school_id_word",
                table: "own_pictures",
                columns: new[] { "school_id", "word" },
                unique: true);

            RowLevelSecurity.Protect(migrationBuilder, "own_pictures");
            SchoolState.Watch(migrationBuilder, "own_pictures");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, delete", "own_pictures");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "own_pictures");
        }
    }
}

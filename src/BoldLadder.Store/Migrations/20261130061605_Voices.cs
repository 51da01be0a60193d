using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class Voices : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "voices",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    name = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    wav = table.Column<byte[]>(type: "bytea", nullable: false),
                    milliseconds = table.Column<int>(type: "integer", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_voices", x => new { x.school_id, x.id });
                });

            migrationBuilder.CreateIndex(
                name: "ix_voices_school_id_kind_name",
                table: "voices",
                columns: new[] { "school_id", "kind", "name" },
                unique: true);

            RowLevelSecurity.Protect(migrationBuilder, "voices");
            SchoolState.Watch(migrationBuilder, "voices");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, delete", "voices");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "voices");
        }
    }
}

using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class Standings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "group_standings",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    group_id = table.Column<Guid>(type: "uuid", nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_group_standings", x => new { x.school_id, x.group_id });
                    table.ForeignKey(
                        name: "fk_group_standings_groups_school_id_group_id",
                        columns: x => new { x.school_id, x.group_id },
                        principalTable: "groups",
                        principalColumns: new[] { "school_id", "id" },
                        onDelete: ReferentialAction.Cascade);
                });

            RowLevelSecurity.Protect(migrationBuilder, "group_standings");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "group_standings");
            Erasure.AddFunction(migrationBuilder);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "group_standings");
            migrationBuilder.Sql("drop function erase_child(uuid)");
        }
    }
}

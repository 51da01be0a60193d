using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class Locks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "pin_hash",
                table: "users",
                type: "text",
                nullable: true);

            migrationBuilder.AddColumn<DateTime>(
                name: "locked_at",
                table: "user_sessions",
                type: "timestamp with time zone",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "wrong_tries",
                table: "user_sessions",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            // A locked session opens no school.
            Entrance.AddFunction(migrationBuilder);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "pin_hash",
                table: "users");

            migrationBuilder.DropColumn(
                name: "locked_at",
                table: "user_sessions");

            migrationBuilder.DropColumn(
                name: "wrong_tries",
                table: "user_sessions");
        }
    }
}

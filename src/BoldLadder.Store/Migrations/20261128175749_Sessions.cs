using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class Sessions : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
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

            migrationBuilder.CreateTable(
                name: "account_events",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    user_id = table.Column<Guid>(type: "uuid", nullable: true),
                    at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    action = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_account_events", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "sign_in_tries",
                columns: table => new
                {
                    key = table.Column<byte[]>(type: "bytea", nullable: false),
                    failed = table.Column<int>(type: "integer", nullable: false),
                    waits_until = table.Column<DateTime>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sign_in_tries", x => x.key);
                });

            migrationBuilder.CreateTable(
                name: "user_sessions",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    user_id = table.Column<Guid>(type: "uuid", nullable: false),
                    started_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    seen_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    ended_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_user_sessions", x => x.id);
                    table.ForeignKey(
                        name: "fk_user_sessions_users_user_id",
                        column: x => x.user_id,
                        principalTable: "users",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_audit_school_id_at",
                table: "audit",
                columns: new[] { "school_id", "at" });

            migrationBuilder.CreateIndex(
                name: "ix_account_events_user_id_at",
                table: "account_events",
                columns: new[] { "user_id", "at" });

            migrationBuilder.CreateIndex(
                name: "ix_user_sessions_user_id",
                table: "user_sessions",
                column: "user_id");

            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "user_sessions");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert", "account_events");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update, delete", "sign_in_tries");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "account_events");

            migrationBuilder.DropTable(
                name: "sign_in_tries");

            migrationBuilder.DropTable(
                name: "user_sessions");

            migrationBuilder.DropIndex(
                name: "ix_audit_school_id_at",
                table: "audit");

            migrationBuilder.DropColumn(
                name: "rung_before",
                table: "lesson_changes");

            migrationBuilder.DropColumn(
                name: "stamp_before",
                table: "lesson_changes");
        }
    }
}

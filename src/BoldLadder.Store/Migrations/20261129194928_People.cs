using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class People : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<byte[]>(
                name: "used_code",
                table: "users",
                type: "bytea",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "is_active",
                table: "memberships",
                type: "boolean",
                nullable: false,
                defaultValue: true);

            migrationBuilder.AddColumn<DateOnly>(
                name: "ended_on",
                table: "groups",
                type: "date",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "first_runs",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    code_hash = table.Column<byte[]>(type: "bytea", nullable: false),
                    expires_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    ended_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_first_runs", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "invitations",
                columns: table => new
                {
                    school_id = table.Column<Guid>(type: "uuid", nullable: false),
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    @for = table.Column<string>(name: "for", type: "text", nullable: false),
                    code_hash = table.Column<byte[]>(type: "bytea", nullable: false),
                    role = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    groups = table.Column<Guid[]>(type: "uuid[]", nullable: false),
                    made_by = table.Column<Guid>(type: "uuid", nullable: false),
                    made_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    expires_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    ended_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true),
                    used_by = table.Column<Guid>(type: "uuid", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_invitations", x => new { x.school_id, x.id });
                    table.ForeignKey(
                        name: "fk_invitations_schools_school_id",
                        column: x => x.school_id,
                        principalTable: "schools",
                        principalColumn: "school_id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "password_resets",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    user_id = table.Column<Guid>(type: "uuid", nullable: false),
                    code_hash = table.Column<byte[]>(type: "bytea", nullable: false),
                    made_by = table.Column<Guid>(type: "uuid", nullable: false),
                    expires_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: false),
                    ended_at = table.Column<DateTime>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_password_resets", x => x.id);
                    table.ForeignKey(
                        name: "fk_password_resets_users_user_id",
                        column: x => x.user_id,
                        principalTable: "users",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_first_runs_code_hash",
                table: "first_runs",
                column: "code_hash",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_invitations_school_id_code_hash",
                table: "invitations",
                columns: new[] { "school_id", "code_hash" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_password_resets_code_hash",
                table: "password_resets",
                column: "code_hash",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_password_resets_user_id",
                table: "password_resets",
                column: "user_id");

            RowLevelSecurity.Protect(migrationBuilder, "invitations");
            SchoolState.Watch(migrationBuilder, "invitations");
            RowLevelSecurity.Grant(migrationBuilder, "select, insert, update", "invitations", "password_resets", "first_runs");
            RowLevelSecurity.Grant(migrationBuilder, "insert", "users", "schools", "groups");
            RowLevelSecurity.Grant(migrationBuilder, "insert, update", "memberships");
            RowLevelSecurity.Grant(migrationBuilder, "insert, delete", "group_teachers");
            RowLevelSecurity.Grant(migrationBuilder, "insert, update, delete", "user_tokens");
            // Who belongs to a school no more sees nothing of it, at the door and in the rows.
            migrationBuilder.Sql("drop policy schools_of_user on schools");
            migrationBuilder.Sql("create policy schools_of_user on schools for select using (school_id in (select m.school_id from memberships m where m.is_active and m.user_id = nullif(current_setting('app.user_id', true), '')::uuid))");
            Entrance.AddFunction(migrationBuilder);
            Erasure.AddFunction(migrationBuilder);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql("drop policy schools_of_user on schools");
            migrationBuilder.Sql("create policy schools_of_user on schools for select using (school_id in (select m.school_id from memberships m where m.user_id = nullif(current_setting('app.user_id', true), '')::uuid))");
            migrationBuilder.DropTable(
                name: "first_runs");

            migrationBuilder.DropTable(
                name: "invitations");

            migrationBuilder.DropTable(
                name: "password_resets");

            migrationBuilder.DropColumn(
                name: "used_code",
                table: "users");

            migrationBuilder.DropColumn(
                name: "is_active",
                table: "memberships");

            migrationBuilder.DropColumn(
                name: "ended_on",
                table: "groups");
        }
    }
}

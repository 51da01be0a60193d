using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BoldLadder.Store.Migrations
{
    /// <inheritdoc />
    public partial class EvidenceByDay : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_evidence_school_id_child_id_target",
                table: "evidence");

            migrationBuilder.CreateIndex(
                name: "ix_evidence_school_id_child_id_day",
                table: "evidence",
                columns: new[] { "school_id", "child_id", "day" });

            migrationBuilder.CreateIndex(
                name: "ix_evidence_school_id_group_id_day",
                table: "evidence",
                columns: new[] { "school_id", "group_id", "day" },
                filter: "child_id is null");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_evidence_school_id_child_id_day",
                table: "evidence");

            migrationBuilder.DropIndex(
                name: "ix_evidence_school_id_group_id_day",
                table: "evidence");

            migrationBuilder.CreateIndex(
                name: "ix_evidence_school_id_child_id_target",
                table: "evidence",
                columns: new[] { "school_id", "child_id", "target" });
        }
    }
}

using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BudClock.Data.Migrations
{
    /// <inheritdoc />
    public partial class PlantsOverTime : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Origin",
                table: "Plants",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Parent",
                table: "Plants",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<DateOnly>(
                name: "QuarantineUntil",
                table: "Plants",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Source",
                table: "Plants",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Synonyms",
                table: "Plants",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<int>(
                name: "Version",
                table: "Plants",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<string>(
                name: "File",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "ForecastsKept",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    PlantId = table.Column<int>(type: "INTEGER", nullable: false),
                    Of = table.Column<string>(type: "TEXT", nullable: false),
                    Organ = table.Column<string>(type: "TEXT", nullable: true),
                    Made = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    From = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Likely = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    To = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ForecastsKept", x => x.Id);
                    table.ForeignKey(
                        name: "FK_ForecastsKept_Plants_PlantId",
                        column: x => x.PlantId,
                        principalTable: "Plants",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_ForecastsKept_PlantId",
                table: "ForecastsKept",
                column: "PlantId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "ForecastsKept");

            migrationBuilder.DropColumn(
                name: "Origin",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "Parent",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "QuarantineUntil",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "Source",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "Synonyms",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "Version",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "File",
                table: "Entries");
        }
    }
}

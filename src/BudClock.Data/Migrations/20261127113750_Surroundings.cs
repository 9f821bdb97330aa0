using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BudClock.Data.Migrations
{
    /// <inheritdoc />
    public partial class Surroundings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(
                name: "FK_Forecast_Places_PlaceId",
                table: "Forecast");

            migrationBuilder.DropIndex(
                name: "IX_Readings_PlaceId_At",
                table: "Readings");

            migrationBuilder.DropIndex(
                name: "IX_Forecast_PlaceId_On",
                table: "Forecast");

            migrationBuilder.AddColumn<string>(
                name: "Device",
                table: "Readings",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "Doubt",
                table: "Readings",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Hours",
                table: "Readings",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Lux",
                table: "Readings",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "MaxC",
                table: "Readings",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "MinC",
                table: "Readings",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "Ppfd",
                table: "Readings",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Cover",
                table: "Places",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "Draughts",
                table: "Places",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "LampDistanceCm",
                table: "Places",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "LampHeightCm",
                table: "Places",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<TimeOnly>(
                name: "LampsFrom",
                table: "Places",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Light",
                table: "Places",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Window",
                table: "Places",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AlterColumn<int>(
                name: "PlaceId",
                table: "Forecast",
                type: "INTEGER",
                nullable: true,
                oldClrType: typeof(int),
                oldType: "INTEGER");

            migrationBuilder.AddColumn<double>(
                name: "HumidityPct",
                table: "Forecast",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<DateOnly>(
                name: "Made",
                table: "Forecast",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "SunHours",
                table: "Forecast",
                type: "REAL",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Devices",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Place = table.Column<string>(type: "TEXT", nullable: false),
                    Way = table.Column<string>(type: "TEXT", nullable: false),
                    DueMinutes = table.Column<int>(type: "INTEGER", nullable: false),
                    Fahrenheit = table.Column<bool>(type: "INTEGER", nullable: false),
                    Topic = table.Column<string>(type: "TEXT", nullable: true),
                    Paths = table.Column<string>(type: "TEXT", nullable: false),
                    TokenHash = table.Column<string>(type: "TEXT", nullable: true),
                    Layout = table.Column<string>(type: "TEXT", nullable: true),
                    Removed = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Devices", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Settings",
                columns: table => new
                {
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Json = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Settings", x => x.Name);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Readings_PlaceId_At_Device",
                table: "Readings",
                columns: new[] { "PlaceId", "At", "Device" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Forecast_PlaceId_On",
                table: "Forecast",
                columns: new[] { "PlaceId", "On" });

            migrationBuilder.CreateIndex(
                name: "IX_Devices_Code",
                table: "Devices",
                column: "Code",
                unique: true,
                filter: "Removed = 0");

            migrationBuilder.AddForeignKey(
                name: "FK_Forecast_Places_PlaceId",
                table: "Forecast",
                column: "PlaceId",
                principalTable: "Places",
                principalColumn: "Id");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(
                name: "FK_Forecast_Places_PlaceId",
                table: "Forecast");

            migrationBuilder.DropTable(
                name: "Devices");

            migrationBuilder.DropTable(
                name: "Settings");

            migrationBuilder.DropIndex(
                name: "IX_Readings_PlaceId_At_Device",
                table: "Readings");

            migrationBuilder.DropIndex(
                name: "IX_Forecast_PlaceId_On",
                table: "Forecast");

            migrationBuilder.DropColumn(
                name: "Device",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "Doubt",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "Hours",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "Lux",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "MaxC",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "MinC",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "Ppfd",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "Cover",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "Draughts",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "LampDistanceCm",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "LampHeightCm",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "LampsFrom",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "Light",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "Window",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "HumidityPct",
                table: "Forecast");

            migrationBuilder.DropColumn(
                name: "Made",
                table: "Forecast");

            migrationBuilder.DropColumn(
                name: "SunHours",
                table: "Forecast");

            migrationBuilder.AlterColumn<int>(
                name: "PlaceId",
                table: "Forecast",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0,
                oldClrType: typeof(int),
                oldType: "INTEGER",
                oldNullable: true);

            migrationBuilder.CreateIndex(
                name: "IX_Readings_PlaceId_At",
                table: "Readings",
                columns: new[] { "PlaceId", "At" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Forecast_PlaceId_On",
                table: "Forecast",
                columns: new[] { "PlaceId", "On" },
                unique: true);

            migrationBuilder.AddForeignKey(
                name: "FK_Forecast_Places_PlaceId",
                table: "Forecast",
                column: "PlaceId",
                principalTable: "Places",
                principalColumn: "Id",
                onDelete: ReferentialAction.Cascade);
        }
    }
}

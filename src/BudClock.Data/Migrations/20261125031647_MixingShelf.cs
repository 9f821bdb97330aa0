using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BudClock.Data.Migrations
{
    /// <inheritdoc />
    public partial class MixingShelf : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Mix",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Batches",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Made = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Recipe = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Litres = table.Column<double>(type: "REAL", nullable: false),
                    Contents = table.Column<string>(type: "TEXT", nullable: false),
                    PredictedPpm = table.Column<double>(type: "REAL", nullable: false),
                    NitrogenPpm = table.Column<double>(type: "REAL", nullable: false),
                    MeasuredPpm = table.Column<double>(type: "REAL", nullable: true),
                    Ph = table.Column<double>(type: "REAL", nullable: true),
                    Found = table.Column<string>(type: "TEXT", nullable: true),
                    ThrownAway = table.Column<DateOnly>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Batches", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "Feeds",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NPercent = table.Column<double>(type: "REAL", nullable: false),
                    P2O5Percent = table.Column<double>(type: "REAL", nullable: false),
                    K2OPercent = table.Column<double>(type: "REAL", nullable: false),
                    GramsPerTeaspoon = table.Column<double>(type: "REAL", nullable: true),
                    LabelGramsPerLitre = table.Column<double>(type: "REAL", nullable: true),
                    Form = table.Column<string>(type: "TEXT", nullable: false),
                    Stimulant = table.Column<bool>(type: "INTEGER", nullable: false),
                    CaPercent = table.Column<double>(type: "REAL", nullable: false),
                    MgPercent = table.Column<double>(type: "REAL", nullable: false),
                    UreaNPercent = table.Column<double>(type: "REAL", nullable: false),
                    DensityGPerMl = table.Column<double>(type: "REAL", nullable: true),
                    PricePerKg = table.Column<double>(type: "REAL", nullable: true),
                    SaltsPercent = table.Column<double>(type: "REAL", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Feeds", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "Recipes",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Bottle = table.Column<string>(type: "TEXT", nullable: false),
                    Waters = table.Column<string>(type: "TEXT", nullable: false),
                    Feeds = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Recipes", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "Tools",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false),
                    ScaleGrams = table.Column<double>(type: "REAL", nullable: false),
                    SpoonTsp = table.Column<double>(type: "REAL", nullable: false),
                    SyringeMl = table.Column<double>(type: "REAL", nullable: false),
                    BottleLitres = table.Column<double>(type: "REAL", nullable: false),
                    ReservePercent = table.Column<double>(type: "REAL", nullable: false),
                    MeterScale = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Tools", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Trials",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Recipe = table.Column<string>(type: "TEXT", nullable: false),
                    From = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Plants = table.Column<string>(type: "TEXT", nullable: false),
                    Ended = table.Column<DateOnly>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Trials", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "Waters",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    TdsPpm = table.Column<double>(type: "REAL", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Ph = table.Column<double>(type: "REAL", nullable: true),
                    HardnessPpm = table.Column<double>(type: "REAL", nullable: true),
                    Measured = table.Column<DateOnly>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Waters", x => x.Code);
                });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Batches");

            migrationBuilder.DropTable(
                name: "Feeds");

            migrationBuilder.DropTable(
                name: "Recipes");

            migrationBuilder.DropTable(
                name: "Tools");

            migrationBuilder.DropTable(
                name: "Trials");

            migrationBuilder.DropTable(
                name: "Waters");

            migrationBuilder.DropColumn(
                name: "Mix",
                table: "Entries");
        }
    }
}

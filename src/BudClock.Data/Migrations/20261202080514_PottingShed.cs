using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BudClock.Data.Migrations
{
    /// <inheritdoc />
    public partial class PottingShed : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Pots",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    DiameterCm = table.Column<double>(type: "REAL", nullable: false),
                    HeightCm = table.Column<double>(type: "REAL", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Count = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Pots", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "PottingMixes",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Parts = table.Column<string>(type: "TEXT", nullable: false),
                    SettlesPercent = table.Column<double>(type: "REAL", nullable: false),
                    Handling = table.Column<string>(type: "TEXT", nullable: false),
                    First = table.Column<string>(type: "TEXT", nullable: false),
                    PebblesCm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_PottingMixes", x => x.Code);
                });

            migrationBuilder.CreateTable(
                name: "YoungBatches",
                columns: table => new
                {
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Method = table.Column<string>(type: "TEXT", nullable: false),
                    Started = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Parent = table.Column<string>(type: "TEXT", nullable: true),
                    Taxon = table.Column<string>(type: "TEXT", nullable: true),
                    Source = table.Column<string>(type: "TEXT", nullable: true),
                    Place = table.Column<string>(type: "TEXT", nullable: true),
                    Rescue = table.Column<bool>(type: "INTEGER", nullable: false),
                    DriesUntil = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Note = table.Column<string>(type: "TEXT", nullable: true),
                    Counts = table.Column<string>(type: "TEXT", nullable: false),
                    Ended = table.Column<DateOnly>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_YoungBatches", x => x.Code);
                });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Pots");

            migrationBuilder.DropTable(
                name: "PottingMixes");

            migrationBuilder.DropTable(
                name: "YoungBatches");
        }
    }
}

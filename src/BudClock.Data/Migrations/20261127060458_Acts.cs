using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BudClock.Data.Migrations
{
    /// <inheritdoc />
    public partial class Acts : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "IX_Plants_Tag",
                table: "Plants");

            migrationBuilder.DropIndex(
                name: "IX_Places_Code",
                table: "Places");

            migrationBuilder.AddColumn<Guid>(
                name: "Act",
                table: "Readings",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "Struck",
                table: "Readings",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<string>(
                name: "FormerTags",
                table: "Plants",
                type: "TEXT",
                nullable: false,
                defaultValue: "[]");

            migrationBuilder.AddColumn<bool>(
                name: "Removed",
                table: "Plants",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<bool>(
                name: "Removed",
                table: "Places",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<Guid>(
                name: "Amends",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<Guid>(
                name: "By",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Sets",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<Guid>(
                name: "StruckBy",
                table: "Entries",
                type: "TEXT",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "ActChanges",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Act = table.Column<long>(type: "INTEGER", nullable: false),
                    Row = table.Column<string>(type: "TEXT", nullable: false),
                    Key = table.Column<string>(type: "TEXT", nullable: false),
                    Before = table.Column<string>(type: "TEXT", nullable: true),
                    After = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ActChanges", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Acts",
                columns: table => new
                {
                    Number = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Author = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    Words = table.Column<string>(type: "TEXT", nullable: false),
                    Plants = table.Column<string>(type: "TEXT", nullable: false),
                    Readings = table.Column<bool>(type: "INTEGER", nullable: false),
                    Undoes = table.Column<long>(type: "INTEGER", nullable: true),
                    UndoneBy = table.Column<long>(type: "INTEGER", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Acts", x => x.Number);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Plants_Tag",
                table: "Plants",
                column: "Tag",
                unique: true,
                filter: "Removed = 0");

            migrationBuilder.CreateIndex(
                name: "IX_Places_Code",
                table: "Places",
                column: "Code",
                unique: true,
                filter: "Removed = 0");

            migrationBuilder.CreateIndex(
                name: "IX_ActChanges_Act",
                table: "ActChanges",
                column: "Act");

            migrationBuilder.CreateIndex(
                name: "IX_Acts_Id",
                table: "Acts",
                column: "Id",
                unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "ActChanges");

            migrationBuilder.DropTable(
                name: "Acts");

            migrationBuilder.DropIndex(
                name: "IX_Plants_Tag",
                table: "Plants");

            migrationBuilder.DropIndex(
                name: "IX_Places_Code",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "Act",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "Struck",
                table: "Readings");

            migrationBuilder.DropColumn(
                name: "FormerTags",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "Removed",
                table: "Plants");

            migrationBuilder.DropColumn(
                name: "Removed",
                table: "Places");

            migrationBuilder.DropColumn(
                name: "Amends",
                table: "Entries");

            migrationBuilder.DropColumn(
                name: "By",
                table: "Entries");

            migrationBuilder.DropColumn(
                name: "Sets",
                table: "Entries");

            migrationBuilder.DropColumn(
                name: "StruckBy",
                table: "Entries");

            migrationBuilder.CreateIndex(
                name: "IX_Plants_Tag",
                table: "Plants",
                column: "Tag",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Places_Code",
                table: "Places",
                column: "Code",
                unique: true);
        }
    }
}

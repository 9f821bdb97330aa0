using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BudClock.Data.Migrations
{
    /// <inheritdoc />
    public partial class NumbersRenamed : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // One length for pots of any depth became a length for small pots and one for deeper ones.
            migrationBuilder.Sql(
                """
                INSERT INTO SheetChanges (Sheet, Plant, Name, Value, School)
                SELECT Sheet, Plant, 'W1.root-length-large', Value, School FROM SheetChanges
                WHERE Name = 'W1.root-length-thirsty' AND Sheet = 'leafless-pseudobulb-thirsty';
                UPDATE SheetChanges SET Name = 'W1.root-length-small'
                WHERE Name = 'W1.root-length-thirsty' AND Sheet = 'leafless-pseudobulb-thirsty';
                DELETE FROM SheetChanges WHERE Name = 'W1.root-length-thirsty';
                """);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {

        }
    }
}

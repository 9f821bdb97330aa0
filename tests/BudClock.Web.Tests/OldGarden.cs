using BudClock.Data;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests;

/// <summary>A garden as an earlier version of Bud Clock left it.</summary>
static class OldGarden
{
    /// <summary>Writes a database with the first migration alone and one plant in it.</summary>
    public static async Task WriteAsync(string folder, string tag)
    {
        await using var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        await using var db = await services.GetRequiredService<IDbContextFactory<GardenDb>>().CreateDbContextAsync();
        var first = db.Database.GetMigrations().First();
        await db.GetService<IMigrator>().MigrateAsync(first);
        await db.Database.ExecuteSqlAsync($"INSERT INTO Gardens (Name, UsUnits) VALUES ('Old', 0)");
        await db.Database.ExecuteSqlAsync(
            $"INSERT INTO Plants (Tag, Taxon, Doubtful, Schools) VALUES ({tag}, 'Lycaste aromatica', 0, json('{{}}'))"
        );
    }
}

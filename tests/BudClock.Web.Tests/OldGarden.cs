using BudClock.Data;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests;

/// <summary>A garden as an earlier version of Bud Clock left it.</summary>
static class OldGarden
{
    /// <summary>Writes a database as the first version had it, or another, and one plant in it.</summary>
    /// <param name="version">The last migration of that version; null for the first of all.</param>
    public static async Task WriteAsync(string folder, string tag, string? version = null)
    {
        await using var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        await using var db = await services.GetRequiredService<IDbContextFactory<GardenDb>>().CreateDbContextAsync();
        await db.GetService<IMigrator>().MigrateAsync(version ?? db.Database.GetMigrations().First());
        await db.Database.ExecuteSqlAsync($"INSERT INTO Gardens (Name, UsUnits) VALUES ('Old', 0)");
        await db.Database.ExecuteSqlAsync(
            $"INSERT INTO Plants (Tag, Taxon, Doubtful, Schools) VALUES ({tag}, 'Lycaste aromatica', 0, json('{{}}'))"
        );
    }
}

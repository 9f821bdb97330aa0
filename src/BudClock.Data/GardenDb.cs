using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;

namespace BudClock.Data;

/// <summary>The garden on disk: rows as they are stored. What they mean is read by <see cref="GardenStore"/>.</summary>
public sealed class GardenDb(DbContextOptions<GardenDb> options) : DbContext(options)
{
    public DbSet<GardenRow> Gardens => Set<GardenRow>();
    public DbSet<PlaceRow> Places => Set<PlaceRow>();
    public DbSet<PlantRow> Plants => Set<PlantRow>();
    public DbSet<OrganRow> Organs => Set<OrganRow>();
    public DbSet<ForecastKeptRow> ForecastsKept => Set<ForecastKeptRow>();
    public DbSet<VesselRow> Vessels => Set<VesselRow>();
    public DbSet<SheetChangeRow> SheetChanges => Set<SheetChangeRow>();
    public DbSet<EntryRow> Entries => Set<EntryRow>();
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();
    public DbSet<ForecastRow> Forecast => Set<ForecastRow>();

    protected override void OnModelCreating(ModelBuilder model)
    {
        model.Entity<PlaceRow>(place =>
        {
            place.HasIndex(p => p.Code).IsUnique();
            place.Property(p => p.Code).UseCollation("NOCASE");
        });
        model.Entity<PlantRow>(plant =>
        {
            plant.HasIndex(p => p.Tag).IsUnique();
            plant.Property(p => p.Tag).UseCollation("NOCASE");
            plant.Property(p => p.Schools).HasConversion(
                schools => JsonSerializer.Serialize(schools, JsonSerializerOptions.Default),
                json => JsonSerializer.Deserialize<Dictionary<string, string>>(json, JsonSerializerOptions.Default)!,
                ValueComparer.CreateDefault<Dictionary<string, string>>(favorStructuralComparisons: false));
            plant.Property(p => p.Version).IsConcurrencyToken();
            plant.HasOne(p => p.Place).WithMany().HasForeignKey(p => p.PlaceId).OnDelete(DeleteBehavior.SetNull);
            plant.HasMany(p => p.Organs).WithOne().HasForeignKey(o => o.PlantId);
            plant.HasMany(p => p.Forecasts).WithOne().HasForeignKey(f => f.PlantId);
            plant.HasMany(p => p.Entries).WithOne().HasForeignKey(e => e.PlantId);
        });
        model.Entity<VesselRow>().HasIndex(v => v.Code).IsUnique();
        model.Entity<OrganRow>().HasIndex(o => new { o.PlantId, o.Key }).IsUnique();
        model.Entity<EntryRow>(entry =>
        {
            entry.Property(e => e.Id).ValueGeneratedNever();
            entry.HasIndex(e => new { e.PlantId, e.On });
            entry.HasIndex(e => e.Logged);
        });
        model.Entity<ReadingRow>().HasIndex(r => new { r.PlaceId, r.At }).IsUnique();
        model.Entity<ForecastRow>().HasIndex(f => new { f.PlaceId, f.On }).IsUnique();
    }
}

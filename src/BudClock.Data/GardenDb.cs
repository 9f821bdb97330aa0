using System.Text.Json;
using BudClock.Core.Mixing;
using BudClock.Core.Potting;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;

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
    public DbSet<ProgrammeRow> Programmes => Set<ProgrammeRow>();
    public DbSet<Water> Waters => Set<Water>();
    public DbSet<Feed> Feeds => Set<Feed>();
    public DbSet<Recipe> Recipes => Set<Recipe>();
    public DbSet<Batch> Batches => Set<Batch>();
    public DbSet<Trial> Trials => Set<Trial>();
    public DbSet<Tools> Tools => Set<Tools>();
    public DbSet<OwnedPot> Pots => Set<OwnedPot>();
    public DbSet<PottingMix> PottingMixes => Set<PottingMix>();
    public DbSet<YoungBatch> YoungBatches => Set<YoungBatch>();
    public DbSet<EntryRow> Entries => Set<EntryRow>();
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();
    public DbSet<ForecastRow> Forecast => Set<ForecastRow>();
    public DbSet<DeviceRow> Devices => Set<DeviceRow>();
    public DbSet<SettingRow> Settings => Set<SettingRow>();
    public DbSet<ActRow> Acts => Set<ActRow>();
    public DbSet<ActChangeRow> ActChanges => Set<ActChangeRow>();

    internal const string ToolsKey = "Id";

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<PlaceRow>(place =>
        {
            place.HasIndex(p => p.Code).IsUnique().HasFilter("Removed = 0");
            place.HasQueryFilter(p => !p.Removed);
            place.Property(p => p.Code).UseCollation("NOCASE");
        });
        modelBuilder.Entity<PlantRow>(plant =>
        {
            plant.HasIndex(p => p.Tag).IsUnique().HasFilter("Removed = 0");
            plant.HasQueryFilter(p => !p.Removed);
            plant.Property(p => p.Tag).UseCollation("NOCASE");
            AsJson(plant.Property(p => p.Schools), schools => schools, json => json);
            plant.Property(p => p.Version).IsConcurrencyToken();
            plant.HasOne(p => p.Place).WithMany().HasForeignKey(p => p.PlaceId).OnDelete(DeleteBehavior.SetNull);
            plant.HasMany(p => p.Organs).WithOne().HasForeignKey(o => o.PlantId);
            plant.HasMany(p => p.Forecasts).WithOne().HasForeignKey(f => f.PlantId);
            plant.HasMany(p => p.Entries).WithOne().HasForeignKey(e => e.PlantId);
        });
        modelBuilder.Entity<VesselRow>().HasIndex(v => v.Code).IsUnique();
        modelBuilder.Entity<ProgrammeRow>().HasIndex(p => p.Name).IsUnique();
        modelBuilder.Entity<OrganRow>().HasIndex(o => new { o.PlantId, o.Key }).IsUnique();
        modelBuilder.Entity<EntryRow>(entry =>
        {
            entry.Property(e => e.Id).ValueGeneratedNever();
            entry.HasIndex(e => new { e.PlantId, e.On });
            entry.HasIndex(e => e.Logged);
        });
        modelBuilder.Entity<ActRow>(act =>
        {
            act.HasKey(a => a.Number);
            act.Property(a => a.Number).ValueGeneratedOnAdd().HasAnnotation("Sqlite:Autoincrement", true);
            act.HasIndex(a => a.Id).IsUnique();
        });
        modelBuilder.Entity<ActChangeRow>().HasIndex(change => change.Act);
        OnShelf(modelBuilder);
        InShed(modelBuilder);
        modelBuilder
            .Entity<ReadingRow>()
            .HasIndex(r => new
            {
                r.PlaceId,
                r.At,
                r.Device,
            })
            .IsUnique();
        modelBuilder.Entity<ForecastRow>().HasIndex(f => new { f.PlaceId, f.On });
        modelBuilder.Entity<DeviceRow>(device =>
        {
            device.HasIndex(d => d.Code).IsUnique().HasFilter("Removed = 0");
            device.HasQueryFilter(d => !d.Removed);
            AsJson(device.Property(d => d.Paths), paths => paths, json => json);
        });
        modelBuilder.Entity<SettingRow>().HasKey(setting => setting.Name);
    }

    /// <summary>Waters, feeds, recipes, batches and trials are stored as they are, by their codes.</summary>
    static void OnShelf(ModelBuilder model)
    {
        const string key = nameof(Water.Code);
        model.Entity<Water>().HasKey(key);
        model.Entity<Feed>().HasKey(key);
        model.Entity<Batch>().HasKey(key);
        model.Entity<Recipe>(recipe =>
        {
            recipe.HasKey(key);
            AsJson(recipe.Property(r => r.Waters), waters => waters.ToDictionary(), json => (IReadOnlyDictionary<string, double>)json);
            AsJson(
                recipe.Property(r => r.Feeds),
                feeds => feeds.ToDictionary(pair => pair.Key, pair => pair.Value.ToString()!),
                json => (IReadOnlyDictionary<string, Strength>)json.ToDictionary(pair => pair.Key, pair => ReadStrength(pair.Value))
            );
        });
        model.Entity<Trial>(trial =>
        {
            trial.HasKey(key);
            AsJson(trial.Property(t => t.Plants), plants => plants.ToArray(), json => (IReadOnlyList<string>)json);
        });
        model.Entity<Tools>(tools =>
        {
            tools.Property<int>(ToolsKey).ValueGeneratedNever();
            tools.HasKey(ToolsKey);
        });
    }

    /// <summary>Pots, mixes and young batches are stored as they are, by their codes.</summary>
    static void InShed(ModelBuilder model)
    {
        const string key = nameof(OwnedPot.Code);
        model.Entity<OwnedPot>().HasKey(key);
        model.Entity<PottingMix>(mix =>
        {
            mix.HasKey(key);
            mix.Ignore(m => m.Suits);
            AsJson(mix.Property(m => m.Parts), parts => parts.ToDictionary(), json => (IReadOnlyDictionary<string, double>)json);
        });
        model.Entity<YoungBatch>(batch =>
        {
            batch.HasKey(key);
            AsJson(batch.Property(b => b.Counts), counts => counts.ToArray(), json => (IReadOnlyList<BatchCount>)json);
        });
    }

    static Strength ReadStrength(string text) => Strength.Read(text) ?? throw new FormatException($"\"{text}\" is no strength.");

    /// <summary>A small list or map in one column.</summary>
    static void AsJson<T, TJson>(PropertyBuilder<T> property, Func<T, TJson> toJson, Func<TJson, T> from)
    {
        Func<T, string> write = value => JsonSerializer.Serialize(toJson(value));
        Func<string, T> read = json => from(JsonSerializer.Deserialize<TJson>(json)!);
        property.HasConversion(
            new ValueConverter<T, string>(value => write(value), json => read(json)),
            new ValueComparer<T>(
                (a, b) => write(a!) == write(b!),
                value => write(value).GetHashCode(StringComparison.Ordinal),
                value => value
            )
        );
    }
}

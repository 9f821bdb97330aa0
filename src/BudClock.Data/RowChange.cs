using System.Runtime.CompilerServices;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata;

namespace BudClock.Data;

/// <summary>A row that is about to be added, changed or taken away, and what it takes to undo that.</summary>
sealed class RowChange
{
    /// <summary>Counts the changes of a plant; taking one back is a change too, so it is never put back itself.</summary>
    const string Version = nameof(PlantRow.Version);

    /// <summary>A secret that was given up never comes back with what is taken back.</summary>
    const string Secret = nameof(DeviceRow.TokenHash);

    readonly EntityEntry entry;
    readonly EntityState state;
    readonly Dictionary<string, object?> before;
    readonly List<IProperty> touched;

    RowChange(EntityEntry entry)
    {
        (this.entry, state) = (entry, entry.State);
        touched = [.. entry.Properties.Where(Touched).Select(property => property.Metadata)];
        before = touched.ToDictionary(p => p.Name, p => Stored(p, entry.Property(p).OriginalValue));
    }

    /// <summary>What the context is about to write, besides new entries and readings, which name their act themselves.</summary>
    public static IReadOnlyList<RowChange> Pending(GardenDb db)
    {
        return
        [
            .. db
                .ChangeTracker.Entries()
                .Where(e => e.State is EntityState.Added or EntityState.Modified or EntityState.Deleted)
                .Where(e => e.Entity is not (ActRow or ActChangeRow))
                .Where(e => e is not { Entity: EntryRow or ReadingRow, State: EntityState.Added })
                .Select(e => new RowChange(e)),
        ];
    }

    /// <summary>The key of the plant whose row, part or forecast it is, known once it is saved; null for anything else.</summary>
    public int? Plant =>
        entry.Entity switch
        {
            PlantRow plant => plant.Id,
            OrganRow organ => organ.PlantId,
            ForecastKeptRow kept => kept.PlantId,
            EntryRow log => log.PlantId,
            _ => null,
        };

    /// <summary>Others than the plants it names may be judged differently now.</summary>
    public bool Wide => Plant is null;

    /// <summary>The row to keep, once the change is saved and its key known.</summary>
    public ActChangeRow ToRow(long act) =>
        new()
        {
            Act = act,
            Row = entry.Metadata.ClrType.Name,
            Key = JsonSerializer.Serialize(Key(entry.Metadata).Select(p => Stored(p, entry.Property(p).CurrentValue))),
            Before = state is EntityState.Added ? null : JsonSerializer.Serialize(before),
            After =
                state is EntityState.Deleted
                    ? null
                    : JsonSerializer.Serialize(touched.ToDictionary(p => p.Name, p => Stored(p, entry.Property(p).CurrentValue))),
        };

    bool Touched(PropertyEntry property) =>
        property.Metadata.Name is not (Version or Secret) && !(state is EntityState.Modified && !property.IsModified);

    /// <summary>Makes the opposite change on a row: what was added goes, what was changed or taken away is as it was.</summary>
    /// <exception cref="ActRefusedException">Somebody changed it since.</exception>
    public static async Task UndoAsync(GardenDb db, ActChangeRow change)
    {
        var type = db.Model.GetEntityTypes().First(type => type.ClrType.Name == change.Row);
        var key = JsonSerializer.Deserialize<JsonElement[]>(change.Key)!.Zip(Key(type), (value, p) => FromStored(p, value)).ToArray();
        var row = await FindAsync(db, type, key);
        if (change.Before is null)
            Remove(db, row ?? throw Changed());
        else if (change.After is null)
            Add(db, type, row, change.Before);
        else
            PutBack(db.Entry(row ?? throw Changed()), Values(type, change.Before), Values(type, change.After));
    }

    /// <summary>Also what is kept out of sight.</summary>
    static async Task<object?> FindAsync(GardenDb db, IEntityType type, object?[] key) =>
        type.ClrType == typeof(PlantRow) ? await db.Plants.IgnoreQueryFilters().FirstOrDefaultAsync(p => p.Id == (int)key[0]!)
        : type.ClrType == typeof(PlaceRow) ? await db.Places.IgnoreQueryFilters().FirstOrDefaultAsync(p => p.Id == (int)key[0]!)
        : type.ClrType == typeof(DeviceRow) ? await db.Devices.IgnoreQueryFilters().FirstOrDefaultAsync(d => d.Id == (int)key[0]!)
        : await db.FindAsync(type.ClrType, key);

    static void Remove(GardenDb db, object row)
    {
        if (row is IKeptWhenRemoved kept)
            kept.Removed = true;
        else
            db.Remove(row);
    }

    static void Add(GardenDb db, IEntityType type, object? row, string before)
    {
        if (row is not null)
            throw Changed();
        // Some rows are records without an empty constructor; every column is set below.
        var again = RuntimeHelpers.GetUninitializedObject(type.ClrType);
        var entry = db.Entry(again);
        foreach (var (property, value) in Values(type, before))
            entry.Property(property).CurrentValue = value;
        entry.State = EntityState.Added;
    }

    static void PutBack(
        EntityEntry entry,
        List<(IProperty Property, object? Value)> before,
        List<(IProperty Property, object? Value)> after
    )
    {
        foreach (var (property, value) in after)
            if (!Equal(Stored(property, entry.Property(property).CurrentValue), Stored(property, value)))
                throw Changed();
        foreach (var (property, value) in before)
            entry.Property(property).CurrentValue = value;
        if (entry.Entity is PlantRow plant)
            plant.Version++;
    }

    static bool Equal(object? a, object? b) => JsonSerializer.Serialize(a) == JsonSerializer.Serialize(b);

    static ActRefusedException Changed() =>
        new("That cannot be taken back any more: what it wrote was changed again since. Take the later change back first.");

    static IReadOnlyList<IProperty> Key(IEntityType type) => type.FindPrimaryKey()!.Properties;

    static List<(IProperty Property, object? Value)> Values(IEntityType type, string json) =>
        [
            .. JsonSerializer
                .Deserialize<Dictionary<string, JsonElement>>(json)!
                .Select(pair => (Property: type.FindProperty(pair.Key), pair.Value))
                .Where(pair => pair.Property is not null)
                .Select(pair => (pair.Property!, FromStored(pair.Property!, pair.Value))),
        ];

    /// <summary>A value as the database holds it.</summary>
    static object? Stored(IProperty property, object? value) =>
        value is not null && property.GetTypeMapping().Converter is { } converter ? converter.ConvertToProvider(value) : value;

    static object? FromStored(IProperty property, JsonElement json)
    {
        if (json.ValueKind is JsonValueKind.Null)
            return null;
        var converter = property.GetTypeMapping().Converter;
        var value = json.Deserialize(converter?.ProviderClrType ?? Nullable.GetUnderlyingType(property.ClrType) ?? property.ClrType);
        return converter is null ? value : converter.ConvertFromProvider(value);
    }
}

using BudClock.Core.Journal;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>
/// Reads every entry at once. A large garden has hundreds of thousands: they are read straight into the journal's type,
/// without a row object and a kind's name for each.
/// </summary>
static class EntryReader
{
    const string Sql = """SELECT PlantId, Id, "On", Kind, Organ, Value, Unit, Text, Logged, Act, Struck FROM Entries ORDER BY PlantId, Logged, Id""";

    /// <summary>The entries of each plant by its key, in the order in which they were written down.</summary>
    public static async Task<Dictionary<int, List<Entry>>> ReadAllAsync(GardenDb db)
    {
        await db.Database.OpenConnectionAsync();
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = Sql;
        await using var rows = await command.ExecuteReaderAsync();
        var byPlant = new Dictionary<int, List<Entry>>();
        var (plant, entries) = (0, new List<Entry>());
        while (rows.Read())
        {
            if (rows.GetInt32(0) is var next && next != plant) byPlant[plant = next] = entries = [];
            entries.Add(Entry(rows));
        }
        return byPlant;
    }

    static Entry Entry(System.Data.Common.DbDataReader row) => new()
    {
        Id = row.GetGuid(1),
        On = DateOnly.Parse(row.GetString(2), null),
        Kind = EntryKinds.Find(row.GetString(3)) ?? throw new InvalidDataException($"Entry {row.GetGuid(1)} has the unknown kind \"{row.GetString(3)}\"."),
        Organ = Text(row, 4),
        Amount = row.IsDBNull(5) ? null : new(row.GetDouble(5), Text(row, 6) is { } unit ? Unit.Find(unit) : null),
        Text = Text(row, 7),
        Logged = new(row.GetInt64(8), TimeSpan.Zero),
        Act = row.GetGuid(9),
        Struck = row.GetBoolean(10),
    };

    static string? Text(System.Data.Common.DbDataReader row, int column) => row.IsDBNull(column) ? null : row.GetString(column);
}

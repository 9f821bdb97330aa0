using System.Runtime.InteropServices;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>
/// Reads every entry at once. A large garden has hundreds of thousands: they are read straight into the journal's type,
/// without a row object and a kind's name for each.
/// </summary>
static class EntryReader
{
    const string Sql = """
        SELECT PlantId, Id, "On", Kind, Organ, Value, Unit, Text, Logged, Struck, File, Mix, {0} FROM Entries
        WHERE PlantId % {1} = {2}
        """;

    /// <summary>The entries of each plant by its key, in the order in which they were written down.</summary>
    /// <param name="acts">Read the acts too, which nothing but an export and the undo need.</param>
    /// <param name="of">Into how many shares the plants are dealt.</param>
    /// <param name="share">The share that is read, from 0.</param>
    public static async Task<Dictionary<int, List<Entry>>> ReadAllAsync(GardenDb db, bool acts, int of, int share)
    {
        var days = new Dictionary<string, DateOnly>();
        await db.Database.OpenConnectionAsync();
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = string.Format(System.Globalization.CultureInfo.InvariantCulture, Sql, acts ? "Act" : "NULL", of, share);
        await using var rows = await command.ExecuteReaderAsync();
        var byPlant = new Dictionary<int, List<Entry>>();
        while (rows.Read())
        {
            ref var entries = ref CollectionsMarshal.GetValueRefOrAddDefault(byPlant, rows.GetInt32(0), out _);
            (entries ??= []).Add(Entry(rows, days));
        }
        foreach (var entries in byPlant.Values)
            entries.Sort(AsWritten);
        return byPlant;
    }

    /// <summary>Sorted here and not by the database, which would copy every row to do it.</summary>
    static int AsWritten(Entry a, Entry b) => a.Logged.CompareTo(b.Logged) is var order && order != 0 ? order : a.Id.CompareTo(b.Id);

    static Entry Entry(System.Data.Common.DbDataReader row, Dictionary<string, DateOnly> days) =>
        new()
        {
            Id = row.GetGuid(1),
            On = Day(row.GetString(2), days),
            Kind =
                EntryKinds.Find(row.GetString(3))
                ?? throw new InvalidDataException($"Entry {row.GetGuid(1)} has the unknown kind \"{row.GetString(3)}\"."),
            Organ = Text(row, 4),
            Amount = row.IsDBNull(5) ? null : new(row.GetDouble(5), Text(row, 6) is { } unit ? Unit.Find(unit) : null),
            Text = Text(row, 7),
            Logged = new(row.GetInt64(8), TimeSpan.Zero),
            Struck = row.GetBoolean(9),
            File = Text(row, 10),
            Mix = Text(row, 11),
            Act = row.IsDBNull(12) ? Guid.Empty : row.GetGuid(12),
        };

    /// <summary>A thousand days stand for all entries, so each is parsed once.</summary>
    static DateOnly Day(string written, Dictionary<string, DateOnly> days) =>
        days.TryGetValue(written, out var day)
            ? day
            : days[written] = DateOnly.Parse(written, System.Globalization.CultureInfo.InvariantCulture);

    static string? Text(System.Data.Common.DbDataReader row, int column) => row.IsDBNull(column) ? null : row.GetString(column);
}

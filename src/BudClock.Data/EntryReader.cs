using System.Data.Common;
using System.Globalization;
using System.Runtime.InteropServices;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>
/// Reads entries in bulk. A large garden has hundreds of thousands: they are read straight into the journal's type,
/// without a row object and a kind's name for each. One that cannot be read is kept, named and left out.
/// </summary>
sealed class EntryReader(GardenDb db, List<string> unread)
{
    const string Columns =
        "PlantId, Id, \"On\", Kind, Organ, Value, Unit, Text, Logged, Struck, File, Mix, Sets, Amends, StruckBy IS NOT NULL, Said";

    readonly Dictionary<string, DateOnly> days = [];
    readonly Dictionary<string, Said?> sayings = [];

    /// <summary>The entries of each plant by its key, in the order in which they were written down.</summary>
    /// <param name="acts">Read the acts too, which nothing but an export and the undo need.</param>
    /// <param name="of">Into how many shares the plants are dealt.</param>
    /// <param name="share">The share that is read, from 0.</param>
    public Task<Dictionary<int, List<Entry>>> ReadAllAsync(bool acts, int of, int share) =>
        ReadAsync(acts, string.Create(CultureInfo.InvariantCulture, $"PlantId % {of} = {share}"));

    /// <summary>The entries of some plants by their keys.</summary>
    public Task<Dictionary<int, List<Entry>>> ReadAsync(IEnumerable<int> plants) =>
        ReadAsync(acts: true, $"PlantId IN ({string.Join(',', plants.Select(key => key.ToString(CultureInfo.InvariantCulture)))})");

    async Task<Dictionary<int, List<Entry>>> ReadAsync(bool acts, string where)
    {
        await db.Database.OpenConnectionAsync();
        await using var command = Rows.Command(db, $"SELECT {Columns}, {(acts ? "Act" : "NULL")} FROM Entries WHERE {where}");
        await using var rows = await command.ExecuteReaderAsync();
        var byPlant = new Dictionary<int, List<Entry>>();
        while (rows.Read())
        {
            if (Read(rows) is not { } entry)
                continue;
            ref var entries = ref CollectionsMarshal.GetValueRefOrAddDefault(byPlant, rows.GetInt32(0), out _);
            (entries ??= []).Add(entry);
        }
        foreach (var entries in byPlant.Values)
            entries.Sort(AsWritten);
        return byPlant;
    }

    /// <summary>Sorted here and not by the database, which would copy every row to do it.</summary>
    static int AsWritten(Entry a, Entry b) => a.Logged.CompareTo(b.Logged) is var order && order != 0 ? order : a.Id.CompareTo(b.Id);

    Entry? Read(DbDataReader row)
    {
        try
        {
            var entry = Entry(row);
            return Text(row, 15) is { } written && Heard(written) is { } said ? entry with { Said = said } : entry;
        }
        catch (Exception fault) when (Rows.IsBadValue(fault) || fault is InvalidDataException)
        {
            var id = row.IsDBNull(1) ? "without an id" : Convert.ToString(row.GetValue(1), CultureInfo.InvariantCulture);
            lock (unread)
                unread.Add($"entry {id} in the database: {fault.Message.Split('\n')[0]}");
            return null;
        }
    }

    Entry Entry(DbDataReader row) =>
        new()
        {
            Id = row.GetGuid(1),
            On = Day(row.GetString(2)),
            Kind = EntryKinds.Find(row.GetString(3)) ?? throw new InvalidDataException($"\"{row.GetString(3)}\" is no kind of entry."),
            Organ = Text(row, 4),
            Amount = row.IsDBNull(5) ? null : new(row.GetDouble(5), Text(row, 6) is { } unit ? Unit.Find(unit) : null),
            Text = Text(row, 7),
            Logged = new(row.GetInt64(8), TimeSpan.Zero),
            Struck = row.GetBoolean(9),
            File = Text(row, 10),
            Mix = Text(row, 11),
            Sets = Mapping.Sets(Text(row, 12)),
            Amends = row.IsDBNull(13) ? null : row.GetGuid(13),
            Undone = row.GetBoolean(14),
            Act = row.IsDBNull(16) ? Guid.Empty : row.GetGuid(16),
        };

    /// <summary>Few sayings stand for all entries, so each is parsed once.</summary>
    /// <returns>Null for one that is not known here whole: then the words are read, so that no danger hides behind it.</returns>
    Said? Heard(string written) =>
        sayings.TryGetValue(written, out var said)
            ? said
            : sayings[written] = Said.Read(written.Split(';'), out var unknown) is var read && unknown is null ? read : null;

    /// <summary>A thousand days stand for all entries, so each is parsed once.</summary>
    DateOnly Day(string written) =>
        days.TryGetValue(written, out var day) ? day : days[written] = DateOnly.Parse(written, CultureInfo.InvariantCulture);

    static string? Text(DbDataReader row, int column) => row.IsDBNull(column) ? null : row.GetString(column);
}

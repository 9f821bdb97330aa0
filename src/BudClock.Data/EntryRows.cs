using Microsoft.Data.Sqlite;

namespace BudClock.Data;

/// <summary>Adds entries to an act: a few as any other row, thousands by one prepared statement.</summary>
static class EntryRows
{
    const int Few = 200;

    const string Insert = """
        INSERT INTO Entries (Id, PlantId, "On", Kind, Organ, Value, Unit, Text, Said, File, Mix, Logged,
            Act, Struck, StruckBy, Sets, Amends, By)
        VALUES ($id, $plant, $on, $kind, $organ, $value, $unit, $text, $said, $file, $mix, $logged,
            $act, $struck, NULL, $sets, $amends, $by)
        """;

    /// <summary>Their plants must be saved, or be saved with what is pending.</summary>
    public static async Task AddAsync(GardenDb db, IReadOnlyCollection<EntryRow> rows)
    {
        if (rows.Count <= Few)
        {
            db.Entries.AddRange(rows);
            return;
        }
        await db.SaveChangesAsync();
        await using var insert = (SqliteCommand)Rows.Command(db, Insert);
        foreach (var row in rows)
        {
            insert.Parameters.Clear();
            foreach (var (name, value) in Values(row))
                insert.Parameters.AddWithValue(name, value ?? DBNull.Value);
            insert.ExecuteNonQuery(); // SQLite answers where it is called
        }
    }

    /// <summary>A row as it is written into a plant's journal by an act.</summary>
    public static EntryRow InAct(EntryRow row, int plant, Guid act)
    {
        (row.PlantId, row.By) = (plant, act);
        return row;
    }

    static (string Name, object? Value)[] Values(EntryRow row) =>
        [
            ("$id", row.Id),
            ("$plant", row.PlantId),
            ("$on", row.On),
            ("$kind", row.Kind),
            ("$organ", row.Organ),
            ("$value", row.Value),
            ("$unit", row.Unit),
            ("$text", row.Text),
            ("$said", row.Said),
            ("$file", row.File),
            ("$mix", row.Mix),
            ("$logged", row.Logged),
            ("$act", row.Act),
            ("$struck", row.Struck),
            ("$sets", row.Sets),
            ("$amends", row.Amends),
            ("$by", row.By),
        ];
}

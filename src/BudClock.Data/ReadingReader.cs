using System.Data.Common;

namespace BudClock.Data;

/// <summary>Reads readings, of which there are very many, without a row object for each.</summary>
static class ReadingReader
{
    /// <summary>Readings of the places that are known, by place and then by time.</summary>
    /// <param name="to">UTC ticks; left out itself.</param>
    /// <param name="place">Only of this one.</param>
    public static async Task<IReadOnlyList<ClimateReading>> ReadAsync(
        GardenDb db,
        Dictionary<int, string> codes,
        long from,
        long to = long.MaxValue,
        int? place = null
    )
    {
        var readings = new List<ClimateReading>();
        // Place by place, so that the index leads to the span and nothing else is looked at.
        foreach (var (key, code) in codes.Where(one => place is null || one.Key == place).OrderBy(one => one.Key))
        {
            await using var command = Rows.Command(
                db,
                "SELECT At, TemperatureC, HumidityPct, Device, COALESCE(Lux, Ppfd, Doubt, Hours) IS NOT NULL, "
                    + "Lux, Ppfd, Doubt, Hours, MinC, MaxC FROM Readings "
                    + $"WHERE PlaceId = {key} AND At >= {from} AND At < {to} AND Struck = 0 ORDER BY At, Device"
            );
            await using var rows = await command.ExecuteReaderAsync();
            while (rows.Read())
                if (Read(rows, code) is { } reading)
                    readings.Add(reading);
        }
        return readings;
    }

    /// <summary>Null for a row that cannot be read; the others stand.</summary>
    static ClimateReading? Read(DbDataReader row, string place)
    {
        try
        {
            var reading = new ClimateReading(place, new(row.GetInt64(0), TimeSpan.Zero), Number(row, 1), Number(row, 2))
            {
                Device = row.GetString(3) is { Length: > 0 } device ? device : null,
            };
            // Most have no more than that, and each column asked for costs a call.
            return row.GetInt64(4) == 0
                ? reading
                : reading with
                {
                    Lux = Number(row, 5),
                    Ppfd = Number(row, 6),
                    Doubt = row.IsDBNull(7) ? null : row.GetString(7),
                    Hours = Number(row, 8),
                    MinC = Number(row, 9),
                    MaxC = Number(row, 10),
                };
        }
        catch (Exception fault) when (Rows.IsBadValue(fault))
        {
            return null;
        }
    }

    static double? Number(DbDataReader row, int column) => row.IsDBNull(column) ? null : row.GetDouble(column);
}

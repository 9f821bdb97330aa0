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
        await using var command = Rows.Command(
            db,
            "SELECT PlaceId, At, TemperatureC, HumidityPct, Lux, Ppfd, Device, Doubt, Hours, MinC, MaxC FROM Readings WHERE "
                + (place is null ? "" : $"PlaceId = {place} AND ")
                + $"At >= {from} AND At < {to} AND Struck = 0 ORDER BY PlaceId, At, Device"
        );
        await using var rows = await command.ExecuteReaderAsync();
        var readings = new List<ClimateReading>();
        while (rows.Read())
            if (codes.TryGetValue(rows.GetInt32(0), out var code) && Read(rows, code) is { } reading)
                readings.Add(reading);
        return readings;
    }

    /// <summary>Null for a row that cannot be read; the others stand.</summary>
    static ClimateReading? Read(DbDataReader row, string place)
    {
        try
        {
            return new(place, new(row.GetInt64(1), TimeSpan.Zero), Number(row, 2), Number(row, 3))
            {
                Lux = Number(row, 4),
                Ppfd = Number(row, 5),
                Device = row.GetString(6) is { Length: > 0 } device ? device : null,
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

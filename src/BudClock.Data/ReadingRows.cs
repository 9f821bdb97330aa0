using System.Data.Common;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>A span of a place's record that readings came for.</summary>
public sealed record Measured(string Place, DateTimeOffset From, DateTimeOffset To)
{
    /// <summary>One span for each place that readings are of.</summary>
    public static IReadOnlyList<Measured> Of(IEnumerable<ClimateReading> readings) =>
        [.. readings.GroupBy(r => r.Place).Select(of => new Measured(of.Key, of.Min(r => r.At), of.Max(r => r.At)))];
}

/// <summary>Readings of the weather, many at a time.</summary>
static class ReadingRows
{
    /// <summary>So many are written row by row, so that what they replace can be put back.</summary>
    const int ByHand = 50;

    /// <summary>
    /// Adds readings as part of an act. One of the same place, time and device is replaced; the same one again changes nothing.
    /// </summary>
    public static async Task PutAsync(GardenDb db, ActRow act, IReadOnlyList<ClimateReading> readings)
    {
        var places = (await db.Places.ToListAsync()).Concat(db.Places.Local).DistinctBy(p => p.Code).ToDictionary(p => p.Code, p => p.Id);
        if (readings.FirstOrDefault(reading => !places.ContainsKey(reading.Place)) is { } lost)
            throw new ActRefusedException($"There is no place \"{lost.Place}\" any more. Nothing was saved.");
        if (readings.Count <= ByHand)
            await OneByOneAsync(db, act, readings, places);
        else
            await BulkAsync(Rows.Command(db, Upsert), readings, places, act.Id);
        act.Readings = true;
        act.Measured.AddRange(Measured.Of(readings));
    }

    static async Task OneByOneAsync(GardenDb db, ActRow act, IReadOnlyList<ClimateReading> readings, Dictionary<string, int> places)
    {
        foreach (var reading in readings)
        {
            var (place, at, device) = (places[reading.Place], reading.At.UtcTicks, reading.Device ?? "");
            var row = db.Readings.Local.FirstOrDefault(r => r.PlaceId == place && r.At == at && r.Device == device)
                ?? await db.Readings.FirstOrDefaultAsync(r => r.PlaceId == place && r.At == at && r.Device == device);
            if (row is null)
                db.Readings.Add(
                    row = new()
                    {
                        PlaceId = place,
                        At = at,
                        Device = device,
                    }
                );
            else if (!row.Struck && row.Says(reading))
                continue;
            row.Take(reading);
            (row.Act, row.Struck) = (act.Id, false);
        }
    }

    /// <summary>What is not said leaves what is known; a reading that stands stays with the act that brought it.</summary>
    internal const string Upsert = """
        INSERT INTO Readings (PlaceId, At, Device, TemperatureC, HumidityPct, Lux, Ppfd, Doubt, Hours, MinC, MaxC, Act, Struck)
        VALUES ($place, $at, $device, $temperature, $humidity, $lux, $ppfd, $doubt, $hours, $min, $max, $act, 0)
        ON CONFLICT (PlaceId, At, Device) DO UPDATE SET
            TemperatureC = COALESCE(excluded.TemperatureC, TemperatureC), HumidityPct = COALESCE(excluded.HumidityPct, HumidityPct),
            Lux = COALESCE(excluded.Lux, Lux), Ppfd = COALESCE(excluded.Ppfd, Ppfd), Doubt = COALESCE(excluded.Doubt, Doubt),
            Act = CASE WHEN Struck = 1 THEN excluded.Act ELSE Act END, Struck = 0
        """;

    /// <summary>Writes readings with one statement for all of them.</summary>
    internal static async Task BulkAsync(
        DbCommand command,
        IEnumerable<ClimateReading> readings,
        IReadOnlyDictionary<string, int> places,
        Guid? act
    )
    {
        await using (command)
        {
            var parameters = Names.Select(name => Parameter(command, name)).ToArray();
            foreach (var r in readings)
            {
                Set(
                    parameters,
                    places[r.Place],
                    r.At.UtcTicks,
                    r.Device ?? "",
                    r.TemperatureC,
                    r.HumidityPct,
                    r.Lux,
                    r.Ppfd,
                    r.Doubt,
                    r.Hours,
                    r.MinC,
                    r.MaxC,
                    act
                );
                await command.ExecuteNonQueryAsync();
            }
        }
    }

    static readonly string[] Names =
    [
        "$place",
        "$at",
        "$device",
        "$temperature",
        "$humidity",
        "$lux",
        "$ppfd",
        "$doubt",
        "$hours",
        "$min",
        "$max",
        "$act",
    ];

    static DbParameter Parameter(DbCommand command, string name)
    {
        var parameter = command.CreateParameter();
        parameter.ParameterName = name;
        command.Parameters.Add(parameter);
        return parameter;
    }

    static void Set(DbParameter[] parameters, params ReadOnlySpan<object?> values)
    {
        for (var i = 0; i < parameters.Length; i++)
            parameters[i].Value = values[i] ?? DBNull.Value;
    }
}

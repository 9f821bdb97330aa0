using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Readings of the weather, many at a time.</summary>
static class ReadingRows
{
    /// <summary>Adds readings with a query for each place, not for each reading; one of the same place and time is replaced.</summary>
    public static async Task PutAsync(GardenDb db, ActRow act, IReadOnlyList<ClimateReading> readings)
    {
        var places = (await db.Places.ToListAsync()).Concat(db.Places.Local).DistinctBy(p => p.Code).ToDictionary(p => p.Code, p => p.Id);
        foreach (var group in readings.GroupBy(reading => reading.Place))
        {
            if (!places.TryGetValue(group.Key, out var place))
                throw new ActRefusedException($"There is no place \"{group.Key}\" any more. Nothing was saved.");
            var (first, last) = (group.Min(r => r.At).UtcTicks, group.Max(r => r.At).UtcTicks);
            var known = await db.Readings.Where(r => r.PlaceId == place && r.At >= first && r.At <= last).ToDictionaryAsync(r => r.At);
            foreach (var reading in group)
            {
                if (!known.TryGetValue(reading.At.UtcTicks, out var row))
                    db.Readings.Add(known[reading.At.UtcTicks] = row = new() { PlaceId = place, At = reading.At.UtcTicks });
                (row.TemperatureC, row.HumidityPct, row.Act, row.Struck) = (reading.TemperatureC, reading.HumidityPct, act.Id, false);
            }
        }
        act.Readings = true;
    }
}

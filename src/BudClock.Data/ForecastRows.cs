using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Forecasts as they were made.</summary>
static class ForecastRows
{
    /// <summary>Adds forecasts; one for the same place and day, made on the same day, is replaced.</summary>
    public static async Task PutAsync(GardenDb db, IReadOnlyList<ForecastDay> days)
    {
        var places = await db.Places.ToDictionaryAsync(p => p.Code, p => p.Id, StringComparer.OrdinalIgnoreCase);
        var (first, last) = (days.Min(day => day.On), days.Max(day => day.On));
        var known = (await db.Forecast.Where(row => row.On >= first && row.On <= last).ToListAsync()).ToLookup(row =>
            (row.PlaceId, row.On, row.Made)
        );
        foreach (var day in days)
        {
            if (day.Place is { } code && !places.ContainsKey(code))
                throw new ActRefusedException($"There is no place \"{code}\" any more. Nothing was saved.");
            int? place = day.Place is null ? null : places[day.Place];
            var row = known[(place, day.On, day.Made)].FirstOrDefault();
            if (row is null)
                db.Forecast.Add(row = new() { PlaceId = place });
            row.Take(day);
        }
    }
}

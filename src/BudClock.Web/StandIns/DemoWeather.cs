using BudClock.Data;
using BudClock.StandIns;

namespace BudClock.Web.StandIns;

/// <summary>
/// A year (<see cref="ServerOptions.DemoDays"/>) of made-up readings and forecasts for the demo's places, up to the hour at which it is
/// started; from then on the stand-in
/// devices send their own.
/// </summary>
public sealed class DemoWeather(GardenStore store, Logbook logbook, ServerOptions options, Clock clock)
{
    /// <summary>The same weather as the stand-in devices have.</summary>
    public const int Seed = 7;

    const int DaysAhead = 14;

    /// <summary>How far ahead earlier forecasts are kept of, so that their spread can be learned.</summary>
    static readonly int[] Leads = [1, 4, 7, 10];

    readonly SimulatedWeather weather = new(Seed);

    /// <summary>Makes up what is missing since the last start.</summary>
    public async Task BringUpAsync(CancellationToken cancellationToken)
    {
        var now = clock.GetUtcNow();
        var hour = new DateTimeOffset(now.Year, now.Month, now.Day, now.Hour, 0, 0, TimeSpan.Zero);
        if (await store.ReadAsync(DateTimeOffset.MaxValue, acts: false, entriesOf: []) is not { } garden)
            return;
        var readings = new List<ClimateReading>();
        foreach (var place in garden.Places)
            readings.AddRange(Missing(place, garden.Devices, await store.LastAtAsync(place.Code) ?? hour.AddDays(-options.DemoDays), hour));
        if (readings.Count > 0)
            await logbook.MeasureAsync(readings, cancellationToken);
        var said = garden.Forecast.Where(day => day.Place is null && day.Made is not null).Max(day => day.Made);
        var forecast = Forecasts(said ?? clock.Today(garden.Garden).AddDays(-options.DemoDays), clock.Today(garden.Garden)).ToList();
        if (forecast.Count > 0)
            await logbook.ForecastAsync(forecast, cancellationToken);
    }

    IEnumerable<ClimateReading> Missing(Place place, IReadOnlyList<Device> devices, DateTimeOffset last, DateTimeOffset now)
    {
        if (place.Setting is null || !SimulatedPlace.Kinds.TryGetValue(place.Setting, out var kind))
            yield break;
        var device = devices.FirstOrDefault(device => device.Place == place.Code)?.Code;
        var earliest = now.AddDays(-options.DemoDays);
        for (var at = last < earliest ? earliest : last.AddHours(1); at <= now; at = at.AddHours(1))
        {
            var read = kind.At(weather, at);
            yield return new(place.Code, at, read.TemperatureC, read.HumidityPct) { Lux = read.Lux, Device = device };
        }
    }

    IEnumerable<ForecastDay> Forecasts(DateOnly after, DateOnly today)
    {
        for (var made = after.AddDays(1); made < today; made = made.AddDays(1))
            foreach (var lead in Leads.Where(lead => lead == 1 || made.DayNumber % 3 == 0))
                yield return Say(made, made.AddDays(lead));
        for (var ahead = 0; ahead < DaysAhead && after < today; ahead++)
            yield return Say(today, today.AddDays(ahead));
    }

    ForecastDay Say(DateOnly made, DateOnly day)
    {
        var (min, max, sun, humidity) = weather.Forecast(made, day);
        return new(null, day, min, max)
        {
            SunHours = sun,
            HumidityPct = humidity,
            Made = made,
        };
    }
}

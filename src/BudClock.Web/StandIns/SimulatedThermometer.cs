using BudClock.Data;

namespace BudClock.Web.StandIns;

/// <summary>
/// Stands in for thermometers on the benches: a reading an hour for each place, the same every time for the same place
/// and hour. It fills in the days up to now when it starts and goes on from there.
/// </summary>
public sealed class SimulatedThermometer(GardenStore store, Logbook logbook, Clock clock) : BackgroundService
{
    const int DaysBack = 9;

    public override async Task StartAsync(CancellationToken cancellationToken)
    {
        await FillAsync();
        await base.StartAsync(cancellationToken);
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var hourly = new PeriodicTimer(TimeSpan.FromHours(1));
        while (await hourly.WaitForNextTickAsync(stoppingToken))
            await FillAsync();
    }

    async Task FillAsync()
    {
        var now = clock.GetUtcNow();
        var hour = new DateTimeOffset(now.Year, now.Month, now.Day, now.Hour, 0, 0, TimeSpan.Zero);
        if (await store.ReadAsync(hour.AddDays(-DaysBack), acts: false, entriesOf: []) is not { } garden)
            return;
        var known = garden.Readings.Select(r => (r.Place, r.At)).ToHashSet();
        var readings =
            from place in garden.Places
            from back in Enumerable.Range(0, DaysBack * 24)
            let at = hour.AddHours(-back)
            where !known.Contains((place.Code, at))
            select Read(place, at);
        if (readings.ToList() is { Count: > 0 } fresh)
            await logbook.MeasureAsync(fresh);
    }

    /// <summary>Coldest about four in the morning, warmest about three in the afternoon, warmer in summer.</summary>
    static ClimateReading Read(Place place, DateTimeOffset at)
    {
        var (night, day, humidity) = place.Setting switch
        {
            "glasshouse" => (14.6, 24.0, 74.0),
            "indoors" => (16.2, 21.0, 55.0),
            "cold-frame" => (8.4, 19.0, 82.0),
            "store" => (16.6, 17.6, 48.0),
            _ => (8.0, 18.0, 75.0),
        };
        var season = place.Setting is "store" or "indoors" ? 0 : 3 * (Math.Cos((at.DayOfYear - 200) / 365.0 * 2 * Math.PI) - 0.55);
        var swing = (1 - Math.Cos((at.Hour - 4) / 24.0 * 2 * Math.PI)) / 2;
        var weather = Math.Sin((at.DayOfYear * 1.7) + place.Code.Length) * 0.6;
        var celsius = night + ((day - night) * swing) + season + weather;
        return new(place.Code, at, Math.Round(celsius, 1), Math.Round(humidity - (12 * swing)));
    }
}

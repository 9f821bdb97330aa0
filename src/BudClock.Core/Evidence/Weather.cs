namespace BudClock.Core.Evidence;

/// <summary>Rules V4, E3, E4 and E7: what a place has been, by whole garden days, and what is forecast for it.</summary>
/// <param name="Nights">The coolest reading of each night, dated by the day it was read, newest first.</param>
/// <param name="Days">The warmest reading of each day, newest first.</param>
/// <param name="Humidity">The mean relative humidity of each day, percent, newest first.</param>
/// <param name="Ahead">Forecast days from today on, in their order.</param>
public sealed record Weather(
    IReadOnlyList<Seen<double>> Nights,
    IReadOnlyList<Seen<double>> Days,
    IReadOnlyList<Seen<double>> Humidity,
    IReadOnlyList<ForecastDay> Ahead
)
{
    /// <summary>Nothing measured, nothing forecast.</summary>
    public static readonly Weather Unknown = new([], [], [], []);

    /// <summary>How many days back readings are read.</summary>
    public const int Kept = 14;

    /// <summary>The coolest night of the last days, °C; null when none was measured.</summary>
    public Seen<double>? CoolestNight(DateOnly today, int days) => Within(Nights, today, days).MinBy(night => night.Value);

    /// <summary>The last measured night, °C; null when none was in the last days.</summary>
    public Seen<double>? LastNight(DateOnly today, int days) => Within(Nights, today, days).FirstOrDefault();

    /// <summary>How many of the last days had a reading above a limit, and the warmest of them.</summary>
    public (int Count, Seen<double>? Warmest) HotDays(DateOnly today, int days, double limit)
    {
        var hot = Within(Days, today, days).Where(day => day.Value > limit).ToList();
        return (hot.Count, hot.MaxBy(day => day.Value));
    }

    /// <summary>The mean humidity of the last days, percent; null when it was not measured.</summary>
    public Seen<double>? MeanHumidity(DateOnly today, int days) =>
        Within(Humidity, today, days).ToList() is { Count: > 0 } known ? new(known.Average(day => day.Value), known[0].On) : null;

    /// <summary>The first forecast night below a limit within so many days; null for none.</summary>
    public ForecastDay? FirstBelow(double limit, DateOnly today, int days) =>
        Ahead.FirstOrDefault(day => day.On < today.AddDays(days) && day.MinC < limit);

    /// <summary>The first forecast night that stays above a limit within so many days; null for none.</summary>
    public ForecastDay? FirstWarmNight(double limit, DateOnly today, int days) =>
        Ahead.FirstOrDefault(day => day.On < today.AddDays(days) && day.MinC > limit);

    static IEnumerable<Seen<double>> Within(IReadOnlyList<Seen<double>> series, DateOnly today, int days) =>
        series.Where(seen => seen.On <= today && seen.On > today.AddDays(-days));

    /// <summary>The same nights, days and forecast.</summary>
    public bool Same(Weather other) =>
        Nights.SequenceEqual(other.Nights)
        && Days.SequenceEqual(other.Days)
        && Humidity.SequenceEqual(other.Humidity)
        && Ahead.SequenceEqual(other.Ahead);

    /// <summary>The weather of one place up to a day, from its readings and the garden's forecast.</summary>
    public static Weather Of(
        string? place,
        DateOnly today,
        Garden garden,
        IEnumerable<ClimateReading> readings,
        IEnumerable<ForecastDay> forecast
    )
    {
        if (place is null)
            return Unknown;
        var here = readings
            .Where(r => r.Place == place)
            .Select(r => (Reading: r, Day: garden.DayAt(r.At)))
            .Where(r => r.Day <= today && r.Day > today.AddDays(-Kept))
            .ToList();
        var warm = here.Where(r => r.Reading.TemperatureC is not null).ToList();
        return new(
            ByDay(warm.Where(r => Climate.Nights.IsNight(r.Reading.At, r.Day, garden)), day => day.Min(r => r.Reading.TemperatureC!.Value)),
            ByDay(warm, day => day.Max(r => r.Reading.TemperatureC!.Value)),
            ByDay(here.Where(r => r.Reading.HumidityPct is not null), day => day.Average(r => r.Reading.HumidityPct!.Value)),
            [.. forecast.Where(day => day.Place == place && day.On >= today).OrderBy(day => day.On)]
        );
    }

    static IReadOnlyList<Seen<double>> ByDay(
        IEnumerable<(ClimateReading Reading, DateOnly Day)> readings,
        Func<IGrouping<DateOnly, (ClimateReading Reading, DateOnly Day)>, double> of
    ) => [.. readings.GroupBy(r => r.Day).Select(day => new Seen<double>(of(day), day.Key)).OrderByDescending(seen => seen.On)];
}

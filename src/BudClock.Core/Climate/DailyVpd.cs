namespace BudClock.Core.Climate;

/// <summary>A day's mean temperature and humidity at a place.</summary>
public sealed record DailyMean(string Place, DateOnly Day, double TemperatureC, double HumidityPct);

/// <summary>
/// The vapour pressure deficit of each whole garden day at each place, from the day's mean temperature and humidity; one estimator
/// for every page and the command line.
/// </summary>
public sealed class DailyVpd
{
    readonly Dictionary<(string Place, DateOnly Day), double> means = [];

    /// <param name="earlier">Daily means of days whose readings are not given one by one; they stand over what readings say of the same
    /// day.</param>
    public DailyVpd(Garden garden, IEnumerable<ClimateReading> readings, params IReadOnlyList<DailyMean> earlier)
    {
        var known = readings.Where(r => r is { TemperatureC: not null, HumidityPct: not null });
        foreach (var day in known.GroupBy(r => (r.Place, garden.DayAt(r.At))))
            means[day.Key] = Vpd.KPa(day.Average(r => r.TemperatureC!.Value), day.Average(r => r.HumidityPct!.Value));
        foreach (var mean in earlier)
            means[(mean.Place, mean.Day)] = Vpd.KPa(mean.TemperatureC, mean.HumidityPct);
    }

    /// <summary>The days of one place; null for a day without readings.</summary>
    public Func<DateOnly, double?> On(string? place) =>
        day => place is not null && means.TryGetValue((place, day), out var kPa) ? kPa : null;
}

namespace BudClock.Core.Climate;

/// <summary>A day's mean temperature and humidity at a place.</summary>
public sealed record DailyMean(string Place, DateOnly Day, double TemperatureC, double HumidityPct);

/// <summary>The mean vapour pressure deficit of each day at each place, from readings that have both temperature and humidity.</summary>
public sealed class DailyVpd
{
    readonly Dictionary<(string Place, DateOnly Day), double> means = [];

    /// <param name="earlier">Daily means of days whose readings are not given one by one.</param>
    public DailyVpd(Garden garden, IEnumerable<ClimateReading> readings, params IReadOnlyList<DailyMean> earlier)
    {
        foreach (var mean in earlier) means[(mean.Place, mean.Day)] = Vpd.KPa(mean.TemperatureC, mean.HumidityPct);
        var known = readings.Where(r => r is { TemperatureC: not null, HumidityPct: not null });
        foreach (var day in known.GroupBy(r => (r.Place, garden.DayAt(r.At))))
            means[day.Key] = day.Average(r => Vpd.KPa(r.TemperatureC!.Value, r.HumidityPct!.Value));
    }

    /// <summary>The days of one place; null for a day without readings.</summary>
    public Func<DateOnly, double?> On(string? place) => day => place is not null && means.TryGetValue((place, day), out var kPa) ? kPa : null;
}

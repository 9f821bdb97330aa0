namespace BudClock.Core.Climate;

/// <summary>Finds a device whose clock is off: an hour where it never heard of summer time, or any other whole step.</summary>
public static class HourOff
{
    const int LeastArrivals = 6;
    const int LeastHours = 48;
    const int MostHours = 3;

    /// <summary>A delay that stays within this is a clock that is off; late deliveries come as they like.</summary>
    static readonly TimeSpan Steady = TimeSpan.FromMinutes(12);
    static readonly TimeSpan Off = TimeSpan.FromMinutes(25);

    /// <summary>
    /// How far a device's times lag behind those at which they came, where all of the last ones do so alike; null for none.
    /// </summary>
    /// <returns>Positive for a clock that is behind.</returns>
    public static TimeSpan? ByArrival(IReadOnlyCollection<(DateTimeOffset At, DateTimeOffset Came)> last)
    {
        if (last.Count < LeastArrivals)
            return null;
        var lags = last.Select(one => one.Came - one.At).Order().ToList();
        var middle = lags[lags.Count / 2];
        return middle.Duration() >= Off && lags[^1] - lags[0] <= Steady ? middle : null;
    }

    /// <summary>
    /// By how many hours the readings would have to be moved to go with others of the same place; null where they go together as they
    /// are, or where there are too few to tell.
    /// </summary>
    /// <returns>Positive where they have to be moved to a later time.</returns>
    public static int? Against(IEnumerable<ClimateReading> readings, IEnumerable<ClimateReading> others)
    {
        var (mine, theirs) = (ByHour(readings), ByHour(others));
        var misfits = Enumerable
            .Range(-MostHours, (2 * MostHours) + 1)
            .Select(shift => (Shift: shift, Misfit: Misfit(mine, theirs, shift)))
            .Where(fit => fit.Misfit is not null)
            .ToList();
        if (misfits.FirstOrDefault(fit => fit.Shift == 0).Misfit is not { } asIs)
            return null;
        var best = misfits.MinBy(fit => fit.Misfit);
        return best.Shift != 0 && best.Misfit < asIs * 0.7 ? best.Shift : null;
    }

    static Dictionary<long, double> ByHour(IEnumerable<ClimateReading> readings) =>
        readings
            .Where(reading => reading is { TemperatureC: not null, Doubt: null })
            .GroupBy(reading => reading.At.UtcTicks / TimeSpan.TicksPerHour)
            .ToDictionary(hour => hour.Key, hour => hour.Average(reading => reading.TemperatureC!.Value));

    /// <summary>How differently they move from hour to hour; null with too few hours in common.</summary>
    static double? Misfit(Dictionary<long, double> mine, Dictionary<long, double> theirs, int shift)
    {
        var (sum, hours) = (0d, 0);
        foreach (var (hour, celsius) in mine)
            if (
                mine.TryGetValue(hour - 1, out var before)
                && theirs.TryGetValue(hour + shift, out var other)
                && theirs.TryGetValue(hour + shift - 1, out var otherBefore)
            )
                (sum, hours) = (sum + Math.Abs(celsius - before - (other - otherBefore)), hours + 1);
        return hours >= LeastHours ? sum / hours : null;
    }
}

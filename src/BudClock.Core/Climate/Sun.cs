namespace BudClock.Core.Climate;

/// <summary>Rule E2: when the sun rises and sets, and how long the day is, from latitude and date.</summary>
/// <remarks>
/// Sunrise is the upper limb on the horizon with the usual refraction (the centre at −0.833°). Position of the sun by
/// the low-precision formulas of the Astronomical Almanac, good to about 0.01° between 1950 and 2050, so that times
/// are right to a minute or two below the polar circles.
/// </remarks>
/// <param name="Rise">UTC; null when the sun does not rise or does not set that day.</param>
/// <param name="Set">UTC; null likewise.</param>
/// <param name="DayHours">Hours between them: 24 in the polar day, 0 in the polar night.</param>
public sealed record Sun(DateTimeOffset? Rise, DateTimeOffset? Set, double DayHours)
{
    const double HorizonDeg = -0.833;

    /// <summary>The sun over one place on one day.</summary>
    /// <param name="latitude">Degrees, north positive.</param>
    /// <param name="longitude">Degrees, east positive.</param>
    public static Sun On(DateOnly day, double latitude, double longitude = 0)
    {
        // Rise and set each at their own moment: the sun's declination moves during the day.
        var noon = new DateTimeOffset(day, new TimeOnly(12, 0), TimeSpan.Zero).AddHours(-longitude / 15);
        noon = noon.AddMinutes(-Position(noon).EquationMinutes);
        var half = HalfDay(noon, latitude);
        if (half is 0 or 12)
            return new(null, null, half.Value * 2);

        var rise = noon.AddHours(-(HalfDay(noon.AddHours(-half ?? 0), latitude) ?? half ?? 0));
        var set = noon.AddHours(HalfDay(noon.AddHours(half ?? 0), latitude) ?? half ?? 0);
        return new(rise, set, (set - rise).TotalHours);
    }

    /// <summary>Hours from rise to noon: 12 when the sun stays up, 0 when it stays down.</summary>
    static double? HalfDay(DateTimeOffset at, double latitude)
    {
        var (phi, delta) = (Radians(latitude), Position(at).Declination);
        var cosine = (Math.Sin(Radians(HorizonDeg)) - (Math.Sin(phi) * Math.Sin(delta))) / (Math.Cos(phi) * Math.Cos(delta));
        return cosine <= -1 ? 12
            : cosine >= 1 ? 0
            : Math.Acos(cosine) * 12 / Math.PI;
    }

    static (double Declination, double EquationMinutes) Position(DateTimeOffset at)
    {
        var days = (at - new DateTimeOffset(2000, 1, 1, 12, 0, 0, TimeSpan.Zero)).TotalDays;
        var mean = 280.460 + (0.9856474 * days);
        var anomaly = Radians(357.528 + (0.9856003 * days));
        var ecliptic = Radians(mean + (1.915 * Math.Sin(anomaly)) + (0.020 * Math.Sin(2 * anomaly)));
        var tilt = Radians(23.439 - (0.0000004 * days));
        var ascension = Math.Atan2(Math.Cos(tilt) * Math.Sin(ecliptic), Math.Cos(ecliptic)) * 180 / Math.PI;
        var equation = Math.IEEERemainder(mean - ascension, 360) * 4;
        return (Math.Asin(Math.Sin(tilt) * Math.Sin(ecliptic)), equation);
    }

    static double Radians(double degrees) => degrees * Math.PI / 180;
}

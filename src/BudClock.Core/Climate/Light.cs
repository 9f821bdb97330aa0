namespace BudClock.Core.Climate;

/// <summary>Rule E1: light as photons that a leaf can use, and as their sum over a day.</summary>
public static class Light
{
    /// <summary>Daily light integral, mol/m²/day, of steady photons through some hours (the definition).</summary>
    /// <param name="photons">µmol/m²/s.</param>
    public static double Dli(double photons, double hours) => photons * hours * 3600 / 1e6;

    /// <summary>The share of mid-day light at a moment, as a half sine from sunrise to sunset; 0 by night.</summary>
    public static double ShareOfNoon(DayFrame day, DateTimeOffset at) =>
        day.PartOf(at.UtcTicks) is DayPart.Day && day.Set > day.Rise
            ? Math.Sin(Math.PI * (at.UtcTicks - day.Rise) / (day.Set - day.Rise))
            : 0;

    /// <summary>
    /// Sun on level ground above the air, MJ/m²/day (FAO Irrigation and Drainage Paper 56, equation 21).
    /// </summary>
    /// <param name="latitude">Degrees, north positive.</param>
    public static double AboveTheAirMJ(DateOnly day, double latitude)
    {
        var (phi, turn) = (latitude * Math.PI / 180, 2 * Math.PI * day.DayOfYear / 365);
        var (distance, delta) = (1 + (0.033 * Math.Cos(turn)), 0.409 * Math.Sin(turn - 1.39));
        var sunset = Math.Acos(Math.Clamp(-Math.Tan(phi) * Math.Tan(delta), -1, 1));
        var rays = (sunset * Math.Sin(phi) * Math.Sin(delta)) + (Math.Cos(phi) * Math.Cos(delta) * Math.Sin(sunset));
        return 24 * 60 / Math.PI * 0.0820 * distance * rays;
    }

    /// <summary>
    /// The daily light integral under an open sky, mol/m²/day, likely and as a range from dull to clear: of the sun above the air a
    /// quarter to three quarters arrive (FAO 56, equation 35), and a megajoule of sun holds about 2 mol (from memory).
    /// </summary>
    public static LightEstimate OpenSky(DateOnly day, double latitude)
    {
        var all = AboveTheAirMJ(day, latitude) * 2.04;
        return new(all * 0.5, all * 0.25, all * 0.75, "open sky");
    }
}

/// <summary>A daily light integral with how far it may be off.</summary>
/// <param name="Dli">mol/m²/day, likely.</param>
/// <param name="Low">The low end of what it may be.</param>
/// <param name="High">The high end.</param>
/// <param name="From">What it is taken from, for the page: "hourly readings".</param>
public sealed record LightEstimate(double Dli, double Low, double High, string From);

/// <summary>What was measured of a day's light.</summary>
/// <param name="Estimate">The day's integral: summed where most of its light hours were read, else from the hours that were.</param>
/// <param name="PeakPhotons">The brightest piece, µmol/m²/s.</param>
public sealed record MeasuredLight(LightEstimate Estimate, double PeakPhotons)
{
    /// <summary>From so much of the day's light on it is a sum; with less it is reckoned from single readings.</summary>
    const double Summed = 0.75;

    /// <summary>A meter in a window and the leaves beside it differ by so much.</summary>
    const double MeterError = 0.15;

    /// <summary>Clouds come and go: a single reading says its day to within a factor of two.</summary>
    const double SpotFactor = 2;

    /// <summary>A meter made for the sun and held under a lamp is off by so much.</summary>
    const double LampError = 0.3;

    /// <summary>The same reading where there is no window and lamps burn so many hours: they do not rise and set as the sun does.</summary>
    public LightEstimate UnderLamps(double hours)
    {
        var whole = Light.Dli(PeakPhotons, hours);
        return new(whole, whole * (1 - LampError), whole * (1 + LampError), "its lamps' light and hours");
    }

    /// <summary>The light of one day from its pieces; null where none was read by day.</summary>
    public static MeasuredLight? Of(DayFrame day, IEnumerable<Piece> pieces)
    {
        var (sum, hours, share, peak, any) = (0d, 0d, 0d, 0d, false);
        foreach (var piece in pieces)
        {
            if (piece.Photons is not { } photons)
                continue;
            any = true;
            peak = Math.Max(peak, photons);
            sum += Light.Dli(photons, piece.Hours);
            if (piece.Part is not DayPart.Day)
                continue;
            hours += piece.Hours;
            share += Light.ShareOfNoon(day, piece.At.AddHours(piece.Hours > 1 ? piece.Hours / 2 : 0)) * piece.Hours;
        }
        if (!any || day.LightHours <= 0)
            return null;
        if (hours >= day.LightHours * Summed)
            return new(new(sum, sum * (1 - MeterError), sum * (1 + MeterError), "readings through the day"), peak);
        if (share <= 0.05)
            return null;
        var whole = sum / share * day.LightHours * 2 / Math.PI;
        return new(new(whole, whole / SpotFactor, whole * SpotFactor, "single readings"), peak);
    }
}

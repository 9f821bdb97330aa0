namespace BudClock.StandIns;

/// <summary>
/// Made-up weather of an estuary at 51.5° N, the same for the same seed and hour: seasons, days and nights, and spells that come and go.
/// </summary>
public sealed class SimulatedWeather(int seed)
{
    const double LatitudeDeg = 51.5;

    /// <summary>The air outside, °C: coldest about four in the morning, warmest about four in the afternoon, UTC.</summary>
    public double OutsideC(DateTimeOffset at) => 7 + (9 * Swing(at)) + (6 * Season(at)) - 1 + SpellC(at);

    /// <summary>How much warmer or colder it is than usual, °C: spells of some days, three degrees either way at the most.</summary>
    public double SpellC(DateTimeOffset at)
    {
        var day = at.UtcTicks / (double)TimeSpan.TicksPerDay;
        return (1.8 * Noise(day / 3, 1)) + (1.2 * Noise(day / 8, 2));
    }

    /// <summary>The lowest and highest of a day outside, °C.</summary>
    public (double MinC, double MaxC) Day(DateOnly day)
    {
        var hours = Enumerable.Range(0, 24).Select(hour => OutsideC(At(day, hour))).ToList();
        return (hours.Min(), hours.Max());
    }

    /// <summary>What a service says of a day: near to what comes, and less near the further ahead it is.</summary>
    public (double MinC, double MaxC, double SunHours, double HumidityPct) Forecast(DateOnly made, DateOnly day)
    {
        var (min, max) = Day(day);
        var spread = 0.7 + (0.12 * Math.Max(0, day.DayNumber - made.DayNumber));
        var cloud = Cloud(At(day, 12));
        return (
            Math.Round(min + (spread * Error(made, day, 3)), 1),
            Math.Round(max + (spread * Error(made, day, 4)), 1),
            Math.Round(Math.Max(0, 12 + (4 * Season(At(day, 12)))) * (1 - cloud), 1),
            Math.Round(70 + (20 * cloud))
        );
    }

    /// <summary>The share of the sky that clouds take away, 0.1 to 0.9.</summary>
    public double Cloud(DateTimeOffset at) => 0.5 + (0.4 * Noise(at.UtcTicks / (double)TimeSpan.TicksPerDay / 1.5, 5));

    /// <summary>Lux on level ground under the open sky.</summary>
    public double Lux(DateTimeOffset at)
    {
        var declination = -23.44 * Math.Cos(2 * Math.PI * (at.DayOfYear + 10) / 365) * Math.PI / 180;
        var (latitude, hour) = (LatitudeDeg * Math.PI / 180, (at.TimeOfDay.TotalHours - 12) * Math.PI / 12);
        var height = (Math.Sin(latitude) * Math.Sin(declination)) + (Math.Cos(latitude) * Math.Cos(declination) * Math.Cos(hour));
        return Math.Max(0, height) * 105_000 * (1 - Cloud(at));
    }

    /// <summary>1 at midsummer, −1 at midwinter.</summary>
    static double Season(DateTimeOffset at) => Math.Cos((at.DayOfYear - 200) / 365.0 * 2 * Math.PI);

    /// <summary>0 at four in the morning, 1 at four in the afternoon.</summary>
    public static double Swing(DateTimeOffset at) => (1 - Math.Cos((at.TimeOfDay.TotalHours - 4) / 24 * 2 * Math.PI)) / 2;

    static DateTimeOffset At(DateOnly day, int hour) => new(day, new(hour, 0), TimeSpan.Zero);

    /// <summary>A smooth course between chances at whole numbers, −1 to 1.</summary>
    double Noise(double at, int of)
    {
        var (from, part) = ((long)Math.Floor(at), at - Math.Floor(at));
        var smooth = part * part * (3 - (2 * part));
        return (Chance(from, of) * (1 - smooth)) + (Chance(from + 1, of) * smooth);
    }

    /// <summary>About a normal chance: the sum of several, −1.7 to 1.7.</summary>
    double Error(DateOnly made, DateOnly day, int of) =>
        Enumerable.Range(0, 3).Sum(n => Chance((day.DayNumber * 31L) + made.DayNumber, (of * 10) + n));

    /// <summary>−1 to 1, from the seed and two numbers (a round of splitmix64).</summary>
    double Chance(long number, int of)
    {
        var z = (ulong)number + ((ulong)of * 0x9E3779B97F4A7C15UL) + ((ulong)seed * 0xBF58476D1CE4E5B9UL);
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
        return (((z ^ (z >> 31)) >> 11) / (double)(1UL << 52)) - 1;
    }
}

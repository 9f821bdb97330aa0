namespace BudClock.Core.Climate;

/// <summary>Rules B6 and E5: how long a night stays dark where lamps burn.</summary>
public static class Darkness
{
    /// <summary>
    /// Light that a plant takes for day, µmol/m²/s: about ten lux, many times the full moon's (thresholds of photoperiod lie about
    /// there; from memory).
    /// </summary>
    const double LampPhotons = 0.2;

    /// <summary>So long after sunset and before sunrise the sky itself is as bright.</summary>
    const long Twilight = TimeSpan.TicksPerHour;

    /// <summary>Whether what a meter read in an hour of the night was a lamp, not the twilight.</summary>
    public static bool Broken(Piece hour, DayFrame day) =>
        hour.Photons > LampPhotons
        && hour.Part switch
        {
            DayPart.Evening => hour.At.UtcTicks >= day.Set + Twilight,
            // The hour's light is the mean of what follows its first reading.
            DayPart.Morning => hour.At.UtcTicks + TimeSpan.TicksPerHour <= day.Rise - Twilight,
            _ => false,
        };

    /// <summary>The longest stretch between sunset and the next sunrise without a lamp, hours.</summary>
    /// <param name="lit">When lamps burn, by the garden's clock, each day alike; an end before its start goes past midnight.</param>
    public static double UnbrokenHours(GardenDays calendar, DateOnly evening, IReadOnlyList<(TimeOnly From, double Hours)> lit)
    {
        var (dusk, dawn) = (calendar.Of(evening).Set, calendar.Of(evening.AddDays(1)).Rise);
        var burning = new List<(long From, long To)>();
        foreach (var (from, hours) in lit)
            for (var back = 1; back >= -1; back--)
            {
                var wall = evening.AddDays(-back).ToDateTime(from);
                var on = TimeZoneInfo.ConvertTimeToUtc(Valid(wall, calendar.Garden.Zone), calendar.Garden.Zone).Ticks;
                burning.Add((on, on + (long)(hours * TimeSpan.TicksPerHour)));
            }
        burning.Sort();
        var (longest, since) = (0L, dusk);
        foreach (var (on, off) in burning)
        {
            if (off <= since)
                continue;
            if (on >= dawn)
                break;
            longest = Math.Max(longest, on - since);
            since = Math.Max(since, off);
        }
        longest = Math.Max(longest, dawn - since);
        return Math.Max(0, longest) / (double)TimeSpan.TicksPerHour;
    }

    static DateTime Valid(DateTime wall, TimeZoneInfo zone) => zone.IsInvalidTime(wall) ? wall.AddHours(1) : wall;
}

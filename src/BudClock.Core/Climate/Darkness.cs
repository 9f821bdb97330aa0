namespace BudClock.Core.Climate;

/// <summary>Rules B6 and E5: how long a night stays dark where lamps burn.</summary>
public static class Darkness
{
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

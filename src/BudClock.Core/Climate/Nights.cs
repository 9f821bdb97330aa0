namespace BudClock.Core.Climate;

/// <summary>Rule E1: what the nights at a place have been. Night is between sunset and sunrise.</summary>
public static class Nights
{
    /// <summary>How far back a night still speaks for the nights to come.</summary>
    public const int Days = 7;

    /// <summary>
    /// The coolest night reading of the last seven days at a place, dated by the day it was read; null when there is none.
    /// Without a position on earth, night is taken as 19 to 7 o'clock in the garden's own time.
    /// </summary>
    public static Seen<double>? Coolest(string? place, DateOnly today, Garden garden, IEnumerable<ClimateReading> readings)
    {
        var coolest = readings
            .Where(r => r.Place == place && r.TemperatureC is not null)
            .Select(r => (r.At, Day: garden.DayAt(r.At), Celsius: r.TemperatureC!.Value))
            .Where(r => r.Day <= today && r.Day > today.AddDays(-Days) && IsNight(r.At, r.Day, garden))
            .OrderBy(r => r.Celsius)
            .ThenByDescending(r => r.At)
            .Select(r => new Seen<double>(r.Celsius, r.Day))
            .FirstOrDefault();
        return coolest;
    }

    /// <summary>
    /// Whether an instant lies between sunset and sunrise; 19 to 7 o'clock where the garden's place on earth is not known.
    /// </summary>
    public static bool IsNight(DateTimeOffset at, DateOnly day, Garden garden)
    {
        if (garden.Latitude is not { } latitude)
            return TimeZoneInfo.ConvertTime(at, garden.Zone).Hour is < 7 or >= 19;
        var sun = Sun.On(day, latitude, garden.Longitude ?? 0);
        if (sun.Rise is not { } rise)
            return sun.DayHours == 0;
        return at < rise || at > sun.Set;
    }
}

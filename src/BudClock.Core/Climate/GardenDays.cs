using System.Collections.Concurrent;

namespace BudClock.Core.Climate;

/// <summary>The part of a garden day that a moment lies in.</summary>
public enum DayPart
{
    /// <summary>From midnight to sunrise: the end of the night that began the evening before.</summary>
    Morning,

    /// <summary>From sunrise to sunset.</summary>
    Day,

    /// <summary>From sunset to midnight: the beginning of the night that ends next day.</summary>
    Evening,
}

/// <summary>
/// One day of a garden as a span of time, from its midnight to the next in the garden's own zone: 23 or 25 hours where the clock
/// changes. In the polar day there is no night; in the polar night the whole day is one.
/// </summary>
/// <param name="From">Its first moment, UTC ticks.</param>
/// <param name="Rise">Sunrise, UTC ticks; never before <paramref name="From"/>.</param>
/// <param name="Set">Sunset, UTC ticks; never after <paramref name="To"/>.</param>
/// <param name="To">The first moment of the next day, UTC ticks.</param>
public sealed record DayFrame(DateOnly Day, long From, long Rise, long Set, long To)
{
    /// <summary>Hours of light in it.</summary>
    public double LightHours => (Set - Rise) / (double)TimeSpan.TicksPerHour;

    /// <summary>The part that a moment of this day lies in.</summary>
    public DayPart PartOf(long ticks) =>
        ticks < Rise ? DayPart.Morning
        : ticks <= Set ? DayPart.Day
        : DayPart.Evening;

    /// <summary>The night that a part of this day belongs to, named by the day on which it ends; null for the light part.</summary>
    public DateOnly? NightOf(DayPart part) =>
        part switch
        {
            DayPart.Morning => Day,
            DayPart.Evening => Day.AddDays(1),
            _ => null,
        };
}

/// <summary>
/// The days and nights of a garden, by its zone and its sun: the one way from a moment to its day, for every sum and every page.
/// </summary>
/// <remarks>
/// Night is between sunset and sunrise (rule E1). Without a latitude it is taken as 19 to 7 o'clock by the garden's clock; without
/// a longitude the sun is that of the middle of the time zone. May be used by several threads at once.
/// </remarks>
public sealed class GardenDays(Garden garden)
{
    static readonly TimeOnly Dusk = new(19, 0);
    static readonly TimeOnly Dawn = new(7, 0);

    readonly ConcurrentDictionary<DateOnly, DayFrame> frames = [];
    readonly TimeZoneInfo zone = garden.Zone;

    /// <summary>The garden whose days they are.</summary>
    public Garden Garden => garden;

    /// <summary>A day as a span of time.</summary>
    public DayFrame Of(DateOnly day) => frames.TryGetValue(day, out var known) ? known : frames[day] = Read(day);

    /// <summary>The day of a moment.</summary>
    public DayFrame At(DateTimeOffset moment)
    {
        var guess = Of(DateOnly.FromDateTime(moment.UtcDateTime + zone.BaseUtcOffset));
        while (moment.UtcTicks < guess.From)
            guess = Of(guess.Day.AddDays(-1));
        while (moment.UtcTicks >= guess.To)
            guess = Of(guess.Day.AddDays(1));
        return guess;
    }

    /// <summary>Whether a moment lies between sunset and sunrise.</summary>
    public bool IsNight(DateTimeOffset moment) => At(moment).PartOf(moment.UtcTicks) is not DayPart.Day;

    DayFrame Read(DateOnly day)
    {
        var (from, to) = (Midnight(day), Midnight(day.AddDays(1)));
        if (garden.Latitude is not { } latitude)
            return new(day, from, Clock(day, Dawn), Clock(day, Dusk), to);
        var sun = Sun.On(day, latitude, garden.Longitude ?? (zone.BaseUtcOffset.TotalHours * 15));
        return sun is { Rise: { } rise, Set: { } set }
                ? new(day, from, Math.Clamp(rise.UtcTicks, from, to), Math.Clamp(set.UtcTicks, from, to), to)
            : sun.DayHours > 0 ? new(day, from, from, to, to)
            : new(day, from, to, to, to);
    }

    long Midnight(DateOnly day) => Clock(day, TimeOnly.MinValue);

    /// <summary>A time by the garden's clock; one that the clock skips is the first moment after it.</summary>
    long Clock(DateOnly day, TimeOnly time)
    {
        var wall = day.ToDateTime(time);
        while (zone.IsInvalidTime(wall))
            wall = wall.AddMinutes(15);
        // Of two moments with one time, which is where the clock goes back, the earlier.
        var offset = zone.IsAmbiguousTime(wall) ? zone.GetAmbiguousTimeOffsets(wall).Max() : zone.GetUtcOffset(wall);
        return wall.Ticks - offset.Ticks;
    }
}

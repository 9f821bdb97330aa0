using System.Globalization;

namespace BudClock.Core.Formats;

/// <summary>Turns the times on a logger's clock into moments, one after the other as the file has them.</summary>
/// <remarks>
/// Of two moments with one time, which is the hour that comes twice in autumn, it is the first until the file goes back in time or
/// stands still. A time that was skipped in spring is no moment.
/// </remarks>
public sealed class LoggerClock(Garden garden, string clock)
{
    readonly TimeZoneInfo zone = garden.Zone;
    DateTimeOffset? last;

    /// <summary>The moment of a time on the clock; null for one that it never showed.</summary>
    public DateTimeOffset? Moment(DateTime wall)
    {
        var moment = Read(wall);
        if (moment is not null)
            last = moment;
        return moment;
    }

    DateTimeOffset? Read(DateTime wall) =>
        clock switch
        {
            LoggerLayout.Utc => new(wall, TimeSpan.Zero),
            LoggerLayout.StandardClock => new DateTimeOffset(wall, zone.BaseUtcOffset).ToUniversalTime(),
            LoggerLayout.GardenClock => OfGarden(wall),
            _ => TimeSpan.TryParse(clock.TrimStart('+'), CultureInfo.InvariantCulture, out var offset)
                ? new DateTimeOffset(wall, offset).ToUniversalTime()
                : null,
        };

    DateTimeOffset? OfGarden(DateTime wall)
    {
        if (zone.IsInvalidTime(wall))
            return null;
        if (!zone.IsAmbiguousTime(wall))
            return new DateTimeOffset(wall, zone.GetUtcOffset(wall)).ToUniversalTime();
        var offsets = zone.GetAmbiguousTimeOffsets(wall).OrderDescending().ToList();
        var first = new DateTimeOffset(wall, offsets[0]).ToUniversalTime();
        return first > last || last is null ? first : new DateTimeOffset(wall, offsets[^1]).ToUniversalTime();
    }
}

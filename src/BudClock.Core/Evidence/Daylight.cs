using BudClock.Core.Climate;

namespace BudClock.Core.Evidence;

/// <summary>Rules D1, E2 and V8: the day's length and which way it goes.</summary>
/// <param name="Hours">From sunrise to sunset; null without a latitude.</param>
/// <param name="Falling">Days are getting shorter; null without a latitude.</param>
/// <param name="Equatorial">Within 15° of the equator, where day length says nothing.</param>
public sealed record Daylight(double? Hours, bool? Falling, bool Equatorial)
{
    const double TropicDeg = 15;

    /// <summary>The daylight of a day in a garden.</summary>
    public static Daylight Of(Garden garden, DateOnly day)
    {
        if (garden.Latitude is not { } latitude)
            return new(null, null, false);
        var hours = Sun.On(day, latitude).DayHours;
        return new(hours, hours < Sun.On(day.AddDays(-1), latitude).DayHours, Math.Abs(latitude) < TropicDeg);
    }

    /// <summary>Something can be concluded from it: the latitude is known, and far enough from the equator.</summary>
    public bool Tells => Hours is not null && !Equatorial;

    /// <summary>Shorter than a limit, where it tells anything.</summary>
    public bool ShorterThan(double hours) => Tells && Hours <= hours;

    /// <summary>The season goes down: shorter than a limit and falling.</summary>
    public bool GoesDown(double hours) => ShorterThan(hours) && Falling == true;
}

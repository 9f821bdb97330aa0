using BudClock.Core.Climate;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>
/// Rules V4, E3 and E4: whether nights and days, measured or forecast, are too cold or too warm for the plant where it stands.
/// </summary>
/// <param name="Night">The coolest of the last measured nights, °C; null when none was measured.</param>
/// <param name="FeedC">Colder nights: no feed, and water only sparingly.</param>
/// <param name="DangerC">A colder night can kill it; at rest and dry its limit may be another.</param>
/// <param name="ColdAhead">The first forecast night below the danger; null for none, and for a heated room.</param>
/// <param name="CoolAhead">The first forecast night below what it grows in; null likewise.</param>
/// <param name="LastCool">The last forecast night below what it grows in; null likewise.</param>
/// <param name="PerhapsCold">The first night that may go below the danger, though it is not likely to; null likewise.</param>
/// <param name="HotNight">The last measured night, where it stayed above its limit; null otherwise.</param>
/// <param name="WarmNightAhead">The first forecast night that stays above the limit; null for none.</param>
/// <param name="HotDay">The warmest of the last days, where at least two of three were above the limit; null otherwise.</param>
/// <param name="HotAhead">The first of two days to come above the limit; null for none, and for a heated room.</param>
public sealed record Temper(
    Seen<double>? Night,
    double FeedC,
    double DangerC,
    DayAhead? ColdAhead,
    DayAhead? CoolAhead,
    DayAhead? LastCool,
    DayAhead? PerhapsCold,
    Seen<double>? HotNight,
    DayAhead? WarmNightAhead,
    Seen<double>? HotDay,
    DayAhead? HotAhead
)
{
    /// <summary>Below what it is fed and freely watered in.</summary>
    public bool Cold => Night?.Value < FeedC;

    /// <summary>Below what can kill it.</summary>
    public bool Danger => Night?.Value < DangerC;

    /// <summary>Cold weather to come: a night that endangers it, or more than one in which it does not grow.</summary>
    public bool ColdSpellAhead => ColdAhead is not null || (CoolAhead is not null && CoolAhead != LastCool);

    /// <summary>Too warm by night, or by day for days.</summary>
    public bool Hot => HotNight is not null || HotDay is not null;

    /// <summary>Reads the sheet's limits against the weather of the place.</summary>
    public static Temper Read(Situation now)
    {
        var (limits, weather) = (now.Limits<TemperatureLimits>(), now.Around.Weather);
        var danger = now.Resting && limits.DangerRest is { } rest ? rest : limits.Danger;
        var (measured, ahead) = (limits.Measured, limits.Ahead);
        var (hotNight, hotDay) = (limits.HotNight, limits.HotDay);
        var last = weather.LastNight(now.Today, measured);
        var own = !now.Around.Indoors || weather.AheadIsOwn;
        return new(
            weather.CoolestNight(now.Today, measured),
            limits.Feed,
            danger,
            own ? weather.FirstBelow(danger, now.Today, ahead) : null,
            own ? weather.FirstBelow(limits.Feed, now.Today, ahead) : null,
            own ? weather.LastBelow(limits.Feed, now.Today, ahead) : null,
            own ? weather.FirstPerhapsBelow(danger, now.Today, ahead) : null,
            hotNight is { } warmest && last?.Value > warmest ? last : null,
            hotNight is { } limit && own ? weather.FirstWarmNight(limit, now.Today, ahead) : null,
            hotDay is { } most && weather.HotDays(now.Today, limits.HotDays, most) is (>= 2, { } hottest) ? hottest : null,
            hotDay is { } bears && own ? weather.FirstHotSpell(bears, now.Today, ahead) : null
        );
    }
}

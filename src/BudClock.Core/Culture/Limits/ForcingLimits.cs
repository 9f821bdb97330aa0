namespace BudClock.Core.Culture.Limits;

/// <summary>Rule B2: bulbs that are forced for a day.</summary>
[Rule("B2", "bulbs that are forced for a day")]
public sealed record ForcingLimits(
    [Limit("days", 14, 90, "from planting to the first flower at the bright temperature")] double Days,
    [Limit("°C", 8, 25, "the mean temperature that the days are reckoned for")] double BrightC,
    [Limit("°C", -2, 8, "below this nothing opens: what counts is the warmth above it")] double BaseC,
    [Limit("days", 0, 30, "in the cool and dark after planting")] int Dark,
    [Limit("°C", 2, 18, "about how cool it stands in the dark")] double DarkC,
    [Limit("°C", 12, 30, "warmer than this it grows weak and falls over")] double Weak,
    [Limit("cm", 1, 15, "how wide one bulb is, for how many fit a bowl")] double Bulb,
    [Limit("weeks", 2, 40, "how long a bought bulb keeps in a cool dry store")] double Keeps,
    [Limit("day of the year", 1, 120, "the last day on which a lot is worth planting")] int Last,
    [Limit("days", 1, 90, "ahead of planting, bulbs are ordered")] int Order,
    [Limit("days", 0, 14, "so far around its planned day planting is called for")] int Leeway,
    [Limit("days", 7, 120, "so long after flowering the bulbs are spent")] int Spent
)
{
    /// <summary>The last day of planting in the season that a day lies in: early spring.</summary>
    /// <param name="southern">In the south it is half a year later.</param>
    public DateOnly LastDay(DateOnly day, bool southern)
    {
        var end = new DateOnly(day.Year, 1, 1).AddDays(Last - 1);
        if (southern)
            end = end.AddMonths(6);
        // From summer on the next season is meant.
        return end < day.AddMonths(-5) ? end.AddYears(1) : end;
    }
}

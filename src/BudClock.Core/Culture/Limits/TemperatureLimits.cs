namespace BudClock.Core.Culture.Limits;

/// <summary>Rule V4: nights and days that it bears.</summary>
[Rule("V4", "nights and days that it bears")]
public sealed record TemperatureLimits(
    [Limit("°C", -5, 25, "colder nights: no feed, and water only sparingly", Stricter = Stricter.Higher)] double Feed,
    [Limit("°C", -10, 22, "a colder night can kill it", Stricter = Stricter.Higher)] double Danger,
    [Limit("°C", -10, 22, "a colder night can kill it while it rests", Stricter = Stricter.Higher)] double? DangerRest,
    [Limit("°C", 10, 40, "nights that stay warmer use it up", Stricter = Stricter.Lower)] double? HotNight,
    [Limit("°C", 12, 60, "hotter days, one after another, do harm", Stricter = Stricter.Lower)] double? HotDay,
    [Limit("days", 1, 7, "so many last nights count")] int Measured,
    [Limit("days", 1, 16, "so far a forecast counts")] int Ahead,
    [Limit("days", 2, 10, "so many last days are looked at for a hot spell")] int HotDays,
    [Limit("days", 0, 7, "a cold night so near keeps it dry")] int Near
);

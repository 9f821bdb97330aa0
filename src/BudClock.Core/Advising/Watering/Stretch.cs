using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>What lengthens the days between waterings: bloom indoors (W12), the season going down (W17), a vine's winter (D7).</summary>
static class Stretch
{
    public static (double Factor, string Because) Read(Situation now)
    {
        if (now.Sheet.Rule("D7") is not null && VineWinter.Slow(now)) return (now.Needs("D7", "stretch"), " In winter it drinks less.");
        if (now.Sheet.Rule("W17") is not null && SeasonDown(now)) return (now.Needs("W17", "stretch"), " Days are short: keep it on the dry side.");
        if (now.Sheet.Rule("W12") is not null && now.Phase.Phase is Phase.Blooming && !now.Around.Outdoors) return (now.Needs("W12", "stretch"), " In bloom indoors sparingly, so that the flowers last.");
        return (1, "");
    }

    /// <summary>Rule W17: days are shorter than the sheet's limit and getting shorter, and no lamps make up for it.</summary>
    static bool SeasonDown(Situation now) =>
        now.Around.DayHours(now.Today) <= now.Needs("W17", "day-length") && !now.Around.Lamps(now.Needs("W17", "day-length"));
}

/// <summary>Rule D7 for waxy vines: winter slows them, unless lamps keep them growing.</summary>
static class VineWinter
{
    public static bool Slow(Situation now) =>
        now.Around.DayHours(now.Today) <= now.Needs("D7", "day-length") && !now.Around.Lamps(now.Needs("D7", "lamps"));
}

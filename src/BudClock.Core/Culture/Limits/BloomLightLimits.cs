namespace BudClock.Core.Culture.Limits;

/// <summary>Rule E1: the daily light with which each class of plants flowers.</summary>
[Rule("E1", "the daily light with which each class of plants flowers")]
public sealed record BloomLightLimits(
    [Limit("mol/m² a day", 0.5, 20, "the least for plants of the shade")] double LightShade,
    [Limit("mol/m² a day", 0.5, 30, "the least for plants of bright places")] double LightBright,
    [Limit("mol/m² a day", 1, 40, "the least for plants of morning sun")] double LightMorningSun,
    [Limit("mol/m² a day", 2, 60, "the least for plants of full sun")] double LightFullSun,
    [Limit("days", 3, 30, "so many last days are averaged")] int Days,
    [Limit("hours", 0, 16, "in days this short a lack of light is the season's")] double ShortDays
)
{
    /// <summary>The least daily light for plants of a class, mol/m² a day.</summary>
    public double For(LightClass light) =>
        light switch
        {
            LightClass.Shade => LightShade,
            LightClass.Bright => LightBright,
            LightClass.MorningSun => LightMorningSun,
            _ => LightFullSun,
        };
}

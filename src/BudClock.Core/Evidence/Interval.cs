using BudClock.Core.Measuring;

namespace BudClock.Core.Evidence;

/// <summary>
/// Rule W13: days from water to water: what the plant has taught, else the sheet's guide for its pot, medium, setting and warmth.
/// </summary>
/// <param name="Rhythm">The plant's own, or the guide.</param>
/// <param name="Stretch">What lengthens it now: bloom indoors, the season going down, a vine's winter; 1 for nothing.</param>
/// <param name="Because">Why it is stretched, as a sentence; empty when it is not.</param>
public sealed record Interval(Rhythm Rhythm, double Stretch, string Because)
{
    const double HotC = 30;
    const double WarmC = 27;
    const double CoolC = 15;

    /// <summary>Days, as stretched.</summary>
    public double Days => Rhythm.Days * Stretch;

    /// <summary>The shortest that is likely, days.</summary>
    public double From => Rhythm.From * Stretch;

    /// <summary>The longest that is likely, days.</summary>
    public double To => Rhythm.To * Stretch;

    /// <summary>The interval of a plant now.</summary>
    public static Interval Read(Situation now)
    {
        var (stretch, because) = Stretched.Read(now);
        if (Rhythm.Read(now.Journal, now.Today, now.Around.Vpd) is { } own)
            return new(own, stretch, because);
        var (from, to, scaled) = Guide(now);
        var scale = scaled ? Scale(now) : 1;
        return new(new((from + to) / 2 * scale, from * scale, to * scale, Own: false), stretch, because);
    }

    /// <summary>The sheet's guide, and whether it is meant for any pot.</summary>
    static (double From, double To, bool Scaled) Guide(Situation now)
    {
        var sheet = now.Sheet;
        if (Mounted(now))
            return (1, 3, true);
        if (sheet.Rule("W5") is { } below)
            return Same(below[now.Daylight.Hours >= 14 ? "every-summer" : "every-winter"], false);
        if (sheet.Rule("W4") is { } wet)
            return Same(wet[now.Around.Outdoors ? "every-outdoors" : "every-indoors"], true);
        if (sheet.Rule("W3") is { } dry)
            return (dry["every-from"], dry["every-to"], true);
        if (sheet.Rule("W16") is { } pebbles)
            return Same(pebbles["every"], false);
        return (5, 10, true);

        static (double, double, bool) Same(double days, bool scaled) => (days, days, scaled);
    }

    static bool Mounted(Situation now) =>
        new[] { "mount", "cork", "basket" }.Any(word =>
            now.Plant.Medium?.Contains(word, StringComparison.OrdinalIgnoreCase) == true
            || now.Plant.Pot?.Kind?.Contains(word, StringComparison.OrdinalIgnoreCase) == true
        );

    /// <summary>
    /// Clay dries faster than plastic, small pots faster than large, an open mix under hot glass faster than one in a cool room.
    /// </summary>
    static double Scale(Situation now)
    {
        var pot = now.Plant.Pot;
        var scale =
            (pot?.Kind is "clay" ? 0.8 : 1)
            * (
                pot?.DiameterCm switch
                {
                    < 9 => 0.8,
                    > 18 => 1.25,
                    _ => 1,
                }
            );
        if (now.Around.Weather.HotDays(now.Today, 3, double.MinValue).Warmest is not { Value: var warmest })
            return scale;
        var openAndHot =
            now.Around.Place?.Setting is "glasshouse" or "outdoors"
            && now.Plant.Medium?.Contains("bark", StringComparison.OrdinalIgnoreCase) == true;
        return scale
            * (
                warmest >= HotC
                    ? openAndHot
                        ? 0.3
                        : 0.5
                    : warmest >= WarmC
                        ? 0.75
                        : warmest <= CoolC
                            ? 1.5
                            : 1
            );
    }
}

/// <summary>What lengthens the days between waterings: bloom indoors (W12), the season going down (W17), a vine's winter (D7).</summary>
public static class Stretched
{
    /// <summary>From here on lamps keep a plant growing whatever the month; colder nights are felt all the same (rule W17).</summary>
    const double WarmNightC = 16;

    /// <summary>The factor, and why, as a sentence; 1 and nothing where nothing does.</summary>
    public static (double Factor, string Because) Read(Situation now)
    {
        if (now.Sheet.Rule("D7") is { } vine && VineRests(now))
            return (vine["stretch"], " In winter it drinks less.");
        if (now.Sheet.Rule("W17") is { } aroid && SeasonDown(now, aroid["day-length"]))
            return (aroid["stretch"], " Days are short: keep it on the dry side.");
        if (now.Sheet.Rule("W12") is { } bloom && now.Open(LaneKind.Bloom) && !now.Around.Outdoors)
            return (bloom["stretch"], " In bloom indoors sparingly, so that the flowers last.");
        return (1, "");
    }

    /// <summary>Rule D7: winter slows a vine, unless lamps keep it growing.</summary>
    public static bool VineRests(Situation now) =>
        now.Sheet.Rule("D7") is { } vine && now.Daylight.ShorterThan(vine["day-length"]) && !now.Around.Lamps(vine["lamps"]);

    /// <summary>Rule W17: days are short, and no lamps over warm nights make up for it.</summary>
    public static bool SeasonDown(Situation now, double dayLength) =>
        now.Daylight.ShorterThan(dayLength) && !(now.Around.Lamps(dayLength) && !(now.CoolestNightC?.Value < WarmNightC));
}

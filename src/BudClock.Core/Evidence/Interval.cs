using BudClock.Core.Culture.Limits;
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
        var hung = now.Sheet.Find<NeverDryLimits>() is { } wet ? wet.BeforeItHangs / 100 : 1;
        return new(Rhythm.Read(now.Journal, now.Today, hung, now.Around.Vpd) ?? Usual(now), stretch, because);
    }

    /// <summary>
    /// How long a watering lasts before a limp leaf can be thirst, days: what it has asked for itself, else what its kind usually takes.
    /// Who waters daily teaches nothing of that.
    /// </summary>
    public static double Lasts(Situation now) =>
        now.Interval is { Rhythm.Practised: true } practised
            ? Math.Max(practised.Days, Usual(now).Days * practised.Stretch)
            : now.Interval.Days;

    /// <summary>What is usual for its kind and its pot, whatever it has taught.</summary>
    public static Rhythm Usual(Situation now)
    {
        var (from, to, scaled) = Guide(now);
        var scale = scaled ? Scale(now) : 1;
        return new((from + to) / 2 * scale, from * scale, to * scale, Own: false);
    }

    /// <summary>The sheet's guide, and whether it is meant for any pot.</summary>
    static (double From, double To, bool Scaled) Guide(Situation now)
    {
        var (sheet, any) = (now.Sheet, now.Limits<IntervalLimits>());
        if (now.Mounted)
            return (any.MountFrom, any.MountTo, true);
        if (sheet.Find<FromBelowLimits>() is { } below)
            return Same(now.Daylight.Hours >= below.Summer ? below.EverySummer : below.EveryWinter, false);
        if (sheet.Find<NeverDryLimits>() is { } wet)
            return Same(now.Around.Outdoors ? wet.EveryOutdoors : wet.EveryIndoors, true);
        if (sheet.Find<DryOutLimits>() is { } dry)
            return (dry.EveryFrom, dry.EveryTo, true);
        if (sheet.Find<PebblesLimits>() is { } pebbles)
            return Same(pebbles.Every, false);
        return (any.AnyFrom, any.AnyTo, true);

        static (double, double, bool) Same(double days, bool scaled) => (days, days, scaled);
    }

    /// <summary>
    /// Clay dries faster than plastic, small pots faster than large, an open mix under hot glass faster than one in a cool room.
    /// </summary>
    static double Scale(Situation now)
    {
        var (pot, limits) = (now.Plant.Pot, now.Limits<IntervalLimits>());
        var scale = pot?.Form.Porous == true ? limits.Clay : 1;
        if (pot?.DiameterCm < limits.SmallTo)
            scale *= limits.Small;
        else if (pot?.DiameterCm > limits.LargeFrom)
            scale *= limits.Large;
        return scale * Warmth(now, limits);
    }

    static double Warmth(Situation now, IntervalLimits limits)
    {
        if (now.Around.Weather.HotDays(now.Today, limits.Days, double.MinValue).Warmest is not { Value: var warmest })
            return 1;
        var openAndHot = now.Around.Place?.Setting is "glasshouse" or "outdoors" && now.StandsIn.Open;
        return warmest >= limits.HotFrom ? (openAndHot ? limits.OpenHot : limits.Hot)
            : warmest >= limits.WarmFrom ? limits.Warm
            : warmest <= limits.CoolTo ? limits.Cool
            : 1;
    }
}

/// <summary>What lengthens the days between waterings: bloom indoors (W12), the season going down (W17), a vine's winter (D7).</summary>
public static class Stretched
{
    /// <summary>The factor, and why, as a sentence; 1 and nothing where nothing does.</summary>
    public static (double Factor, string Because) Read(Situation now)
    {
        if (now.Sheet.Find<WinterLimits>() is { } vine && VineRests(now))
            return (vine.Stretch, " In winter it drinks less.");
        if (now.Sheet.Find<AroidStretchLimits>() is { } aroid && SeasonDown(now, aroid.DayLength))
            return (aroid.Stretch, " Days are short: keep it on the dry side.");
        if (now.Sheet.Find<BloomStretchLimits>() is { } bloom && now.Open(LaneKind.Bloom) && !now.Around.Outdoors)
            return (bloom.Stretch, " In bloom indoors sparingly, so that the flowers last.");
        return (1, "");
    }

    /// <summary>Rule D7: winter slows a vine, unless lamps keep it growing.</summary>
    public static bool VineRests(Situation now) =>
        now.Sheet.Find<WinterLimits>() is { } vine && now.Daylight.ShorterThan(vine.DayLength) && !now.Around.Lamps(vine.Lamps);

    /// <summary>Rule W17: days are short, and no lamps over warm nights make up for it.</summary>
    public static bool SeasonDown(Situation now, double dayLength) =>
        now.Daylight.ShorterThan(dayLength)
        && !(now.Around.Lamps(dayLength) && !(now.CoolestNightC?.Value < now.Limits<AroidStretchLimits>().WarmNight));
}

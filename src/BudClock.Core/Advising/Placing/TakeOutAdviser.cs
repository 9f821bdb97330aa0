using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>
/// Rule E4: what came in from the cold goes out again after the last night below its minimum, by the forecast and by the record of the
/// place that it came from, in steps of a week up to its light class.
/// </summary>
/// <remarks>
/// Only where it stood out of doors before, and only while days grow longer: warm days in autumn take nothing out. What is sick, in
/// bud or newly come stays where it is looked at. Without measured nights out there or a forecast it asks.
/// </remarks>
public sealed class TakeOutAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Around.CameFrom is not { } outside || !GoesOut(now))
            yield break;
        var (weather, least) = (outside.Weather, now.Temper.FeedC);
        var measured = weather.CoolestNight(now.Today, now.Limits<ColdLimits>().Measured);
        var lastCold = Last(weather, least, now.Today);
        var conditions = Conditions(now, outside, measured, lastCold);
        if (measured?.Value < least || lastCold is not null)
            yield return Say(
                Verdict.Hold,
                (lastCold?.On ?? now.Today).AddDays(1),
                lastCold is { } cold
                    ? $"A night of {Degrees.Of(cold.MinLowC ?? cold.MinC!.Value)} is still to come at {outside.Place.Name}, on "
                        + $"{Dates.Short(cold.On)}: it stays in until nights there are {Degrees.Of(least)} and more."
                    : $"Nights at {outside.Place.Name} are down to {Degrees.Of(measured!.Value)}: it stays in until they are "
                        + $"{Degrees.Of(least)} and more.",
                conditions
            );
        else if (measured is null || weather.Ahead.Count < now.Limits<ColdLimits>().Ahead)
            yield return Say(
                Verdict.Look,
                now.Today,
                $"It came in from {outside.Place.Name}. Before it goes out again: {Missing(measured, outside)} It wants nights of "
                    + $"{Degrees.Of(least)} and more.",
                conditions
            );
        else if (LateColdLastYear(weather, least) is { } late)
            yield return Say(
                Verdict.Look,
                now.Today,
                $"Nights at {outside.Place.Name} stay above {Degrees.Of(least)}, but last year one of {Degrees.Of(late.Value)} came on "
                    + $"{Dates.Short(late.On)}: wait, or keep something at hand to cover it.",
                [.. conditions, new("cold night last year", new(late.Value), new(least), "°C", false, late.On)]
            );
        else
            yield return Say(Verdict.Do, now.Today, Out(now, outside, least), conditions);
    }

    static string Out(Situation now, PlaceWeather outside, double least)
    {
        var light = now.Sheet.Light;
        var steps = light <= LightClass.Bright ? $"it stays in {light.Words()}" : $"then a step more sun each week, up to {light.Words()}";
        return $"Nights at {outside.Place.Name} stay above {Degrees.Of(least)}, measured and forecast: out again in steps, a week in "
            + $"shade and out of the wind, {steps}.";
    }

    static bool GoesOut(Situation now) =>
        now.Daylight is { Tells: true, Falling: false }
        && now.Rot is not { Open: true }
        && now.Pests is not { Open: true }
        && now.Arrival is not { IsNewcomer: true }
        && !now.Roots.Dead
        && !now.Open(LaneKind.Spike)
        && !now.Open(LaneKind.Bloom)
        && now.Rest is not { Lifted: true };

    static DayAhead? Last(Weather weather, double least, DateOnly today) =>
        weather.Ahead.LastOrDefault(day => day.On >= today && (day.MinLowC ?? day.MinC) < least);

    static Seen<double>? LateColdLastYear(Weather weather, double least) =>
        weather.LastYear.Where(night => night.Value < least).MaxBy(night => night.On);

    static string Missing(Seen<double>? measured, PlaceWeather outside) =>
        (measured, outside.Weather.Ahead.Count) switch
        {
            (null, 0) => "hang a thermometer there for some nights, and look at the forecast.",
            (null, _) => "hang a thermometer there for some nights.",
            _ => "look at the forecast for the next two weeks.",
        };

    static IReadOnlyList<Condition> Conditions(Situation now, PlaceWeather outside, Seen<double>? measured, DayAhead? cold) =>
        [
            Condition.AtLeast($"coolest night at {outside.Place.Name}", measured, now.Temper.FeedC, "°C"),
            new(
                "forecast night",
                outside.Weather.Ahead.Count == 0 ? null : new((cold ?? outside.Weather.Ahead.MinBy(day => day.MinC))?.MinC ?? double.NaN),
                new(now.Temper.FeedC),
                "°C",
                cold is null && outside.Weather.Ahead.Count >= now.Limits<ColdLimits>().Ahead,
                cold?.On
            ),
        ];

    Advice Say(Verdict verdict, DateOnly due, string reason, IReadOnlyList<Condition> conditions) =>
        new(Topics.Move, Rule, Care.Move, verdict, due, reason, conditions);
}

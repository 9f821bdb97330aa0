using BudClock.Core.Climate;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E4: into warmth before a forecast night below the sheet's minimum, or after a measured one.</summary>
/// <remarks>
/// A night that can kill orders; one that is only too cool to grow asks, and only out of doors. A forecast of the weather is not a
/// heated room's.
/// </remarks>
public sealed class ColdAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var temper = now.Temper;
        if (temper is { Danger: true, Night: { } night })
            yield return Measured(now, night);
        else if (temper.ColdAhead is { } frost)
            yield return Ahead(now, frost);
        else if (temper.PerhapsCold is { } perhaps && perhaps.On < now.Today.AddDays(now.Limits<ColdLimits>().Perhaps))
            yield return Perhaps(now, perhaps);
        else if (now.Around.Outdoors && !now.Resting && Cool(now) is { } cool)
            yield return cool;
    }

    Advice Measured(Situation now, Seen<double> night) =>
        Say(
            Verdict.Do,
            now.Today,
            $"A night was {Degrees.Of(night.Value)} {Dates.Ago(night.On, now.Today)}, and below {Degrees.Of(now.Temper.DangerC)} it is in "
                + $"danger: find it a warmer place today. No water in the cold.",
            new("coolest night", new(night.Value), new(now.Temper.DangerC), "°C", true, night.On)
        ) with
        {
            Ground = Ground.Emergency,
        };

    Advice Ahead(Situation now, Climate.DayAhead frost) =>
        Say(
            Verdict.Do,
            Evening(now, frost),
            $"The night of {Dates.Short(frost.On)} is forecast at {Degrees.Of(frost.MinC!.Value)}, and below "
                + $"{Degrees.Of(now.Temper.DangerC)} it is in danger: bring it in before.",
            new("forecast night", new(frost.MinC.Value), new(now.Temper.DangerC), "°C", true, frost.On)
        );

    Advice Perhaps(Situation now, Climate.DayAhead perhaps) =>
        Say(
            Verdict.Look,
            Evening(now, perhaps),
            $"The night of {Dates.Short(perhaps.On)} is likely at {Degrees.Of(perhaps.MinC!.Value)} but may fall to "
                + $"{Degrees.Of(perhaps.MinLowC!.Value)}; below {Degrees.Of(now.Temper.DangerC)} it is in danger: bring it "
                + "in, or look again tomorrow.",
            new("forecast night, cold end", new(perhaps.MinLowC.Value), new(now.Temper.DangerC), "°C", true, perhaps.On)
        );

    /// <summary>A night is named by the day on which it ends; it is brought in the evening before.</summary>
    static DateOnly Evening(Situation now, Climate.DayAhead night) => night.On > now.Today ? night.On.AddDays(-1) : now.Today;

    Advice? Cool(Situation now) =>
        now.Temper.Cold
            ? Say(
                Verdict.Look,
                now.Today,
                $"Nights are down to {Degrees.Of(now.Temper.Night!.Value)}; below {Degrees.Of(now.Temper.FeedC)} it does not grow: is it "
                    + $"better off indoors for now?",
                new("coolest night", new(now.Temper.Night.Value), new(now.Temper.FeedC), "°C", false, now.Temper.Night.On)
            )
        : now.Temper.CoolAhead is { } cool
            ? Say(
                Verdict.Look,
                cool.On,
                $"The night of {Dates.Short(cool.On)} is forecast at {Degrees.Of(cool.MinC!.Value)}; below "
                    + $"{Degrees.Of(now.Temper.FeedC)} it does not grow: have a place indoors ready.",
                new("forecast night", new(cool.MinC.Value), new(now.Temper.FeedC), "°C", false, cool.On)
            )
        : null;

    Advice Say(Verdict verdict, DateOnly due, string reason, Condition condition) =>
        new(Topics.Move, Rule, Care.BringIn, verdict, due, reason, [condition]);
}

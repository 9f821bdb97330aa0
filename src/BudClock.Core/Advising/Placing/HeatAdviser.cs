using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>
/// Rule E3: for cool growers nights that stay warm are the danger; for others days of heat, one after another. Warned of before, from
/// the forecast.
/// </summary>
public sealed class HeatAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var (temper, limits) = (now.Temper, now.Limits<TemperatureLimits>());
        if (temper.HotNight is { } night)
            yield return Say(
                Verdict.Do,
                now.Today,
                $"The last night stayed at {Degrees.Of(night.Value)}, and warm nights are what kills it: cool it now. Shade, open by "
                    + "night, wet the floor, the coolest corner.",
                Limit("warm night", night.Value, limits.HotNight!.Value, night.On)
            );
        else if (temper.WarmNightAhead is { } ahead)
            yield return Say(
                Verdict.Look,
                ahead.On,
                $"Nights of {Degrees.Of(ahead.MinC!.Value)} are forecast from {Dates.Short(ahead.On)}; above "
                    + $"{Degrees.Of(limits.HotNight!.Value)} it suffers: have the coolest place ready.",
                Limit("forecast night", ahead.MinC.Value, limits.HotNight!.Value, ahead.On)
            );
        else if (temper.HotDay is { } day)
            yield return Say(
                Verdict.Look,
                now.Today,
                $"Days are up to {Degrees.Of(day.Value)}; above {Degrees.Of(limits.HotDay!.Value)} for days it suffers from heat: "
                    + $"shade, air, a cooler place.",
                Limit("hot day", day.Value, limits.HotDay!.Value, day.On)
            );
        else if (temper.HotAhead is { } spell && spell.On < now.Today.AddDays(now.Limits<HeatLimits>().Soon))
            yield return Say(
                Verdict.Look,
                spell.On,
                $"Days of {Degrees.Of(spell.MaxC!.Value)} are forecast from {Dates.Short(spell.On)}; above "
                    + $"{Degrees.Of(limits.HotDay!.Value)} for days it suffers from heat: have shade and air ready.",
                Limit("forecast day", spell.MaxC.Value, limits.HotDay!.Value, spell.On)
            );
    }

    static Condition Limit(string name, double have, double most, DateOnly on) => new(name, new(have), new(most), "°C at most", true, on);

    Advice Say(Verdict verdict, DateOnly due, string reason, Condition condition) =>
        new(Topics.Move, Rule, Care.Cool, verdict, due, reason, [condition]);
}

/// <summary>Rule E3: heat.</summary>
[Rule("E3", "heat")]
public sealed record HeatLimits([Limit("days", 1, 14, "heat to come is spoken of so far ahead")] int Soon);

using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>
/// Rule V4: cold to come shuts feeding, and a cold spell to come the first soak and waking, until the day after the last such night that
/// is forecast; ordinary water before a cold night is given by somebody who looks.
/// </summary>
public sealed class ComingColdGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V4";

    /// <inheritdoc/>
    public string Name => "coming cold";

    /// <inheritdoc/>
    public int Order => 2;

    /// <inheritdoc/>
    public Effects Before => Effects.Drenches | Effects.Feeds | Effects.Wakes;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        var temper = now.Temper;
        if (temper is not { CoolAhead: { MinC: { } cold } first, LastCool: { } last })
            return null;
        var words = $"a night of {Degrees.Of(cold)} is forecast for {Dates.Short(first.On)}";
        var condition = new Condition("forecast night", new(cold), new(temper.FeedC), "°C", false, first.On);
        if (care.Does(Effects.Drenches) && !now.DryRest.Waking)
            return first.On < now.Today.AddDays(now.Limits<TemperatureLimits>().Near)
                ? new(
                    Verdict.Look,
                    words,
                    "a little only, in the morning, and only where the pot is light and the leaf gives way; the rest when it is warmer.",
                    condition
                )
                : null;
        // One night that is only cool is no cold spell; whoever soaks or plants today is told of it.
        if ((care.Does(Effects.Drenches) || care is Care.Wake) && !temper.ColdSpellAhead)
            return null;
        var after = last.On.AddDays(1);
        return new(
            Verdict.Hold,
            words,
            string.Create(
                CultureInfo.InvariantCulture,
                $"after the cold, from {Dates.Short(after)} if nights then stay at {temper.FeedC:0.#} °C and more."
            ),
            condition
        )
        {
            Until = after,
        };
    }
}

using System.Globalization;
using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule V4: in nights below the sheet's limit feed stops, and water is given only by somebody who looks.</summary>
public sealed class ColdGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V4";

    /// <inheritdoc/>
    public string Name => "cold";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds | Effects.Wakes;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.WetLightly, Care.FillTray];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        var temper = now.Temper;
        if (!temper.Cold)
            return null;
        var words = string.Create(CultureInfo.InvariantCulture, $"a night was down to {temper.Night!.Value:0.#} °C");
        var condition = Condition.AtLeast("coolest night", temper.Night, temper.FeedC, "°C");
        return care.Does(Effects.Feeds)
            ? new(
                Verdict.Hold,
                words,
                string.Create(CultureInfo.InvariantCulture, $"cold roots take up no feed. It goes on at {temper.FeedC:0.#} °C and more."),
                condition
            )
            : new(
                Verdict.Look,
                words,
                now.Programme is { State: RunState.Running, Now.Step.Measure: CoolNights }
                    ? "that is what its cool nights are for. It stays dry; a little water only where the pot is light and leaves give way."
                    : "cold and wet is what rots roots. Warmer first; a little water only where the pot is light and the leaf gives way.",
                condition
            );
    }
}

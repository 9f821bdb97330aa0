using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule V4: in nights that can kill it a plant gets no water at all; it comes into warmth first.</summary>
public sealed class DangerGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V4";

    /// <inheritdoc/>
    public string Name => "danger";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Wakes;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Temper is { Danger: true } temper
            ? new(
                Verdict.Hold,
                string.Create(CultureInfo.InvariantCulture, $"a night was down to {temper.Night!.Value:0.#} °C"),
                "bring it into warmth first, then feel the pot.",
                Condition.AtLeast("coolest night", temper.Night, temper.DangerC, "°C")
            )
            : null;
}

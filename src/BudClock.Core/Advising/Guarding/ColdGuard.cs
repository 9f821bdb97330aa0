using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule V4: in nights below the sheet's limit feed stops, and water is given only by somebody who looks.</summary>
public sealed class ColdGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V4";

    /// <inheritdoc/>
    public string Name => "cold";

    /// <inheritdoc/>
    public bool StandsBefore(Care care) => care.Drenches() || care.Feeds() || care is Care.TopUp or Care.Wake or Care.PutBack;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        var temper = now.Temper;
        if (!temper.Cold)
            return null;
        var words = string.Create(CultureInfo.InvariantCulture, $"a night was down to {temper.Night!.Value:0.#} °C");
        var condition = Condition.AtLeast("coolest night", temper.Night, temper.FeedC, "°C");
        return care.Feeds()
            ? new(
                Verdict.Hold,
                words,
                string.Create(CultureInfo.InvariantCulture, $"cold roots take up no feed. It goes on at {temper.FeedC:0.#} °C and more."),
                condition
            )
            : new(
                Verdict.Look,
                words,
                "cold and wet is what rots roots. Warmer first; a little water only where the pot is light and the leaf gives way.",
                condition
            );
    }
}

using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D9 for any rest that no rule of its own keeps: dry until the plant itself shows that it wakes, whatever the date says.</summary>
public sealed class RestHoldAdviser : IAdviser
{
    public string Rule => "D9";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now) => now.Rest is { } rest && !now.Season.Asleep
        ? new(Topics.Water, Rule, Verdict.Hold, rest.Wakes, $"Resting since {Dates.Near(rest.Since, now.Today)}: dry until it shows a nose, a shoot or a stalk{(rest.Wakes is { } wakes ? $", usually about {Dates.Near(wakes, now.Today)}" : "")}.", [Condition.Sign("it shows that it wakes", null)]) { Ground = Ground.Veto }
        : null;
}

using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W15: with no live root, water in the pot does not help; the air has to be humid instead.</summary>
public sealed class NoRootsAdviser : IAdviser
{
    public string Rule => "W15";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now) => now.RootsDeadSince is { } lost && !now.Season.Asleep
        ? new(Topics.Water, Rule, Verdict.Hold, null, $"No live root since {Dates.Near(lost, now.Today)}: water in the pot cannot be drunk. Keep the air humid around it until roots come.",
            [Condition.Sign("live roots", null)])
        { Ground = Ground.Veto }
        : null;
}

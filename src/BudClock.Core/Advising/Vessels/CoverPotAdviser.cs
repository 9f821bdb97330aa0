using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W11: water standing in a cover pot without drainage is an alarm: tip it out.</summary>
public sealed class CoverPotAdviser : IAdviser
{
    public const string CoverPot = "cover pot";

    public string Rule => "W11";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now)
    {
        if (now.Plant.Pot?.Kind != CoverPot) return null;
        var level = DrinkingRate.Level(now.Journal, EntryKinds.Tray, now.Today);
        return level is { Cm: > 0 }
            ? new(Topics.Water, Rule, Verdict.Do, now.Today, $"Water stood in the cover pot {Dates.Ago(level.On, now.Today)}: tip it out, let the pot drain, put it back dry.", [Condition.Sign("water in the cover pot", level.On)])
            { Ground = Ground.Emergency, LoggedAs = EntryKinds.Tray }
            : null;
    }
}

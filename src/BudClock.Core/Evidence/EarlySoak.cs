using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>Rule W1: a first soak that came before the new roots could drink.</summary>
/// <param name="Water">The soak.</param>
/// <param name="RootCm">How long the roots were then.</param>
/// <param name="NeedCm">How long they have to be.</param>
public sealed record EarlySoak(Entry Water, double RootCm, double NeedCm)
{
    /// <summary>The soak that came too early; null for none, and once roots are long enough.</summary>
    public static EarlySoak? Read(Situation now)
    {
        if (!now.Sheet.Is(Traits.DryRest) || now.DryRest.FirstWater is not { } water)
            return null;
        var limits = now.Limits<FirstSoakLimits>();
        if (water.On <= now.Today.AddDays(-limits.EarlyFeared) || now.NewRoots is not { AtBase: null, Longest: { } longest } roots)
            return null;
        var need = now.NeededRootCm;
        var before = roots.Series.LastOrDefault(length => length.On <= water.On && length.On > water.On.AddDays(-limits.EarlyMeasured));
        if (before is null || before.Cm >= need * limits.EarlyShare / 100 || longest.Value >= need)
            return null;
        var shrivelled = now.Journal.Of(EntryKinds.Bulbs).LastOrDefault(bulbs => bulbs.On <= water.On)?.Text == "shrivelled";
        return shrivelled ? null : new(water, before.Cm, need);
    }
}

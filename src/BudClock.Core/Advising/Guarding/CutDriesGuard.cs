using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rules V3 and L8: the cut of a succulent's cutting dries before it gets any water; damp, it rots within days.</summary>
public sealed class CutDriesGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V3";

    /// <inheritdoc/>
    public string Name => "open cut";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.WetsLeaf;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        if (!now.Roots.Unrooted || !now.Sheet.Is(Traits.Succulent))
            return null;
        if ((now.Journal.Last(EntryKinds.Planted, EntryKinds.Cut)?.On ?? now.Arrival?.Arrived) is not { } cut)
            return null;
        var (days, dries) = (now.Today.DayNumber - cut.DayNumber, now.Limits<RootLimits>().CutDries);
        return days >= dries
            ? null
            : new(
                Verdict.Hold,
                $"it was cut {Dates.Ago(cut, now.Today)}",
                $"its cut has to dry first, for a week or two: no water before {Dates.Short(cut.AddDays(dries))}.",
                new Condition("days since the cut", new(days), new(dries), "days", false, cut)
            )
            {
                Until = cut.AddDays(dries),
            };
    }
}

using BudClock.Core.Advising;
using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>What a careful grower sees: what shows by itself, and what is found where the advice asks for a look.</summary>
public static class CarefulEye
{
    /// <summary>Rot that is so far gone that it is seen without touching.</summary>
    const double RotShows = 0.5;

    /// <summary>What shows on a day to who walks by and touches nothing.</summary>
    /// <param name="leavesBefore">What the leaves looked like when they were last written down; null for never.</param>
    /// <param name="bulbsBefore">What the bulbs looked like then.</param>
    public static IEnumerable<Sight> Glance(SimulatedPlant plant, string? leavesBefore, string? bulbsBefore)
    {
        if (plant.Bulbs is { } bulbs && bulbs.State != (bulbsBefore ?? "plump"))
            yield return bulbs;
        foreach (var news in plant.News)
            yield return news;
        if (plant.Leaves is { } leaves && leaves.State != leavesBefore && (leaves.State != "firm" || leavesBefore is not null))
            yield return leaves;
        if (plant.State.Rot > RotShows)
            yield return plant.Base;
        if (plant.PestsSeen is { } pests)
            yield return pests;
    }

    /// <summary>What is found where an advice asks for a look.</summary>
    public static IEnumerable<Sight> Look(SimulatedPlant plant, Advice look)
    {
        switch (look.Care)
        {
            case Care.Feel or Care.Store or Care.Wake or Care.Lift:
                yield return plant.Base;
                if (plant.Bulbs is { } bulbs)
                    yield return bulbs;
                // Who bends down to feel what should be bare sees the leaf on it.
                if (plant.Leaves is { } up)
                    yield return up;
                break;
            case Care.LookAtRoots or Care.CutOut:
                yield return plant.RootsCounted;
                yield return plant.Base;
                break;
            case Care.Measure:
                foreach (var one in plant.Measured())
                    yield return one;
                break;
            case Care.Treat or Care.Rinse or Care.Look:
                yield return plant.PestsSeen ?? new("pest", State: "none");
                break;
            case Care.Trigger when look.Rule == "B2":
                yield return new("tuber", State: plant.State.Rot >= 0.3 ? "soft" : "firm");
                break;
            default:
                if (plant.Medium is { } medium)
                    yield return medium;
                if (plant.Leaves is { } leaves)
                    yield return leaves;
                if (plant.Bulbs is { } shown)
                    yield return shown;
                break;
        }
    }
}

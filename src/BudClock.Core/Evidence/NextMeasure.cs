using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>Rule K3: what is due to be measured next.</summary>
/// <param name="Name">"Roots", "Growth 2031".</param>
/// <param name="Last">The last day it was measured, or looked for.</param>
/// <param name="Organ">The organ; null for the roots that a first water waits for.</param>
public sealed record NextMeasure(EntryKind Kind, string Name, DateOnly Last, string? Organ)
{
    /// <summary>The one that waited longest; null when nothing is followed.</summary>
    public static NextMeasure? Read(Situation now)
    {
        var followed = now
            .Series.Where(s =>
                s.Moves
                && s.Last.On > now.Today.AddDays(-now.Limits<MeasuringLimits>().GivenUp)
                && !(now.DryRest.Waking && s.Kind == EntryKinds.RootLength)
            )
            .Select(s => new NextMeasure(s.Kind, s.Label, s.Last.On, s.Organ))
            .ToList();
        if (WaitsForRoots(now))
            followed.Insert(0, new(EntryKinds.RootLength, "Roots", now.NewRoots.Checked ?? now.DryRest.Woke!.Value, null));
        return followed.MinBy(f => f.Last);
    }

    static bool WaitsForRoots(Situation now) =>
        now.DryRest.Waking && now.NewRoots.AtBase is null && !(now.NewRoots.Live && now.NewRoots.Longest?.Value >= now.NeededRootCm);
}

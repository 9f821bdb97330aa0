using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>Rule K3: what is due to be measured next.</summary>
/// <param name="Name">"Roots", "Growth 2031".</param>
/// <param name="Last">The last day it was measured, or looked for.</param>
/// <param name="Every">Days from one measurement to the next: the sheet's, or the grower's own where that is longer (rule L5).</param>
/// <param name="Organ">The organ; null for the roots that a first water waits for.</param>
public sealed record NextMeasure(EntryKind Kind, string Name, DateOnly Last, int Every, string? Organ)
{
    /// <summary>The day on which it is measured again.</summary>
    public DateOnly Due => Last.AddDays(Every);

    /// <summary>The one that is due first; null when nothing is followed.</summary>
    public static NextMeasure? Read(Situation now)
    {
        var every = (int)now.Limits<MeasuringLimits>().Every;
        var followed = now
            .Series.Where(s => s.Moves && !(now.DryRest.Waking && s.Kind == EntryKinds.RootLength))
            .Select(s => new NextMeasure(s.Kind, s.Label, s.Last.On, Math.Max(every, (int)(s.Rhythm ?? 0)), s.Organ))
            .Where(next => Follows(now, next))
            .ToList();
        if (WaitsForRoots(now))
            followed.Insert(0, new(EntryKinds.RootLength, "Roots", now.NewRoots.Checked ?? now.DryRest.Woke!.Value, every, null));
        return followed.MinBy(next => next.Due);
    }

    /// <summary>What was left out too often is not being followed.</summary>
    static bool Follows(Situation now, NextMeasure next) =>
        now.Today < next.Last.AddDays(Math.Max(now.Limits<MeasuringLimits>().GivenUp, next.Every * now.Limits<AskingLimits>().LeftOut));

    static bool WaitsForRoots(Situation now) =>
        now.DryRest.Waking && now.NewRoots.AtBase is null && !(now.NewRoots.Live && now.NewRoots.Longest?.Value >= now.NeededRootCm);
}

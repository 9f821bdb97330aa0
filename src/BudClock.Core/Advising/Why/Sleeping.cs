using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why;

/// <summary>How long it has slept, against its own rests before, and its kind's year.</summary>
/// <param name="Since">The day its rest began.</param>
/// <param name="Days">Days since.</param>
/// <param name="Own">Days that its own rests before took, oldest first.</param>
/// <param name="Usual">The day on which its kind usually wakes; null where the sheet does not say.</param>
/// <param name="Worry">From this day on it is late.</param>
public sealed record Sleeping(DateOnly Since, int Days, IReadOnlyList<int> Own, DateOnly? Usual, DateOnly Worry)
{
    /// <summary>Without a year of its kind and of its own, it is late after so long.</summary>
    const int LongestDays = 270;

    /// <summary>Late by its own rests and by its kind's year.</summary>
    public bool Late { get; private init; }

    /// <summary>Reads a rest that goes on.</summary>
    public static Sleeping Read(Situation now, DateOnly since)
    {
        var own = now
            .Lanes.Where(lane => lane is { Kind: LaneKind.Rest, Expected: false, To: not null } && lane.From < since)
            .Select(lane => lane.To!.Value.DayNumber - lane.From.DayNumber)
            .ToList();
        var usual = RestState.UsualWaking(now.Sheet, since, now.Around.Garden.Southern);
        var late = now.Limits<CauseLimits>().Late;
        DateOnly[] ends = [.. own.Select(days => since.AddDays(days)), .. usual is { } wakes ? [wakes] : (DateOnly[])[]];
        var worry = ends.Length == 0 ? since.AddDays(LongestDays) : ends.Max().AddDays(late);
        return new(since, now.Today.DayNumber - since.DayNumber, own, usual, worry) { Late = now.Today > worry };
    }

    /// <summary>What a thumb should feel, as a clause.</summary>
    public static string ShouldFeel(Situation now) =>
        now.Sheet.Is(Traits.Tuber) ? "firm all round, like a fresh potato"
        : now.Sheet.Is(Traits.DryRest) ? "bulbs hard to the thumb, wrinkled perhaps, never soft"
        : now.Sheet.Is(Traits.WinterForm) ? "a tight small crown that does not come off"
        : "a base that does not give, and a stem that is green under the nail";

    /// <summary>What would kill it now, as a clause.</summary>
    public static string WouldKill(Situation now) =>
        now.Sheet.Is(Traits.StandsInWater) ? "drying right out, or standing deep in water without a leaf"
        : now.In<States.AtRest>() is null ? "water before its new roots can drink it"
        : "water in the pot while nothing grows, and cold on top of it";

    /// <summary>What was last felt of it since it fell asleep; null where nobody felt it.</summary>
    public Entry? Felt(Situation now) => now.Journal.Of(Tuber, Base, Bulbs).LastOrDefault(entry => entry.On >= Since);
}

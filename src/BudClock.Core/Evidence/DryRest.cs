using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Where a plant with a dry rest stands between its last leaf and its first water.</summary>
/// <param name="RestSince">The day its leaves were gone, when the rest was logged.</param>
/// <param name="Woke">The day a new growth or new root showed; null while it sleeps, and in full season.</param>
/// <param name="FirstWater">The first water after it woke.</param>
public sealed record DryRest(DateOnly? RestSince, DateOnly? Woke, Entry? FirstWater)
{
    /// <summary>Of a habit without a dry rest.</summary>
    public static readonly DryRest None = new(null, null, null);

    /// <summary>It is bare and rests.</summary>
    public bool Asleep => RestSince is not null && Woke is null;

    /// <summary>Awake and still dry: the time of rule W1.</summary>
    public bool Waking => Woke is not null && FirstWater is null;

    /// <summary>The newest season: from the last logged leaf fall, or from the waking that ended a rest which nobody logged.</summary>
    public static DryRest Read(Situation now)
    {
        var rest = now.Journal.Last(LeavesGone)?.On;
        return now.Last<Woken>() is { } woken && !(woken.Opened.On < rest)
            ? new(rest, woken.Opened.On, woken.End is { IsWatering: true } water ? water : null)
            : new(rest, null, null);
    }
}

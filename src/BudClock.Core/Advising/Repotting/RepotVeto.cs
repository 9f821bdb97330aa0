using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule R2: what keeps a plant in its pot for now. An emergency (rot, collapsed medium) goes ahead at any time.</summary>
public static class RepotVeto
{
    public const int SettlingDays = 28;
    const int ColdSpellDays = 14;

    /// <summary>The reasons that hold today, as sentences; none when the surroundings do not object.</summary>
    public static IReadOnlyList<string> Read(Situation now)
    {
        if (now.Journal.Last(EntryKinds.Rot) is { } rot && rot.On > now.Today.AddDays(-ColdSpellDays)) return [];
        return [.. Reasons(now).OfType<string>()];
    }

    static IEnumerable<string?> Reasons(Situation now)
    {
        yield return now.Phase.Phase is Phase.Newcomer ? $"It is still settling in, until {Dates.Short(now.Phase.Since!.Value.AddDays(PhaseRead.NewcomerDays))}." : null;
        yield return now.Journal.Last(EntryKinds.Moved) is { } moved && moved.On > now.Today.AddDays(-SettlingDays) ? $"It moved {Dates.Ago(moved.On, now.Today)}; 28 days let it settle." : null;
        yield return now.Lanes.Any(lane => lane is { Kind: LaneKind.Spike or LaneKind.Bloom, Open: true }) ? "It is in bud or bloom." : null;
    }
}

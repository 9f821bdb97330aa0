namespace BudClock.Core.Evidence;

/// <summary>Rule D8: how an arum lily passes the time after its flowers; schools differ.</summary>
public static class RestSchools
{
    /// <summary>The question, as sheets ask it.</summary>
    public const string AfterBloom = "after-bloom";

    /// <summary>Its answer: watered on through die-down and sleep.</summary>
    public const string AsNormal = "water-as-normal";

    /// <summary>It is grown by the school that waters on, so that sleep does not stop its water.</summary>
    public static bool WateredOn(Situation now) => now.School(AfterBloom)?.Chosen.Name == AsNormal;
}

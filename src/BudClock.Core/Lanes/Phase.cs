namespace BudClock.Core.Lanes;

/// <summary>The plant's state in one word. The lanes say the rest.</summary>
public enum Phase
{
    Newcomer,
    Resting,
    Waking,
    Growing,
    Spiking,
    Blooming,
    Ripening,
    GoingToRest,
    Recovering,
}

public static class PhaseWords
{
    /// <summary>The name in the open format: "going-to-rest".</summary>
    public static string Name(this Phase phase) => phase is Phase.GoingToRest ? "going-to-rest" : phase.ToString().ToLowerInvariant();

    /// <summary>For the middle of the dial: "Going to rest".</summary>
    public static string Words(this Phase phase) => phase is Phase.GoingToRest ? "Going to rest" : phase.ToString();
}

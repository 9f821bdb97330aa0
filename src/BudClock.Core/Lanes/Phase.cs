namespace BudClock.Core.Lanes;

/// <summary>The plant's state in one word. The lanes say the rest.</summary>
public enum Phase
{
    /// <summary>Lately come, settling in.</summary>
    Newcomer,

    /// <summary>Asleep.</summary>
    Resting,

    /// <summary>A new growth, and no first water yet.</summary>
    Waking,

    /// <summary>In growth.</summary>
    Growing,

    /// <summary>A spike rises.</summary>
    Spiking,

    /// <summary>A flower is open.</summary>
    Blooming,

    /// <summary>The growth is done.</summary>
    Ripening,

    /// <summary>Leaves are going.</summary>
    GoingToRest,

    /// <summary>Without live roots, or with few.</summary>
    Recovering,
}

/// <summary>Phases in words.</summary>
public static class PhaseWords
{
    /// <summary>The name in the open format: "going-to-rest".</summary>
    public static string Name(this Phase phase) => phase is Phase.GoingToRest ? "going-to-rest" : phase.ToString().ToLowerInvariant();

    /// <summary>For the middle of the dial: "Going to rest".</summary>
    public static string Words(this Phase phase) => phase is Phase.GoingToRest ? "Going to rest" : phase.ToString();
}

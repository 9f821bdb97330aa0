namespace BudClock.Core.Potting;

/// <summary>A way of making more plants (rules P1 to P4), as potting.yaml declares it.</summary>
public sealed record RaisingMethod
{
    /// <summary>Used in files: "leaf-wick".</summary>
    public string Name { get; init; } = "";

    /// <summary>As growers call it: "Leaf on a wick".</summary>
    public string Title { get; init; } = "";

    /// <summary>What was started: "leaf", "corm".</summary>
    public string Of { get; init; } = "";

    /// <summary>How a plant from it came about, one of <see cref="Plant.Origins"/>.</summary>
    public string Origin { get; init; } = "";

    /// <summary>What shows that it took: "plantlets", "roots".</summary>
    public string Shows { get; init; } = "roots";

    /// <summary>It shows at the soonest after so many days.</summary>
    public int FromDays { get; init; }

    /// <summary>What has not shown after so many days seldom comes.</summary>
    public int ToDays { get; init; }

    /// <summary>From there on to its own pot, days; 0 for at once.</summary>
    public int OnDays { get; init; }

    /// <summary>It is looked at every so many days.</summary>
    public int EveryDays { get; init; }

    /// <summary>One that was started can give several plants.</summary>
    public bool Many { get; init; }

    /// <summary>There is a cut, which dries first where the plant keeps water in its stem or leaves.</summary>
    public bool Cut { get; init; }

    /// <summary>The cut of any other plant dries so long, days; 0 for what is set at once.</summary>
    public int Dries { get; init; }

    /// <summary>A succulent's cut dries for about a week, thick ones longer (common practice, from memory).</summary>
    const int OfSucculent = 7;

    /// <summary>Days until a cut may be set; 0 for what is set at once.</summary>
    /// <param name="succulent">The plant keeps water in its stem or leaves.</param>
    public int DryingDays(bool succulent) => Cut && succulent ? OfSucculent : Dries;

    /// <summary>What it stands in and under, as sentences.</summary>
    public string Regime { get; init; } = "";

    /// <summary>What is done, step by step.</summary>
    public string[] Steps { get; init; } = [];
}

namespace BudClock.Core.Gardens;

/// <summary>One part of a medium, or a state of it, as media.yaml declares it.</summary>
public sealed record MediumPart
{
    /// <summary>What it is called, on sheets too: "bark", "stays wet".</summary>
    public string Name { get; init; } = "";

    /// <summary>Words that name it, whole words, in any case.</summary>
    public string[] Says { get; init; } = [];

    /// <summary>The share of the pot that one watering takes, percent; null where nothing is known.</summary>
    public double? Holds { get; init; }

    /// <summary>Air moves through it, so that it dries fast in heat.</summary>
    public bool Open { get; init; }

    /// <summary>The plant stands over or in water: its level is watched.</summary>
    public bool Water { get; init; }

    /// <summary>There is no pot to speak of.</summary>
    public bool Mount { get; init; }

    /// <summary>Mineral or organic; null where it is neither.</summary>
    public string? Kind { get; init; }

    /// <summary>There is feed in it.</summary>
    public bool Fed { get; init; }

    /// <summary>A state or a mix that a sheet can forbid.</summary>
    public bool Bad { get; init; }
}

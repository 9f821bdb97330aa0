namespace BudClock.Core.Gardens;

/// <summary>A bench, a sill, a frame. The order of places is the order in which the grower walks.</summary>
/// <param name="Setting">glasshouse, indoors, cold frame, outdoors, store; null when unknown.</param>
/// <param name="LampHours">Hours a day that lamps burn there; null without lamps.</param>
public sealed record Place(string Code, string Name, string? Setting = null, double? LampHours = null)
{
    /// <summary>Somebody said what it is; of a place that is only a name nothing is concluded, and nothing is sent there.</summary>
    public bool Described => Setting is not null || Window is not null || Light is not null;

    /// <summary>What a place can be.</summary>
    public static readonly IReadOnlyList<string> Settings = ["glasshouse", "indoors", "cold-frame", "outdoors", "store"];

    /// <summary>Where light can come from; a roof of glass lets it in from above.</summary>
    public static readonly IReadOnlyList<string> Windows =
    [
        "north",
        "north-east",
        "east",
        "south-east",
        "south",
        "south-west",
        "west",
        "north-west",
        "roof",
        "none",
    ];

    /// <summary>What light a grower without a meter sees there, the names of light classes.</summary>
    public static readonly IReadOnlyList<string> Lights = ["shade", "bright", "morning-sun", "full-sun"];

    /// <summary>What stands above it: nothing, cover from rain, cover from rain and wind.</summary>
    public static readonly IReadOnlyList<string> Covers = ["open", "rain", "rain-and-wind"];

    /// <summary>The side its window faces, one of <see cref="Windows"/>; null when unknown.</summary>
    public string? Window { get; init; }

    /// <summary>The light by eye, one of <see cref="Lights"/>; a measurement stands over it. Null when nobody said.</summary>
    public string? Light { get; init; }

    /// <summary>When the lamps come on, by the garden's clock; null when unknown.</summary>
    public TimeOnly? LampsFrom { get; init; }

    /// <summary>From the lamps down to the leaves, cm, 1 to 300; null when unknown.</summary>
    public double? LampDistanceCm { get; init; }

    /// <summary>From the lamps down to the shelf, cm, 1 to 400; null when unknown.</summary>
    public double? LampHeightCm { get; init; }

    /// <summary>Cold or dry air moves over it; null when nobody said.</summary>
    public bool? Draughts { get; init; }

    /// <summary>What keeps weather off, one of <see cref="Covers"/>; null when nobody said.</summary>
    public string? Cover { get; init; }

    /// <summary>Under the sky, or nearly: rain, wind and frost reach it.</summary>
    public bool Outdoors => Setting is "outdoors" or "cold-frame";

    /// <summary>A room or a store, which may be heated.</summary>
    public bool Indoors => Setting is "indoors" or "store";

    /// <summary>Rain does not reach it.</summary>
    public bool Dry => Setting is "indoors" or "store" or "glasshouse" || Cover is "rain" or "rain-and-wind";
}

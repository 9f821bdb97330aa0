namespace BudClock.Core.Gardens;

/// <summary>What a pot is: the parts that its words name, from one table (pots.yaml).</summary>
/// <param name="Parts">In the order of the table; none where the words name nothing that is known.</param>
public sealed record PotForm(IReadOnlyList<PotPart> Parts)
{
    static readonly WordTable<PotPart> Table = new("pots", part => part.Says);

    /// <summary>Every part that is known.</summary>
    public static IReadOnlyList<PotPart> All => Table.Rows;

    /// <summary>Its wall lets water through: clay that is not glazed.</summary>
    public bool Porous => Parts.Any(part => part.Porous) && !Parts.Any(part => part.Sealed);

    /// <summary>No pot to speak of: a mount, a piece of cork or a basket.</summary>
    public bool Mount => Parts.Any(part => part.Mount);

    /// <summary>Water stands below the medium, and is drawn up.</summary>
    public bool WaterBelow => Parts.Any(part => part.Water);

    /// <summary>It has holes, so that what is too much runs out; what nobody wrote of has.</summary>
    public bool Drains => !Parts.Any(part => part.Closed);

    /// <summary>Light reaches its roots, and one sees them without a repot.</summary>
    public bool Clear => Parts.Any(part => part.Clear);

    /// <summary>The pot that words name; the same words are read once.</summary>
    /// <param name="words">As the grower typed them; null for none.</param>
    public static PotForm Of(string? words) => new(Table.Named(words));
}

/// <summary>One part of a pot, as pots.yaml declares it.</summary>
public sealed record PotPart
{
    /// <summary>What it is called: "clay", "reservoir".</summary>
    public string Name { get; init; } = "";

    /// <summary>Words that name it, whole words, in any case.</summary>
    public string[] Says { get; init; } = [];

    /// <summary>Its wall lets water through.</summary>
    public bool Porous { get; init; }

    /// <summary>Its wall is closed.</summary>
    public bool Sealed { get; init; }

    /// <summary>There is no pot to speak of.</summary>
    public bool Mount { get; init; }

    /// <summary>Water stands below the medium.</summary>
    public bool Water { get; init; }

    /// <summary>It has no holes.</summary>
    public bool Closed { get; init; }

    /// <summary>Light reaches the roots.</summary>
    public bool Clear { get; init; }
}

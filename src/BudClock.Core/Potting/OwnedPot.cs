using System.Globalization;

namespace BudClock.Core.Potting;

/// <summary>Pots of one kind that stand empty on the shelf (rule R4).</summary>
/// <param name="Code">Unique among the pots.</param>
/// <param name="DiameterCm">Across the top, 1 to 200.</param>
/// <param name="HeightCm">From the bottom to the rim, 1 to 200.</param>
/// <param name="Kind">Stuff and form, in the grower's words: "clay", "net pot".</param>
/// <param name="Count">How many are empty now, 0 to 10 000.</param>
public sealed record OwnedPot(string Code, double DiameterCm, double HeightCm, string Kind, int Count)
{
    /// <summary>Narrower is no pot, wider is a bed, cm.</summary>
    public const double LeastCm = 1;

    /// <summary>Wider is a bed, cm.</summary>
    public const double MostCm = 200;

    const int MostPots = 10_000;

    /// <summary>Its inside, where nobody measured the bottom.</summary>
    public Frustum Inside => new(DiameterCm, DiameterCm * Frustum.Usual, HeightCm);

    /// <summary>"12 cm clay, 11 cm high".</summary>
    public string Words => string.Create(CultureInfo.InvariantCulture, $"{DiameterCm:0.#} cm {Kind}, {HeightCm:0.#} cm high");

    /// <summary>What cannot be, as a sentence; null when all is sound.</summary>
    public string? Fault() =>
        DiameterCm is not (>= LeastCm and <= MostCm) ? $"A pot is {LeastCm:0} to {MostCm:0} cm across."
        : HeightCm is not (>= LeastCm and <= MostCm) ? $"A pot is {LeastCm:0} to {MostCm:0} cm high."
        : Count is not (>= 0 and <= MostPots) ? $"How many stand empty is 0 to {MostPots}."
        : string.IsNullOrWhiteSpace(Kind) ? "Say what the pot is made of, such as clay."
        : null;
}

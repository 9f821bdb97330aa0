namespace BudClock.Core.Potting;

/// <summary>A planted pot cut in half: how deep everything lies (rules R5 and R6). Heights are cm above the bottom.</summary>
/// <param name="Pot">The inside of the pot.</param>
/// <param name="PebblesCm">The top of the pebbles; 0 for none.</param>
/// <param name="SurfaceCm">The surface of the medium.</param>
/// <param name="BaseTopCm">The top of the plant's base.</param>
/// <param name="BaseCm">How thick the base is.</param>
public sealed record PotSection(Frustum Pot, double PebblesCm, double SurfaceCm, double BaseTopCm, double BaseCm)
{
    /// <summary>A flat hand: so much stays free below the rim, cm, and never more than a fifth of the pot.</summary>
    public const double Hand = 2;

    /// <summary>The medium in it, litres; what the base displaces is not taken off.</summary>
    public double MediumLitres => Pot.Between(PebblesCm, SurfaceCm);

    /// <summary>The pebbles in it, litres.</summary>
    public double PebblesLitres => Pot.Between(0, PebblesCm);

    /// <summary>Free below the rim, cm.</summary>
    public double HeadspaceCm => Pot.HeightCm - SurfaceCm;

    /// <summary>Medium under the base, cm.</summary>
    public double BelowBaseCm => BaseTopCm - BaseCm - PebblesCm;

    /// <summary>What cannot be in such a pot, as a sentence; null when all fits.</summary>
    public string? Fault =>
        BelowBaseCm < 0.5 ? "The base would stand on the bottom or the pebbles: take a deeper pot."
        : BaseCm > Pot.TopCm ? "The base is wider than the pot."
        : null;

    /// <summary>A pot with a mix and a plant.</summary>
    /// <param name="baseCm">How thick the plant's base is; null where nobody measured.</param>
    public static PotSection Of(Frustum pot, PottingMix mix, SettingDepth depth, double? baseCm)
    {
        var surface = pot.HeightCm - Math.Min(Hand, pot.HeightCm / 5);
        var pebbles = Math.Min(mix.PebblesCm, surface / 3);
        return new(pot, pebbles, surface, surface - depth.BelowCm, baseCm ?? Math.Min(depth.BaseCm, surface / 2));
    }
}

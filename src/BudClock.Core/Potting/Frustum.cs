namespace BudClock.Core.Potting;

/// <summary>The inside of a round pot: a truncated cone.</summary>
/// <param name="TopCm">Across the rim, above 0.</param>
/// <param name="BottomCm">Across the bottom, 0 or more.</param>
/// <param name="HeightCm">From the bottom to the rim, above 0.</param>
/// <remarks>V = πh/12 (D² + Dd + d²), the volume of a frustum in any table of geometry.</remarks>
public sealed record Frustum(double TopCm, double BottomCm, double HeightCm)
{
    /// <summary>Most pots narrow by about a quarter to the bottom.</summary>
    public const double Usual = 0.75;

    /// <summary>The whole content, litres.</summary>
    public double Litres => Between(0, HeightCm);

    /// <summary>How wide it is at a height above the bottom, cm; a height outside the pot is taken as its end.</summary>
    public double Across(double heightCm) => BottomCm + ((TopCm - BottomCm) * Math.Clamp(heightCm, 0, HeightCm) / HeightCm);

    /// <summary>The content between two heights above the bottom, litres; nothing where the second is not above the first.</summary>
    public double Between(double fromCm, double toCm)
    {
        var (from, to) = (Math.Clamp(fromCm, 0, HeightCm), Math.Clamp(toCm, 0, HeightCm));
        if (to <= from)
            return 0;
        var (low, high) = (Across(from), Across(to));
        return Math.PI * (to - from) / 12 * ((low * low) + (low * high) + (high * high)) / 1000;
    }
}

namespace BudClock.Core.Mixing;

/// <summary>A feed as its label says it.</summary>
/// <param name="NPercent">Nitrogen, percent by mass.</param>
/// <param name="P2O5Percent">Phosphorus as P₂O₅, percent by mass, as labels give it.</param>
/// <param name="K2OPercent">Potassium as K₂O, percent by mass.</param>
/// <param name="GramsPerTeaspoon">What a level teaspoon of it weighs; null until it was weighed. A spoon is a volume.</param>
/// <param name="LabelGramsPerLitre">The label's full dose; null where it gives none.</param>
public sealed record Feed(string Name, double NPercent, double P2O5Percent, double K2OPercent, double? GramsPerTeaspoon = null, double? LabelGramsPerLitre = null)
{
    /// <summary>Calcium, percent by mass; 0 when the label gives none.</summary>
    public double CaPercent { get; init; }

    /// <summary>Magnesium, percent by mass; 0 when the label gives none.</summary>
    public double MgPercent { get; init; }

    /// <summary>The share of its mass that shows as dissolved salts on a meter, 0 to 1. Urea does not: it carries no charge.</summary>
    public double SaltShare { get; init; } = 1;

    /// <summary>What is wrong with the label as written, as a sentence; null when it can be.</summary>
    public string? Fault()
    {
        double[] parts = [NPercent, P2O5Percent, K2OPercent, CaPercent, MgPercent];
        if (parts.Any(part => part < 0 || !double.IsFinite(part))) return "A label gives no negative percent.";
        if (parts.Sum() > 100) return $"The label's parts add up to {parts.Sum():0.#} %; there are only 100.";
        if (GramsPerTeaspoon <= 0 || LabelGramsPerLitre <= 0) return "A dose weighs more than nothing.";
        return SaltShare is < 0 or > 1 ? "The share of salts is between 0 and 1." : null;
    }
}

/// <summary>Ratios between what labels print and what plants take, from atomic weights.</summary>
/// <remarks>IUPAC abridged standard atomic weights 2021: P 30.974, O 15.999, K 39.098.</remarks>
public static class Oxides
{
    const double P = 30.974;
    const double O = 15.999;
    const double K = 39.098;

    /// <summary>Phosphorus in P₂O₅, by mass: 0.4364.</summary>
    public const double PInP2O5 = 2 * P / ((2 * P) + (5 * O));

    /// <summary>Potassium in K₂O, by mass: 0.8301.</summary>
    public const double KInK2O = 2 * K / ((2 * K) + O);
}

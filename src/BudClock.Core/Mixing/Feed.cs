namespace BudClock.Core.Mixing;

/// <summary>A feed as its label says it.</summary>
/// <param name="NPercent">Nitrogen, percent by mass.</param>
/// <param name="P2O5Percent">Phosphorus as P₂O₅, percent by mass, as labels give it.</param>
/// <param name="K2OPercent">Potassium as K₂O, percent by mass.</param>
/// <param name="GramsPerTeaspoon">What a level teaspoon of it weighs; null until it was weighed. A spoon is a volume.</param>
/// <param name="LabelGramsPerLitre">The label's full dose; null where it gives none.</param>
public sealed record Feed(
    string Name,
    double NPercent,
    double P2O5Percent,
    double K2OPercent,
    double? GramsPerTeaspoon = null,
    double? LabelGramsPerLitre = null
)
{
    /// <summary>A powder.</summary>
    public const string Powder = "powder";

    /// <summary>A liquid.</summary>
    public const string Liquid = "liquid";

    /// <summary>Grains that feed for months.</summary>
    public const string SlowRelease = "slow-release";

    /// <summary>What a feed can be.</summary>
    public static readonly IReadOnlyList<string> Forms = [Powder, Liquid, SlowRelease];

    /// <summary>Grams of salts in a liquid for each gram of what its label declares.</summary>
    /// <remarks>A fully soluble 20-20-20 powder declares 60 of its 100 parts: 1.7. Common practice; a meter tells better.</remarks>
    const double SaltsADeclared = 1.7;

    /// <summary>The name in files and recipes; never changed.</summary>
    public string Code { get; init; } = "";

    /// <summary>One of <see cref="Forms"/>.</summary>
    public string Form { get; init; } = Powder;

    /// <summary>Rule F11: a stimulant, given on trial, is no food.</summary>
    public bool Stimulant { get; init; }

    /// <summary>Calcium, percent by mass; 0 when the label gives none.</summary>
    public double CaPercent { get; init; }

    /// <summary>Magnesium, percent by mass; 0 when the label gives none.</summary>
    public double MgPercent { get; init; }

    /// <summary>Nitrogen as urea, percent by mass, a part of <see cref="NPercent"/>.</summary>
    public double UreaNPercent { get; init; }

    /// <summary>What a millilitre of a liquid weighs, g; null when not known.</summary>
    public double? DensityGPerMl { get; init; }

    /// <summary>What a kilogram costs, in the grower's money; null when not known.</summary>
    public double? PricePerKg { get; init; }

    /// <summary>Salts in percent of its mass, where the grower knows better than the label tells; else null.</summary>
    public double? SaltsPercent { get; init; }

    /// <summary>The share of its mass that shows as dissolved salts on a meter, 0 to 1. Urea does not: it carries no charge.</summary>
    public double SaltShare =>
        SaltsPercent / 100
        ?? (Form == Liquid ? Math.Min(1, SaltsADeclared * (Declared - UreaNPercent) / 100) : 1 - (UreaNPercent / 100 / Oxides.NInUrea));

    /// <summary>What a millilitre of it weighs, g; a spoon of powder tells too. Null when neither is known.</summary>
    public double? GramsPerMl => DensityGPerMl ?? (GramsPerTeaspoon / Unit.Tsp.Factor);

    double Declared => NPercent + P2O5Percent + K2OPercent + CaPercent + MgPercent;

    /// <summary>"5-10-3".</summary>
    public string Label => FormattableString.Invariant($"{NPercent:0.##}-{P2O5Percent:0.##}-{K2OPercent:0.##}");

    /// <summary>What is wrong with the label as written, as a sentence; null when it can be.</summary>
    public string? Fault()
    {
        double[] parts = [NPercent, P2O5Percent, K2OPercent, CaPercent, MgPercent, UreaNPercent];
        if (parts.Any(part => part < 0 || !double.IsFinite(part)))
            return "A label gives no negative percent.";
        if (Declared > 100)
            return FormattableString.Invariant($"The label's parts add up to {Declared:0.#} %; there are only 100.");
        if (UreaNPercent > NPercent)
            return "Urea's nitrogen is a part of the nitrogen; it cannot be more.";
        if (GramsPerTeaspoon <= 0 || LabelGramsPerLitre <= 0 || DensityGPerMl <= 0)
            return "A dose weighs more than nothing.";
        return SaltsPercent is < 0 or > 100 || SaltShare is < 0 or > 1 ? "The share of salts is between 0 and 100 %."
            : PricePerKg < 0 ? "A price is not below nothing."
            : null;
    }
}

/// <summary>Ratios between what labels print and what plants take, from atomic weights.</summary>
/// <remarks>IUPAC abridged standard atomic weights 2021: H 1.0080, C 12.011, N 14.007, O 15.999, P 30.974, K 39.098.</remarks>
public static class Oxides
{
    const double H = 1.0080;
    const double C = 12.011;
    const double N = 14.007;
    const double O = 15.999;
    const double P = 30.974;
    const double K = 39.098;

    /// <summary>Phosphorus in P₂O₅, by mass: 0.4364.</summary>
    public const double PInP2O5 = 2 * P / ((2 * P) + (5 * O));

    /// <summary>Potassium in K₂O, by mass: 0.8301.</summary>
    public const double KInK2O = 2 * K / ((2 * K) + O);

    /// <summary>Nitrogen in urea, CO(NH₂)₂, by mass: 0.4665.</summary>
    public const double NInUrea = 2 * N / (C + O + (2 * N) + (4 * H));
}

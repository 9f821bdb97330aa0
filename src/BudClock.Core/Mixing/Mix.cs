namespace BudClock.Core.Mixing;

/// <summary>A batch as it is meant: waters, feeds, and what a meter should say (rule F9).</summary>
public sealed record Mix(IReadOnlyList<(Water Water, double Litres)> Waters, IReadOnlyList<Dose> Doses)
{
    /// <summary>A measurement this far from the prediction is questioned: wrong spoon, wrong scale, old bottle.</summary>
    public const double QuestionedShare = 0.25;

    /// <summary>Rule F10, by default: where a pH is neither too sour nor too hard for roots to feed.</summary>
    public const double LowestPh = 5.5;
    public const double HighestPh = 6.5;

    public double Litres => Waters.Sum(part => part.Litres);

    public Elements Elements => Doses.Aggregate(default(Elements), (sum, dose) => sum + dose.Elements);

    /// <summary>What a meter should say, ppm of true dissolved solids.</summary>
    public double TdsPpm => Blend.TdsPpm(Waters) + Doses.Sum(dose => dose.SaltsPpm);

    /// <summary>How far a measurement is from the prediction, as a share of it; above 0 is stronger.</summary>
    public double Off(double measuredPpm) => (measuredPpm - TdsPpm) / TdsPpm;

    public bool Questioned(double measuredPpm) => Math.Abs(Off(measuredPpm)) > QuestionedShare;

    /// <summary>Rule F10: why this mix should not be given to plants of a sheet, as sentences.</summary>
    /// <param name="ceilingPpm">The most that the roots bear, ppm.</param>
    /// <param name="whose">Whose roots, in the plural.</param>
    public IReadOnlyList<string> Warnings(double ceilingPpm, double? ph = null, string whose = "these roots")
    {
        var warnings = new List<string>();
        if (TdsPpm > ceilingPpm) warnings.Add($"{TdsPpm:0} ppm is above the {ceilingPpm:0} ppm that {whose} bear.");
        if (ph is < LowestPh or > HighestPh) warnings.Add($"pH {ph:0.0} is outside {LowestPh:0.0} to {HighestPh:0.0}.");
        return warnings;
    }
}

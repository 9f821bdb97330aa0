namespace BudClock.Core.Mixing;

/// <summary>A batch as it is meant: waters, feeds, and what a meter should say (rule F9).</summary>
public sealed record Mix(IReadOnlyList<(Water Water, double Litres)> Waters, IReadOnlyList<Dose> Doses)
{
    /// <summary>A measurement this far from the prediction is questioned: wrong spoon, wrong scale, old bottle.</summary>
    public const double QuestionedShare = 0.25;

    /// <summary>All its waters together, in litres.</summary>
    public double Litres => Waters.Sum(part => part.Litres);

    /// <summary>What all doses bring together, in ppm.</summary>
    public Elements Elements => Doses.Aggregate(default(Elements), (sum, dose) => sum + dose.Elements);

    /// <summary>The feeds' shares of their labels' full doses, together; 0 where no label gives one.</summary>
    public double LabelShare => Doses.Sum(dose => dose.LabelShare ?? 0);

    /// <summary>What a meter should say, ppm of true dissolved solids.</summary>
    public double TdsPpm => Blend.TdsPpm(Waters) + Doses.Sum(dose => dose.SaltsPpm);

    /// <summary>What the feeds in it cost, in the grower's money; null where no price is known.</summary>
    public double? Cost =>
        Doses.Any(dose => dose.Feed.PricePerKg is not null) ? Doses.Sum(dose => dose.Grams / 1000 * (dose.Feed.PricePerKg ?? 0)) : null;

    /// <summary>
    /// How far a measurement is from a prediction, as a share of it, above 0 is stronger; null where next to nothing was predicted.
    /// </summary>
    public static double? Off(double measuredPpm, double predictedPpm) =>
        predictedPpm >= SurePpm ? (measuredPpm - predictedPpm) / predictedPpm : null;

    /// <summary>A meter's own error: below this a share says nothing.</summary>
    const double SurePpm = 20;

    /// <summary>What a measurement asks when it is more than a quarter off, the likeliest first; none when it is not.</summary>
    public static IReadOnlyList<string> Questions(double measuredPpm, double predictedPpm)
    {
        if (Off(measuredPpm, predictedPpm) is { } off ? Math.Abs(off) <= QuestionedShare : measuredPpm <= predictedPpm + SurePpm)
            return [];
        const string spoon = "The wrong spoon, or a heaped one?";
        const string scale = "Does the meter read on the other scale (500 or 700)?";
        const string old = "An old bottle, or feed that had drawn damp?";
        var ratio = measuredPpm / Math.Max(1, predictedPpm);
        return ratio is > 1.3 and < 1.5 or > 0.66 and < 0.77 ? [scale, spoon, old] : [spoon, scale, old];
    }

    /// <summary>What went in, in words: "2.1 L rain water, 0.3 L tap; 0.6 g balanced".</summary>
    public string Words(bool us = false) =>
        string.Join(
            "; ",
            new[]
            {
                string.Join(
                    ", ",
                    Waters.Where(part => part.Litres > 0).Select(part => $"{Volumes.Words(part.Litres, us)} {part.Water.Name}")
                ),
                string.Join(", ", Doses.Select(dose => $"{dose.Words} {dose.Feed.Name}")),
            }.Where(part => part.Length > 0)
        );
}

/// <summary>Rule F10: what the roots of a habit bear.</summary>
/// <param name="TdsPpm">The most dissolved solids, ppm.</param>
/// <param name="PhFrom">The lowest pH.</param>
/// <param name="PhTo">The highest pH.</param>
public sealed record Ceiling(double TdsPpm, double PhFrom, double PhTo)
{
    /// <summary>Fine-rooted orchids: 400 ppm, pH 5.5 to 6.5 (common practice).</summary>
    public static readonly Ceiling Usual = new(400, 5.5, 6.5);

    /// <summary>Why a water should not be given, as sentences; none when it may.</summary>
    /// <param name="whose">Whose roots, in the plural.</param>
    public IReadOnlyList<string> Warnings(double tdsPpm, double? ph, string whose)
    {
        var warnings = new List<string>();
        if (tdsPpm > TdsPpm)
            warnings.Add(FormattableString.Invariant($"{tdsPpm:0} ppm is above the {TdsPpm:0} ppm that {whose} bear."));
        if (ph < PhFrom || ph > PhTo)
            warnings.Add(
                FormattableString.Invariant($"pH {ph:0.0} is outside {PhFrom:0.0} to {PhTo:0.0}, where {whose} can take up what is in it.")
            );
        return warnings;
    }
}

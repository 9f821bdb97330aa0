namespace BudClock.Core.Mixing;

/// <summary>A bottle that was mixed: when, from what, and what the meter said (rule F9).</summary>
/// <param name="Code">What stands on its label and in the log of the plants it was given to.</param>
/// <param name="Recipe">The recipe's code.</param>
/// <param name="Name">The recipe's name on that day.</param>
/// <param name="Contents">What went in, in words, as it was on that day.</param>
/// <param name="PredictedPpm">What the meter should have said.</param>
public sealed record Batch(string Code, DateOnly Made, string Recipe, string Name, double Litres, string Contents, double PredictedPpm)
{
    /// <summary>Nitrogen as it was mixed, ppm.</summary>
    public double NitrogenPpm { get; init; }

    /// <summary>What the meter said, ppm; null when nobody measured.</summary>
    public double? MeasuredPpm { get; init; }

    /// <summary>As measured; null when nobody did.</summary>
    public double? Ph { get; init; }

    /// <summary>What the grower found where the measurement was questioned, or why it was kept.</summary>
    public string? Found { get; init; }

    /// <summary>The day the rest was thrown away.</summary>
    public DateOnly? ThrownAway { get; init; }

    /// <summary>
    /// How far the measurement is from the prediction, as a share of it; null when nobody measured, and for next to pure water.
    /// </summary>
    public double? Off => MeasuredPpm is { } measured ? Mix.Off(measured, PredictedPpm) : null;
}

/// <summary>Rule F11: a recipe on trial for named plants against the others of their kind.</summary>
/// <param name="Recipe">The recipe's code.</param>
/// <param name="Plants">Tags of the plants that get it.</param>
public sealed record Trial(string Code, string Recipe, DateOnly From, IReadOnlyList<string> Plants)
{
    /// <summary>The verdict waits for so long: feed shows in new growth, which takes weeks.</summary>
    public const int Days = 28;

    /// <summary>Its last day; null while it runs.</summary>
    public DateOnly Until => From.AddDays(Days);

    /// <summary>The day the grower ended it; null while it goes on.</summary>
    public DateOnly? Ended { get; init; }
}

/// <summary>What the grower measures with, and how bottles are filled.</summary>
public sealed record Tools
{
    /// <summary>What most kitchens have.</summary>
    public static readonly Tools Usual = new();

    /// <summary>What the scale can tell apart, g.</summary>
    public double ScaleGrams { get; init; } = 0.1;

    /// <summary>The smallest measuring spoon, in teaspoons.</summary>
    public double SpoonTsp { get; init; } = 0.125;

    /// <summary>The marks of the syringe, mL.</summary>
    public double SyringeMl { get; init; } = 0.2;

    /// <summary>What a bottle holds, L: a mix is rounded up to whole bottles.</summary>
    public double BottleLitres { get; init; } = 1;

    /// <summary>Spare on top of what the plants need, percent.</summary>
    public double ReservePercent { get; init; } = 10;

    /// <summary>ppm for each mS/cm on the meter that measures here: 500 or 700.</summary>
    public double MeterScale { get; init; } = 500;

    /// <summary>What cannot be, as a sentence; null when all is sound.</summary>
    public string? Fault() =>
        ScaleGrams is not (> 0 and <= 100) ? "What the scale tells apart is above 0 and up to 100 g."
        : SpoonTsp is not (> 0 and <= 3) ? "The smallest spoon is above 0 and up to 3 tsp."
        : SyringeMl is not (> 0 and <= 100) ? "The syringe's marks are above 0 and up to 100 mL."
        : BottleLitres is not (> 0 and <= 100) ? "A bottle holds above 0 and up to 100 L."
        : ReservePercent is not (>= 0 and <= 200) ? "The spare is 0 to 200 %."
        : Mixing.MeterScale.All.All(scale => scale.PpmPerMilliSiemens != MeterScale) ? "A meter's scale is 500 or 700."
        : null;

    /// <summary>Whole bottles that hold so much with the spare, in litres.</summary>
    public double Bottled(double litres) =>
        Math.Ceiling(Math.Round(litres * (1 + (ReservePercent / 100)) / BottleLitres, 6)) * BottleLitres;
}

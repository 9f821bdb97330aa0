using BudClock.Core.Advising;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A bottle as it was mixed: what was measured, and what was answered where the measurement asks.</summary>
public sealed class BatchForm
{
    public string? Bottle { get; set; }
    public string? Recipe { get; set; }
    public string? Litres { get; set; }
    public List<string> Tags { get; set; } = [];
    public string? Measured { get; set; }
    public string? Ph { get; set; }

    /// <summary>What the grower found where the measurement was questioned.</summary>
    public string? Found { get; set; }

    /// <summary>The warnings were seen, and the batch is kept.</summary>
    public bool Seen { get; set; }
}

/// <summary>What a measurement asks before a batch is kept.</summary>
/// <param name="Questions">The three usual questions, where it is more than a quarter off.</param>
/// <param name="Warnings">Roots that do not bear it.</param>
/// <param name="Meant">What was predicted, and how far off it is.</param>
public sealed record MeasurementAsks(IReadOnlyList<string> Questions, IReadOnlyList<string> Warnings, string Meant)
{
    public static readonly MeasurementAsks Nothing = new([], [], "");

    public static MeasurementAsks Of(double predictedPpm, string bottle, double? measuredPpm, double? ph, IEnumerable<Assessment> plants)
    {
        var off = measuredPpm is { } ppm ? Mix.Off(ppm, predictedPpm) : null;
        return new(
            measuredPpm is { } measured ? Mix.Questions(measured, predictedPpm) : [],
            BottleToMix.Warn(bottle, measuredPpm ?? predictedPpm, ph, plants),
            $"{measuredPpm:0} ppm measured, {predictedPpm:0} ppm meant{Off(off)}."
        );
    }

    static string Off(double? share) => share is { } off ? $": {Math.Abs(off) * 100:0} % {(off > 0 ? "stronger" : "weaker")}" : "";

    /// <summary>Everything that was asked has been answered.</summary>
    public bool Answered(BatchForm form) =>
        (Questions.Count == 0 || !string.IsNullOrWhiteSpace(form.Found)) && (Warnings.Count == 0 || form.Seen);
}

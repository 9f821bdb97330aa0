using System.Globalization;

namespace BudClock.Core.Potting;

/// <summary>A recipe for what goes into a pot: parts by volume (rule R5).</summary>
/// <param name="Code">Unique among the mixes.</param>
/// <param name="Name">As it is called.</param>
public sealed record PottingMix(string Code, string Name)
{
    /// <summary>More than this is a slip of the pen.</summary>
    const double MostParts = 1000;

    /// <summary>What it is made of, in parts by volume: bark 4, perlite 1.</summary>
    public IReadOnlyDictionary<string, double> Parts { get; init; } = new Dictionary<string, double>();

    /// <summary>So much of its volume is lost as it settles, percent.</summary>
    public double SettlesPercent { get; init; } = 12.5;

    /// <summary>How it is put in, as a sentence: "Tapped down, not pressed."</summary>
    public string Handling { get; init; } = "";

    /// <summary>What is done with it first, or never: "Rinse it until the water runs clear. No feed."</summary>
    public string First { get; init; } = "";

    /// <summary>It stands over a layer of this many cm of pebbles, 0 for none.</summary>
    public double PebblesCm { get; init; }

    /// <summary>Names of sheets and of traits that it is usual for; empty for one of the grower's own.</summary>
    public IReadOnlyList<string> Suits { get; init; } = [];

    /// <summary>The grower's own.</summary>
    public bool Own => Suits.Count == 0;

    /// <summary>All parts together.</summary>
    public double Whole => Parts.Values.Sum();

    /// <summary>"4 bark, 1 perlite".</summary>
    public string Words =>
        string.Join(", ", Parts.Select(part => string.Create(CultureInfo.InvariantCulture, $"{part.Value:0.##} {part.Key}")));

    /// <summary>What cannot be, as a sentence; null when all is sound.</summary>
    public string? Fault() =>
        Parts.Count == 0 || !(Whole > 0) ? "A mix needs at least one part above 0."
        : Parts.Values.Any(part => part is not (> 0 and <= MostParts)) ? $"Each part is above 0 and up to {MostParts:0}."
        : SettlesPercent is not (>= 0 and <= 50) ? "A mix settles by 0 to 50 %."
        : PebblesCm is not (>= 0 and <= 50) ? "Pebbles lie 0 to 50 cm deep."
        : null;
}

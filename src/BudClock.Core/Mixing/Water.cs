using System.Globalization;

namespace BudClock.Core.Mixing;

/// <summary>A water with what is dissolved in it.</summary>
/// <param name="TdsPpm">Total dissolved solids, ppm on the garden's own meter scale; 0 for pure water, at most 5000.</param>
public sealed record Water(string Name, double TdsPpm)
{
    /// <summary>Next to nothing dissolved in it.</summary>
    public const string Pure = "pure";

    /// <summary>Rain.</summary>
    public const string Rain = "rain";

    /// <summary>From the tap.</summary>
    public const string Tap = "tap";

    /// <summary>From a softener.</summary>
    public const string Softened = "softened";

    /// <summary>What a water can be.</summary>
    public static readonly IReadOnlyList<string> Kinds = [Pure, Rain, Tap, Softened];

    const double MostPpm = 5000;
    const int StaleDays = 180; // tap water changes with the season

    /// <summary>The name in files and recipes; never changed.</summary>
    public string Code { get; init; } = "";

    /// <summary>One of <see cref="Kinds"/>.</summary>
    public string Kind { get; init; } = Pure;

    /// <summary>0 to 14; null when not measured.</summary>
    public double? Ph { get; init; }

    /// <summary>Hardness as calcium carbonate, ppm; null when not known.</summary>
    public double? HardnessPpm { get; init; }

    /// <summary>The day it was last measured.</summary>
    public DateOnly? Measured { get; init; }

    /// <summary>What cannot be, as a sentence; null when it is sound.</summary>
    public string? Fault() =>
        !(TdsPpm is >= 0 and <= MostPpm)
            ? $"Dissolved solids are a number from 0 to {MostPpm} ppm."
            : PhFault(Ph)
                ?? (HardnessPpm is not null and not (>= 0 and <= MostPpm) ? $"Hardness is a number from 0 to {MostPpm} ppm." : null);

    /// <summary>Why a pH cannot be, as a sentence; null when it can.</summary>
    public static string? PhFault(double? ph) =>
        ph is null or (>= 0 and <= 14)
            ? null
            : string.Create(CultureInfo.InvariantCulture, $"pH runs from 0 to 14; {ph:0.##} is outside that.");

    /// <summary>What to mind with this water on a day, as sentences.</summary>
    public IEnumerable<string> Cautions(DateOnly today)
    {
        if (Kind == Softened)
            yield return $"{Name} is softened: its lime was traded for sodium, which harms roots. Draw tap water from before the softener.";
        if (Kind is Tap or Softened && !(Measured > today.AddDays(-StaleDays)))
            yield return $"{Name} was {LastMeasured(today)}: tap water changes with the season, measure it again.";
    }

    string LastMeasured(DateOnly today) => Measured is { } day ? $"last measured on {Dates.Near(day, today)}" : "never measured";
}

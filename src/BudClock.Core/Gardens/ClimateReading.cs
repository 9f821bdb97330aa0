namespace BudClock.Core.Gardens;

/// <summary>One reading at a place.</summary>
/// <param name="TemperatureC">°C; null where it was not read.</param>
/// <param name="HumidityPct">Relative humidity, percent; null where it was not read.</param>
public sealed record ClimateReading(string Place, DateTimeOffset At, double? TemperatureC, double? HumidityPct)
{
    /// <summary>Light, lux; null where it was not read.</summary>
    public double? Lux { get; init; }

    /// <summary>Light, photons that a leaf can use, µmol/m²/s; null where it was not read.</summary>
    public double? Ppfd { get; init; }

    /// <summary>The code of the device that sent it; null for one by hand.</summary>
    public string? Device { get; init; }

    /// <summary>Why it is not believed; null where it is. It is kept, and no rule reads it.</summary>
    public string? Doubt { get; init; }

    /// <summary>The hours that it is the mean of, for readings that were thinned; null for a single one.</summary>
    public double? Hours { get; init; }

    /// <summary>The lowest of those hours, °C; null for a single reading.</summary>
    public double? MinC { get; init; }

    /// <summary>The highest of those hours, °C; null for a single reading.</summary>
    public double? MaxC { get; init; }

    /// <summary>µmol/m²/s for each lux of daylight: 1,000 lx are about 18.5 (a published conversion; from memory).</summary>
    public const double PhotonsPerLux = 0.0185;

    /// <summary>Its light as photons, µmol/m²/s: as read, else from lux as if of daylight.</summary>
    public double? Photons => Ppfd ?? Lux * PhotonsPerLux;
}

/// <summary>What is forecast for a day.</summary>
/// <param name="Place">The place it is for; null is the weather outside, which each place answers in its own way.</param>
public sealed record ForecastDay(string? Place, DateOnly On, double? MinC, double? MaxC)
{
    /// <summary>Hours of sun; null where it is not said.</summary>
    public double? SunHours { get; init; }

    /// <summary>Mean relative humidity, percent; null where it is not said.</summary>
    public double? HumidityPct { get; init; }

    /// <summary>The day it was said; null where nobody wrote that down.</summary>
    public DateOnly? Made { get; init; }
}

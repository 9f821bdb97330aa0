using System.Globalization;

namespace BudClock.Core.Climate;

/// <summary>Temperatures as the grower reads them.</summary>
public static class Degrees
{
    /// <summary>"−4.5 °C": one digit at the most, and a minus that is one.</summary>
    public static string Of(double celsius) => string.Create(CultureInfo.InvariantCulture, $"{celsius:0.#} °C").Replace('-', '−');
}

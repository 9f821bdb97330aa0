using System.Globalization;

namespace BudClock.Core.Units;

/// <summary>A number as the grower wrote it, with its unit. A count has no unit.</summary>
public readonly record struct Quantity(double Value, Unit? Unit = null)
{
    /// <summary>What it measures; a count without a unit.</summary>
    public Dimension Dimension => Unit?.Dimension ?? Dimension.Count;

    /// <summary>The value in the base unit of its dimension: cm, mL, g, °C, ppm, or the bare count.</summary>
    public double InBase => Unit is null ? Value : (Value * Unit.Factor) + Unit.Offset;

    /// <summary>The same quantity in another unit.</summary>
    /// <exception cref="ArgumentException">The units measure different things.</exception>
    public Quantity In(Unit other) =>
        other.Dimension == Dimension
            ? new((InBase - other.Offset) / other.Factor, other)
            : throw new ArgumentException($"{this} cannot be given in {other}.", nameof(other));

    /// <summary>For people: up to two decimals, a point, a space before the unit.</summary>
    public override string ToString()
    {
        var number = Value.ToString("0.##", CultureInfo.InvariantCulture).Replace("-", "−", StringComparison.Ordinal);
        return Unit is null ? number : $"{number} {Unit}";
    }
}

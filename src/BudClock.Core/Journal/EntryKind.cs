using System.Runtime.CompilerServices;

namespace BudClock.Core.Journal;

/// <summary>One word of the journal: what a grower can have seen or done.</summary>
/// <param name="Name">The name in the open format; never renamed.</param>
/// <param name="Words">How the log says it.</param>
/// <param name="Measure">What number it may carry, and the range a real plant allows.</param>
/// <param name="States">The states it chooses from; empty when its text is free.</param>
public sealed record EntryKind(string Name, string Words, Measure? Measure = null, params string[] States)
{
    static int made;

    /// <summary>Counts the kinds up from 0, so that a journal finds the entries of one without a search.</summary>
    internal int Index { get; } = made++;

    /// <summary>How many there are.</summary>
    internal static int Made => made;

    /// <summary>Each kind is there once, in <see cref="EntryKinds"/>: the same kind is the same object.</summary>
    public bool Equals(EntryKind? other) => ReferenceEquals(this, other);

    /// <inheritdoc/>
    public override int GetHashCode() => RuntimeHelpers.GetHashCode(this);

    /// <inheritdoc/>
    public override string ToString() => Name;
}

/// <summary>The number an entry may carry: its dimension, its range in base units, and whether it must be there.</summary>
public sealed record Measure(Dimension Dimension, double Min, double Max, bool Required = true)
{
    /// <summary>A length up to so many cm.</summary>
    public static Measure LengthCm(double max) => new(Dimension.Length, 0, max);

    /// <summary>A number of things.</summary>
    public static readonly Measure Count = new(Dimension.Count, 0, 999);

    /// <summary>A volume; may be left out.</summary>
    public static readonly Measure Water = new(Dimension.Volume, 0, 100_000, Required: false);
}

namespace BudClock.Core.Advising;

/// <summary>One thing a verdict rests on: what was seen, when, and what is needed.</summary>
/// <param name="Have">What was seen; null when it is not known, and then the condition is not met.</param>
/// <param name="Need">What the rule asks for.</param>
/// <param name="Seen">The day it was seen.</param>
public sealed record Condition(string Name, Fact? Have, Fact? Need, string? Unit, bool Met, DateOnly? Seen)
{
    /// <summary>Something on record that asks for nothing, such as what was before.</summary>
    public static Condition Known(string name, Fact? have, string? unit, DateOnly? seen) => new(name, have, null, unit, true, seen);

    /// <summary>A number that has to reach another.</summary>
    public static Condition AtLeast(string name, Seen<double>? have, double need, string unit) =>
        new(name, have is null ? null : new Fact(have.Value), new Fact(need), unit, have?.Value >= need, have?.On);

    /// <summary>A sign that has to be there.</summary>
    public static Condition Sign(string name, DateOnly? seen) =>
        new(name, seen is null ? null : new Fact("seen"), new Fact("seen"), null, seen is not null, seen);

    /// <summary>A state that has to be one of those that count as good.</summary>
    public static Condition State(string name, Seen<string>? have, string need, Func<string, bool> good) =>
        new(name, have is null ? null : new Fact(have.Value), new Fact(need), null, have is not null && good(have.Value), have?.On);
}

/// <summary>A number or a word.</summary>
public readonly record struct Fact
{
    /// <summary>A number.</summary>
    public Fact(double number) => Number = number;

    /// <summary>A word.</summary>
    public Fact(string word) => Word = word;

    /// <summary>The number; null for a word.</summary>
    public double? Number { get; }

    /// <summary>The word; null for a number.</summary>
    public string? Word { get; }
}

namespace BudClock.Core.Culture;

/// <summary>Which end of a number is the safer one, for a cross that has it from two parents (rule V9).</summary>
public enum Stricter
{
    /// <summary>Neither: the leading parent's holds.</summary>
    Neither,

    /// <summary>The higher of two, as of a night that is too cold.</summary>
    Higher,

    /// <summary>The lower of two, as of salts that it bears.</summary>
    Lower,
}

/// <summary>The rule that a record of limits belongs to, such as W1.</summary>
/// <param name="id">As sheets name it.</param>
/// <param name="title">What it is about, as a clause that begins small and ends without a full stop.</param>
[AttributeUsage(AttributeTargets.Class)]
public sealed class RuleAttribute(string id, string title) : Attribute
{
    /// <summary>What it is about, as a clause.</summary>
    public string Title => title;

    /// <summary>As sheets name it.</summary>
    public string Id => id;
}

/// <summary>Declares one number of a rule: everything about it but its value, which sheets give.</summary>
/// <param name="unit">As sheets write it behind the number; empty for yes and no.</param>
/// <param name="least">The least that makes sense.</param>
/// <param name="most">The most that makes sense.</param>
/// <param name="meaning">What it is, as a clause that begins small and ends without a full stop.</param>
[AttributeUsage(AttributeTargets.Parameter)]
public sealed class LimitAttribute(string unit, double least, double most, string meaning) : Attribute
{
    /// <summary>As sheets write it behind the number; empty for yes and no.</summary>
    public string Unit => unit;

    /// <summary>The least that makes sense.</summary>
    public double Least => least;

    /// <summary>The most that makes sense.</summary>
    public double Most => most;

    /// <summary>What it is, as a clause.</summary>
    public string Meaning => meaning;

    /// <summary>The safer end, for a cross.</summary>
    public Stricter Stricter { get; init; }
}

/// <summary>One number of a rule, as it is declared.</summary>
/// <param name="Name">As sheets write it: "root-length-small".</param>
/// <param name="Unit">As sheets write it behind the number; empty for yes and no.</param>
/// <param name="Least">The least that makes sense.</param>
/// <param name="Most">The most that makes sense.</param>
/// <param name="Meaning">What it is, as a clause.</param>
/// <param name="Stricter">The safer end, for a cross.</param>
/// <param name="Optional">A sheet may leave it out, and the rule then does without.</param>
/// <param name="Kind">What the rule reads it as: double, int or bool.</param>
public sealed record Limit(string Name, string Unit, double Least, double Most, string Meaning, Stricter Stricter, bool Optional, Type Kind)
{
    /// <summary>Whether it may be set to that: a number from <see cref="Least"/> to <see cref="Most"/>; NaN never.</summary>
    public bool Allows(double value) => value >= Least && value <= Most;

    /// <summary>Whether a second value is safer than a first.</summary>
    public bool IsStricter(double second, double first) =>
        Stricter switch
        {
            Stricter.Higher => second > first,
            Stricter.Lower => second < first,
            _ => false,
        };

    /// <summary>The value as the rule reads it: whole numbers are cut off, yes is anything above 0.</summary>
    internal object Typed(double value) =>
        Kind == typeof(int) ? (int)value
        : Kind == typeof(bool) ? value > 0
        : value;
}

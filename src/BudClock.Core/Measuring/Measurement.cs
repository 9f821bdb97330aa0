namespace BudClock.Core.Measuring;

/// <summary>One measured length of an organ.</summary>
public sealed record Measurement(DateOnly On, double Cm);

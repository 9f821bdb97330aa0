namespace BudClock.Core.Gardens;

/// <summary>Rules B8 and B10: when an organ is likely to reach its next turn, as a range, and what the range is taken from.</summary>
/// <param name="Of">What is forecast, first-flower, matured, faded.</param>
/// <param name="Organ">The organ's id; null when the plant has one of its kind.</param>
/// <param name="Made">The day it was said.</param>
/// <param name="Source">For the page: "this plant's 2 earlier spikes".</param>
public sealed record Forecast(string Of, string? Organ, DateOnly Made, DateOnly From, DateOnly Likely, DateOnly To, string Source)
{
    /// <summary>The same forecast, whenever it was made.</summary>
    public bool Says(Forecast other) => this == other with { Made = Made };
}

namespace BudClock.Core.Gardens;

/// <summary>Rules B8 and B10: when an organ is likely to reach its next turn, as a range, and what the range is taken from.</summary>
/// <param name="Of">What is forecast, first-flower, matured, faded.</param>
/// <param name="Organ">The organ's id; null when the plant has one of its kind.</param>
/// <param name="Made">The day it was said.</param>
/// <param name="Source">For the page: "this plant's 2 earlier spikes".</param>
public sealed record Forecast(string Of, string? Organ, DateOnly Made, DateOnly From, DateOnly Likely, DateOnly To, string Source)
{
    /// <summary>So little, in days, is no other forecast: what has not come yet moves its range on from day to day.</summary>
    const int Alike = 3;

    /// <summary>It has taken longer already than nine in ten do.</summary>
    public bool Late { get; init; }

    /// <summary>As good as the same forecast, whenever it was made.</summary>
    public bool Says(Forecast other) =>
        (Of, Organ, Source) == (other.Of, other.Organ, other.Source)
        && Near(From, other.From)
        && Near(Likely, other.Likely)
        && Near(To, other.To);

    static bool Near(DateOnly one, DateOnly other) => Math.Abs(one.DayNumber - other.DayNumber) <= Alike;
}

namespace BudClock.Core.Measuring;

/// <summary>One organ, or one planting, that came to its turn here.</summary>
/// <param name="Began">The day it began.</param>
/// <param name="Days">Days from then to its turn; at least 0.</param>
public sealed record Took(DateOnly Began, int Days)
{
    /// <summary>How much longer the slow ones take that began with it.</summary>
    const double Slower = 1.3;

    /// <summary>So far apart in the year, two still grow in the same weather.</summary>
    const int SeasonDays = 60;

    /// <summary>Whether it is to be heard yet: one that took a third longer would have come to its turn by now as well.</summary>
    /// <remarks>
    /// Of those that began together the quick ones end first. Heard at once they would make every forecast for the others too early,
    /// which is what comes of leaving out the censored (Kaplan and Meier 1958).
    /// </remarks>
    public bool Heard(DateOnly today) => today.DayNumber - Began.DayNumber >= Slower * Days;

    /// <summary>Whether it began in the season in which something else began.</summary>
    public bool InSeason(DateOnly began) => Dates.ApartInYear(Began, began) <= SeasonDays;
}

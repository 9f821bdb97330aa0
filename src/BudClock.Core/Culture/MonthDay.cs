namespace BudClock.Core.Culture;

/// <summary>A day of any year, such as 10 April: when a sheet expects something in the northern hemisphere.</summary>
/// <param name="Month">1 to 12.</param>
/// <param name="Day">1 to the length of the month; 29 February is taken, and is the 28th where a year has no 29th.</param>
public readonly record struct MonthDay(int Month, int Day)
{
    /// <summary>The day in a given year; in the south half a year later, which may be in the next.</summary>
    /// <param name="year">The year of the northern day, 1 to 9999; in the south the last year in which six months more still fit.</param>
    /// <param name="southern">Whether the garden lies south of the equator.</param>
    /// <returns>
    /// The day. Where the month it falls into is shorter, that month's last: 29 February becomes the 28th in a common year, and 31 August
    /// becomes 28 or 29 February in the south.
    /// </returns>
    /// <exception cref="ArgumentOutOfRangeException">The month is none, or the year is outside of what a date can have.</exception>
    public DateOnly In(int year, bool southern)
    {
        var day = new DateOnly(year, Month, Math.Min(Day, DateTime.DaysInMonth(year, Month)));
        return southern ? day.AddMonths(6) : day;
    }
}

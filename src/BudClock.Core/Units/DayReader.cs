using System.Globalization;

namespace BudClock.Core.Units;

/// <summary>Reads a calendar day as programs write it (ISO 8601, extended): on the command line, in addresses and in date fields.</summary>
public static class DayReader
{
    const int First = 1900;
    const int Last = 2200;

    /// <summary>Reads a day such as 2031-05-24.</summary>
    /// <param name="text">What was written. 29 February is a day in leap years only; a time or a shorter date is no day.</param>
    /// <returns>
    /// The day, from 1900 to 2200; or why it is none, as words that follow the name of a field; neither where nothing is written. It
    /// never throws.
    /// </returns>
    public static (DateOnly? Day, string? Fault) Read(string? text)
    {
        if (string.IsNullOrEmpty(text))
            return default;
        if (!DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return (null, $"expected a date such as 2031-05-24, got \"{(text.Length > 40 ? text[..40] + "…" : text)}\"");
        return day.Year is >= First and <= Last ? (day, null) : (null, $"expected a day between {First} and {Last}, got {text}");
    }
}

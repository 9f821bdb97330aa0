using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Units;

/// <summary>
/// A date that is known only roughly: a year, a month, or a season of the garden's hemisphere. It is never made into a day; what is
/// reckoned from it takes the end of its span that claims less.
/// </summary>
/// <param name="Year">1900 to 2200.</param>
/// <param name="Month">1 to 12; null where only the year or the season is known.</param>
/// <param name="Season">spring, summer, autumn or winter; null where the month or only the year is known.</param>
public sealed partial record RoughDate(int Year, int? Month = null, string? Season = null)
{
    /// <summary>The seasons in the order of the northern year, winter first: it is named by the year in which it ends.</summary>
    public static IReadOnlyList<string> Seasons => Named;

    /// <summary>The form that files carry, as a regular expression for other programs (ECMA-262).</summary>
    public const string Pattern = "^(19|20|21)[0-9]{2}(-(0[1-9]|1[0-2]|winter|spring|summer|autumn))?$";

    static readonly string[] Named = ["winter", "spring", "summer", "autumn"];

    /// <summary>Reads the form that files carry: "2017", "2018-05", "2018-spring".</summary>
    /// <returns>Null for anything else, a whole day too.</returns>
    public static RoughDate? Parse(string? text)
    {
        if (text is null || Form().Match(text) is not { Success: true } match)
            return null;
        var year = int.Parse(match.Groups["year"].Value, CultureInfo.InvariantCulture);
        return match.Groups["month"] is { Success: true } month
            ? new(year, int.Parse(month.Value, CultureInfo.InvariantCulture))
            : new(year, null, match.Groups["season"] is { Success: true } season ? season.Value : null);
    }

    /// <summary>The form that files carry.</summary>
    public string Code =>
        Month is { } month ? string.Create(CultureInfo.InvariantCulture, $"{Year}-{month:00}")
        : Season is { } season ? $"{Year}-{season}"
        : $"{Year}";

    /// <summary>The last day of its span: what came before today by this day came so for certain.</summary>
    /// <param name="southern">South of the equator spring begins in September, and autumn ends in the next year's May.</param>
    public DateOnly Latest(bool southern)
    {
        if (Month is { } month)
            return EndOf(Year, month);
        if (Season is not { } season)
            return new(Year, 12, 31);
        // Northern: winter ends in February, spring in May, summer in August, autumn in November; in the south half a year later.
        var last = 2 + (3 * Array.IndexOf(Named, season)) + (southern ? 6 : 0);
        return last > 12 ? EndOf(Year + 1, last - 12) : EndOf(Year, last);
    }

    static DateOnly EndOf(int year, int month) => new(year, month, DateTime.DaysInMonth(year, month));

    /// <summary>As it is said: "2017", "May 2018", "spring 2018".</summary>
    public override string ToString() =>
        Month is { } month ? $"{CultureInfo.InvariantCulture.DateTimeFormat.MonthNames[month - 1]} {Year}"
        : Season is { } season ? $"{season} {Year}"
        : $"{Year}";

    [GeneratedRegex("^(?<year>(?:19|20|21)[0-9]{2})(?:-(?:(?<month>0[1-9]|1[0-2])|(?<season>winter|spring|summer|autumn)))?$")]
    private static partial Regex Form();
}

using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Formats.Lists;

/// <summary>A date as people write it into a list: a day, or a month, season or year that stays as rough as it is.</summary>
/// <param name="Day">The day; null where none is said.</param>
/// <param name="About">The rough date; null where a day is known.</param>
/// <param name="Rest">The words around it, such as "gift"; empty for none.</param>
public sealed partial record ListDate(DateOnly? Day, RoughDate? About, string Rest)
{
    static readonly string[] Days =
    [
        "yyyy-M-d",
        "yyyy/M/d",
        "yyyy.M.d",
        "d MMM yyyy",
        "d MMMM yyyy",
        "MMM d yyyy",
        "MMMM d yyyy",
        "d.M.yyyy",
        "d.M.yy",
        "d-M-yyyy",
    ];
    static readonly string[] DayFirst = ["d/M/yyyy", "d/M/yy"];
    static readonly string[] MonthFirst = ["M/d/yyyy", "M/d/yy"];
    static readonly string[] Months = ["MMMM yyyy", "MMM yyyy", "yyyy-MM", "M/yyyy", "M.yyyy", "MMM yy", "MMMM yy"];

    /// <summary>Reads a cell.</summary>
    /// <param name="monthFirst">Of "3/4/2030" the month stands first; a first number above 12 is a day all the same.</param>
    /// <returns>Null where no date stands in it, or one that cannot be.</returns>
    public static ListDate? Read(string cell, bool monthFirst)
    {
        var text = Spaces().Replace(cell.Replace(",", " ", StringComparison.Ordinal).Replace('’', '\'').Trim(), " ");
        if (text.Length is 0 or > 60)
            return null;
        var words = text.Split(' ');
        // The longest run of words that is a date, wherever it stands: "gift 2016", "bought May 2018 at the show".
        for (var length = Math.Min(3, words.Length); length > 0; length--)
        for (var from = 0; from + length <= words.Length; from++)
            if (Of(string.Join(' ', words.Skip(from).Take(length)), monthFirst) is { } found)
                return found with { Rest = Around([.. words.Take(from), .. words.Skip(from + length)]) };
        return null;
    }

    static ListDate? Of(string words, bool monthFirst)
    {
        var text = Ordinal().Replace(words.Replace("sept ", "Sep ", StringComparison.OrdinalIgnoreCase), "$1").TrimEnd('.');
        string[] formats = monthFirst ? [.. Days, .. MonthFirst, .. DayFirst] : [.. Days, .. DayFirst, .. MonthFirst];
        foreach (var format in formats)
            if (DateOnly.TryParseExact(text, format, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) && Sane(day.Year))
                return new(day, null, "");
        foreach (var format in Months)
            if (
                DateOnly.TryParseExact(
                    Apostrophe().Replace(text, ""),
                    format,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.None,
                    out var month
                ) && Sane(month.Year)
            )
                return new(null, new(month.Year, month.Month), "");
        if (Season().Match(text) is { Success: true } season)
            return new(null, new(Year(season.Groups["year"].Value), null, Named(season.Groups["season"].Value)), "");
        return OneYear().Match(text) is { Success: true } year ? new(null, new(Year(year.Groups["year"].Value)), "") : null;
    }

    static string Named(string season) => season.ToLowerInvariant() is not "fall" and var named ? named : "autumn";

    static int Year(string digits) =>
        int.Parse(digits, CultureInfo.InvariantCulture) is var year && digits.Length == 2 ? (year < 70 ? 2000 : 1900) + year : year;

    static bool Sane(int year) => year is >= 1900 and < 2200;

    static string Around(string[] words) =>
        string.Join(' ', words.Where(word => !Vague().IsMatch(word))).Trim(' ', ';', ':', '-', '(', ')');

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"\b(\d{1,2})(?:st|nd|rd|th)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Ordinal();

    [GeneratedRegex("'")]
    private static partial Regex Apostrophe();

    [GeneratedRegex(@"^(?<season>spring|summer|autumn|fall|winter) (?:of )?'?(?<year>(?:19|20|21)\d\d|\d\d)$", RegexOptions.IgnoreCase)]
    private static partial Regex Season();

    [GeneratedRegex(@"^[(~]?(?:ca\.?)?(?<year>(?:19|20|21)\d\d)[)?]*$")]
    private static partial Regex OneYear();

    /// <summary>Words that only say how rough it is.</summary>
    [GeneratedRegex(@"^(about|around|ca\.?|circa|early|late|mid|some time|in|since|from|the|~|\?)$", RegexOptions.IgnoreCase)]
    private static partial Regex Vague();
}

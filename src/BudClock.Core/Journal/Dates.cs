using System.Globalization;

namespace BudClock.Core.Journal;

/// <summary>Days as the application says them.</summary>
public static class Dates
{
    /// <summary>Days between two dates in the course of the year, whatever their years: 0 to 182.</summary>
    public static int ApartInYear(DateOnly one, DateOnly other)
    {
        var apart = Math.Abs(one.DayOfYear - other.DayOfYear);
        return Math.Min(apart, 365 - apart);
    }

    /// <summary>"24 May".</summary>
    public static string Short(DateOnly day) => day.ToString("d MMM", CultureInfo.InvariantCulture);

    /// <summary>"24 May 2031".</summary>
    public static string Long(DateOnly day) => day.ToString("d MMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>"24 May", with the year when it is not that of <paramref name="today"/>.</summary>
    public static string Near(DateOnly day, DateOnly today) => day.Year == today.Year ? Short(day) : Long(day);

    /// <summary>"25–30 May", "28 May – 2 Jun", or a single day.</summary>
    public static string Range(DateOnly from, DateOnly to)
    {
        if (from == to)
            return Short(from);
        return from.Month == to.Month && from.Year == to.Year ? $"{from.Day}–{Short(to)}" : $"{Short(from)} – {Short(to)}";
    }

    /// <summary>"Thursday" within a week, "today" for what is past, else the date.</summary>
    public static string Weekday(DateOnly day, DateOnly today) =>
        day <= today ? "today"
        : day < today.AddDays(7) ? day.ToString("dddd", CultureInfo.InvariantCulture)
        : Short(day);

    /// <summary>"today", "yesterday", "9 days ago".</summary>
    public static string Ago(DateOnly day, DateOnly today) =>
        (today.DayNumber - day.DayNumber) switch
        {
            0 => "today",
            1 => "yesterday",
            var days => $"{days} days ago",
        };
}

using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Programmes;

/// <summary>What the entry "programme started" says: which programme, from when, for which day of bloom.</summary>
/// <remarks>
/// Its words are for people: "cool nights", "cool nights from 2031-11-01", "in bloom for 2031-12-24, 12 bulbs", "succession every 28
/// days". What is not understood is left to the reader.
/// </remarks>
/// <param name="Entry">The entry.</param>
/// <param name="Text">Its words; empty for none.</param>
/// <param name="From">A later start that it plans; null for the day of the entry.</param>
/// <param name="BloomOn">The day on which it is wanted in bloom; null for none.</param>
/// <param name="Bulbs">How many bulbs; null where it does not say.</param>
/// <param name="EveryDays">A succession: days from one planting to the next; null for none.</param>
public sealed partial record ProgrammeOrder(Entry Entry, string Text, DateOnly? From, DateOnly? BloomOn, int? Bulbs, int? EveryDays)
{
    /// <summary>The day on which it starts.</summary>
    public DateOnly Start => From > Entry.On ? From.Value : Entry.On;

    /// <summary>Reads an entry of the kind "programme started".</summary>
    public static ProgrammeOrder Read(Entry entry)
    {
        var text = entry.Text ?? "";
        return new(
            entry,
            text,
            Day(FromDay().Match(text)),
            Day(ForDay().Match(text)),
            Number(BulbCount().Match(text)),
            Number(Succession().Match(text))
        );
    }

    /// <summary>The words of a programme that starts on another day than it is written down.</summary>
    public static string Words(string programme, DateOnly from, DateOnly today) =>
        from > today ? $"{programme} from {Iso(from)}" : programme;

    /// <summary>The words for bulbs that are wanted in bloom on a day.</summary>
    public static string InBloomFor(DateOnly day, int bulbs) => $"in bloom for {Iso(day)}, {bulbs} {(bulbs == 1 ? "bulb" : "bulbs")}";

    /// <summary>The same words with another day of bloom.</summary>
    public static string Moved(string text, DateOnly bloomOn) => ForDay().Replace(text, $"for {Iso(bloomOn)}", 1);

    static string Iso(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    static DateOnly? Day(Match match) =>
        match.Success
        && DateOnly.TryParseExact(match.Groups[1].Value, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day
            : null;

    static int? Number(Match match) =>
        match.Success && int.TryParse(match.Groups[1].Value, CultureInfo.InvariantCulture, out var number) ? number : null;

    [GeneratedRegex(@"\bfrom (\d{4}-\d{2}-\d{2})\b", RegexOptions.IgnoreCase)]
    private static partial Regex FromDay();

    [GeneratedRegex(@"\bfor (\d{4}-\d{2}-\d{2})\b", RegexOptions.IgnoreCase)]
    private static partial Regex ForDay();

    [GeneratedRegex(@"\b(\d{1,4}) bulbs?\b", RegexOptions.IgnoreCase)]
    private static partial Regex BulbCount();

    [GeneratedRegex(@"\bevery (\d{1,3}) days\b", RegexOptions.IgnoreCase)]
    private static partial Regex Succession();
}

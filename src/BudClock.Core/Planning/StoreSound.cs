using System.Globalization;
using BudClock.Core.Advising.Resting;
using BudClock.Core.Climate;
using BudClock.Core.Culture;

namespace BudClock.Core.Planning;

/// <summary>Rule D10: whether what is held back is still sound, by the thermometer of its store.</summary>
/// <param name="Sound">True where every measured day was cool enough and none froze; null where nobody measured.</param>
/// <param name="Words">The answer as sentences.</param>
public sealed record StoreSound(bool? Sound, string Words)
{
    /// <summary>Reads the record of a store from a day on.</summary>
    public static StoreSound Of(CultureSheet sheet, PlaceRecord record, DateOnly since, DateOnly today)
    {
        var (cool, warm) = (sheet.Limits<BulbStoreLimits>().Cool, sheet.Limits<BulbStoreLimits>().Warm);
        var days = record.Days.Where(day => day.Day >= since && day.Day <= today && day.MinC is not null).ToList();
        if (days.Count == 0)
            return new(
                null,
                "Nobody measured the store: hang a thermometer there, and feel the bulbs. Firm and without a shoot they are sound."
            );
        var (hot, cold) = (days.Where(day => day.MaxC > warm).ToList(), days.Where(day => day.MinC < cool).ToList());
        var missing = today.DayNumber - since.DayNumber + 1 - days.Count;
        var gap = missing > 0 ? string.Create(CultureInfo.InvariantCulture, $" {missing} days were not measured.") : "";
        if (cold.Exists(day => day.MinC < 0))
            return new(
                false,
                Text($"It froze there: {cold.Min(day => day.MinC):0.#} °C. Frost kills the flower inside the bulb: cut one open and ")
                    + Text($"look.{gap}")
            );
        if (hot.Count == 0 && cold.Count == 0)
            return new(true, Text($"Sound by the store's thermometer: {days.Count} days between {cool:0} and {warm:0} °C.{gap}"));
        return new(
            hot.Count == 0,
            hot.Count > 0
                ? Text($"{hot.Count} of {days.Count} days were above {warm:0} °C, the warmest {hot.Max(day => day.MaxC):0.#} °C: they ")
                    + Text($"may have woken. Feel them, and look for shoots.{gap}")
                : Text(
                    $"{cold.Count} of {days.Count} days were below {cool:0} °C, the coldest {cold.Min(day => day.MinC):0.#} °C, and none "
                ) + Text($"froze: sound, but a cool shelf is better.{gap}")
        );
    }

    static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}

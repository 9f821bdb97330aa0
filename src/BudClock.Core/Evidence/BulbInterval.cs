using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Measuring;

namespace BudClock.Core.Evidence;

/// <summary>How many days a forced bulb takes from planting to its first open flower, as a range (rule B2).</summary>
/// <param name="Days">The days, as they are spread.</param>
/// <param name="Words">Where it is from: "about 28 days from planting".</param>
public sealed record BulbInterval(Spread Days, string Words)
{
    /// <summary>The early end of what eight in ten take, days from planting.</summary>
    public double From => Days.From;

    /// <summary>The middle, days from planting.</summary>
    public double Likely => Days.Likely;

    /// <summary>The late end, days from planting.</summary>
    public double To => Days.To;

    /// <summary>It is from lots that bloomed here.</summary>
    public bool Learned { get; init; }

    /// <summary>Lots differ by the weather of their weeks, as a share of their days.</summary>
    const double LotsApart = 0.17;

    /// <summary>So many days tell of those to come.</summary>
    const int LastDays = 5;

    /// <summary>A quarter either way, where nothing was learned here.</summary>
    const double UnlearnedShare = 0.24;

    /// <summary>Of one plant: what its own lots and those of its genus took here, else the sheet's days.</summary>
    public static BulbInterval Of(Situation now) =>
        Of(now.Sheet, [.. Forecasts.FromPlanting(now.Journal), .. now.Around.Kin(now.Plant, Forecasts.PlantedToFlower)], null, now.Today);

    /// <summary>Of a kind in a garden.</summary>
    /// <param name="lots">Lots that bloomed here; none where there were none.</param>
    /// <param name="meanC">The mean temperature of the place that they are to stand at; null for the sheet's usual.</param>
    public static BulbInterval Of(CultureSheet sheet, IEnumerable<Took> lots, double? meanC, DateOnly today)
    {
        int[] took = [.. lots.Where(lot => lot.Heard(today)).Select(lot => lot.Days)];
        if (took.Length > 0)
        {
            var spread = Spread.Of(took, LotsApart);
            return new(spread, Text($"{took.Length} earlier {(took.Length == 1 ? "lot" : "lots")} here took about {spread.Likely:0} days"))
            {
                Learned = true,
            };
        }
        var rule = sheet.Limits<ForcingLimits>();
        var usual = rule.Days;
        var days = meanC is { } mean && mean > rule.BaseC + 2 ? usual * ((rule.BrightC - rule.BaseC) / (mean - rule.BaseC)) : usual;
        return new(Spread.Around(days, days * UnlearnedShare), Text($"about {days:0} days from planting"));
    }

    /// <summary>A planted lot by the warmth that it has had and has now, where its place is measured; null where it is not.</summary>
    /// <param name="record">Of the place where it stands.</param>
    public static BulbInterval? ByWarmth(CultureSheet sheet, PlaceRecord record, DateOnly planted, DateOnly today)
    {
        var rule = sheet.Limits<ForcingLimits>();
        var baseC = rule.BaseC;
        var wants = rule.Days * (rule.BrightC - baseC);
        var last = record.Days.Where(day => day.Day > today.AddDays(-LastDays) && day.Day <= today && day.MeanC is not null).ToList();
        if (last.Count == 0)
            return null;
        var rate = Math.Max(1, last.Average(day => day.MeanC!.Value) - baseC);
        // Days that nobody measured are taken to be as the last ones.
        var had = 0d;
        for (var day = planted.AddDays(1); day <= today; day = day.AddDays(1))
            had += Math.Max(0, (record.Day(day)?.MeanC - baseC) ?? rate);
        var days = today.DayNumber - planted.DayNumber + (Math.Max(0, wants - had) / rate);
        return new(Spread.Around(days, days * UnlearnedShare), Text($"the warmth it had, and {rate + baseC:0.#} °C now"));
    }

    static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}

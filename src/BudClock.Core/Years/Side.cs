using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using BudClock.Core.Programmes;
using MathNet.Numerics.Statistics;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Years;

/// <summary>One of two that are laid over each other: an organ of a plant, with how it was kept while the organ grew.</summary>
public sealed class Side
{
    /// <summary>What was done so shortly before an organ began still made a difference to it.</summary>
    public const int BeforeDays = 60;

    /// <summary>Fewer measured nights or days tell nothing of a season.</summary>
    const int LeastMeasured = 10;

    readonly Whereabouts stood;
    readonly ProgrammeAround around;

    /// <summary>An organ of a plant; what is known of it ends with its last measurement.</summary>
    public Side(Assessment plant, OrganSeries series)
    {
        (Plant, Series) = (plant, series);
        (stood, around) = (new(plant.Plant), plant.Situation.Counted);
        (From, To) = (series.Start, series.Last.On);
    }

    /// <summary>The plant.</summary>
    public Assessment Plant { get; }

    /// <summary>What was measured of the organ.</summary>
    public OrganSeries Series { get; }

    /// <summary>The day of its first measurement.</summary>
    public DateOnly From { get; }

    /// <summary>The day of its last one.</summary>
    public DateOnly To { get; }

    /// <summary>"LYC-01, Roots 2031".</summary>
    public string Label => $"{Plant.Plant.Tag}, {Series.Label}";

    IEnumerable<DateOnly> Days => Enumerable.Range(0, To.DayNumber - From.DayNumber + 1).Select(From.AddDays);

    /// <summary>The place where it stood longest; null for unplaced.</summary>
    public Place? Place =>
        Days.GroupBy(stood.On).OrderByDescending(days => days.Count()).First().Key is { } code ? around.PlaceOf(code) : null;

    /// <summary>The mean of its coolest nights, °C; null where too few were measured.</summary>
    public double? NightC => Mean(Days.Select(day => stood.On(day) is { } code ? around.RecordOf(code).Night(day)?.CoolestC : null));

    /// <summary>The mean light of a day, mol/m²; null where it was not measured.</summary>
    public double? Dli => Mean(Days.Select(day => stood.On(day) is { } code ? around.RecordOf(code).Day(day)?.Light?.Estimate.Dli : null));

    static double? Mean(IEnumerable<double?> some) =>
        some.OfType<double>().ToList() is { Count: >= LeastMeasured } known ? known.Average() : null;

    /// <summary>The pot as it was when the organ began: "12 cm, plastic"; null where it is not known.</summary>
    public string? Pot =>
        Then.Pot is { } pot
            ? string.Join(
                ", ",
                new[]
                {
                    pot.DiameterCm is { } cm ? string.Create(CultureInfo.InvariantCulture, $"{cm:0.#} cm") : null,
                    pot.Kind,
                }.OfType<string>()
            )
            : null;

    /// <summary>The medium as it was then.</summary>
    public string? Medium => Then.Medium;

    Plant Then => Plant.Plant.On(From);

    /// <summary>Days from water to water, the median; null below four waters.</summary>
    public double? WaterDays
    {
        get
        {
            var on = Plant.Situation.Journal.Waterings.Select(e => e.On).Where(day => day >= From && day <= To).Distinct().ToList();
            return on.Count < 4 ? null : on.Zip(on.Skip(1), (from, to) => (double)(to.DayNumber - from.DayNumber)).Median();
        }
    }

    /// <summary>How many times in thirty days it was fed.</summary>
    public double FedAMonth =>
        30.0 * Plant.Situation.Journal.Of(Fed).Count(e => e.On >= From && e.On <= To) / Math.Max(30, To.DayNumber - From.DayNumber);

    /// <summary>The newest entry of a kind from two months before it began to its end; null for none.</summary>
    public Entry? Since(EntryKind kind) =>
        Plant.Situation.Journal.Of(kind).LastOrDefault(e => e.On >= From.AddDays(-BeforeDays) && e.On <= To);
}

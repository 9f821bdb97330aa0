using BudClock.Core.Advising;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Years;

/// <summary>A month of a plant's year, as it is printed.</summary>
/// <param name="First">Its first day.</param>
/// <param name="Turns">What turned, was done once or was found, in the order of the log, with its day.</param>
/// <param name="Waters">How many times it was watered.</param>
/// <param name="Feeds">How many times it was fed.</param>
public sealed record MonthTold(DateOnly First, IReadOnlyList<Entry> Turns, int Waters, int Feeds);

/// <summary>A year of one plant on one page.</summary>
public sealed record YearTold(Assessment Plant, GrowingYear Year, IReadOnlyList<MonthTold> Months)
{
    /// <summary>Written too often to be told one by one; waters and feeds are counted.</summary>
    static readonly HashSet<EntryKind> Daily =
    [
        Watered,
        Soaked,
        Fed,
        Medium,
        Tray,
        Reservoir,
        Turned,
        Looked,
        Photo,
        RootLength,
        GrowthHeight,
        SpikeLength,
        LeafSpan,
    ];

    /// <summary>The months of a year in which anything was written.</summary>
    public static YearTold Of(Assessment plant, GrowingYear year) =>
        new(
            plant,
            year,
            [
                .. plant
                    .Situation.Journal.Entries.Where(entry => year.Has(entry.On))
                    .GroupBy(entry => new DateOnly(entry.On.Year, entry.On.Month, 1))
                    .OrderBy(month => month.Key)
                    .Select(month => new MonthTold(
                        month.Key,
                        [.. month.Where(entry => !Daily.Contains(entry.Kind))],
                        month.Count(entry => entry.IsWatering),
                        month.Count(entry => entry.Kind == Fed)
                    )),
            ]
        );
}

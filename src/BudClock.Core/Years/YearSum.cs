using BudClock.Core.Advising;
using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Measuring;

namespace BudClock.Core.Years;

/// <summary>A plant that died, with what its log says of why.</summary>
/// <param name="Because">What comes of the hearing, as a sentence.</param>
public sealed record Loss(Assessment Plant, DateOnly On, string Because);

/// <summary>
/// What one growing year of a plant, or of a garden, came to. Counted from the log; what was not written down is not in it.
/// </summary>
/// <param name="Growths">Growths that began; leaves where the kind is followed by leaves.</param>
/// <param name="Roots">Times that new roots showed.</param>
/// <param name="Spikes">Spikes that showed.</param>
/// <param name="SpikesLost">Of those that ended in the year without a flower.</param>
/// <param name="Blooms">First flowers that opened.</param>
/// <param name="Buds">Buds counted on the spikes that showed, the most of each.</param>
/// <param name="BudsLost">Buds that fell or dried.</param>
/// <param name="DaysInBloom">Days of the year with a flower open, plant by plant, added up.</param>
/// <param name="FirstOpen">The first flower of the year; null for none.</param>
/// <param name="Lost">Plants that died.</param>
public sealed record YearSum(
    GrowingYear Year,
    int Growths,
    int Roots,
    int Spikes,
    int SpikesLost,
    int Blooms,
    double Buds,
    double BudsLost,
    int DaysInBloom,
    DateOnly? FirstOpen,
    IReadOnlyList<Loss> Lost
)
{
    /// <summary>Every year from the first entry to today, the newest first; what came with a plant counts as its own.</summary>
    public static IReadOnlyList<YearSum> Of(IReadOnlyList<Assessment> plants, DateOnly today, bool southern)
    {
        if (plants.Min(plant => plant.Situation.Journal.Entries.FirstOrDefault()?.On) is not { } first)
            return [];
        var (year, oldest, years) = (GrowingYear.Of(today, southern), GrowingYear.Of(first, southern), new List<YearSum>());
        for (; year.Begins >= oldest.Begins; year = year.Before)
            years.Add(Sum(plants, year, today));
        return years;
    }

    static YearSum Sum(IReadOnlyList<Assessment> plants, GrowingYear year, DateOnly today)
    {
        var lanes = plants.SelectMany(plant => plant.Recorded).Where(lane => !lane.Expected).ToList();
        var spikes = plants.SelectMany(plant => Records(plant, today)).Where(record => year.Has(record.Emerged ?? record.Opened)).ToList();
        int Began(LaneKind kind) => lanes.Count(lane => lane.Kind == kind && year.Has(lane.From));
        return new(
            year,
            Began(LaneKind.Growth),
            Began(LaneKind.Roots),
            Began(LaneKind.Spike),
            lanes.Count(lane => lane.Kind is LaneKind.Spike && lane.Ending is "lost" or "aborted" && year.Has(lane.To)),
            Began(LaneKind.Bloom),
            spikes.Sum(spike => spike.Buds ?? 0),
            spikes.Sum(spike => spike.LostBuds ?? 0),
            plants.Sum(plant => Days(plant, year, today)),
            lanes.Where(lane => lane.Kind is LaneKind.Bloom && year.Has(lane.From)).Select(lane => (DateOnly?)lane.From).Min(),
            [.. plants.Select(plant => Died(plant, year)).OfType<Loss>().OrderBy(loss => loss.On)]
        );
    }

    static IReadOnlyList<BloomRecord> Records(Assessment plant, DateOnly today) =>
        BloomRecord.Read(plant.Situation.Journal, plant.Recorded, plant.Plant.Acquired, today);

    /// <summary>Two spikes open on one day are one day in bloom.</summary>
    static int Days(Assessment plant, GrowingYear year, DateOnly today) =>
        plant
            .Recorded.Where(lane => lane is { Kind: LaneKind.Bloom, Expected: false })
            .SelectMany(lane =>
            {
                var from = lane.From > year.From ? lane.From : year.From;
                var last = lane.To?.AddDays(-1) ?? today;
                var to = last < year.To ? last : year.To;
                return Enumerable.Range(0, Math.Max(0, to.DayNumber - from.DayNumber + 1)).Select(from.AddDays);
            })
            .Distinct()
            .Count();

    static Loss? Died(Assessment plant, GrowingYear year) =>
        plant.Situation.Journal.Last(EntryKinds.Died) is { } died && year.Has(died.On)
            ? new(plant, died.On, Hearing.Of(plant.Situation, new LostQuestion())?.Finding ?? "The log does not tell.")
            : null;
}

using BudClock.Core.Advising;
using BudClock.Core.Evidence;

namespace BudClock.Core.Feeding;

/// <summary>
/// What a plant's pot may hold of salts: feeds since it was last flushed, what the run-off measured, and whether a flush is due.
/// </summary>
/// <param name="Flushed">The last flush or repot; null when none is on record.</param>
/// <param name="Flush">The advice that asks for a flush; null when none does.</param>
public sealed record SaltWatch(Assessment Plant, int FeedsSince, DateOnly? Flushed, Seen<double>? RunOffPpm, double BearsPpm, Advice? Flush)
{
    /// <summary>Plants that were ever fed, flushed or measured, those with a flush due first, then by feeds since.</summary>
    public static IReadOnlyList<SaltWatch> Of(IEnumerable<Assessment> plants) =>
        [
            .. plants
                .Where(a => !a.Gone)
                .Select(Read)
                .Where(row => row.FeedsSince > 0 || row.Flushed is not null || row.RunOffPpm is not null || row.Flush is not null)
                .OrderBy(row => row.Flush is null)
                .ThenByDescending(row => row.FeedsSince)
                .ThenBy(row => row.Plant.Plant.Tag, StringComparer.Ordinal),
        ];

    /// <summary>
    /// "8 feeds since 20 May 2029, when it was flushed or repotted. Run-off 310 ppm, 8 May. It bears 400 ppm."; where a flush is due,
    /// why.
    /// </summary>
    public string Words(DateOnly today)
    {
        var feeds = FeedsSince switch
        {
            0 => "No feed",
            1 => "1 feed",
            var count => FormattableString.Invariant($"{count} feeds"),
        };
        var since = Flushed is { } day
            ? $"{feeds} since {Dates.Near(day, today)}, when it was flushed or repotted."
            : $"{feeds}, and no flush on record.";
        if (Flush is not null)
            return $"{since} {Flush.Reason}";
        var runOff = RunOffPpm is { } run ? FormattableString.Invariant($" Run-off {run.Value:0} ppm, {Dates.Near(run.On, today)}.") : "";
        return FormattableString.Invariant($"{since}{runOff} It bears {BearsPpm:0} ppm.");
    }

    static SaltWatch Read(Assessment plant)
    {
        var journal = plant.Situation.Journal;
        var flushed = Flushes.Last(plant.Situation)?.On;
        var runOff = journal.Last(EntryKinds.RunOff);
        return new(
            plant,
            journal.Of(EntryKinds.Fed).Count(e => !(e.On <= flushed)),
            flushed,
            runOff is null ? null : new(runOff.Amount!.Value.InBase, runOff.On),
            SaltExcess.BornBy(plant.Situation.Sheet).TdsPpm,
            plant.Advice.FirstOrDefault(advice => advice is { Asks: true, Care: Care.Flush })
        );
    }
}

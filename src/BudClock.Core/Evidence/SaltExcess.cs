using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Mixing;

namespace BudClock.Core.Evidence;

/// <summary>Rule F10: salts above what the roots bear, in the run-off or in what it was given, and not flushed out since.</summary>
/// <param name="What">What was measured: "Run-off", "What it was given".</param>
/// <param name="Ppm">What it measured.</param>
/// <param name="Bears">What the roots bear, ppm.</param>
/// <param name="On">The day of it.</param>
public sealed record SaltExcess(string What, double Ppm, double Bears, DateOnly On)
{
    /// <summary>The newest excess; null for none, for one that was flushed out, and for one that is too old to tell.</summary>
    public static SaltExcess? Read(Situation now)
    {
        var (limits, flushed) = (now.Limits<SaltLimits>(), Flushes.Last(now));
        return Found(now.Journal.Last(EntryKinds.RunOff), "Run-off", e => e.Amount?.InBase)
            ?? Found(Given(now.Journal), "What it was given", e => Measured(now.Around.Shelf.Batch(e.Mix)));

        SaltExcess? Found(Entry? entry, string what, Func<Entry, double?> measure) =>
            entry is not null
            && entry.On > now.Today.AddDays(-limits.Seen)
            && measure(entry) is { } ppm
            && ppm > limits.Tds
            && !(flushed is not null && PlantJournal.IsAfter(flushed, entry))
                ? new(what, ppm, limits.Tds, entry.On)
                : null;
    }

    static Entry? Given(PlantJournal journal) => journal.Waterings.LastOrDefault(e => e.Mix is not null);

    static double? Measured(Batch? batch) => batch is null ? null : batch.MeasuredPpm ?? batch.PredictedPpm;

    /// <summary>What the roots of a habit bear.</summary>
    public static Ceiling BornBy(CultureSheet sheet)
    {
        var limits = sheet.Limits<SaltLimits>();
        return new(limits.Tds, limits.PhFrom, limits.PhTo);
    }
}

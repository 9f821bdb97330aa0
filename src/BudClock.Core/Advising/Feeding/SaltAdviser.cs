using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F10: run-off that measures above what the roots bear is flushed out with plain water before any more feed.</summary>
public sealed class SaltAdviser : IAdviser
{
    const int SeenDays = 60;

    /// <inheritdoc/>
    public string Rule => "F10";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => ["tds", "ph-from", "ph-to"];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Resting || Excess(now) is not { } salty)
            yield break;
        yield return new(
            Topics.Water,
            Rule,
            Care.Flush,
            Verdict.Do,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"{salty.What} {salty.Ppm:0} ppm {Dates.Ago(salty.On, now.Today)}, and it bears {salty.Bears:0}: flush from the top with "
                    + $"plain water before any feed, and measure again."
            ),
            [new("dissolved solids", new(Math.Round(salty.Ppm)), new(salty.Bears), "ppm at most", true, salty.On)]
        )
        {
            Because = string.Create(CultureInfo.InvariantCulture, $"{salty.What} {salty.Ppm:0} ppm"),
            Bottle = Bottles.Plain,
        };
    }

    /// <summary>
    /// Salts above what its roots bear, measured in the run-off or given with a batch, and not flushed out since; null for none.
    /// </summary>
    public static (string What, double Ppm, double Bears, DateOnly On)? Excess(Situation now)
    {
        var most = now.Needs("F10", "tds");
        var flushed = now.Journal.Of(EntryKinds.Rinsed, EntryKinds.Repotted).LastOrDefault(entry => !entry.IsLeafRinse);
        return Found(now.Journal.Last(EntryKinds.RunOff), "Run-off", e => e.Amount?.InBase)
            ?? Found(Given(), "What it was given", e =>
                now.Around.Shelf.Batch(e.Mix) is { } batch ? batch.MeasuredPpm ?? batch.PredictedPpm : null
            );

        Entry? Given() => now.Journal.Waterings.LastOrDefault(e => e.Mix is not null);

        (string, double, double, DateOnly)? Found(Entry? entry, string what, Func<Entry, double?> measure) =>
            entry is not null
            && entry.On > now.Today.AddDays(-SeenDays)
            && measure(entry) is { } ppm
            && ppm > most
            && !(flushed is not null && PlantJournal.IsAfter(flushed, entry))
                ? (what, ppm, most, entry.On)
                : null;
    }

    /// <summary>What the roots of a plant's habit bear.</summary>
    public static Ceiling Of(CultureSheet sheet) =>
        sheet.Rule("F10") is { } rule ? new(rule["tds"], rule["ph-from"], rule["ph-to"]) : Ceiling.Usual;
}

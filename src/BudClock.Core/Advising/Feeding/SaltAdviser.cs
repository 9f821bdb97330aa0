using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F10: run-off that measures above what the roots bear is flushed out with plain water before any more feed.</summary>
public sealed class SaltAdviser : IAdviser
{
    const int SeenDays = 60;

    public string Rule => "F10";

    public IReadOnlyList<string> Thresholds => ["tds", "ph-from", "ph-to"];

    public Advice? Advise(Situation now)
    {
        if (!now.InGrowth || now.Journal.Last(EntryKinds.RunOff) is not { } measured || measured.On <= now.Today.AddDays(-SeenDays)) return null;
        var (ppm, most) = (measured.Amount!.Value.InBase, now.Needs(Rule, "tds"));
        if (ppm <= most || now.Journal.Of(EntryKinds.Rinsed, EntryKinds.Repotted).Any(e => e.On > measured.On || (e.On == measured.On && e.Logged > measured.Logged))) return null;
        return new(Topics.Feed, Rule, Verdict.Do, now.Today, string.Create(CultureInfo.InvariantCulture, $"Run-off {ppm:0} ppm {Dates.Ago(measured.On, now.Today)}, and it bears {most:0}: flush from the top with plain water before any feed, and measure again."),
            [new("run-off", new(Math.Round(ppm)), new(most), "ppm at most", true, measured.On)])
        { Ground = Ground.Sign, LoggedAs = EntryKinds.Rinsed, Bottle = Bottles.Plain };
    }

    /// <summary>What the roots of a plant's habit bear.</summary>
    public static Ceiling Of(CultureSheet sheet) => sheet.Rule("F10") is { } rule ? new(rule["tds"], rule["ph-from"], rule["ph-to"]) : Ceiling.Usual;
}

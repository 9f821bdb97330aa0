using System.Globalization;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F8: carnivores get nothing in the medium, ever; a fine mist on the leaves at most, and none where algae grow.</summary>
/// <remarks>Common practice: about 100 ppm every 14 days, about half an hour before lights out. They do well without; it is offered once it was begun.</remarks>
public sealed class LeafFeedAdviser : IAdviser
{
    const int AlgaeDays = 60;

    public string Rule => "F8";

    public IReadOnlyList<string> Thresholds => ["tds", "every", "before-dark"];

    public Advice? Advise(Situation now)
    {
        var last = now.Journal.Last(EntryKinds.Fed);
        if (!now.InGrowth || now.Journal.Last(EntryKinds.WinterRosette, EntryKinds.SummerLeaves)?.Kind == EntryKinds.WinterRosette) return Hold("Resting: no feed, on the leaves neither.", Condition.Sign("summer leaves", null));
        if (Algae(now) is { } algae) return Hold($"Algae {Dates.Ago(algae.On, now.Today)}: no leaf feed until they are gone.", new("algae", new("seen"), new("none"), null, false, algae.On));
        var ppm = now.Needs(Rule, "tds");
        if (last is null) return Hold(string.Create(CultureInfo.InvariantCulture, $"Nothing in the medium, ever. It catches its own; a mist of about {ppm:0} ppm on the leaves is optional."), Condition.Known("leaf feed on record", null, null, null));
        var every = now.Needs(Rule, "every");
        var days = Condition.AtLeast("days since the last leaf feed", new(now.Today.DayNumber - last.On.DayNumber, last.On), every, "days");
        if (!days.Met) return Hold($"Leaf feed {Dates.Ago(last.On, now.Today)}: again from {Dates.Short(last.On.AddDays((int)every))}. Nothing in the medium.", days) with { Due = last.On.AddDays((int)every) };
        return Hold(string.Create(CultureInfo.InvariantCulture, $"Leaf feed {Dates.Ago(last.On, now.Today)}: a fine mist of about {ppm:0} ppm on the leaves, about {now.Needs(Rule, "before-dark"):0} minutes before lights out. Nothing in the medium; stop if algae show."), days) with
        { Verdict = Verdict.Do, Due = now.Today, Bottle = Bottles.Leaf, LoggedAs = EntryKinds.Fed, Amount = "a fine mist" };

        Advice Hold(string reason, Condition condition) => new(Topics.Feed, Rule, Verdict.Hold, null, reason, [condition]) { Ground = Ground.Veto, Bottle = Bottles.Plain };
    }

    static Entry? Algae(Situation now) => now.Journal.Of(EntryKinds.Pest, EntryKinds.Note).LastOrDefault(e => e.On > now.Today.AddDays(-AlgaeDays) && e.Text?.Contains("algae", StringComparison.OrdinalIgnoreCase) == true);
}

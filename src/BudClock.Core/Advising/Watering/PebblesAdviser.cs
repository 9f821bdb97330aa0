using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W16: bulbs over pebbles: water just below the base of the bulb, never touching it.</summary>
public sealed class PebblesAdviser : IAdviser
{
    public string Rule => "W16";

    public IReadOnlyList<string> Thresholds => ["every", "gap"];

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not null || now.Journal.Last(EntryKinds.Planted, EntryKinds.LeavesGone) is not { } last || last.Kind != EntryKinds.Planted) return null;
        var over = now.Plant.Medium == "pebbles";
        return new WaterAsked(Rule, now.Needs(Rule, "every"), now.Needs(Rule, "every"),
            over ? $"fill to {now.Needs(Rule, "gap"):0.#} cm below the base of the bulb, never touching it" : "water; a flat hand fits between medium and rim",
            over ? "look at the water below the bulb" : "feel the medium")
        { LoggedAs = EntryKinds.ToppedUp, Signs = [(EntryKinds.Reservoir, "empty"), (EntryKinds.Medium, "dry")] }.Judge(now);
    }
}

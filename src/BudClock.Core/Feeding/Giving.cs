using BudClock.Core.Advising;
using BudClock.Core.Advising.Waking;
using BudClock.Core.Mixing;

namespace BudClock.Core.Feeding;

/// <summary>Giving a batch to a plant: what its log says then.</summary>
public static class Giving
{
    /// <summary>Water as the plant takes it, and feed where there is some in it; a mist on the leaves is feed alone.</summary>
    /// <param name="amount">How much it got; null when nobody measured.</param>
    public static IReadOnlyList<EntryDraft> Entries(Assessment plant, Batch batch, Recipe? recipe, Quantity? amount)
    {
        if (recipe?.Bottle == Bottles.Leaf) return [new(EntryKinds.Fed, plant.On, null, "on the leaves", Mix: batch.Code)];
        var water = new EntryDraft(Act(plant), plant.On, amount, Mix: batch.Code);
        return batch.NitrogenPpm > 0 || recipe?.Feeds.Count > 0 ? [water, new(EntryKinds.Fed, plant.On, Mix: batch.Code)] : [water];
    }

    /// <summary>How its water is logged: a first soak, a filled tray or reservoir, or a watering.</summary>
    public static EntryKind Act(Assessment plant)
    {
        if (plant.Plant.Vessel is not null) return EntryKinds.ToppedUp;
        var asked = plant.Advice.FirstOrDefault(advice => advice.Topic is Topics.FirstSoak or Topics.Water);
        if (asked?.Topic == Topics.FirstSoak) return asked.School == FirstWater.Sip ? EntryKinds.Watered : EntryKinds.Soaked;
        return asked?.LoggedAs == EntryKinds.Tray ? EntryKinds.ToppedUp
            : asked?.LoggedAs is { } kind && (kind == EntryKinds.Soaked || kind == EntryKinds.ToppedUp) ? kind : EntryKinds.Watered;
    }
}

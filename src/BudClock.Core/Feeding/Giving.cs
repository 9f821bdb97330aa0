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
        if (recipe?.Bottle == Bottles.Leaf)
            return [new(EntryKinds.Fed, plant.On, null, "on the leaves", Mix: batch.Code)];
        var water = new EntryDraft(Act(plant), plant.On, amount, Mix: batch.Code);
        return batch.NitrogenPpm > 0 || recipe?.Feeds.Count > 0 ? [water, new(EntryKinds.Fed, plant.On, Mix: batch.Code)] : [water];
    }

    /// <summary>How its water is logged: a first soak, a filled tray or reservoir, or a watering.</summary>
    public static EntryKind Act(Assessment plant)
    {
        if (plant.Plant.Vessel is not null)
            return EntryKinds.ToppedUp;
        return plant.Of(Care.GiveWater) switch
        {
            { Care: Care.FillTray or Care.TopUp } => EntryKinds.ToppedUp,
            { Topic: Topics.FirstSoak } first => first.School == FirstWater.Sip ? EntryKinds.Watered : EntryKinds.Soaked,
            { LoggedAs: { } kind } when kind == EntryKinds.Soaked => kind,
            _ => EntryKinds.Watered,
        };
    }
}

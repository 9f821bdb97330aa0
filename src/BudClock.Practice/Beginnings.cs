using BudClock.Core.Advising;
using BudClock.Core.Lanes;
using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>How a plant of a garden begins to be simulated: from what its log says of it on that day.</summary>
public static class Beginnings
{
    /// <summary>Spread of how quick plants of a kind are (assumed).</summary>
    const double Spread = 0.1;

    /// <summary>The model of a plant; null for a genus that is not simulated, and for a plant that is gone.</summary>
    /// <param name="seed">Makes its own chances, so that the same garden lives the same year.</param>
    public static SimulatedPlant? Of(Assessment plant, int seed)
    {
        if (plant.Gone || Habits.Of(plant.Plant.Genus) is not { } habit)
            return null;
        var now = plant.Situation;
        var state = Fresh(habit, seed, plant.Plant.Tag);
        if (now.Sleep.Kind is Core.Evidence.SleepKind.Resting || now.Rest is not null)
            (state.Stage, state.StageDays) = (Stage.Resting, now.Sleep.Since is { } since ? plant.On.DayNumber - since.DayNumber : 60);
        else if (now.DryRest.Waking || plant.Phase.Phase is Phase.Waking)
            (state.Stage, state.StageDays, state.ShootCm, state.RootCm) = (Stage.Waking, 30, 3, now.NewRoots.Longest?.Value ?? 1);
        state.Lifted = now.Rest is { Lifted: true };
        state.Planted = !state.Lifted;
        state.Reserve = now.Bulbs?.Value switch
        {
            "shrivelled" => 0.25,
            "wrinkled" => 0.5,
            _ => 0.9,
        };
        state.Moisture = now.Wetness.State switch
        {
            Core.Evidence.Wet.Soaked => 0.9,
            Core.Evidence.Wet.Damp => 0.5,
            Core.Evidence.Wet.Dry => 0.1,
            _ => state.Stage is Stage.Resting ? 0.05 : 0.45,
        };
        if (now.Roots.Dead)
            state.Roots = 0;
        if (now.Rot is { Open: true })
            state.Rot = 0.4;
        if (now.Pests is { Open: true })
            state.Pests = 0.2;
        if (plant.Recorded.Any(lane => lane is { Kind: LaneKind.Spike, Open: true }))
            (state.Spike, state.BloomHeat, state.Spikes) = (true, habit.BloomDegreeDays.Flower * 0.4, 1);
        if (plant.Recorded.Any(lane => lane is { Kind: LaneKind.Bloom, Open: true }))
            (state.InBloom, state.Spikes) = (habit.BloomDays / 2, 1);
        return new(habit, state);
    }

    /// <summary>A healthy plant of a habit, with a pace of its own.</summary>
    public static PlantState Fresh(Habit habit, int seed, string tag)
    {
        var state = new PlantState { Chance = Hash(tag) + ((ulong)seed * 0x9E3779B97F4A7C15UL) };
        var model = new SimulatedPlant(habit, state);
        state.Pace = 1 + (Spread * 2 * (model.Roll() + model.Roll() + model.Roll() - 1.5));
        return state;
    }

    /// <summary>A number of a name, the same on every machine (FNV-1a).</summary>
    static ulong Hash(string text)
    {
        var hash = 14695981039346656037UL;
        foreach (var c in text)
            hash = (hash ^ c) * 1099511628211UL;
        return hash;
    }
}

namespace BudClock.SimulatedPlants;

/// <summary>From what makes a plant bloom to its last flower.</summary>
static class BloomCourse
{
    /// <summary>After its flowers a plant does not bloom again for so long, days (assumed).</summary>
    const int Spent = 120;

    public static void Live(SimulatedPlant plant, Air air, List<Sight> news)
    {
        var (state, habit) = (plant.State, plant.Habit);
        state.Spent = Math.Max(0, state.Spent - 1);
        if (state.InBloom is { } left)
        {
            state.InBloom = left <= 1 ? null : left - 1;
            if (left <= 1)
                news.Add(new("bloom-ended", Part: state.Spikes));
            return;
        }
        if (state.BloomHeat is { } heat)
        {
            Advance(plant, air, news, heat);
            return;
        }
        if (state.Spent == 0 && !plant.Asleep && Cued(plant, air))
            (state.BloomHeat, state.CueCount, state.DryCount, state.BloomPace) = (0, 0, 0, plant.Luck());
    }

    static void Advance(SimulatedPlant plant, Air air, List<Sight> news, double heat)
    {
        var (state, habit) = (plant.State, plant.Habit);
        state.BloomHeat = heat += plant.Warmth(air);
        if (!state.Spike && heat > habit.BloomDegreeDays.Spike * state.BloomPace)
        {
            (state.Spike, state.BloomHeat, state.Spikes) = (true, 0, state.Spikes + 1);
            news.Add(
                new(
                    habit.Cue is BloomCue.LongNights ? "buds" : "spike-started",
                    Count: habit.Cue is BloomCue.LongNights ? 6 : null,
                    Part: state.Spikes
                )
            );
            return;
        }
        // Thirst or cold blasts buds.
        if (state.Spike && (state.Reserve < 0.15 || state.Chill > 0.5))
        {
            (state.Spike, state.BloomHeat, state.Spent) = (false, null, Spent);
            news.Add(new("spike-lost", State: state.Chill > 0.5 ? "cold" : "dried", Part: state.Spikes));
            return;
        }
        if (!state.Spike || heat <= habit.BloomDegreeDays.Flower * state.BloomPace)
            return;
        (state.Spike, state.BloomHeat, state.InBloom, state.Spent) = (false, null, (int)Math.Round(habit.BloomDays * plant.Luck()), Spent);
        state.Blooms++;
        news.Add(new("bloom-opened", Part: state.Spikes));
    }

    static bool Cued(SimulatedPlant plant, Air air)
    {
        var (state, habit) = (plant.State, plant.Habit);
        switch (habit.Cue)
        {
            case BloomCue.RipeGrowth:
                return state.Ripe;
            case BloomCue.Planting:
                return state.Planted && state.Stage is Stage.Waking or Stage.Growing && state.Blooms == 0;
            case BloomCue.LightAndWarmth:
                return air is { Light: > 0.4, MeanC: > 15 } && state.Stage is Stage.Growing && state.Reserve > 0.5;
            case BloomCue.CoolDays:
                state.CueCount += air.DayC <= habit.CueLimit ? 1 : 0;
                // A stem in a long warm summer forgets the cool days of spring.
                if (air.DayC > habit.CueLimit + 3)
                    state.CueCount = Math.Max(0, state.CueCount - 1);
                return state.CueCount >= habit.CueDays && air.Light > 0.3;
            case BloomCue.LongNights:
                state.CueCount = air.DarkHours >= habit.CueLimit ? state.CueCount + 1 : Math.Max(0, state.CueCount - 1);
                return state.CueCount >= habit.CueDays;
            case BloomCue.CoolThenDry:
                // A warm summer forgets the cool nights of spring.
                if (air.NightC > habit.CueLimit + 4)
                    (state.CueCount, state.DryCount) = (Math.Max(0, state.CueCount - 1), 0);
                else if (state.CueCount < habit.CueDays)
                    state.CueCount += air.NightC <= habit.CueLimit ? 1 : 0;
                else
                    state.DryCount = state.Moisture > 0.3 ? 0 : state.DryCount + 1;
                return state.DryCount >= habit.CueDryDays;
            default:
                return false;
        }
    }
}

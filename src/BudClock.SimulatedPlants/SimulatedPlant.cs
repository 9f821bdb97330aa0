namespace BudClock.SimulatedPlants;

/// <summary>
/// A plant that answers to its air and to what is done to it, a day at a time. It knows nothing of advice, and shows only what a careful
/// grower could see.
/// </summary>
/// <remarks>The same state, air and deeds give the same plant.</remarks>
public sealed class SimulatedPlant(Habit habit, PlantState state)
{
    const double Wet = 0.65;
    const double Dry = 0.15;

    readonly List<Sight> news = [];

    /// <summary>What its kind is like.</summary>
    public Habit Habit => habit;

    /// <summary>What is true of it.</summary>
    public PlantState State => state;

    /// <summary>It lives.</summary>
    public bool Alive => state.DiedOf is null;

    /// <summary>Nothing of it is in leaf.</summary>
    public bool Asleep => state.Stage is Stage.Resting;

    /// <summary>What came to be seen today, for who walks by: shoots, spikes, flowers, falling leaves.</summary>
    public IReadOnlyList<Sight> News => news;

    /// <summary>Lives through a day.</summary>
    public void Live(Air air, IReadOnlyCollection<Deed> deeds)
    {
        news.Clear();
        if (!Alive)
            return;
        foreach (var deed in deeds)
            Take(deed);
        Drink(air);
        Rot(air);
        Freeze(air);
        Suffer();
        if (Alive)
        {
            YearCourse.Live(this, air, news);
            BloomCourse.Live(this, air, news);
        }
    }

    void Take(Deed deed)
    {
        switch (deed)
        {
            case Deed.Water:
                state.Moisture = 1;
                state.Salt *= 0.8;
                break;
            case Deed.Wet:
                state.Moisture = Math.Min(1, state.Moisture + 0.2);
                break;
            case Deed.Feed:
                // Roots that cannot drink are burnt by it, the others leave a little of it behind.
                state.Salt = Math.Min(1, state.Salt + (Asleep || state.Roots < 0.2 ? 0.25 : 0.05));
                break;
            case Deed.Flush:
                state.Salt *= 0.3;
                break;
            case Deed.Repot:
                (state.Salt, state.Roots, state.Moisture) = (0, state.Roots * 0.85, Math.Min(state.Moisture, 0.5));
                break;
            case Deed.CutOut:
                // Half of the rescues of a base that is soft for long come too late: what is firm is left.
                state.Rot = state.Rot < 0.75 ? 0 : state.Rot - 0.3;
                (state.Roots, state.WetDays, state.Moisture) = (state.Roots * 0.6, 0, Math.Min(state.Moisture, 0.3));
                break;
            case Deed.Treat:
                state.Pests = state.Pests < 0.25 ? 0 : state.Pests * 0.25;
                break;
            case Deed.Lift:
                (state.Lifted, state.Planted, state.Moisture) = (true, false, 0);
                break;
            case Deed.Plant:
                (state.Lifted, state.Planted, state.Moisture) = (false, true, 0.7);
                break;
        }
    }

    /// <summary>Share of its leaves that breathes out.</summary>
    double Leaf =>
        Asleep ? 0.08
        : state.Stage is Stage.Waking ? 0.3
        : state.Stage is Stage.Retreating ? 0.5
        : 1;

    void Drink(Air air)
    {
        var thirst = Math.Pow(Math.Max(0.1, air.VpdKPa) / 0.8, 0.7);
        var damp = !state.Lifted && state.Moisture > Dry;
        if (!state.Lifted)
            state.Moisture = Math.Max(0, state.Moisture - (thirst * (0.35 + (0.65 * Leaf)) / habit.DriesInDays * 0.85));
        var rooted = state.Roots > 0.05 && !Asleep && (state.Stage is not Stage.Waking || state.RootCm > 3);
        if (damp && rooted)
            state.Reserve = Math.Min(1, state.Reserve + (0.35 * state.Roots));
        else if (!(damp && Asleep)) // barely damp, what sleeps in its pot keeps
            state.Reserve = Math.Max(0, state.Reserve - Loss(thirst));
        state.EmptyDays = state.Reserve <= 0 ? state.EmptyDays + 1 : 0;
    }

    /// <summary>Asleep it loses little; a shoot lives on its bulb or tuber, a plant in leaf on what it holds.</summary>
    double Loss(double thirst) =>
        state.Stage switch
        {
            Stage.Resting => Math.Min(1, thirst) / habit.LivesAsleepDays,
            Stage.Waking => thirst / (habit.LivesAsleepDays / 2),
            _ => thirst * (0.1 + (0.9 * Leaf)) / habit.LivesDryDays,
        };

    void Rot(Air air)
    {
        if (state.Lifted)
        {
            // Dry and too cold, or dry and clammy: a tuber in store goes soft slowly.
            if (habit.Rest is RestKind.Tuber && air.NightC < habit.RotsBelowC - 2)
                state.Rot += 0.01;
            return;
        }
        state.WetDays = state.Moisture > Wet ? state.WetDays + 1 : Math.Max(0, state.WetDays - 2);
        var bears = habit.BearsWetDays;
        if (air.NightC < habit.RotsBelowC)
            bears *= 0.5;
        if (Asleep || state.Stage is Stage.Waking && state.RootCm < 3)
            bears *= habit.InWater ? 0.5 : 0.35;
        if (state.Roots < 0.2)
            bears *= 0.5;
        if (state.WetDays > bears)
            state.Rot += 0.05;
        else if (state.Rot is > 0 and < 0.3 && state.Moisture < 0.5)
            state.Rot = Math.Max(0, state.Rot - 0.02);
        else if (state.Rot >= 0.3)
            state.Rot += state.Moisture > 0.5 ? 0.04 : 0.012; // it spreads by itself, slower where it is dry
        if (state.Rot > 0.15)
            state.Roots = Math.Max(0, state.Roots - 0.03);
        else if (state.Stage is Stage.Growing && state.Roots < 1 && state.Moisture > Dry)
            state.Roots = Math.Min(1, state.Roots + 0.008);
        if (state.Salt > 0.6)
            state.Roots = Math.Max(0, state.Roots - 0.02);
        if (state.Rot >= 1)
            state.DiedOf =
                Asleep ? "rot: wet at rest"
                : air.NightC < habit.RotsBelowC ? "rot: wet and cold"
                : "rot: wet for too long";
    }

    void Freeze(Air air)
    {
        if (air.NightC < habit.KillsBelowC)
            state.Chill += 0.3 + (0.15 * (habit.KillsBelowC - air.NightC));
        else
            state.Chill = Math.Max(0, state.Chill - 0.02);
        if (state.Chill >= 1)
            state.DiedOf = "cold";
    }

    void Suffer()
    {
        if (state.EmptyDays > 10)
            state.DiedOf ??= "drought";
        // About one visit of pests in two and a half years.
        if (state.Pests > 0)
            state.Pests += 0.003; // most of a year, left to themselves (assumed)
        else if (Roll() < 1.0 / 900 && !Asleep)
            state.Pests = 0.1;
        if (state.Pests >= 1)
            state.DiedOf ??= "pests";
    }

    /// <summary>Grows by the day's warmth, less where it is thirsty, dim or ill.</summary>
    internal double Warmth(Air air) => Math.Max(0, air.MeanC - habit.BaseC) * state.Pace * Thirsty * Dim(air);

    double Thirsty => state.Reserve > 0.5 || state.Stage is Stage.Waking ? 1 : 0.3;

    /// <summary>A forced bulb lives on what it stored, and light is nothing to it.</summary>
    double Dim(Air air) => habit.Rest is RestKind.DryBulb ? 1 : 0.4 + (0.6 * air.Light);

    /// <summary>What one time differs from another, about 1: weather, place and luck that no model has (assumed, an eighth).</summary>
    internal double Luck() => 1 + (0.25 * (Roll() + Roll() + Roll() - 1.5));

    /// <summary>Its next chance, 0 to 1 (splitmix64).</summary>
    public double Roll()
    {
        state.Chance += 0x9E3779B97F4A7C15UL;
        var z = state.Chance;
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
        return ((z ^ (z >> 31)) >> 11) / (double)(1UL << 53);
    }

    /// <summary>What leaves look like; null where there is none.</summary>
    public Sight? Leaves =>
        Asleep || state.Stage is Stage.Waking && habit.Rest is not (RestKind.LeaflessStem or RestKind.WinterRosette) ? null
        : state.Reserve < 0.4 ? new("leaves", State: "limp")
        : habit.Thick && state.Reserve < 0.65 ? new("leaves", State: "pliable")
        : new("leaves", State: "firm");

    /// <summary>What a finger feels; null where it is out of its pot.</summary>
    public Sight? Medium =>
        state.Lifted ? null
        : state.Moisture > Wet ? new("medium", State: "wet")
        : state.Moisture > 0.25 ? new("medium", State: "damp")
        : new("medium", State: "dry");

    /// <summary>What bulbs look like; null for a kind without.</summary>
    public Sight? Bulbs =>
        habit.Rest is not RestKind.LeaflessBulbs ? null
        : state.Reserve < 0.3 ? new("bulbs", State: "shrivelled")
        : state.Reserve < 0.6 ? new("bulbs", State: "wrinkled")
        : new("bulbs", State: "plump");

    /// <summary>What a thumb feels at its base, or of its tuber.</summary>
    public Sight Base
    {
        get
        {
            var kind = habit.Rest is RestKind.Tuber or RestKind.DryBulb && (state.Lifted || Asleep) ? "tuber" : "base";
            return state.Rot >= 0.3 ? new(kind, State: "soft")
                : kind == "tuber" && state.Stage is Stage.Waking ? new(kind, State: "sprouting")
                : new(kind, State: "firm");
        }
    }

    /// <summary>Live roots, where somebody tips it out.</summary>
    public Sight RootsCounted => new("root-count", Count: (int)Math.Round(state.Roots * 14));

    /// <summary>Pests that show; null for none.</summary>
    public Sight? PestsSeen => state.Pests > 0.15 ? new("pest", State: "mealy bugs in the axils") : null;

    /// <summary>A ruler beside a root is read to a third of a centimetre either way (assumed, as growers say).</summary>
    double Misread() => 0.3 * ((2 * Roll()) - 1);

    /// <summary>What can be measured of what moves.</summary>
    public IEnumerable<Sight> Measured()
    {
        if (state.Stage is Stage.Waking && state.RootCm > 0 && habit.Rest is RestKind.LeaflessBulbs)
            yield return new("root-length", Cm: Math.Round(Math.Max(0.1, state.RootCm + Misread()), 1), Part: state.Shoots);
        if (state.Stage is Stage.Growing or Stage.Waking && !state.Ripe && state.ShootCm > 0.5)
            yield return new("growth-height", Cm: Math.Round(state.ShootCm * state.Short.Size, 1), Part: state.Shoots);
        if (state.Spike && state.InBloom is null && state.BloomHeat is { } heat)
            yield return new(
                "spike-length",
                Cm: Math.Round(1 + (25 * Math.Min(1, heat / habit.BloomDegreeDays.Flower)), 1),
                Part: state.Spikes
            );
    }
}

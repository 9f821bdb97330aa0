using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>What a grower gets wrong for a time.</summary>
public enum Slip
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Hardly waters.</summary>
    Forgets,

    /// <summary>Waters every third day, whatever the pot feels like.</summary>
    KeepsWet,

    /// <summary>Waters what is asleep, once a week.</summary>
    WatersSleepers,

    /// <summary>Stands it in the cold frame for the winter, and goes on watering.</summary>
    WetInTheFrame,

    /// <summary>Leaves it out in frost.</summary>
    Frost,

    /// <summary>Does nothing about pests.</summary>
    LeavesPests,

    /// <summary>Stands it where there is no light.</summary>
    Dark,
}

/// <summary>
/// Cares for each plant by what a finger and an eye find, but for one slip a plant, which lasts some months; writes down most of it, and
/// other things that did no harm. Asks nobody for advice.
/// </summary>
/// <remarks>Causes that are read from its logs can be held against what is true of the plants.</remarks>
public sealed class SlippingGrower(int seed) : SeasonGrower
{
    /// <summary>So much of what is done and seen is written down.</summary>
    const double Written = 0.85;

    readonly Random chance = new(seed);
    readonly Dictionary<string, (Slip Slip, DateOnly From, DateOnly To)> slips = [];

    /// <inheritdoc/>
    public override string Name => "slips once with each plant";

    /// <summary>What was got wrong with a plant, and when.</summary>
    public (Slip Slip, DateOnly From, DateOnly To) Of(string tag) => slips[tag];

    /// <inheritdoc/>
    public override void Day(SeasonGarden garden)
    {
        foreach (var (tag, (_, log, model)) in garden.Plants.ToList())
        {
            if (!slips.ContainsKey(tag))
                slips[tag] = Drawn(garden);
            if (model.Alive)
                Live(garden, tag, model);
            else if (log[^1].Kind != EntryKinds.Died)
                Bury(garden, tag, model);
        }
    }

    (Slip, DateOnly, DateOnly) Drawn(SeasonGarden garden)
    {
        var slip = (Slip)chance.Next(Enum.GetValues<Slip>().Length);
        var from = garden.Today.AddDays(350 + chance.Next(900));
        // Frost and a wet frame are of the winter.
        if (slip is Slip.Frost or Slip.WetInTheFrame)
            from = new(garden.Today.Year + 1, garden.Garden.Southern ? 5 : 11, 1 + chance.Next(28));
        return (slip, from, from.AddDays((slip is Slip.Forgets ? 250 : 100) + chance.Next(100)));
    }

    void Live(SeasonGarden garden, string tag, SimulatedPlant model)
    {
        var (slip, from, to) = slips[tag];
        var now = garden.Today >= from && garden.Today < to ? slip : Slip.None;
        if (garden.Today == from)
            Begin(garden, tag, slip, model);
        if (garden.Today == to && slip is Slip.WetInTheFrame or Slip.Frost or Slip.Dark)
            Move(garden, tag, "sill");
        foreach (var news in model.News)
            See(garden, tag, news);
        if (garden.Today.DayOfWeek is DayOfWeek.Saturday)
            Look(garden, tag, model);
        // A bulb is planted in its autumn by anyone.
        if (model.State.Lifted && garden.Today.Day == 1 && garden.Today.Month == (garden.Garden.Southern ? 5 : 11))
            garden.Write(tag, EntryKinds.Planted);
        if (Waters(garden, model, now))
            Act(garden, tag, model.Habit.InWater ? EntryKinds.Tray : EntryKinds.Watered, model.Habit.InWater ? Cm(2) : null);
        if (model.PestsSeen is not null && now is not Slip.LeavesPests && garden.Today.Day % 7 == 0)
            Act(garden, tag, EntryKinds.Treated, text: "by the label");
        if (model.State.Stage is Stage.Growing && garden.Today.Day == 5 && model.State.Roots > 0.5)
            Act(garden, tag, EntryKinds.Fed);
        if (model.State.Salt > 0.4)
            Act(garden, tag, EntryKinds.Flushed);
        if (chance.Next(240) == 0)
            Harmless(garden, tag);
    }

    static void Begin(SeasonGarden garden, string tag, Slip slip, SimulatedPlant model)
    {
        if (slip is Slip.WetInTheFrame or Slip.Frost)
            Move(garden, tag, "frame");
        else if (slip is Slip.Dark)
            Move(garden, tag, "cellar");
        else if (slip is Slip.LeavesPests)
            model.State.Pests = Math.Max(model.State.Pests, 0.4);
    }

    /// <summary>What nobody would do who knows the plant, but for the slip of the day.</summary>
    static bool Waters(SeasonGarden garden, SimulatedPlant model, Slip slip)
    {
        var (state, day) = (model.State, garden.Today.DayNumber);
        if (state.Lifted)
            return false;
        if (slip is Slip.KeepsWet)
            return day % 3 == 0;
        if (slip is Slip.WatersSleepers && (model.Asleep || state.Stage is Stage.Waking))
            return day % 7 == 0;
        if (slip is Slip.WetInTheFrame)
            return day % 5 == 0;
        if (slip is Slip.Forgets)
            return !model.Asleep && day % 60 == 0;
        // What goes to rest gets less, and its last leaves none.
        if (state.Stage is Stage.Retreating && state.LeavesLeft <= 3)
            return false;
        if (model.Asleep || (state.Stage is Stage.Waking && model.Habit.Rest is RestKind.LeaflessBulbs && state.RootCm < 6))
            return false;
        return model.Habit.InWater ? state.Moisture < 0.5 : model.Medium is { State: "dry" };
    }

    void Look(SeasonGarden garden, string tag, SimulatedPlant model)
    {
        var log = garden.Plants[tag].Log;
        foreach (var sight in CarefulEye.Glance(model, Last(log, EntryKinds.Leaves), Last(log, EntryKinds.Bulbs)).Concat(Felt(model)))
            if (!model.News.Contains(sight))
                See(garden, tag, sight);
        // Some are saved in time.
        if (model.State.Rot is > 0.5 and < 0.9 && chance.NextDouble() < 0.4)
            Act(garden, tag, EntryKinds.Treated, text: "cut to firm tissue, dusted");
    }

    void See(SeasonGarden garden, string tag, Sight sight)
    {
        if (chance.NextDouble() < Written)
            garden.Write(tag, sight);
    }

    /// <summary>A finger in the pot on most looks, and a ruler at what grows.</summary>
    IEnumerable<Sight> Felt(SimulatedPlant model)
    {
        if (model.Medium is { } medium && chance.NextDouble() < 0.6)
            yield return medium;
        foreach (var measured in model.Measured())
            yield return measured;
    }

    /// <summary>Who has lost a plant turns out its pot.</summary>
    void Bury(SeasonGarden garden, string tag, SimulatedPlant model)
    {
        garden.Write(tag, model.Base);
        if (chance.NextDouble() < 0.5)
            garden.Write(tag, model.RootsCounted);
        garden.Write(tag, EntryKinds.Died);
    }

    /// <summary>What happens in any garden, and is not why.</summary>
    void Harmless(SeasonGarden garden, string tag)
    {
        switch (chance.Next(4))
        {
            case 0:
                Act(garden, tag, EntryKinds.Rinsed);
                break;
            case 1:
                Act(garden, tag, EntryKinds.Repotted);
                break;
            case 2 when garden.Plants[tag].Plant.Place is "sill" or "bench":
                Move(garden, tag, garden.Plants[tag].Plant.Place == "sill" ? "bench" : "sill");
                break;
            default:
                Act(garden, tag, EntryKinds.Note, text: "turned a little");
                break;
        }
    }

    static string? Last(List<Entry> log, EntryKind kind) => log.LastOrDefault(e => e.Kind == kind)?.Text;

    static Quantity Cm(double cm) => new(cm, Unit.Find("cm"));

    static void Move(SeasonGarden garden, string tag, string code)
    {
        if (garden.Plants[tag].Plant.Place != code)
            garden.Write(tag, EntryKinds.Moved, to: garden.Places.First(place => place.Code == code));
    }

    void Act(SeasonGarden garden, string tag, EntryKind kind, Quantity? amount = null, string? text = null) =>
        garden.Write(tag, kind, amount, text, logged: chance.NextDouble() < Written);
}

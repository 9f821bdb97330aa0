using BudClock.Core.Advising;
using BudClock.Core.Advising.Blooming;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Planning;
using BudClock.Core.Programmes;
using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>How a simulated grower cares for a garden, once a day.</summary>
public abstract class SeasonGrower
{
    /// <summary>What to call it in a table.</summary>
    public abstract string Name { get; }

    /// <summary>Sees to the plants today.</summary>
    public abstract void Day(SeasonGarden garden);
}

/// <summary>Waters everything on one day of the week, feeds once a month, and looks at nothing.</summary>
public sealed class CalendarGrower : SeasonGrower
{
    /// <inheritdoc/>
    public override string Name => "waters by a weekly calendar";

    /// <inheritdoc/>
    public override void Day(SeasonGarden garden)
    {
        if (garden.Today.DayOfWeek is not DayOfWeek.Saturday)
            return;
        foreach (var (tag, (_, _, model)) in garden.Plants.ToList())
        {
            if (!model.Alive)
                continue;
            // Even by a calendar bulbs are planted in autumn.
            if (model.Habit.Rest is RestKind.DryBulb && model.State.Lifted && garden.Today.Day <= 7 && Autumn(garden))
                garden.Write(tag, EntryKinds.Planted);
            garden.Write(tag, EntryKinds.Watered);
            if (garden.Today.Day <= 7)
                garden.Write(tag, EntryKinds.Fed);
        }
    }

    static bool Autumn(SeasonGarden garden) => garden.Today.Month == (garden.Garden.Southern ? 5 : 11);
}

/// <summary>Waters what hangs its leaves, whatever the pot feels like.</summary>
public sealed class LimpGrower : SeasonGrower
{
    /// <inheritdoc/>
    public override string Name => "waters what is limp";

    /// <inheritdoc/>
    public override void Day(SeasonGarden garden)
    {
        foreach (var (tag, (_, _, model)) in garden.Plants.ToList())
            if (model.Alive && model.Leaves is { State: "limp" or "pliable" })
                garden.Write(tag, EntryKinds.Watered);
    }
}

/// <summary>
/// Follows every Do, looks where a look is asked for, reads the season sets, and writes it all down, or only a share of it.
/// </summary>
/// <param name="share">The share that is written down, 0 to 1.</param>
public sealed class AdvisedGrower(double share = 1, int seed = 1) : SeasonGrower
{
    /// <summary>Answers to looks can ask for another look the same day, and that for an act.</summary>
    const int RoundsADay = 3;

    readonly Random chance = new(seed);
    readonly List<(string Tag, Entry Entry)> inMind = [];

    /// <summary>Called with each assessment of each day, before anything is done.</summary>
    public Action<SeasonGarden, Assessment>? Said { get; init; }

    /// <inheritdoc/>
    public override string Name => share < 1 ? "follows the advice, and logs half" : "follows the advice";

    /// <inheritdoc/>
    public override void Day(SeasonGarden garden)
    {
        var weathers = garden.Weathers();
        var around = garden.Around(weathers);
        foreach (var (tag, (_, log, model)) in garden.Plants)
        foreach (var sight in CarefulEye.Glance(model, Last(log, EntryKinds.Leaves), Last(log, EntryKinds.Bulbs)).ToList())
            See(garden, tag, sight);
        foreach (var (tag, (_, log, model)) in garden.Plants.ToList())
            if (!model.Alive && !log.Exists(e => e.Kind == EntryKinds.Died))
                garden.Write(tag, EntryKinds.Died, text: model.State.DiedOf);
        around = garden.Around(weathers);
        var tags = garden.Plants.Where(one => one.Value.Model.Alive).Select(one => one.Key).ToList();
        var first = tags.AsParallel().AsOrdered().Select(tag => (tag, garden.Assess(tag, around))).ToList();
        foreach (var (tag, said) in first)
            Follow(garden, around, tag, said);
        if (garden.Today.DayOfWeek is DayOfWeek.Saturday)
            Season(garden, weathers, [.. first.Select(one => one.Item2)]);
        Forget(garden);
    }

    void Follow(SeasonGarden garden, GardenAround around, string tag, Assessment said)
    {
        var done = new HashSet<(string, Care)>();
        for (var round = 0; round < RoundsADay; round++)
        {
            Said?.Invoke(garden, said);
            var looked = false;
            foreach (var advice in said.All)
            {
                if (advice.Verdict is Verdict.Hold || !done.Add((advice.Topic, advice.Care)))
                    continue;
                if (advice.Verdict is Verdict.Do)
                    Perform(garden, tag, advice);
                else
                    looked |= Look(garden, tag, advice);
            }
            if (!looked)
                return;
            // What was felt may ask for water now; what was done is not done twice.
            said = garden.Assess(tag, around);
            done.RemoveWhere(one => one.Item2 is Care.GiveWater or Care.TopUp or Care.FillTray or Care.WetLightly && !Watered(garden, tag));
        }
    }

    static string? Last(List<Entry> log, EntryKind kind) => log.LastOrDefault(e => e.Kind == kind)?.Text;

    static bool Watered(SeasonGarden garden, string tag) =>
        garden.Plants[tag].Log.Exists(e => e.On == garden.Today && (e.IsWatering || e.Kind == EntryKinds.Tray));

    /// <summary>What was seen is acted on that day, written down or not; what was not is forgotten by the evening.</summary>
    void See(SeasonGarden garden, string tag, Sight sight)
    {
        var log = garden.Plants[tag].Log;
        var before = log.Count;
        garden.Write(tag, sight);
        if (chance.NextDouble() >= share && log.Count > before)
            inMind.Add((tag, log[^1]));
    }

    void Forget(SeasonGarden garden)
    {
        foreach (var (tag, entry) in inMind)
            garden.Plants[tag].Log.Remove(entry);
        inMind.Clear();
    }

    void Act(SeasonGarden garden, string tag, EntryKind kind, Quantity? amount = null, string? text = null, Place? to = null) =>
        garden.Write(tag, kind, amount, text, to, logged: chance.NextDouble() < share);

    /// <summary>True where something was written that may change the advice.</summary>
    bool Look(SeasonGarden garden, string tag, Advice look)
    {
        var model = garden.Plants[tag].Model;
        if (look.Care is Care.BringIn)
        {
            MoveTo(garden, tag, "bench");
            return false;
        }
        var before = garden.Plants[tag].Log.Count;
        foreach (var sight in CarefulEye.Look(model, look).ToList())
            See(garden, tag, sight);
        if (look.Care is Care.Compare)
            Act(garden, tag, EntryKinds.Looked, text: "same");
        // Cold or counted dry, and yet light and limp: a little, as the advice says.
        if (look.Care.AnswersWater() && look.StoppedBy is not null && model is { Medium.State: "dry", Leaves.State: "limp" or "pliable" })
            Act(garden, tag, EntryKinds.Watered, Ml(40), "lightly");
        // The day for planting is here, and the bulb was felt.
        if (look is { Care: Care.Trigger, Rule: "B2" } && look.LoggedAs == EntryKinds.Planted && model.State.Rot < 0.3)
        {
            Act(garden, tag, EntryKinds.Planted);
            MoveTo(garden, tag, "cellar");
        }
        return garden.Plants[tag].Log.Count > before;
    }

    void Perform(SeasonGarden garden, string tag, Advice order)
    {
        switch (order.Care)
        {
            case Care.GiveWater or Care.TopUp:
                Act(garden, tag, order.Topic == Topics.FirstSoak ? EntryKinds.Soaked : order.LoggedAs ?? EntryKinds.Watered, Ml(250));
                break;
            case Care.WetLightly:
                Act(garden, tag, EntryKinds.Watered, Ml(40), "lightly");
                break;
            case Care.FillTray or Care.PutBack:
                Act(garden, tag, EntryKinds.Tray, new(2.5, Unit.Find("cm")));
                break;
            case Care.Feed or Care.Mist:
                Act(garden, tag, EntryKinds.Fed);
                break;
            case Care.Repot:
                Act(garden, tag, EntryKinds.Repotted);
                break;
            case Care.CutOut:
                Act(garden, tag, EntryKinds.Treated, text: "cut to firm tissue, dusted");
                garden.Write(tag, garden.Plants[tag].Model.Base with { State = "firm" });
                break;
            case Care.Treat:
                Act(garden, tag, EntryKinds.Treated, text: "by the label");
                break;
            case Care.Rinse:
                Act(garden, tag, EntryKinds.Rinsed);
                break;
            case Care.Flush:
                Act(garden, tag, EntryKinds.Flushed);
                break;
            case Care.Lift:
                Act(garden, tag, EntryKinds.Lifted);
                break;
            case Care.Store:
                Act(garden, tag, EntryKinds.Stored);
                MoveTo(garden, tag, "store");
                break;
            case Care.Wake:
                Act(garden, tag, EntryKinds.Planted);
                MoveTo(garden, tag, "bench");
                break;
            case Care.BringIn or Care.Shelter:
                MoveTo(garden, tag, garden.Plants[tag].Plant.Place == "bench" ? "sill" : "bench");
                break;
            case Care.Trigger when order.Rule == "B2":
                MoveTo(garden, tag, "bench");
                break;
            case Care.LookAtRoots:
                foreach (var sight in CarefulEye.Look(garden.Plants[tag].Model, order).ToList())
                    See(garden, tag, sight);
                break;
        }
    }

    static Quantity Ml(double ml) => new(ml, Unit.Find("ml"));

    void MoveTo(SeasonGarden garden, string tag, string code)
    {
        if (garden.Plants[tag].Plant.Place != code)
            Act(garden, tag, EntryKinds.Moved, to: garden.Places.First(place => place.Code == code));
    }

    /// <summary>Starts what the season sets say can begin, where it is done first.</summary>
    void Season(SeasonGarden garden, PlaceWeathers weathers, IReadOnlyList<Assessment> plants)
    {
        foreach (var item in Agenda.Of(plants, weathers, ProgrammeBook.Shipped, garden.Today, weeks: 1))
            if (item.Kind is AgendaKind.Start && item.Key.StartsWith("programme/", StringComparison.Ordinal))
                foreach (var plant in plants.Where(one => item.Tags.Contains(one.Plant.Tag)))
                    Start(garden, ProgrammeBook.Shipped.Named(item.Key.Split('/')[1])!, plant);
        // Bulbs for midwinter, ordered in autumn.
        foreach (var plant in plants)
            if (
                plant.Situation is { Rest: not null, Programme: null }
                && plant.Situation.Sheet.Is(Traits.Forced)
                && garden.Today.Month == (garden.Garden.Southern ? 4 : 10)
            )
                Act(
                    garden,
                    plant.Plant.Tag,
                    EntryKinds.ProgrammeStarted,
                    text: ProgrammeOrder.InBloomFor(new(garden.Today.Year, garden.Garden.Southern ? 6 : 12, 24), 12)
                );
    }

    void Start(SeasonGarden garden, Programme programme, Assessment plant)
    {
        if (plant.Situation.Rot is { Open: true } || plant.Situation.Roots.Dead || !garden.Plants[plant.Plant.Tag].Model.Alive)
            return;
        Act(garden, plant.Plant.Tag, EntryKinds.ProgrammeStarted, text: programme.Name);
        var best = CoolPlaces
            .Of(garden.Places, plant.Situation.Counted, programme, plant.Situation.Temper.DangerC, garden.Today)
            .First(place => place.Place.Setting != "store");
        if (programme.Steps[0].Measure is not LongNights)
            MoveTo(garden, plant.Plant.Tag, best.Place.Code);
    }
}

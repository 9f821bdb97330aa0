using BudClock.Core.Advising;
using BudClock.Core.Advising.Feeding;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Advising.Watering;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Feeding;

/// <summary>Rule F12: the bottles to mix for the plants that are due, each with its litres, its doses and its plants.</summary>
public sealed record TodaysMix(DateOnly Until, IReadOnlyList<BottleToMix> ToMix)
{
    static readonly WaterNeed Mist = new(10, Own: true);

    /// <summary>The plants of every bottle, each counted once.</summary>
    public int Plants => ToMix.SelectMany(bottle => bottle.Plants).Select(due => due.Tag).Distinct().Count();

    /// <summary>Lays out what to mix.</summary>
    /// <param name="trays">Trays and reservoirs that plants share: they are filled with plain water.</param>
    /// <param name="until">Plants whose water is expected by this day are counted in; today for those due now.</param>
    public static TodaysMix Of(IEnumerable<Assessment> plants, IReadOnlyList<SharedVessel> trays, Shelf shelf, DateOnly until)
    {
        var filled = trays
            .Where(tray => tray.AsksForWater)
            .SelectMany(tray => tray.Plants.Except(tray.Out.Select(pair => pair.Plant)))
            .Select(a => a.Plant.Tag)
            .ToHashSet();
        var bottles = plants
            .Where(a => !a.Gone)
            .SelectMany(a => Due(a, until, filled.Contains(a.Plant.Tag)))
            .GroupBy(plant => (plant.Bottle, Code: plant.Recipe?.Code))
            .OrderBy(group => Bottles.All.ToList().IndexOf(group.Key.Bottle))
            .ThenBy(group => group.Key.Code, StringComparer.Ordinal);
        return new(until, [.. bottles.Select(group => BottleToMix.Of(group.Key.Bottle, group.First().Recipe, [.. group], shelf))]);
    }

    static IEnumerable<PlantDue> Due(Assessment plant, DateOnly until, bool trayDue)
    {
        var now = plant.Situation;
        if (Out(now))
            yield break;
        var feed = plant.Of(Care.Feed);
        if (feed is { Care: Care.Mist, Verdict: Verdict.Do })
            yield return new(plant, Bottles.Leaf, BottleChoice.RecipeOf(now, Bottles.Leaf), Mist, plant.On, feed.Reason);
        var water = plant.Of(Care.GiveWater);
        // In the cold a little water is given by hand, to a light pot alone: not out of a bottle for all.
        if (!trayDue && now.Temper.Cold)
            yield break;
        if ((trayDue ? plant.On : DayOf(water, plant.On, until)) is not { } on)
            yield break;
        var need = trayDue ? WaterNeed.OfTray(plant.Plant) : Amounts.Need(now, water!.Care) ?? WaterNeed.Of(now);
        var fed = feed is { Care: Care.Feed, Asks: true, Bottle: not null } && !trayDue && feed.Due <= on ? feed : null;
        var bottle = fed?.Bottle ?? Bottles.Plain;
        yield return new(plant, bottle, BottleChoice.RecipeOf(now, bottle), need, on, fed?.Reason ?? water?.Reason ?? "Its tray is low.");
    }

    /// <summary>What is ill, rootless or asleep takes nothing from any bottle.</summary>
    static bool Out(Situation now) => now.Rot is { Open: true } || now.Roots.Dead || now.Thirst.Kind is ThirstKind.RootAlarm || now.Resting;

    /// <summary>
    /// Today for what asks for water from a bottle, a later day where it is expected in time; none where a guard stands before it.
    /// </summary>
    static DateOnly? DayOf(Advice? water, DateOnly today, DateOnly until) =>
        water switch
        {
            null => null,
            _ when !water.Care.Facts().FromBottle || water.StoppedBy is not null => null,
            { Topic: Topics.FirstSoak } => water.Verdict is Verdict.Do ? today : null,
            { Verdict: not Verdict.Hold } => today,
            { Ground: Ground.Interval, Due: { } next } when next <= until => next,
            _ => null,
        };
}

/// <summary>A plant that gets a bottle.</summary>
/// <param name="Need">How much it takes.</param>
/// <param name="On">The day it is due.</param>
public sealed record PlantDue(Assessment Plant, string Bottle, Recipe? Recipe, WaterNeed Need, DateOnly On, string Why)
{
    /// <summary>Its tag.</summary>
    public string Tag => Plant.Plant.Tag;

    /// <summary>It is to be felt before it gets any: there is water for it in the bottle, and nobody is told to give it.</summary>
    public bool FeelFirst => Plant.Of(Care.GiveWater) is { Verdict: Verdict.Look, Care: not Care.FillTray };
}

/// <summary>One bottle to mix.</summary>
/// <param name="Need">Litres that the plants take.</param>
/// <param name="Litres">The same with the spare, rounded up to whole bottles.</param>
/// <param name="Mix">What goes in; null while there is no recipe, or one that cannot be mixed.</param>
/// <param name="Faults">Why it cannot be mixed, as sentences.</param>
/// <param name="Warnings">Plants whose roots do not bear it, as sentences.</param>
public sealed record BottleToMix(
    string Bottle,
    Recipe? Recipe,
    IReadOnlyList<PlantDue> Plants,
    double Need,
    double Litres,
    Mix? Mix,
    IReadOnlyList<string> Faults,
    IReadOnlyList<string> Warnings
)
{
    /// <summary>The need in words, "about" where any of it is only reckoned.</summary>
    public string Takes(bool us) => new WaterNeed(Need * 1000, Plants.All(due => due.Need.Own)).Words(us);

    /// <summary>One bottle for the plants that take it, with what goes in; nothing is weighed where no recipe serves.</summary>
    public static BottleToMix Of(string bottle, Recipe? recipe, IReadOnlyList<PlantDue> plants, Shelf shelf)
    {
        var need = plants.Sum(plant => plant.Need.Ml) / 1000;
        var litres = shelf.Tools.Bottled(need);
        var (mix, faults) = recipe is null
            ? (null, (IReadOnlyList<string>)[$"There is no recipe for the {bottle} bottle yet."])
            : recipe.In(litres, shelf);
        return new(
            bottle,
            recipe,
            plants,
            need,
            litres,
            mix,
            faults,
            mix is null ? [] : Warn(bottle, mix.TdsPpm, null, plants.Select(due => due.Plant))
        );
    }

    /// <summary>
    /// Whose roots do not bear a water, sheet by sheet; a mist on the leaves goes into no pot. Without plants the usual band of pH
    /// holds.
    /// </summary>
    public static IReadOnlyList<string> Warn(string bottle, double tdsPpm, double? ph, IEnumerable<Assessment> plants)
    {
        if (bottle == Bottles.Leaf)
            return [];
        var sheets = plants.GroupBy(plant => plant.Situation.Sheet.Title).ToList();
        return sheets.Count == 0
            ? (Ceiling.Usual with { TdsPpm = double.MaxValue }).Warnings(tdsPpm, ph, "most plants")
            :
            [
                .. sheets.SelectMany(sheet =>
                    SaltExcess
                        .BornBy(sheet.First().Situation.Sheet)
                        .Warnings(
                            tdsPpm,
                            ph,
                            $"{string.Join(", ", sheet.Select(plant => plant.Plant.Tag))} ({sheet.Key.ToLowerInvariant()})"
                        )
                ),
            ];
    }
}

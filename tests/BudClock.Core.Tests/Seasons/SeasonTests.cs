using System.Collections.Concurrent;
using BudClock.Core.Advising;
using BudClock.Practice;
using BudClock.SimulatedPlants;

namespace BudClock.Core.Tests.Seasons;

/// <summary>
/// Two simulated years with growers who follow the advice and others who do not, in both hemispheres. Whether an order was safe is asked
/// of raw entries and of the model, never of the product's own reading. The full run of 200 plants stands in docs/seasons.md.
/// </summary>
public class SeasonTests
{
    const int Days = 730;

    [Fact]
    public void The_model_knows_nothing_of_the_application() =>
        Assert.DoesNotContain(typeof(SimulatedPlant).Assembly.GetReferencedAssemblies(), assembly =>
            assembly.Name!.StartsWith("BudClock", StringComparison.Ordinal)
        );

    [Fact, Long]
    public void Who_follows_the_advice_keeps_the_plants_and_sees_them_bloom() => KeepsAndSeesBloom(southern: false);

    [Fact, Long]
    public void And_so_south_of_the_equator() => KeepsAndSeesBloom(southern: true);

    static void KeepsAndSeesBloom(bool southern)
    {
        var garden = SeasonGarden.Of(southern, Habits.All.Count, southern ? 21 : 20);
        var faults = new ConcurrentBag<string>();
        var scores = new ForecastScores();
        var grower = new AdvisedGrower
        {
            Said = (g, said) =>
            {
                Check(g, said, faults);
                scores.Take(g, said);
            },
        };
        var report = SeasonReport.Live(garden, grower, Days);
        Assert.Empty(faults.Take(5));
        Assert.True(report.Lost.Count == 0, Obituaries(garden, report.Lost.Count));
        Assert.Empty(report.NotBloomed);
        // The table of the full run is in docs/seasons.md; here so few come to an end that only a gross fault shows.
        var flowers = scores.Rows(garden).Where(row => row.What == "first-flower").ToList();
        Assert.True(flowers.Sum(row => row.Within) >= 0.6 * flowers.Sum(row => row.Count), string.Join("; ", flowers));
    }

    /// <summary>What was written last of each plant that was lost, so that a loss says how it came about.</summary>
    static string Obituaries(SeasonGarden garden, int lost) =>
        $"{lost} lost\n"
        + string.Join(
            "\n",
            from plant in garden.Plants.Values
            where !plant.Model.Alive
            select $"{plant.Plant.Taxon}: {string.Join("; ", plant.Log.TakeLast(40).Select(entry => $"{entry.On:MM-dd} {entry}"))}"
        );

    /// <summary>By raw entries and by what is true of the plant: no contradiction, and nothing that the evidence forbids.</summary>
    static void Check(SeasonGarden garden, Assessment said, ConcurrentBag<string> faults)
    {
        var (tag, day) = (said.Plant.Tag, garden.Today);
        var (_, log, model) = garden.Plants[tag];
        foreach (
            var twice in said.Settled.GroupBy(advice => (advice.Topic, advice.Care.Facts().Question)).Where(group => group.Count() > 1)
        )
            faults.Add($"{day} {tag}: {twice.Key} is said twice");
        var water = said.Settled.FirstOrDefault(advice => advice.Verdict is Verdict.Do && advice.Care is Care.GiveWater or Care.WetLightly);
        var feed = said.Settled.FirstOrDefault(advice => advice.Verdict is Verdict.Do && advice.Care is Care.Feed);
        if (water is null && feed is null)
            return;
        var felt = log.LastOrDefault(entry => entry.Kind == EntryKinds.Medium);
        if (water is not null && felt is { Text: "wet" } && felt.On == day && !model.Habit.InWater)
            faults.Add($"{day} {tag}: water, and it was felt wet today: {water.Reason}");
        if (log.LastOrDefault(entry => entry.Kind == EntryKinds.Base || entry.Kind == EntryKinds.Tuber) is { Text: "soft" } soft)
            faults.Add($"{day} {tag}: {(water ?? feed)!.Reason} though soft on {soft.On}");
        if (model.Asleep && model.Habit.Rest is RestKind.LeaflessBulbs && water is { Care: Care.GiveWater })
            faults.Add($"{day} {tag}: water on bare bulbs: {water.Reason}");
        if (feed is not null && log.LastOrDefault(entry => entry.Kind == EntryKinds.RootCount) is { Amount.Value: 0 })
            faults.Add($"{day} {tag}: feed without roots: {feed.Reason}");
        if (
            log.LastOrDefault(entry => entry.Kind == EntryKinds.ProgrammeStarted) is { Text: "cool-nights" } order
            && DryWeeks(garden, log, order)
        )
            faults.Add($"{day} {tag}: {(water ?? feed)!.Reason} in its dry weeks");
    }

    /// <summary>
    /// Thirty nights at or below 10 °C at its places since the order, counted from the simulated readings; then 28 days without water.
    /// </summary>
    static bool DryWeeks(SeasonGarden garden, List<Entry> log, Entry order)
    {
        var weathers = garden.Weathers();
        var plant = garden.Recorded(log[0].Id == Guid.Empty ? "" : garden.Plants.First(one => one.Value.Log == log).Key);
        var (cool, day) = (0, order.On);
        while (cool < 30 && day < garden.Today)
        {
            day = day.AddDays(1);
            if (weathers.RecordOf(plant.On(day.AddDays(-1)).Place).Night(day)?.CoolestC <= 10)
                cool++;
        }
        if (cool < 30)
            return false;
        var last = log.Where(entry => entry.IsWatering && entry.On > day).Select(entry => entry.On).DefaultIfEmpty(day).Max();
        return garden.Today.DayNumber - last.DayNumber < 28
            && !log.Exists(entry => entry.On > order.On && (entry.Kind == EntryKinds.SpikeStarted || entry.Kind == EntryKinds.BloomOpened));
    }

    [Fact]
    public void A_calendar_and_a_limp_leaf_lose_plants_that_the_advice_keeps()
    {
        foreach (var grower in new SeasonGrower[] { new CalendarGrower(), new LimpGrower() })
        {
            var report = SeasonReport.Live(SeasonGarden.Of(southern: false, Habits.All.Count, 20), grower, Days);
            Assert.True(report.Lost.Count >= 4, $"{report.Grower} lost only {report.Lost.Count}");
        }
    }

    [Fact]
    public void The_same_seed_lives_the_same_year()
    {
        var (one, other) = (SeasonGarden.Of(false, 15, 3), SeasonGarden.Of(false, 15, 3));
        SeasonReport.Live(one, new CalendarGrower(), 200);
        SeasonReport.Live(other, new CalendarGrower(), 200);
        Assert.Equal(
            one.Plants.Values.Select(plant => plant.Model.State.Moisture),
            other.Plants.Values.Select(plant => plant.Model.State.Moisture)
        );
        Assert.Equal(
            one.Plants.Values.Select(plant => plant.Model.State.DiedOf),
            other.Plants.Values.Select(plant => plant.Model.State.DiedOf)
        );
    }

    static SimulatedPlant Fresh(Habit habit, Action<PlantState> set)
    {
        var state = new PlantState();
        set(state);
        return new(habit, state);
    }

    static Air Warm(int day, double nightC = 16) => new(new DateOnly(2031, 6, 1).AddDays(day), nightC, 24, 0.8, 16, 8, 0.9);

    [Fact]
    public void Plants_answer_as_plants_do()
    {
        // Watered before its roots it rots; left dry it does not.
        var soaked = Fresh(Habits.LeaflessBulbs, state => (state.Stage, state.Moisture) = (Stage.Waking, 0.05));
        var dry = Fresh(Habits.LeaflessBulbs, state => (state.Stage, state.Moisture) = (Stage.Waking, 0.05));
        for (var day = 0; day < 20; day++)
        {
            soaked.Live(Warm(day, 9), day % 2 == 0 ? [Deed.Water] : []);
            dry.Live(Warm(day, 9), []);
        }
        Assert.True(soaked.State.Rot > 0.3 && dry.State.Rot == 0, $"{soaked.State.Rot} {dry.State.Rot}");
        // A dry violet hangs, and stands up again after water.
        var violet = Fresh(Habits.Rosette, state => state.Moisture = 0);
        for (var day = 0; violet.Leaves?.State != "limp" && day < 60; day++)
            violet.Live(Warm(day), []);
        violet.Live(Warm(61), [Deed.Water]);
        violet.Live(Warm(62), []);
        Assert.Equal("firm", violet.Leaves!.State);
        // A night below its limit kills within days, one above it never.
        var frost = Fresh(Habits.WaxyVine, _ => { });
        for (var day = 0; day < 4; day++)
            frost.Live(Warm(day, 1), []);
        Assert.Equal("cold", frost.State.DiedOf);
    }
}

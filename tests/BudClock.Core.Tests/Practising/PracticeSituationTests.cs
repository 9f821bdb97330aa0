using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Formats;
using BudClock.Core.Round;
using BudClock.Practice;
using BudClock.SimulatedPlants;
using BudClock.StandIns;

namespace BudClock.Core.Tests.Practising;

/// <summary>Each set situation can be won and lost, and its end says why.</summary>
public class PracticeSituationTests
{
    const int Furthest = 320;

    /// <summary>A situation lived by a script: what is done each day, from what is true of its plants.</summary>
    sealed class Run(PracticeSituation situation)
    {
        readonly SimulatedSky sky = new(new SimulatedWeather(situation.Seed), new GardenDays(situation.Garden.Garden));
        readonly Dictionary<string, SimulatedPlant> models = situation.Hidden.ToDictionary(
            one => one.Key,
            one => new SimulatedPlant(Habits.Of(situation.Garden.Plants.First(plant => plant.Tag == one.Key).Genus)!, one.Value)
        );
        readonly Dictionary<string, string> places = situation.Garden.Plants.ToDictionary(plant => plant.Tag, plant => plant.Place!);
        readonly Dictionary<string, List<Deed>> today = [];
        readonly Dictionary<string, DateOnly> bloomed = [];
        readonly List<Told> acts = [];

        public DateOnly Day { get; private set; } = situation.Day;

        public SimulatedPlant this[string tag] => models[tag];

        public void Do(string tag, Deed deed, Stood stood = Stood.With)
        {
            (today.TryGetValue(tag, out var mine) ? mine : today[tag] = []).Add(deed);
            acts.Add(new(Day, tag, deed.ToString(), stood, null) { IsWater = deed is Deed.Water });
        }

        public void Move(string tag, string place) => places[tag] = place;

        public PracticeEnd Live(Action<Run> daily)
        {
            for (var days = 0; days < Furthest; days++)
            {
                daily(this);
                Day = Day.AddDays(1);
                foreach (var (tag, model) in models)
                {
                    model.Live(
                        sky.At(situation.Garden.Places.First(place => place.Code == places[tag]), Day),
                        today.Remove(tag, out var deeds) ? deeds : []
                    );
                    if (model.News.Any(sight => sight.Kind == "bloom-opened"))
                        bloomed.TryAdd(tag, Day);
                }
                if (situation.End(new(Day, models, acts, bloomed)) is { } end)
                    return end;
            }
            throw new InvalidOperationException($"{situation.Name} had no end by {Day}.");
        }
    }

    static PracticeEnd Live(string name, Action<Run> daily) => new Run(PracticeSituations.Named(name)!).Live(daily);

    [Fact]
    public void The_first_soak_waits_for_roots()
    {
        Assert.True(Live("first-soak", run => Water(run, "CTM-01", run["CTM-01"].State is { RootCm: > 11 } && Dry(run, "CTM-01"))).Won);
        var lost = Live("first-soak", run => Water(run, "CTM-01", run.Day.Day % 2 == 0, Stood.Against));
        Assert.False(lost.Won);
        Assert.Contains("before its new roots could drink", lost.Words, StringComparison.Ordinal);
        Assert.False(Live("first-soak", _ => { }).Won); // and who never waters loses it too
    }

    [Fact]
    public void Wet_and_limp_is_left_to_dry()
    {
        var first = PracticeSituations.Named("wet-and-limp")!.Day;
        Assert.True(Live("wet-and-limp", run =>
            {
                if (run.Day == first)
                    run.Do("SAI-01", Deed.Repot);
                Water(run, "SAI-01", run.Day > first.AddDays(8) && Dry(run, "SAI-01"));
            }).Won);
        Assert.False(Live("wet-and-limp", run => Water(run, "SAI-01", true, Stood.Against)).Won);
    }

    [Fact]
    public void The_cold_frame_is_emptied_in_time()
    {
        Assert.True(Live("cold-frame", run =>
            {
                foreach (var tag in (string[])["PHA-01", "PHA-02", "CLI-01"])
                {
                    run.Move(tag, "sill");
                    Water(run, tag, Dry(run, tag));
                }
            }).Won);
        var lost = Live("cold-frame", _ => { });
        Assert.False(lost.Won);
        Assert.Contains("cold", lost.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void A_cool_month_wants_cold_and_then_dryness()
    {
        Assert.True(Live("cool-month", run =>
            {
                run.Move("CLI-01", "bench");
                var state = run["CLI-01"].State;
                Water(run, "CLI-01", Dry(run, "CLI-01") && state.CueCount < run["CLI-01"].Habit.CueDays);
            }).Won);
        // On the warm sill, watered all winter, nothing comes.
        Assert.False(Live("cool-month", run => Water(run, "CLI-01", Dry(run, "CLI-01"))).Won);
    }

    [Fact]
    public void The_bowl_is_planted_four_weeks_before()
    {
        Assert.True(Live("christmas-bowl", run => Bowl(run, new(2031, 11, 24))).Won);
        var late = Live("christmas-bowl", run => Bowl(run, new(2031, 12, 8)));
        Assert.False(late.Won);
        var never = Live("christmas-bowl", _ => { });
        Assert.Contains("without a flower", never.Words, StringComparison.Ordinal);

        static void Bowl(Run run, DateOnly planting)
        {
            if (run.Day == planting)
                run.Do("NAR-01", Deed.Plant);
            if (run.Day == planting.AddDays(7))
                run.Move("NAR-01", "bench");
            Water(run, "NAR-01", run.Day > planting && Dry(run, "NAR-01"));
        }
    }

    [Fact]
    public void A_sleeper_is_warmed_and_not_watered()
    {
        var won = Live("dormant-or-dead", run =>
        {
            if (run.Day >= new DateOnly(2032, 4, 10))
                run.Move("CAL-01", "bench");
        });
        Assert.True(won.Won);
        Assert.Contains("CAL-02 had been dead", won.Words, StringComparison.Ordinal);
        Assert.False(Live("dormant-or-dead", run => Water(run, "CAL-01", true, Stood.Against)).Won);
    }

    static bool Dry(Run run, string tag) => run[tag].Medium?.State == "dry";

    static void Water(Run run, string tag, bool when, Stood stood = Stood.With)
    {
        if (when)
            run.Do(tag, Deed.Water, stood);
    }

    [Fact]
    public void Every_situation_is_a_sound_garden_and_its_advice_does_not_contradict_what_wins()
    {
        foreach (var situation in PracticeSituations.All)
        {
            var read = GardenFileReader.Read(GardenFileWriter.Write(situation.Garden), Core.Culture.CultureSheets.Shipped);
            Assert.Empty(read.Faults);
            Assert.Equal(situation.Garden.Plants.Select(plant => plant.Tag), situation.Hidden.Keys);
            var plants = new GardenAssessed(situation.Garden, situation.Day).Plants;
            Assert.All(plants, plant => Assert.NotEmpty(plant.Settled));
            // Nobody is told to water on the first day of any of them: each begins with a reason to wait or to look.
            Assert.DoesNotContain(plants.SelectMany(plant => plant.Settled), advice =>
                advice is { Verdict: Verdict.Do, Care: Care.GiveWater }
            );
        }
    }
}

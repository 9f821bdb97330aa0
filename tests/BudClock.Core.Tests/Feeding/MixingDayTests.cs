using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Advising.Waking;
using BudClock.Core.Evidence;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Feeding;

/// <summary>What to mix, what salts may have stayed, and what a trial tells.</summary>
public class MixingDayTests
{
    static readonly Shelf Shelf = new()
    {
        Waters = [new("rain", 10) { Code = "rain" }],
        Feeds = [new("Balanced", 20, 20, 20, 5, 1) { Code = "balanced" }],
        Recipes = [Recipe("plain", Bottles.Plain), Recipe("growth", Bottles.Growth, "25 %")],
    };

    static Recipe Recipe(string code, string bottle, string? strength = null) =>
        new(code, code, bottle)
        {
            Waters = new Dictionary<string, double> { ["rain"] = 100 },
            Feeds = strength is null
                ? new Dictionary<string, Strength>()
                : new Dictionary<string, Strength> { ["balanced"] = Strength.Read(strength)! },
        };

    static Assessment Plant(string tag, string taxon, params Entry[] entries) =>
        Assessor.Shipped.Assess(
            new()
            {
                Tag = tag,
                Taxon = taxon,
                Medium = "bark",
                Pot = new(12, 11, "plastic"),
                Entries = entries,
            },
            Around with
            {
                Shelf = Shelf,
                Weather = Night(Mild),
            },
            Today
        );

    static Entry Days(int ago, EntryKind kind, string? text = null, Quantity? amount = null) => At(Today.AddDays(-ago), kind, amount, text);

    static TodaysMix Mix(DateOnly until, params Assessment[] plants) => TodaysMix.Of(plants, [], Shelf, until);

    [Fact]
    public void Plants_that_are_due_fill_their_bottles_and_the_others_none()
    {
        var mix = Mix(
            Today,
            Plant(
                "A-1",
                "Cattleya intermedia",
                Days(40, EntryKinds.GrowthStarted),
                Days(10, EntryKinds.Watered, amount: new(300, Unit.Ml)),
                Days(0, EntryKinds.Medium, "dry")
            ),
            Plant(
                "A-2",
                "Cattleya intermedia",
                Days(40, EntryKinds.GrowthStarted),
                Days(10, EntryKinds.Watered, amount: new(900, Unit.Ml)),
                Days(5, EntryKinds.Fed),
                Days(0, EntryKinds.Medium, "dry")
            ),
            Plant("A-3", "Cattleya intermedia", Days(1, EntryKinds.Watered)),
            Plant(
                "A-4",
                "Lycaste aromatica",
                At("2030-11-20", EntryKinds.LeavesGone),
                At("2031-04-12", EntryKinds.GrowthStarted),
                Days(1, EntryKinds.RootLength, amount: Cm(4))
            )
        );
        Assert.Equal(
            ["plain A-2 1", "growth A-1 1"],
            mix.ToMix.Select(bottle => $"{bottle.Bottle} {string.Join(",", bottle.Plants.Select(p => p.Tag))} {bottle.Litres}")
        );
        Assert.Equal((2, 0.3), (mix.Plants, mix.ToMix[1].Need));
        Assert.Equal(0.25, mix.ToMix[1].Mix!.Doses.Single().Grams, 1e-9); // 25 % of 1 g/L in 1 L
    }

    [Fact]
    public void By_the_weekend_more_are_counted_in()
    {
        var soon = Plant("A-1", "Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(7, EntryKinds.Watered));
        Assert.Empty(Mix(Today, soon).ToMix);
        Assert.Equal(1, Mix(soon.Settled.Single(a => a.Topic == Topics.Water).Due!.Value, soon).Plants);
    }

    [Fact]
    public void Without_a_record_the_pot_and_its_medium_say_how_much()
    {
        // Frustum, top 12 cm, three quarters of it below, 11 cm high: 0.959 L (geometry); bark takes 35 % of it with what runs through (common practice).
        var need = WaterNeed.Of(Plant("A-1", "Cattleya intermedia").Situation);
        Assert.Equal((0.35 * 959, false), (Math.Round(need.Ml / 0.35) * 0.35, need.Own));
        Assert.Equal(("about 340 mL", "about 11.5 fl oz"), (need.Words(), need.Words(us: true)));
    }

    [Fact]
    public void A_bottle_without_a_recipe_says_so()
    {
        var plant = Plant("A-1", "Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(0, EntryKinds.Medium, "dry")).Plant;
        var mix = TodaysMix.Of([Assess(plant)], [], Shelf.Empty, Today);
        Assert.Equal("There is no recipe for the growth bottle yet.", mix.ToMix.Single().Faults.Single());
    }

    [Fact]
    public void A_carnivore_s_objections_name_the_rule()
    {
        var sundew = Plant("DRO-1", "Drosera capensis").Situation!;
        Assert.Equal(
            [
                "A carnivore gets nothing in the medium, ever: feed there kills its roots (F8).",
                "growth comes to 260 ppm; sundews of bogs bear 100 (F10).",
            ],
            SetRecipe.Objections(sundew, Shelf.Recipes[1], Shelf)
        );
        Assert.Empty(SetRecipe.Objections(Plant("A-1", "Cattleya intermedia").Situation!, Shelf.Recipes[1], Shelf));
    }

    static readonly Gen<Assessment> Any =
        from taxon in Gen.OneOf(
            "Cattleya intermedia",
            "Hoya carnosa",
            "Saintpaulia ionantha",
            "Drosera capensis",
            "Lycaste aromatica",
            "Alocasia odora",
            "Unknownia mystica"
        )
        from number in Gen.Int[1, 999_999]
        from entries in (
            from kind in Gen.OneOf(
                EntryKinds.Watered,
                EntryKinds.Fed,
                EntryKinds.GrowthStarted,
                EntryKinds.SpikeStarted,
                EntryKinds.RootsLost,
                EntryKinds.RootsStarted,
                EntryKinds.LeavesGone,
                EntryKinds.Acquired,
                EntryKinds.Medium,
                EntryKinds.Tray
            )
            from ago in Gen.Int[0, 200]
            select Days(
                ago,
                kind,
                kind == EntryKinds.Medium ? "dry"
                    : kind == EntryKinds.Tray ? "empty"
                    : null
            )
        ).Array[0, 8]
        select Plant($"P-{number}", taxon, entries);

    [Fact]
    public void Whatever_stands_on_the_bench_the_bottles_hold_enough_and_each_plant_is_in_one() =>
        Any.Array[0, 12]
            .Sample(
                plants =>
                {
                    var different = plants.DistinctBy(a => a.Plant.Tag).ToList();
                    var mix = TodaysMix.Of(different, [], Shelf, Today);
                    foreach (var bottle in mix.ToMix)
                    {
                        Assert.True(bottle.Litres >= bottle.Need && bottle.Litres % Shelf.Tools.BottleLitres < 1e-9);
                        Assert.Equal(bottle.Need, bottle.Plants.Sum(due => due.Need.Ml) / 1000, 1e-9);
                        if (bottle.Bottle is not Bottles.Plain and not Bottles.Leaf)
                            Assert.DoesNotContain(bottle.Plants, due => due.Plant.Situation!.Sheet.Rule("F8") is not null);
                    }
                    var poured = mix
                        .ToMix.Where(bottle => bottle.Bottle != Bottles.Leaf)
                        .SelectMany(bottle => bottle.Plants)
                        .Select(due => due.Tag)
                        .ToList();
                    Assert.Equal(poured.Distinct(), poured);
                    Assert.DoesNotContain(mix.ToMix.SelectMany(bottle => bottle.Plants), due =>
                        due.Plant.Situation!.Rest is not null && due.Bottle != Bottles.Plain
                    );
                },
                iter: 300
            );

    [Fact]
    public void A_shared_tray_is_filled_from_the_plain_bottle()
    {
        var sundew = Plant("DRO-1", "Drosera capensis", Days(1, EntryKinds.Tray, "empty"));
        sundew = Assessor.Shipped.Assess(sundew.Plant with { Vessel = "tray" }, Around with { Shelf = Shelf }, Today);
        var tray = SharedVessel.Of(new("tray", "Tray", Vessel.Tray), [sundew], Today);
        var due = TodaysMix.Of([sundew], [tray], Shelf, Today).ToMix.Single();
        Assert.Equal(
            (Bottles.Plain, "DRO-1", EntryKinds.ToppedUp),
            (due.Bottle, due.Plants.Single().Tag, Giving.Act(due.Plants.Single().Plant))
        );
    }

    [Theory]
    [InlineData(300, 6.0, "")]
    [InlineData(500, 6.0, "500 ppm is above the 400 ppm that A-1 (evergreen pseudobulbs, warm) bear.")]
    [InlineData(300, 7.4, "pH 7.4 is outside 5.5 to 6.5, where A-1 (evergreen pseudobulbs, warm) can take up what is in it.")]
    public void A_water_that_the_roots_do_not_bear_names_the_plant(double ppm, double ph, string warning)
    {
        var plant = Plant("A-1", "Cattleya intermedia");
        var title = plant.Situation!.Sheet.Title.ToLowerInvariant();
        Assert.Equal(
            warning.Replace("evergreen pseudobulbs, warm", title),
            string.Join(" ", BottleToMix.Warn(Bottles.Growth, ppm, ph, [plant]))
        );
        Assert.Empty(BottleToMix.Warn(Bottles.Leaf, ppm, ph, [plant])); // a mist goes into no pot
        Assert.Equal(ph > 6.5, BottleToMix.Warn(Bottles.Growth, ppm, ph, []).Count > 0); // before it is known for whom
    }

    [Theory]
    [InlineData("soak", "soaked fed")]
    [InlineData("sip", "watered fed")]
    public void A_first_water_is_given_as_its_school_does(string school, string logged)
    {
        var plant = Assess(WithRoots(11) with { Schools = Choices.None.With(FirstWater.Question, school) });
        Assert.Equal(
            logged,
            string.Join(
                " ",
                Giving
                    .Entries(plant, new("G1", Today, "growth", "Growth", 1, "", 200) { NitrogenPpm = 50 }, Shelf.Recipes[1], null)
                    .Select(e => e.Kind.Name)
            )
        );
    }

    [Fact]
    public void Plain_water_is_no_feed_and_a_mist_is_no_water()
    {
        var batch = new Batch("P1", Today, "plain", "Plain", 1, "", 10);
        var plant = Plant("A-1", "Cattleya intermedia");
        Assert.Equal(
            ["watered 200 mL P1"],
            Giving.Entries(plant, batch, Shelf.Recipes[0], new(200, Unit.Ml)).Select(e => $"{e.Kind} {e.Amount} {e.Mix}")
        );
        Assert.Equal(
            ["fed on the leaves P1"],
            Giving.Entries(plant, batch, Recipe("mist", Bottles.Leaf, "10 %"), null).Select(e => $"{e.Kind} {e.Text} {e.Mix}")
        );
    }

    [Fact]
    public void Feed_of_which_an_amount_was_written_down_is_water_too()
    {
        Entry[] log = [Days(40, EntryKinds.GrowthStarted), Days(20, EntryKinds.Watered, amount: new(300, Unit.Ml))];
        Assert.Equal(Verdict.Look, Plant("A-1", "Cattleya intermedia", log).Rule("W3")!.Verdict);
        Assert.Equal(
            "Watered today",
            Plant("A-1", "Cattleya intermedia", [.. log, Days(0, EntryKinds.Fed, amount: new(300, Unit.Ml))]).Rule("W3")!.Reason.Split(';')[
                0
            ]
        );
        Assert.Equal(
            Verdict.Look,
            Plant("A-1", "Cattleya intermedia", [.. log, Days(0, EntryKinds.Fed, "slow release")]).Rule("W3")!.Verdict
        );
    }

    [Fact]
    public void Salts_count_feeds_since_the_last_flush()
    {
        var rows = SaltWatch.Of([
            Plant(
                "A-1",
                "Cattleya intermedia",
                Days(50, EntryKinds.Fed),
                Days(30, EntryKinds.Rinsed),
                Days(20, EntryKinds.Fed),
                Days(10, EntryKinds.Fed)
            ),
            Plant("A-2", "Cattleya intermedia", Days(5, EntryKinds.GrowthStarted), Days(3, EntryKinds.RunOff, amount: new(900, Unit.Ppm))),
            Plant("A-3", "Cattleya intermedia"),
        ]);
        Assert.Equal(["A-2 0 True", "A-1 2 False"], rows.Select(row => $"{row.Plant.Plant.Tag} {row.FeedsSince} {row.Flush is not null}"));
    }

    static Assessment Grown(string tag, double before, double since, params Entry[] more) =>
        Plant(
            tag,
            "Cattleya intermedia",
            [
                Days(80, EntryKinds.GrowthStarted),
                .. Enumerable
                    .Range(0, 9)
                    .Select(week =>
                        Days(
                            56 - (week * 7),
                            EntryKinds.GrowthHeight,
                            amount: Cm(10 + (Math.Min(week, 4) * before) + (Math.Max(0, week - 4) * since))
                        )
                    ),
                .. more,
            ]
        );

    [Fact]
    public void A_trial_is_silent_until_day_28_and_then_plain()
    {
        var plants = new[] { Grown("A-1", 1, 1.5), Grown("A-2", 1, 1.4), Grown("B-1", 1, 1), Grown("B-2", 1, 0.9), Grown("B-3", 1, 1.1) };
        var trial = new Trial("t", "growth", Today.AddDays(-28), ["A-1", "A-2"]);
        Assert.StartsWith(
            "Day 27 of 28: nothing can be concluded yet.",
            TrialReport.Of(trial with { From = Today.AddDays(-27) }, plants, Today).Says.Single()
        );
        var report = TrialReport.Of(trial, plants, Today);
        Assert.Equal(
            ["A-1 1 1.5 1.5", "A-2 1 1.4 1.4"],
            report
                .Plants.Where(row => row.OnTrial)
                .Select(row =>
                    FormattableString.Invariant($"{row.Plant.Plant.Tag} {row.BeforeCmPerWeek:0.#} {row.SinceCmPerWeek:0.#} {row.Times:0.#}")
                )
        );
        Assert.Equal("On trial, 2 plants grew 1.45 times as fast as in the four weeks before.", report.Says[0]);
        Assert.Equal("3 plants of the kind without it: 1.0 times.", report.Says[1]);
        Assert.Equal("With 2 and 3 plants no difference, however large, rules out chance: take it as a hint.", report.Says[2]);
    }

    [Theory] // by hand: 20 ways to draw three of six; the three fastest, or the three slowest, differ the most
    [InlineData(1.5, "Drawing any 3 of these 6 plants, 2 of 20 ways differ as much. That is a hint at most")]
    [InlineData(1.0, "Drawing any 3 of these 6 plants, 20 of 20 ways differ as much. That is a hint at most")]
    public void What_chance_alone_would_do_is_counted(double since, string says)
    {
        var plants = new[]
        {
            Grown("A-1", 1, since),
            Grown("A-2", 1, since),
            Grown("A-3", 1, since),
            Grown("B-1", 1, 1),
            Grown("B-2", 1, 1),
            Grown("B-3", 1, 1),
        };
        Assert.StartsWith(says, TrialReport.Of(new("t", "growth", Today.AddDays(-28), ["A-1", "A-2", "A-3"]), plants, Today).Says[2]);
    }

    [Fact]
    public void Two_changes_at_once_cannot_be_told_apart()
    {
        var report = TrialReport.Of(
            new("t", "growth", Today.AddDays(-30), ["A-1"]),
            [Grown("A-1", 1, 2, Days(10, EntryKinds.Repotted))],
            Today
        );
        Assert.Contains("No other plant of the kind was measured: season, light and weather could have done the same.", report.Says);
        Assert.StartsWith("More than the recipe was different (A-1: repotted 14 May), so the cause can't be told apart.", report.Says[^1]);
    }
}

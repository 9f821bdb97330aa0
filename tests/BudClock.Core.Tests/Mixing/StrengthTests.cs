using BudClock.Core.Advising;
using BudClock.Core.Mixing;
using CsCheck;

namespace BudClock.Core.Tests.Mixing;

/// <summary>Strengths as growers say them, recipes of several feeds, and doses in what one has.</summary>
public class StrengthTests
{
    static readonly Feed Balanced = new("Balanced", 20, 20, 20, GramsPerTeaspoon: 5, LabelGramsPerLitre: 1) { Code = "balanced" };
    static readonly Feed Liquid = new("Bloom", 5, 10, 3, LabelGramsPerLitre: 4.6)
    {
        Code = "bloom",
        Form = Feed.Liquid,
        DensityGPerMl = 1.15,
        PricePerKg = 10,
    };

    static readonly Shelf Shelf = new()
    {
        Waters = [new("rain", 10) { Code = "rain" }, new("tap", 310) { Code = "tap" }],
        Feeds = [Balanced, Liquid, new("Kelp", 0.1, 0, 2, LabelGramsPerLitre: 5) { Code = "kelp", Stimulant = true }],
        Recipes =
        [
            Recipe("growth", Bottles.Growth, ("balanced", "25 %")),
            Recipe("full", Bottles.Growth, ("balanced", "100 %")),
            Recipe("kelp", Bottles.Growth, ("balanced", "25 %"), ("kelp", "50 %")),
        ],
    };

    static Recipe Recipe(string code, string bottle, params (string Feed, string Strength)[] feeds) =>
        new(code, code, bottle)
        {
            Waters = new Dictionary<string, double> { ["rain"] = 90, ["tap"] = 10 },
            Feeds = feeds.ToDictionary(feed => feed.Feed, feed => Strength.Read(feed.Strength)!),
        };

    [Theory]
    [InlineData("25 %", "25 %")]
    [InlineData("1/4", "25 %")]
    [InlineData("25 % of the label", "25 %")]
    [InlineData("100 ppm N", "100 ppm N")]
    [InlineData("100 ppm", "100 ppm N")]
    [InlineData("1/8 tsp in 1 gal", "0.125 tsp in 1 gal")]
    [InlineData("5 mL per litre", "5 mL in 1 L")]
    [InlineData("12 drops in 500 ml", "12 drop in 500 mL")]
    [InlineData("2 oz in 100 gal", "2 oz in 100 gal")]
    public void A_strength_is_read_as_written_and_written_to_be_read(string written, string plain)
    {
        Assert.Equal(plain, Strength.Read(written)!.ToString());
        Assert.Equal(Strength.Read(written), Strength.Read(plain));
    }

    [Theory]
    [InlineData("strong")]
    [InlineData("-5 %")]
    [InlineData("0 ppm N")]
    [InlineData("900 %")]
    [InlineData("1 ladle in 1 gal")] // an unknown spoon
    [InlineData("1 tsp in 1 cm")]
    [InlineData("")]
    [InlineData(null)]
    public void What_is_no_strength_is_none(string? written) => Assert.Null(Strength.Read(written));

    [Fact]
    public void Any_text_is_read_without_a_crash() =>
        Gen.String.Sample(text =>
        {
            _ = Strength.Read(text);
        });

    [Fact]
    public void Each_way_of_saying_a_strength_comes_to_the_same_dose() =>
        (from share in Gen.Double[0.05, 2] from litres in Gen.Double[0.1, 200] select (share, litres)).Sample(x =>
        {
            var dose = new Strength.Share(x.share).In(x.litres, Balanced)!;
            Assert.Equal(dose.Grams, new Strength.Nitrogen(dose.Elements.N).In(x.litres, Balanced)!.Grams, dose.Grams * 1e-9);
            Assert.Equal(
                dose.Grams,
                new Strength.Measured(new(dose.Grams / Balanced.GramsPerTeaspoon!.Value, Unit.Tsp), new(x.litres, Unit.L))
                    .In(x.litres, Balanced)!
                    .Grams,
                dose.Grams * 1e-9
            );
            Assert.Equal(x.share, dose.LabelShare!.Value, 1e-9);
        });

    [Fact]
    public void Any_strength_is_written_so_that_it_is_read_again() =>
        (
            from which in Gen.Int[0, 2]
            from value in Gen.Double[0.01, 4]
            from water in Gen.Double[0.1, 50]
            select (which, value: Math.Round(value, 2) + 0.01, water: Math.Round(water, 2))
        ).Sample(x =>
        {
            Strength strength = x.which switch
            {
                0 => new Strength.Share(x.value),
                1 => new Strength.Nitrogen(x.value * 100),
                _ => new Strength.Measured(new(x.value, Unit.Tsp), new(x.water, Unit.ImpGal)),
            };
            Assert.Equal(strength.In(1, Balanced)!.Grams, Strength.Read(strength.ToString())!.In(1, Balanced)!.Grams, 1e-4);
        });

    [Fact]
    public void What_a_way_of_measuring_costs_is_stated_truly() =>
        (from share in Gen.Double[0.02, 1] from litres in Gen.Double[0.2, 20] select (share, litres)).Sample(x =>
        {
            var dose = Dose.ForLabelShare(Liquid, x.share, x.litres)!;
            foreach (var way in InHand.Of(dose, Tools.Usual))
            {
                Assert.Equal(dose.Elements.N * (1 + way.Measurable.Error), way.Measurable.Dose.Elements.N, 1e-6);
                Assert.Equal(dose.Elements.N, (way.Measurable.Dose with { Litres = way.Measurable.ExactLitres }).Elements.N, 1e-6);
            }
        });

    [Fact]
    public void No_recipe_above_what_the_roots_bear_is_chosen_while_one_is_below() =>
        (
            from shares in Gen.Double[0.05, 3].Array[1, 6]
            from wanted in Gen.Double[10, 100]
            from bears in Gen.Double[50, 1500]
            select (shares, wanted, bears)
        ).Sample(x =>
        {
            var shelf = Shelf with
            {
                Recipes =
                [
                    .. x.shares.Select((share, i) => Recipe($"r{i}", Bottles.Growth, ("balanced", new Strength.Share(share).ToString()))),
                ],
            };
            var chosen = shelf.Litre(shelf.For(Bottles.Growth, x.wanted, x.bears))!.TdsPpm;
            Assert.True(chosen <= x.bears || shelf.Recipes.All(recipe => shelf.Litre(recipe)!.TdsPpm > x.bears));
        });

    [Theory]
    [InlineData(20, 20, 20, 25, "Urea's nitrogen is a part of the nitrogen; it cannot be more.")]
    [InlineData(20, 20, 20, -1, "A label gives no negative percent.")]
    [InlineData(50, 40, 30, 0, "The label's parts add up to 120 %; there are only 100.")]
    [InlineData(double.NaN, 0, 0, 0, "A label gives no negative percent.")]
    [InlineData(20, 20, 20, 10, null)]
    public void A_label_is_sound_or_says_why_not(double n, double p, double k, double urea, string? fault) =>
        Assert.Equal(fault, new Feed("x", n, p, k) { UreaNPercent = urea }.Fault());

    [Fact]
    public void A_stimulant_above_half_its_dose_and_softened_water_are_cautioned()
    {
        var shelf = Shelf with
        {
            Waters =
            [
                .. Shelf.Waters,
                new("Kitchen", 300)
                {
                    Code = "soft",
                    Kind = Water.Softened,
                    Measured = new(2031, 5, 1),
                },
            ],
        };
        var recipe = Recipe("odd", Bottles.Growth, ("kelp", "75 %")) with { Waters = new Dictionary<string, double> { ["soft"] = 100 } };
        Assert.Equal(
            [
                "Kitchen is softened: its lime was traded for sodium, which harms roots. Draw tap water from before the softener.",
                "Kelp is a stimulant: half its label's bare-root dose at most, and on trial (F11).",
            ],
            recipe.Cautions(shelf, new(2031, 5, 24))
        );
        Assert.Empty(Recipe("fine", Bottles.Growth, ("kelp", "50 %")).Cautions(Shelf, new(2031, 5, 24)));
    }

    [Fact]
    public void A_volume_in_a_field_is_read_as_what_it_was() =>
        (from litres in Gen.Double[0.2, 100] from us in Gen.Bool select (litres, us)).Sample(x =>
            Assert.Equal(x.litres, AmountReader.Read(Volumes.Typed(x.litres, x.us), null)!.Value.InBase / 1000, x.litres * 0.003)
        );

    [Fact] // the bottles of rule F1, and F8: a leaf mist of about 100 ppm
    public void The_example_shelf_fills_every_bottle_within_what_fine_roots_bear()
    {
        var shelf = ExampleShelf.Shelf;
        Assert.Equal(Bottles.All.Order(), shelf.Recipes.Select(recipe => recipe.Bottle).Order());
        Assert.All(shelf.Waters, water => Assert.Null(water.Fault()));
        Assert.All(shelf.Feeds, feed => Assert.Null(feed.Fault()));
        Assert.All(shelf.Recipes, recipe => Assert.Empty(recipe.In(1, shelf).Faults));
        Assert.All(shelf.Recipes, recipe => Assert.Empty(Ceiling.Usual.Warnings(shelf.Litre(recipe)!.TdsPpm, null, "fine roots")));
        Assert.InRange(shelf.Litre(shelf.Recipe("mist"))!.TdsPpm, 90, 110);
    }

    // NIST Handbook 44, appendix C, and SP 811: US gallon 3.785411784 L, cup 236.588 mL, teaspoon 4.929 mL, ounce 28.3495 g; metric drop 0.05 mL (common practice)
    [Fact]
    public void Kitchen_and_laboratory_units_are_those_of_the_standards() =>
        Assert.Equal(
            (3785.411784, 236.588, 4.929, 28.3495, 4546.09, 0.05),
            (
                Unit.Gal.Factor,
                Math.Round(Unit.Cup.Factor, 3),
                Math.Round(Unit.Tsp.Factor, 3),
                Math.Round(Unit.Oz.Factor, 4),
                Unit.ImpGal.Factor,
                Unit.Drop.Factor
            )
        );

    [Fact] // atomic weights (IUPAC): 2 N in CO(NH2)2 are 28.014 of 60.056
    public void Urea_shows_on_no_meter()
    {
        Assert.Equal(0.4665, Oxides.NInUrea, 0.0001);
        var half = Balanced with { UreaNPercent = 10 }; // 10 g of nitrogen are 21.4 g of urea in 100 g
        Assert.Equal(785.6, new Dose(half, 1, 1).SaltsPpm, 0.1);
        Assert.Equal(1000, new Dose(Balanced, 1, 1).SaltsPpm, 1e-9);
    }

    [Fact]
    public void Two_feeds_in_one_bottle_add_up_and_cost_what_they_cost()
    {
        var (mix, faults) = Recipe("both", Bottles.Bloom, ("balanced", "50 ppm N"), ("bloom", "25 %")).In(2, Shelf);
        Assert.Empty(faults);
        Assert.Equal(50 + 57.5, mix!.Elements.N, 0.01); // 1.15 g/L × 5 % × 10
        Assert.Equal(40 + 250 + (1.15 * 306), mix.TdsPpm, 0.5); // waters 0.9 × 10 + 0.1 × 310; 0.25 g/L; 30.6 % salts of 1.15 g/L
        Assert.Equal(2.3 / 1000 * 10, mix.Cost!.Value, 1e-9);
        Assert.Equal("1.8 L rain, 200 mL tap; 0.5 g Balanced, 2 mL Bloom", mix.Words());
    }

    [Fact]
    public void A_recipe_that_cannot_be_mixed_says_everything_that_is_wrong()
    {
        var odd = Recipe("odd", Bottles.Plain, ("balanced", "1 tsp in 1 L"), ("lost", "25 %")) with
        {
            Waters = new Dictionary<string, double> { ["rain"] = 80, ["well"] = 10 },
        };
        var shelf = Shelf with { Feeds = [Balanced with { GramsPerTeaspoon = null }] };
        Assert.Equal(
            [
                "No water here is called \"well\".",
                "No feed here is called \"lost\".",
                "The waters make up 90 %; together they are 100.",
                "The plain bottle is water without feed.",
                "A spoon is a volume: weigh a level teaspoon of Balanced first.",
            ],
            odd.In(1, shelf).Faults
        );
    }

    [Fact]
    public void Slow_release_goes_into_no_bottle() =>
        Assert.Equal(
            ["Balanced is slow release: it goes onto the medium once, not into a bottle."],
            Recipe("odd", Bottles.Growth, ("balanced", "25 %"))
                .In(1, Shelf with { Feeds = [Balanced with { Form = Feed.SlowRelease }] })
                .Faults
        );

    [Fact]
    public void A_dose_comes_in_what_one_has_the_most_exact_first()
    {
        var ways = InHand.Of(Dose.ForLabelShare(Liquid, 0.25, 1)!, Tools.Usual); // 1.15 g, 1 mL
        Assert.Equal(
            ["1 mL in the syringe", "20 drops", "1.1 g on the scale", "1/4 tsp, level"],
            ways.Select(way => way.Words)
                .Order(StringComparer.Ordinal)
                .OrderBy(words =>
                    words.Contains("mL") ? 0
                    : words.Contains("drops") ? 1
                    : words.Contains("scale") ? 2
                    : 3
                )
        );
        Assert.Equal(0, ways[0].Measurable.Error, 1e-9);
        Assert.All(ways.Zip(ways.Skip(1)), pair =>
            Assert.True(Math.Abs(pair.First.Measurable.Error) <= Math.Abs(pair.Second.Measurable.Error))
        );
    }

    [Theory]
    [InlineData(2.4, false, "2.4 L")]
    [InlineData(0.35, false, "350 mL")]
    [InlineData(3.785411784, true, "1 gal")]
    [InlineData(9.5, true, "2.51 gal")]
    [InlineData(0.35, true, "11.8 fl oz")]
    [InlineData(0.02, true, "0.7 fl oz")]
    public void Volumes_are_said_as_jugs_do(double litres, bool us, string words) => Assert.Equal(words, Volumes.Words(litres, us));

    [Theory]
    [InlineData(0.125, "1/8 tsp")]
    [InlineData(1.375, "1 3/8 tsp")]
    [InlineData(3, "3 tsp")]
    [InlineData(9.25, "3 tbsp 1/4 tsp")]
    [InlineData(0.01, "under 1/8 tsp")]
    public void Spoons_come_in_eighths(double teaspoons, string words) => Assert.Equal(words, InHand.Spoons(teaspoons));

    [Fact]
    public void A_measurement_on_the_other_scale_asks_for_the_scale_first()
    {
        var mix = Recipe("growth", Bottles.Growth, ("balanced", "25 %")).In(1, Shelf).Mix!; // 290 ppm
        Assert.StartsWith("Does the meter read on the other scale", Mix.Questions(mix.TdsPpm * 1.4, mix.TdsPpm)[0]);
        Assert.StartsWith("The wrong spoon", Mix.Questions(mix.TdsPpm * 2, mix.TdsPpm)[0]);
        Assert.Empty(Mix.Questions(mix.TdsPpm * 1.24, mix.TdsPpm));
    }

    [Theory] // next to pure water a meter's own error is the larger part
    [InlineData(25, 0)]
    [InlineData(60, 3)]
    public void Pure_water_is_questioned_only_beyond_a_meter_s_own_error(double measured, int questions) =>
        Assert.Equal((questions, null), (Mix.Questions(measured, 12).Count, Mix.Off(measured, 12)));

    [Fact]
    public void A_plant_gets_the_recipe_nearest_to_its_strength_that_its_roots_bear()
    {
        Assert.Equal("growth", Shelf.For(Bottles.Growth, 25, 400)!.Code);
        Assert.Equal("full", Shelf.For(Bottles.Growth, 100, 1200)!.Code);
        Assert.Equal("growth", Shelf.For(Bottles.Growth, 100, 400)!.Code); // full is 1040 ppm
        Assert.Null(Shelf.For(Bottles.Bloom, 25, 400));
    }

    [Fact]
    public void What_is_on_trial_goes_to_nobody_else()
    {
        var trying = Shelf with { Trials = [new("t", "growth", new(2031, 5, 1), ["A-1"])] };
        Assert.Equal("full", trying.For(Bottles.Growth, 25, 1200)!.Code); // kelp holds a stimulant
        Assert.Equal(
            "growth",
            (trying with { Trials = [trying.Trials[0] with { Ended = new(2031, 5, 20) }] }).For(Bottles.Growth, 25, 1200)!.Code
        );
    }

    [Fact]
    public void Bottles_are_filled_whole_with_the_spare()
    {
        var tools = Tools.Usual with { BottleLitres = 2, ReservePercent = 10 };
        Assert.Equal((2, 4, 2), (tools.Bottled(1.8), tools.Bottled(1.9), tools.Bottled(0.1)));
        Assert.Equal("A meter's scale is 500 or 700.", (tools with { MeterScale = 640 }).Fault());
    }

    [Fact]
    public void Softened_water_and_a_tap_long_unmeasured_are_warned_of()
    {
        var today = new DateOnly(2031, 5, 24);
        Assert.Contains("sodium", Assert.Single((new Water("Kitchen", 300) { Kind = Water.Softened, Measured = today }).Cautions(today)));
        Assert.Equal(
            "Tap was last measured on 2 Oct 2030: tap water changes with the season, measure it again.",
            Assert.Single((new Water("Tap", 300) { Kind = Water.Tap, Measured = new(2030, 10, 2) }).Cautions(today))
        );
        Assert.Empty((new Water("Rain", 10) { Kind = Water.Rain }).Cautions(today));
        Assert.Equal("pH runs from 0 to 14; 15 is outside that.", (new Water("Odd", 10) { Ph = 15 }).Fault());
    }

    [Fact]
    public void Batches_of_one_day_have_codes_of_their_own()
    {
        var (growth, day) = (Shelf.Recipes[0], new DateOnly(2031, 5, 24));
        Assert.Equal("G310524", Shelf.NextBatch(growth, day));
        Assert.Equal("G310524-2", (Shelf with { Batches = [new("G310524", day, "growth", "Growth", 1, "", 100)] }).NextBatch(growth, day));
    }
}

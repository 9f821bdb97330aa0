using BudClock.Core.Advising;
using BudClock.Core.Advising.Feeding;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Feeding;

/// <summary>Which bottle, how strong, how often (rules F1 to F8 and F10).</summary>
public class FeedAdviceTests
{
    static readonly Shelf Shelf = new()
    {
        Waters = [new("rain", 10) { Code = "rain" }],
        Feeds = [new("Balanced", 20, 20, 20, 5, 1) { Code = "balanced" }],
        Recipes =
        [
            Recipe("growth", Bottles.Growth, "25 %"),
            Recipe("bloom", Bottles.Bloom, "25 %"),
            Recipe("recovery", Bottles.Recovery, "10 %"),
            Recipe("strong", Bottles.Growth, "60 %"),
        ],
    };

    static Recipe Recipe(string code, string bottle, string strength) =>
        new(code, $"The {code} mix", bottle)
        {
            Waters = new Dictionary<string, double> { ["rain"] = 100 },
            Feeds = new Dictionary<string, Strength> { ["balanced"] = Strength.Read(strength)! },
        };

    /// <summary>A plant in its pot whose medium is dry today, so that feed that is due is given today.</summary>
    static Plant Thirsty(string taxon, params Entry[] entries) =>
        new()
        {
            Tag = "A-1",
            Taxon = taxon,
            Pot = new(12, 11, "plastic"),
            Medium = "bark",
            Entries = [.. entries, At(Today, EntryKinds.Medium, text: "dry")],
        };

    static Advice Feed(Plant plant, DateOnly? on = null, Surroundings? around = null) =>
        Assessor
            .Shipped.Assess(
                plant,
                (around ?? Around) with
                {
                    Shelf = Shelf,
                    Weather = (around ?? Around).Weather is { Nights.Count: > 0 } known ? known : Night(18),
                },
                on ?? Today
            )
            .Settled.Single(a => a.Topic == Topics.Feed);

    static Entry Days(int ago, EntryKind kind, string? text = null, Quantity? amount = null) => At(Today.AddDays(-ago), kind, amount, text);

    [Fact]
    public void What_grows_gets_the_growth_bottle_monthly_and_the_figure_in_ppm()
    {
        var due = Feed(Thirsty("Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(31, EntryKinds.Fed)));
        Assert.Equal((Verdict.Do, "F4", Bottles.Growth), (due.Verdict, due.Rule, due.Bottle));
        Assert.Equal(
            "Fed 31 days ago: growth bottle, 25 % of the label, 50 ppm N in The growth mix (growing, nothing showing).",
            due.Reason
        );
        var held = Feed(Thirsty("Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(20, EntryKinds.Fed)));
        Assert.Equal((Verdict.Hold, Today.AddDays(10)), (held.Verdict, held.Due));
    }

    [Theory]
    [InlineData(null, null, Bottles.Bloom, "bloom")] // both moving: bloom by default, and the reason says so
    [InlineData(BottleChoice.BothMoving, "growth", Bottles.Growth, "growth")]
    [InlineData(BottleChoice.BloomFeed, "balanced", Bottles.Growth, "balanced")]
    public void In_spike_with_a_growth_moving_the_schools_differ(string? question, string? school, string bottle, string said)
    {
        var plant = Thirsty("Cattleya intermedia", Days(60, EntryKinds.GrowthStarted), Days(20, EntryKinds.SpikeStarted));
        var feed = Feed(question is null ? plant : plant with { Schools = Choices.None.With(question, school!) });
        Assert.Equal((bottle, said), (feed.Bottle, feed.School));
        Assert.NotEmpty(feed.Others);
        if (question is null)
            Assert.Contains("in spike with a growth moving too", feed.Reason);
    }

    [Fact]
    public void A_newcomer_hears_plain_water_for_28_days_and_then_that_they_are_over()
    {
        var newcomer = Thirsty("Cattleya intermedia", Days(12, EntryKinds.Acquired));
        Assert.Equal(
            ("F2", Verdict.Hold, "Newcomer, day 12 of 28: plain water and no feed until 9 Jun."),
            (Feed(newcomer).Rule, Feed(newcomer).Verdict, Feed(newcomer).Reason)
        );
        var settled = Feed(newcomer, Today.AddDays(17));
        Assert.Equal(("F2", Verdict.Look), (settled.Rule, settled.Verdict));
        Assert.StartsWith("Its newcomer's weeks ended 1 day ago", settled.Reason.Replace("yesterday", "1 day ago"));
        Assert.Equal(
            "F4",
            Feed(newcomer with { Entries = [.. newcomer.Entries, At(Today.AddDays(18), EntryKinds.Fed)] }, Today.AddDays(19)).Rule
        );
    }

    [Fact]
    public void The_end_of_a_newcomer_s_28_days_is_a_date_that_counts_from_arrival() =>
        // Common practice: newcomers 28 days on plain water
        Assert.Equal(Today.AddDays(28), Feed(Thirsty("Hoya carnosa", Days(0, EntryKinds.Acquired))).Due);

    [Theory]
    [InlineData("Alocasia odora", 100, "")] // heavy feeder: full
    [InlineData("Saintpaulia ionantha", 25, "")] // gesneriads: a quarter
    [InlineData("Clivia miniata", 50, "")]
    public void Strength_goes_by_the_habit(string taxon, double percent, string why)
    {
        var now = Assess(Thirsty(taxon, Days(30, EntryKinds.LeafStarted))).Situation!;
        Assert.Equal((percent, why), (FeedStrength.Of(now, BottleChoice.Of(now)).Percent, FeedStrength.Of(now, BottleChoice.Of(now)).Why));
    }

    [Fact]
    public void A_single_stem_rises_to_nearly_half_while_its_roots_lengthen_but_not_in_a_reservoir()
    {
        var phal = Thirsty(
            "Phalaenopsis amabilis",
            Days(30, EntryKinds.LeafStarted),
            Days(20, EntryKinds.RootsStarted),
            Days(3, EntryKinds.RootLength, amount: Cm(2))
        );
        Assert.Equal("45 % of the label (its roots lengthen)", Feed(phal).Amount);
        Assert.Equal(
            "25 % of the label",
            Feed(phal with { Pot = new(12, 11, Pot.Reservoir) }).Amount!.Replace(" (its roots lengthen)", "")
        );
    }

    [Fact]
    public void At_each_watering_it_is_half_at_most()
    {
        var plant = Thirsty("Alocasia odora", Days(30, EntryKinds.LeafStarted), Days(2, EntryKinds.Fed)) with
        {
            Schools = Choices.None.With(FeedStrength.Question, FeedStrength.EachWatering),
        };
        Assert.Equal((Verdict.Do, "50 % of the label (at each watering)"), (Feed(plant).Verdict, Feed(plant).Amount));
    }

    [Fact]
    public void What_races_is_fed_every_14_days()
    {
        Entry[] growth =
        [
            Days(50, EntryKinds.GrowthStarted),
            .. Enumerable.Range(0, 5).Select(week => Days(49 - (week * 7), EntryKinds.GrowthHeight, amount: Cm(1 + week))),
            Days(7, EntryKinds.GrowthHeight, amount: Cm(8)),
            Days(0, EntryKinds.GrowthHeight, amount: Cm(14)),
            Days(15, EntryKinds.Fed),
        ];
        Assert.Contains("is racing", Feed(Thirsty("Cattleya intermedia", growth)).Reason);
        Assert.Equal(Verdict.Do, Feed(Thirsty("Cattleya intermedia", growth)).Verdict);
    }

    [Fact]
    public void Slow_release_lasts_three_months() =>
        Assert.Equal(
            (Verdict.Hold, Today.AddDays(50)),
            (
                Feed(
                    Thirsty("Zantedeschia elliottiana", Days(60, EntryKinds.LeafStarted), Days(40, EntryKinds.Fed, "slow release"))
                ).Verdict,
                Feed(Thirsty("Zantedeschia elliottiana", Days(60, EntryKinds.LeafStarted), Days(40, EntryKinds.Fed, "slow release"))).Due
            )
        );

    [Theory]
    [InlineData("growing-season", Verdict.Hold)]
    [InlineData("all-year", Verdict.Look)]
    public void In_short_days_the_winter_schools_differ(string school, Verdict verdict)
    {
        var winter = new DateOnly(2031, 12, 20);
        var plant = new Plant
        {
            Tag = "A-1",
            Taxon = "Phalaenopsis amabilis",
            Medium = "bark",
            Schools = Choices.None.With(FeedAdviser.WinterFeed, school),
            Entries =
            [
                At("2031-11-01", EntryKinds.RootsStarted),
                At("2031-12-10", EntryKinds.RootLength, Cm(3)),
                At("2031-10-01", EntryKinds.Fed),
            ],
        };
        Assert.Equal(verdict, Feed(plant, winter).Verdict);
        // Lamps make it summer
        Assert.Equal(Verdict.Look, Feed(plant, winter, Around with { Place = new("sill", "Sill", "indoors", 13) }).Verdict);
    }

    [Fact]
    public void No_feed_at_rest_and_the_first_with_the_first_water()
    {
        var asleep = Lycaste(At("2030-11-20", EntryKinds.LeavesGone));
        Assert.Equal((Verdict.Hold, "V5"), (Feed(asleep).Verdict, Feed(asleep).Rule));
        Assert.Equal(Verdict.Hold, Feed(WithRoots(5)).Verdict);
        Assert.Equal(Verdict.Do, Feed(WithRoots(11)).Verdict);
        Assert.Equal("F4", Feed(WithRoots(11, At(Today, EntryKinds.Soaked))).Rule);
    }

    [Fact]
    public void Feed_waits_for_the_water()
    {
        var damp = Thirsty("Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(2, EntryKinds.Watered)) with { };
        var held = Feed(damp with { Entries = [.. damp.Entries.SkipLast(1)] });
        Assert.Equal(Verdict.Hold, held.Verdict);
        Assert.Contains("It goes with its next water, about ", held.Reason);
    }

    [Fact]
    public void Pale_leaves_in_the_cold_are_not_hunger()
    {
        var pale = Feed(
            Thirsty("Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(2, EntryKinds.Leaves, "pale")),
            around: Around with
            {
                Weather = Night(8),
            }
        );
        Assert.Equal(("V4", Verdict.Hold), (pale.Rule, pale.Verdict));
        Assert.Contains("a night was down to 8 °C: cold roots take up no feed", pale.Reason);
        Assert.Equal(
            "F6",
            Feed(
                Thirsty(
                    "Cattleya intermedia",
                    Days(40, EntryKinds.GrowthStarted),
                    Days(5, EntryKinds.Moved),
                    Days(2, EntryKinds.Leaves, "pale")
                )
            ).Rule
        );
        Assert.Equal(
            "F4",
            Feed(Thirsty("Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(2, EntryKinds.Leaves, "pale"))).Rule
        );
    }

    [Fact]
    public void After_lost_roots_feed_comes_back_with_the_new_ones()
    {
        Entry[] lost = [Days(60, EntryKinds.GrowthStarted), Days(50, EntryKinds.RootsLost)];
        Assert.Equal(
            ("V3", Verdict.Hold),
            (Feed(Thirsty("Cattleya intermedia", lost)).Rule, Feed(Thirsty("Cattleya intermedia", lost)).Verdict)
        );
        var shortly = Feed(
            Thirsty("Cattleya intermedia", [.. lost, Days(20, EntryKinds.RootsStarted), Days(1, EntryKinds.RootLength, amount: Cm(1.5))])
        );
        Assert.Contains("no feed until they are 3 cm; now 1.5 cm", shortly.Reason);
        var safe = Feed(
            Thirsty("Cattleya intermedia", [.. lost, Days(20, EntryKinds.RootsStarted), Days(1, EntryKinds.RootLength, amount: Cm(4))])
        );
        Assert.Equal((Bottles.Recovery, Verdict.Do), (safe.Bottle, safe.Verdict));
        Assert.Equal(
            Bottles.Growth,
            Feed(
                Thirsty("Cattleya intermedia", [.. lost, Days(20, EntryKinds.RootsStarted), Days(1, EntryKinds.RootLength, amount: Cm(11))])
            ).Bottle
        );
    }

    [Fact]
    public void Two_growths_at_once_get_no_bloom_mix()
    {
        var stressed = Thirsty(
            "Cattleya intermedia",
            Days(100, EntryKinds.GrowthStarted).Of("g1"),
            Days(30, EntryKinds.GrowthStarted).Of("g2"),
            Days(10, EntryKinds.SpikeStarted)
        ) with
        {
            Organs = [new("g1", Organ.Growth), new("g2", Organ.Growth, null, "g1")],
        };
        Assert.Equal(Bottles.Growth, Feed(stressed).Bottle);
        Assert.Contains("no bloom mix", Feed(stressed).Reason);
    }

    [Fact]
    public void Carnivores_get_a_mist_on_the_leaves_every_14_days_and_none_with_algae()
    {
        var sundew = new Plant
        {
            Tag = "A-1",
            Taxon = "Drosera capensis",
            Entries = [Days(14, EntryKinds.Fed, "on the leaves")],
        };
        Assert.Equal(("F8", Verdict.Do, Bottles.Leaf), (Feed(sundew).Rule, Feed(sundew).Verdict, Feed(sundew).Bottle));
        Assert.Contains("Nothing in the medium", Feed(sundew).Reason);
        Assert.Contains("minutes before lights out", Feed(sundew).Reason);
        Assert.Equal(
            Verdict.Hold,
            Feed(sundew with { Entries = [.. sundew.Entries, Days(3, EntryKinds.Pest, "algae on the peat")] }).Verdict
        );
        Assert.Equal(Verdict.Hold, Feed(sundew with { Entries = [Days(13, EntryKinds.Fed)] }).Verdict);
        // In spike too
        Assert.Equal(Bottles.Leaf, BottleChoice.Of(Assess(sundew with { Entries = [Days(5, EntryKinds.SpikeStarted)] }).Situation!).Bottle);
        Assert.Equal(Verdict.Hold, Feed(sundew with { Entries = [] }).Verdict); // it does well without: nobody is nagged
    }

    [Fact]
    public void Salty_run_off_asks_for_a_flush_before_any_feed()
    {
        var salty = Thirsty(
            "Cattleya intermedia",
            Days(40, EntryKinds.GrowthStarted),
            Days(2, EntryKinds.RunOff, amount: new(620, Unit.Ppm))
        );
        Assert.Equal(("F10", Verdict.Hold, "salts"), (Feed(salty).Rule, Feed(salty).Verdict, Feed(salty).StoppedBy));
        Assert.Equal(
            (Verdict.Do, EntryKinds.Flushed),
            Assess(salty).Settled.Where(a => a.Care is Care.Flush).Select(a => (a.Verdict, a.LoggedAs!)).Single()
        );
        Assert.Equal("F4", Feed(salty with { Entries = [.. salty.Entries, Days(1, EntryKinds.Rinsed)] }).Rule);
    }

    [Fact]
    public void A_recipe_above_what_the_roots_bear_is_looked_at_first()
    {
        var set = Thirsty("Cattleya intermedia", Days(40, EntryKinds.GrowthStarted), Days(1, EntryKinds.RecipeSet) with { Mix = "strong" });
        Assert.Equal(Verdict.Look, Feed(set).Verdict);
        Assert.Contains("The strong mix comes to 610 ppm, and it bears 400", Feed(set).Reason);
    }

    [Fact]
    public void Of_a_habit_without_a_sheet_no_feed_is_ordered_and_it_is_said_that_its_culture_is_not_known()
    {
        var unknown = Assess(
            new()
            {
                Tag = "A-1",
                Taxon = "Unknownia mystica",
                Entries = [Days(40, EntryKinds.GrowthStarted)],
            }
        );
        Assert.DoesNotContain(unknown.Settled, advice => advice.Topic == Topics.Feed && advice.Asks);
        Assert.Single(unknown.Settled, advice =>
            advice.Reason.StartsWith("There is no culture sheet for Unknownia", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_new_recipe_is_a_change_that_is_looked_at_after_14_days()
    {
        var set = Thirsty("Cattleya intermedia", Days(14, EntryKinds.RecipeSet) with { Mix = "growth" });
        Assert.Equal(
            (Verdict.Look, "Recipe 14 days ago: what did the new recipe do?"),
            (Assess(set).Rule("K4")!.Verdict, Assess(set).Rule("K4")!.Reason)
        );
    }
}

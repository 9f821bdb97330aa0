using BudClock.Core.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

public class FirstSoakAdviserTests
{
    [Theory]
    [InlineData(9.9, Verdict.Hold)]
    [InlineData(10.0, Verdict.Do)] // common practice: 10 cm on a small plant
    public void Waits_for_ten_centimetres_of_new_root(double cm, Verdict expected) => Assert.Equal(expected, Says(WithRoots(cm)));

    [Theory]
    [InlineData(14.9, Verdict.Hold)]
    [InlineData(15.0, Verdict.Do)] // common practice: 15 cm on a large plant
    public void A_plant_in_a_large_pot_needs_fifteen(double cm, Verdict expected) =>
        Assert.Equal(expected, Says(WithRoots(cm) with { Pot = new(16, 15, "clay") }));

    [Fact]
    public void A_wide_pot_without_a_height_is_taken_by_its_width() =>
        Assert.Equal(
            15d,
            Soak(WithRoots(8) with { Pot = new(16, null, null) }).Conditions.Single(c => c.Name == "root length").Need!.Value.Number
        );

    [Theory]
    [InlineData("Mormodes buccinator")]
    [InlineData("Cycnoches ventricosum")]
    public void Kinds_that_hate_a_long_drought_need_seven(string taxon) // common practice
    {
        Assert.Equal(Verdict.Do, Says(WithRoots(7) with { Taxon = taxon }));
        Assert.Equal(Verdict.Hold, Says(WithRoots(6.9) with { Taxon = taxon }));
    }

    [Fact]
    public void New_growth_alone_is_not_the_signal()
    {
        var soak = Soak(Waking());
        Assert.Equal(Verdict.Hold, soak.Verdict);
        Assert.Equal("No new roots yet: water would only sour the base.", soak.Reason);
    }

    [Theory]
    [InlineData(11.9, Verdict.Hold)]
    [InlineData(12.0, Verdict.Do)] // common practice: nights of 12 °C
    public void Cold_nights_hold_back_roots_that_are_ready(double nightC, Verdict expected) =>
        Assert.Equal(expected, Assess(WithRoots(11), night: new(nightC, Today)).Rule("W1")!.Verdict);

    [Fact]
    public void An_unknown_night_is_to_be_checked_not_guessed()
    {
        var soak = Assess(WithRoots(11), coldUnknown: true).Rule("W1")!;
        Assert.Equal(Verdict.Look, soak.Verdict);
        Assert.Null(soak.Conditions.Single(c => c.Name == "coolest night").Have);
    }

    [Fact]
    public void Roots_at_the_bottom_of_the_pot_are_long_enough_unmeasured() =>
        Assert.Equal(Verdict.Do, Says(Waking(At(Today, EntryKinds.RootsAtBase))));

    [Theory]
    [InlineData("shrivelled", Verdict.Do)]
    [InlineData("wrinkled", Verdict.Hold)] // not just wrinkled
    public void Shrivelled_bulbs_with_live_roots_are_soaked_early(string bulbs, Verdict expected) =>
        Assert.Equal(expected, Says(WithRoots(3, Bulbs(Today, bulbs))));

    [Fact]
    public void Shrivelled_bulbs_override_cold_nights() =>
        Assert.Equal(Verdict.Do, Assess(WithRoots(3, Bulbs(Today, "shrivelled")), night: new(9, Today)).Rule("W1")!.Verdict);

    [Fact]
    public void But_not_nights_that_kill() =>
        Assert.Equal(
            (Verdict.Hold, "danger"),
            Assess(WithRoots(3, Bulbs(Today, "shrivelled")), night: new(5, Today))
                .Settled.Where(a => a.Topic == Topics.FirstSoak)
                .Select(a => (a.Verdict, a.StoppedBy!))
                .Single()
        );

    [Fact]
    public void Shrivelled_bulbs_without_roots_stay_dry() => Assert.Equal(Verdict.Hold, Says(Waking(Bulbs(Today, "shrivelled"))));

    [Fact]
    public void A_growth_that_died_counts_by_its_roots()
    {
        var soak = Soak(WithRoots(10.5, At(Today.AddDays(-9), EntryKinds.GrowthStopped)));
        Assert.Equal(Verdict.Do, soak.Verdict);
        Assert.EndsWith("The growth stopped: watch for another.", soak.Reason);
    }

    [Fact]
    public void Roots_that_died_do_not_count() => Assert.Equal(Verdict.Hold, Says(WithRoots(11, At(Today, EntryKinds.RootsLost))));

    [Fact]
    public void A_plant_asleep_stays_dry() => Assert.Equal(Verdict.Hold, Says(Lycaste(At("2030-11-20", EntryKinds.LeavesGone))));

    [Fact]
    public void After_the_first_water_the_rule_is_silent() => Assert.Null(Assess(WithRoots(11, At(Today, EntryKinds.Soaked))).Rule("W1"));

    [Fact]
    public void The_reason_says_what_was_seen() =>
        Assert.Equal(
            "Roots 11 cm, bulbs wrinkled, nights 14 °C: first soak today, with the first light feed in it.",
            Soak(WithRoots(11, Bulbs(Today, "wrinkled"))).Reason
        );

    [Fact]
    public void Three_measurements_give_the_day_the_roots_get_there()
    {
        // 0.5 cm a day: 8 cm on 22 May, 10 cm on 26 May.
        var soak = Soak(Waking(Roots(Today.AddDays(-14), 2), Roots(Today.AddDays(-8), 5), Roots(Today.AddDays(-2), 8)));
        Assert.Equal(new DateOnly(2031, 5, 26), soak.Due);
        Assert.StartsWith("Roots 8 of 10 cm; on the trend about 26 May", soak.Reason);
    }

    [Fact]
    public void On_the_day_the_trend_arrives_the_roots_are_to_be_measured()
    {
        var plant = Waking(Roots(Today.AddDays(-17), 2), Roots(Today.AddDays(-11), 5), Roots(Today.AddDays(-5), 8));
        Assert.Equal(Verdict.Look, Says(plant));
    }

    [Fact]
    public void Nothing_is_done_on_a_condition_that_is_not_met()
    {
        Plant[] plants = [WithRoots(11), WithRoots(3, Bulbs(Today, "shrivelled")), Waking(At(Today, EntryKinds.RootsAtBase))];
        Assert.All(plants, plant => Assert.All(Soak(plant).Conditions, condition => Assert.True(condition.Met, condition.Name)));
    }

    static Advice Soak(Plant plant) => Assess(plant).Rule("W1")!;

    static Verdict Says(Plant plant) => Soak(plant).Verdict;
}

using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Measuring;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Lanes;

public class LaneReaderTests
{
    [Fact]
    public void A_growth_runs_from_its_start_until_it_matured() =>
        Assert.Equal(
            [new(LaneKind.Growth, new(2031, 4, 12), new(2031, 5, 20), Ending: "matured")],
            Lanes(At("2031-04-12", EntryKinds.GrowthStarted), At("2031-05-20", EntryKinds.GrowthMatured))
        );

    [Fact]
    public void Roots_go_on_when_their_growth_stops()
    {
        var lanes = Lanes(
            At("2031-04-12", EntryKinds.GrowthStarted),
            At("2031-04-20", EntryKinds.RootsStarted),
            At("2031-05-10", EntryKinds.GrowthStopped)
        );
        Assert.True(lanes.Single(lane => lane.Kind is LaneKind.Roots).Open);
        Assert.False(lanes.Single(lane => lane.Kind is LaneKind.Growth).Open);
    }

    [Fact]
    public void A_spike_becomes_bloom_on_the_day_it_opens() =>
        Assert.Equal(
            [
                new(LaneKind.Spike, new(2031, 1, 2), new(2031, 2, 1), Ending: "opened"),
                new(LaneKind.Bloom, new(2031, 2, 1), new(2031, 3, 1), Ending: "faded"),
            ],
            Lanes(
                At("2031-01-02", EntryKinds.SpikeStarted),
                At("2031-02-01", EntryKinds.BloomOpened),
                At("2031-03-01", EntryKinds.BloomEnded)
            )
        );

    [Fact]
    public void Leaf_fall_ends_all_that_grows_and_begins_the_rest()
    {
        var lanes = Lanes(
            At("2030-04-12", EntryKinds.GrowthStarted),
            At("2030-07-01", EntryKinds.GrowthStarted),
            At("2030-11-20", EntryKinds.LeavesGone)
        );
        Assert.Equal(LaneKind.Rest, Assert.Single(lanes, lane => lane.Open).Kind);
    }

    [Fact]
    public void Finding_no_roots_opens_no_lane() => Assert.Empty(Lanes(Roots(Today, 0)));

    [Fact]
    public void A_struck_entry_and_one_of_a_later_day_are_not_read() =>
        Assert.Empty(
            Lanes(At("2031-04-12", EntryKinds.GrowthStarted) with { Struck = true }, At(Today.AddDays(1), EntryKinds.SpikeStarted))
        );

    [Fact]
    public void The_order_of_writing_down_does_not_matter()
    {
        Gen.Shuffle(Season()).Sample(shuffled => Assert.Equal(Lanes(Season()), Lanes(shuffled)));
        static Entry[] Season() =>
            [
                At("2030-11-20", EntryKinds.LeavesGone),
                At("2030-12-01", EntryKinds.SpikeStarted),
                At("2031-01-18", EntryKinds.BloomOpened),
                At("2031-03-02", EntryKinds.BloomEnded),
                At("2031-04-12", EntryKinds.GrowthStarted),
                At("2031-04-23", EntryKinds.RootsStarted),
                Roots(new(2031, 5, 3), 2.4),
                Roots(new(2031, 5, 10), 4.7),
                At("2031-05-14", EntryKinds.GrowthStopped),
            ];
    }

    [Fact]
    public void Two_spikes_have_a_lane_each_and_the_named_one_ends()
    {
        var lanes = Lanes(
            At("2031-03-01", EntryKinds.SpikeStarted).Of("s31"),
            At("2031-03-20", EntryKinds.SpikeStarted).Of("s31b"),
            At("2031-05-01", EntryKinds.SpikeLost, text: "broken").Of("s31"),
            At("2031-05-02", EntryKinds.SpikeLength, Cm(12)).Of("s31b")
        );
        Assert.Equal([("s31", "lost"), ("s31b", null)], lanes.Select(lane => (lane.Organ, lane.Ending)));
    }

    [Fact]
    public void A_spike_that_starts_while_another_without_a_name_is_under_way_is_a_second_one() =>
        Assert.Equal(2, Lanes(At("2031-03-01", EntryKinds.SpikeStarted), At("2031-03-20", EntryKinds.SpikeStarted)).Count);

    [Fact]
    public void A_spike_out_of_its_sheath_is_the_same_one() =>
        Assert.Equal(
            new DateOnly(2031, 2, 1),
            Assert.Single(Lanes(At("2031-02-01", EntryKinds.SheathStarted), At("2031-03-20", EntryKinds.SpikeStarted))).From
        );

    [Fact]
    public void Buds_without_a_spike_seen_before_are_one_and_buds_of_an_open_inflorescence_are_not()
    {
        Assert.Equal(LaneKind.Spike, Assert.Single(Lanes(At("2030-10-12", EntryKinds.Buds, new Quantity(20)))).Kind);
        Assert.Single(Lanes(At("2031-03-01", EntryKinds.BloomOpened), At("2031-03-10", EntryKinds.Buds, new Quantity(4))));
    }

    [Fact]
    public void Leaves_come_one_at_a_time()
    {
        var lanes = Lanes(At("2031-03-01", EntryKinds.LeafStarted).Of("l31"), At("2031-05-01", EntryKinds.LeafStarted).Of("l31b"));
        Assert.Equal([("l31", "next leaf"), ("l31b", null)], lanes.Select(lane => (lane.Organ, lane.Ending)));
    }

    [Fact]
    public void Roots_that_start_long_after_the_last_sign_are_another_flush()
    {
        var lanes = Lanes(At("2030-04-01", EntryKinds.RootsStarted), Roots(new(2030, 4, 20), 4), At("2030-09-20", EntryKinds.RootsStarted));
        Assert.Equal([(new(2030, 4, 20), "grown in"), (null, null)], lanes.Select(lane => (lane.To, lane.Ending)));
    }

    [Theory]
    [InlineData("lost", "lost")]
    [InlineData("cut", "cut")]
    [InlineData("divided", "divided off")]
    public void An_organ_ends_in_its_own_way_and_the_others_go_on(string kind, string ending)
    {
        var lanes = Lanes(
            At("2031-03-01", EntryKinds.GrowthStarted).Of("v1"),
            At("2031-03-02", EntryKinds.GrowthStarted).Of("v2"),
            At("2031-05-01", EntryKinds.Find(kind)!).Of("v1")
        );
        Assert.Equal([("v1", ending), ("v2", null)], lanes.Select(lane => (lane.Organ, lane.Ending)));
    }

    [Fact]
    public void When_a_plant_dies_all_of_it_ends() =>
        Assert.All(
            Lanes(At("2031-03-01", EntryKinds.GrowthStarted), At("2031-03-02", EntryKinds.SpikeStarted), At("2031-05-01", EntryKinds.Died)),
            lane => Assert.Equal("died", lane.Ending)
        );

    [Theory]
    [InlineData("2030-10-20", Phase.Ripening)]
    [InlineData("2030-11-05", Phase.GoingToRest)]
    [InlineData("2030-12-24", Phase.Resting)]
    [InlineData("2031-04-12", Phase.Waking)]
    [InlineData("2031-05-19", Phase.Waking)]
    [InlineData("2031-05-20", Phase.Growing)]
    public void The_phase_follows_the_plant_through_its_waking(string on, Phase expected)
    {
        var plant = Waking(
            At("2030-10-15", EntryKinds.GrowthMatured),
            At("2030-11-01", EntryKinds.LeafDropped),
            At("2031-05-20", EntryKinds.Soaked)
        );
        Assert.Equal(expected, Assess(plant, DateOnly.ParseExact(on, "yyyy-MM-dd", null)).Phase.Phase);
    }

    [Fact]
    public void A_newcomer_is_one_for_twenty_eight_days() // rule F2
    {
        Assert.Equal(Phase.Newcomer, Assess(Waking() with { Acquired = Today.AddDays(-27) }).Phase.Phase);
        Assert.Equal(Phase.Waking, Assess(Waking() with { Acquired = Today.AddDays(-28) }).Phase.Phase);
    }

    [Fact]
    public void A_growth_in_full_season_is_no_waking()
    {
        var plant = Lycaste(
            At("2030-11-20", EntryKinds.LeavesGone),
            At("2031-03-01", EntryKinds.GrowthStarted),
            At("2031-04-20", EntryKinds.Soaked),
            At("2031-05-10", EntryKinds.Watered),
            At("2031-05-20", EntryKinds.GrowthStarted)
        );
        Assert.Equal(Phase.Growing, Assess(plant).Phase.Phase);
    }

    [Fact]
    public void A_spring_after_an_unlogged_leaf_fall_is_a_waking() =>
        Assert.Equal(
            Phase.Waking,
            Assess(
                Lycaste(
                    At("2029-11-20", EntryKinds.LeavesGone),
                    At("2030-04-10", EntryKinds.GrowthStarted),
                    At("2030-05-20", EntryKinds.Soaked),
                    At("2030-10-01", EntryKinds.GrowthMatured),
                    At("2031-04-12", EntryKinds.GrowthStarted)
                )
            ).Phase.Phase
        );

    [Fact]
    public void Expected_lanes_follow_the_hemisphere()
    {
        var sheet = CultureSheets.Shipped.Find("leafless-pseudobulb")!;
        var north = ExpectedLanes.Ahead(sheet, [], [], new(2031, 3, 20), southern: false).First(lane => lane.Kind is LaneKind.Growth);
        var south = ExpectedLanes.Ahead(sheet, [], [], new(2031, 9, 20), southern: true).First(lane => lane.Kind is LaneKind.Growth);
        Assert.Equal((new DateOnly(2031, 4, 10), new DateOnly(2031, 10, 10)), (north.From, south.From));
    }

    static IReadOnlyList<Lane> Lanes(params Entry[] entries) => LaneReader.Read(PlantJournal.UpTo(Today, entries));
}

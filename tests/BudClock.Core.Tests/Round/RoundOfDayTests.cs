using BudClock.Core.Advising;
using BudClock.Core.Round;
using BudClock.Core.Saying;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Round;

public class RoundOfDayTests
{
    static readonly Place[] Walk = [new("sill", "Sill"), new("south", "South bench")];

    [Fact]
    public void Goes_place_by_place_with_what_is_to_do_before_what_is_to_look_at()
    {
        var round = RoundOf(
            Named("A-1", Waking(Roots(Today.AddDays(-9), 4))),
            Named("B-1", WithRoots(11)),
            Named("C-1", WithRoots(11)) with
            {
                Place = "sill",
            },
            Named("D-1", WithRoots(11)) with
            {
                Place = null,
            }
        );
        Assert.Equal(
            ["Sill: C-1", "South bench: B-1 A-1", ": D-1"],
            round.Asking.Select(p => $"{p.Place?.Name}: {string.Join(' ', p.Plants.Select(a => a.Plant.Tag))}")
        );
        Assert.Equal((3, 1), (round.ToDo, round.ToLookAt));
    }

    [Fact]
    public void A_plant_put_off_comes_back_the_next_day()
    {
        var plant = WithRoots(11, At(Today, EntryKinds.PutOff));
        Assert.Empty(RoundOf(plant).Asking);
        Assert.Single(RoundOf(plant).Later);
        Assert.Single(RoundOfDay.Of(Walk, [Assess(plant, Today.AddDays(1), new(14, Today))]).AllAsking);
    }

    [Fact]
    public void Held_plants_are_counted_and_those_without_a_sheet_ask_what_any_plant_does()
    {
        var round = RoundOf(Named("A-1", WithRoots(8)), Named("B-1", Lycaste()) with { Taxon = "Nothofagus" });
        Assert.Equal((1, 0, 1), (round.Held.Count, round.Quiet.Count, round.AllAsking.Count()));
    }

    [Fact]
    public void A_plant_that_is_gone_leaves_the_round()
    {
        var round = RoundOf(WithRoots(11, At(Today, EntryKinds.GivenAway)));
        Assert.Equal((0, 0, 0), (round.AllAsking.Count(), round.Held.Count, round.Quiet.Count));
    }

    [Fact]
    public void Every_plant_that_asks_has_an_act_ready()
    {
        Plant[] asking = [WithRoots(11), Waking(Roots(Today.AddDays(-9), 4)), Waking(At(Today.AddDays(-4), EntryKinds.Soaked)), Waking()];
        Assert.All(asking, plant => Assert.NotEmpty(LikelyEntries.For(Assess(plant))));
        Assert.Equal(EntryKinds.Soaked, LikelyEntries.For(Assess(asking[0]))[0].Kind);
        Assert.Equal(EntryKinds.RootLength, LikelyEntries.For(Assess(asking[1]))[0].Kind);
        Assert.Equal("plump", LikelyEntries.For(Assess(asking[2]))[0].Text);
    }

    static Plant Named(string tag, Plant plant) => plant with { Tag = tag };

    static RoundOfDay RoundOf(params Plant[] plants) => RoundOfDay.Of(Walk, plants.Select(plant => Assess(plant)));
}

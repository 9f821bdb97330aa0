using BudClock.Core.Evidence;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Evidence;

/// <summary>Whether a plant sleeps, is going to, or may: from its leaves, its season, the grower's order, and silence.</summary>
public class SleepTests
{
    static Sleep Of(string taxon, string day, Place? place, double? latitude, params Entry[] entries)
    {
        var around = Around with { Place = place, Garden = Around.Garden with { Latitude = latitude } };
        return BudClock
            .Core.Advising.Assessor.Shipped.Assess(Lycaste(entries) with { Taxon = taxon }, around, DateOnly.Parse(day))
            .Situation.Sleep;
    }

    static Sleep Lily(string day, params Entry[] entries) => Of("Gloriosa superba", day, null, 51.5, entries);

    [Fact]
    public void A_plant_in_a_store_that_nobody_wrote_of_may_sleep()
    {
        var store = new Place("store", "Store", "store");
        Assert.Equal(SleepKind.Perhaps, Of("Hoya carnosa", "2031-06-01", store, 51.5).Kind);
        Assert.Contains("stands in a store", Of("Hoya carnosa", "2031-06-01", store, 51.5).Rests);
        Assert.Equal(SleepKind.None, Of("Hoya carnosa", "2031-06-01", store, 51.5, At("2031-05-25", EntryKinds.Leaves, text: "firm")).Kind);
        Assert.Equal(SleepKind.None, Of("Hoya carnosa", "2031-06-01", null, 51.5).Kind);
        Assert.Equal("", Of("Hoya carnosa", "2031-06-01", null, 51.5).Rests);
    }

    [Fact]
    public void Two_leaves_going_in_autumn_are_a_rest_to_come_and_in_june_they_are_not()
    {
        Entry[] autumn =
        [
            At("2031-05-01", EntryKinds.GrowthStarted),
            At("2031-10-02", EntryKinds.Leaves, text: "yellowing"),
            At("2031-10-08", EntryKinds.LeafDropped),
        ];
        var going = Lily("2031-10-10", autumn);
        Assert.Equal((SleepKind.Going, new DateOnly(2031, 10, 2)), (going.Kind, going.Since!.Value));
        Assert.Equal(SleepKind.None, Lily("2031-10-10", autumn[..2]).Kind);
        Assert.Equal(SleepKind.None, Lily("2031-10-10", [.. autumn, At("2031-10-09", EntryKinds.LeafStarted)]).Kind);
        Assert.Equal(
            SleepKind.None,
            Lily(
                "2031-06-10",
                At("2031-05-01", EntryKinds.GrowthStarted),
                At("2031-06-02", EntryKinds.Leaves, text: "yellowing"),
                At("2031-06-08", EntryKinds.LeafDropped)
            ).Kind
        );
    }

    [Fact]
    public void One_leaf_is_enough_once_its_growth_has_matured_or_the_grower_has_sent_it_to_rest()
    {
        Entry[] matured = [At("2031-05-01", EntryKinds.GrowthStarted), At("2031-09-20", EntryKinds.GrowthMatured)];
        Assert.Equal(SleepKind.Going, Lily("2031-10-10", [.. matured, At("2031-10-08", EntryKinds.LeafDropped)]).Kind);
        var order = At("2031-07-01", EntryKinds.ProgrammeStarted, text: "dry rest");
        var sent = Lily("2031-07-10", At("2031-05-01", EntryKinds.GrowthStarted), order);
        Assert.Equal((SleepKind.Going, order.On), (sent.Kind, sent.Since!.Value));
        Assert.Contains("you sent it to rest", sent.Rests);
        Assert.Equal(
            SleepKind.None,
            Lily("2031-07-10", At("2031-05-01", EntryKinds.GrowthStarted), order, At("2031-07-05", EntryKinds.LeafStarted)).Kind
        );
    }

    [Fact]
    public void Without_a_latitude_or_a_word_of_a_leaf_nobody_knows()
    {
        Assert.Equal(SleepKind.Perhaps, Of("Gloriosa superba", "2031-06-01", null, null).Kind);
        Assert.Contains("nobody wrote of a leaf lately", Of("Gloriosa superba", "2031-06-01", null, null).Rests);
        Assert.Equal(
            SleepKind.None,
            Of("Gloriosa superba", "2031-06-01", null, null, At("2031-05-20", EntryKinds.GrowthHeight, Cm(9))).Kind
        );
        Assert.Equal(
            SleepKind.Perhaps,
            Of("Gloriosa superba", "2031-06-01", null, null, At("2031-05-20", EntryKinds.GrowthHeight, Cm(0))).Kind
        );
        Assert.Equal(SleepKind.Perhaps, Lily("2031-12-20").Kind);
        Assert.Contains("its kind rests at this time", Lily("2031-12-20").Rests);
        Assert.Equal(SleepKind.None, Lily("2031-07-01").Kind);
    }
}

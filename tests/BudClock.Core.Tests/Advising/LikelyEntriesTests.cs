using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Saying;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>The buttons of a plant fit what is asked, its phase and its habit.</summary>
public class LikelyEntriesTests
{
    [Fact]
    public void A_look_at_the_water_offers_what_one_may_find() =>
        Assert.Equal(["Watered", "Still damp", "Dry"], Labels("Hoya carnosa", At(Today.AddDays(-30), EntryKinds.Watered)).Take(3));

    [Fact]
    public void A_check_of_the_store_offers_how_a_tuber_can_feel() =>
        Assert.Equal(
            ["Tuber firm", "Tuber soft", "Tuber mouldy", "Tuber sprouting"],
            Labels("Caladium bicolor", At("2030-12-20", EntryKinds.LeavesGone), At("2030-12-22", EntryKinds.Stored)).Take(4)
        );

    [Fact]
    public void A_tray_asks_for_its_level_or_that_it_is_empty()
    {
        var taps = LikelyEntries.For(Assess(Lycaste(At(Today.AddDays(-20), EntryKinds.Tray, Cm(4))) with { Taxon = "Drosera capensis" }));
        Assert.Equal((EntryKinds.Tray, Unit.Cm), (taps[0].Kind, taps[0].Ask));
        Assert.Equal("empty", taps[1].Text);
    }

    [Fact]
    public void The_signs_of_the_habit_belong_to_the_phase()
    {
        var growing = Labels("Pinguicula moranensis", At("2031-03-20", EntryKinds.SummerLeaves), At(Today, EntryKinds.Tray, Cm(2)));
        var resting = Labels("Pinguicula moranensis", At("2031-05-01", EntryKinds.WinterRosette), At("2031-05-02", EntryKinds.Moved));
        Assert.Contains("Winter rosette", growing);
        Assert.DoesNotContain("Winter rosette", resting);
        Assert.Contains("Summer leaves", resting);
    }

    [Fact]
    public void Each_organ_that_is_followed_has_a_number_of_its_own()
    {
        var plant = Lycaste(
            At(Today.AddDays(-3), EntryKinds.Watered),
            At("2031-04-01", EntryKinds.SpikeStarted).Of("s31"),
            At("2031-05-20", EntryKinds.SpikeLength, Cm(9)).Of("s31"),
            At("2031-04-10", EntryKinds.SpikeStarted).Of("s31b"),
            At("2031-05-20", EntryKinds.SpikeLength, Cm(4)).Of("s31b")
        ) with
        {
            Taxon = "Cattleya intermedia",
            Organs = [new("s31", "spike", "2031"), new("s31b", "spike", "2031 b")],
        };
        Assert.Equal(
            ["s31", "s31b"],
            LikelyEntries.For(Assess(plant)).Where(tap => tap.Kind == EntryKinds.SpikeLength).Select(tap => tap.Organ).Order()
        );
    }

    [Fact]
    public void No_two_buttons_log_the_same_and_there_are_never_more_than_nine()
    {
        foreach (var sheet in CultureSheets.Shipped.All.Where(sheet => sheet.Genera.Count > 0))
        {
            var taps = LikelyEntries.For(
                Assess(
                    Lycaste(At("2031-04-01", EntryKinds.GrowthStarted), At("2031-05-20", EntryKinds.GrowthHeight, Cm(9))) with
                    {
                        Sheet = sheet.Name,
                    }
                )
            );
            Assert.InRange(taps.Count, 1, 9);
            Assert.Equal(taps.Count, taps.DistinctBy(tap => (tap.Kind, tap.Text, tap.Organ, tap.Amount)).Count());
            Assert.All(taps.Where(tap => tap.Ask is null), tap =>
                Assert.Null(EntryCheck.Fault(tap.Kind, Today, tap.Amount, tap.Text, Today))
            );
        }
    }

    static IEnumerable<string> Labels(string taxon, params Entry[] entries) =>
        LikelyEntries.For(Assess(Lycaste(entries) with { Taxon = taxon }, night: new(17, Today))).Select(tap => tap.Label);
}

/// <summary>A rest from its beginning to its end.</summary>
public class RestStateTests
{
    static RestState? Rest(string taxon, params Entry[] entries) => Assess(Lycaste(entries) with { Taxon = taxon }).Situation!.Rest;

    [Fact]
    public void It_knows_how_it_is_kept_when_it_was_felt_and_when_its_kind_wakes()
    {
        var rest = Rest(
            "Caladium bicolor",
            At("2030-10-25", EntryKinds.LeavesGone),
            At("2030-10-29", EntryKinds.Stored, text: "a paper bag"),
            At("2031-02-01", EntryKinds.Tuber, text: "firm")
        )!;
        Assert.Equal(
            (new DateOnly(2030, 10, 25), true, new DateOnly(2031, 2, 1), "firm", new DateOnly(2031, 3, 15)),
            (rest.Since, rest.Lifted, rest.Checked, rest.Feel!.Text, rest.Wakes)
        );
    }

    [Fact]
    public void A_tuber_in_its_pot_is_not_lifted() =>
        Assert.False(
            Rest(
                "Sinningia speciosa",
                At("2030-10-25", EntryKinds.LeavesGone),
                At("2030-10-28", EntryKinds.Stored, text: "in the pot, barely damp")
            )!.Lifted
        );

    [Fact]
    public void A_shoot_ends_it_whatever_the_date() =>
        Assert.Null(Rest("Caladium bicolor", At("2030-10-25", EntryKinds.LeavesGone), At("2030-12-20", EntryKinds.GrowthStarted)));

    [Fact]
    public void In_the_south_it_wakes_half_a_year_later()
    {
        var plant = Lycaste(At("2031-04-25", EntryKinds.LeavesGone)) with { Taxon = "Caladium bicolor" };
        var south = Around with { Garden = new("South", -33.9, 18.4, "Africa/Johannesburg") };
        Assert.Equal(new DateOnly(2031, 9, 15), Assessor.Shipped.Assess(plant, south, Today).Situation!.Rest!.Wakes);
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Core.Measuring;
using BudClock.Core.Round;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Situations;

/// <summary>What growers complained of, each in their words, and that it is so no more.</summary>
public class ComplaintsTests
{
    static void Signed(string kind, string day, string log, string verdicts)
    {
        var situation = Situated.Read($"it | {kind} | {day} | {log} | {verdicts} | as complained of");
        var said = situation.Assess();
        Assert.All(situation.Verdicts, verdict =>
            Assert.True(
                verdict.Holds(said),
                $"not \"{verdict.Text}\":\n{string.Join("\n", said.Settled.Select(a => $"{a.Verdict} {a.Topic}: {a.Reason}"))}"
            )
        );
    }

    [Theory]
    [
        InlineData("Hoya carnosa"),
        InlineData("Oncidium sphacelatum"),
        InlineData("Phalaenopsis amabilis"),
        InlineData("Alocasia zebrina"),
        InlineData("Clivia miniata")
    ]
    public void It_was_limp_in_a_wet_pot_and_I_was_told_to_water_it(string kind) =>
        Signed(
            $"{kind}; bark; indoors; nights 18",
            "2031-06-14",
            "05-20 leaf started, 06-10 watered, 06-14 leaves limp, 06-14 medium wet",
            "look health; never do water; hold feed"
        );

    [Theory]
    [InlineData("base soft"), InlineData("base smelling"), InlineData("rot crown")]
    public void I_wrote_that_it_rots_and_nobody_answered(string sign) =>
        Signed(
            "Cattleya labiata; bark; indoors; nights 18",
            "2031-06-14",
            $"06-10 watered, 06-14 {sign}, 06-14 medium dry",
            "do health; never do water; never do feed"
        );

    [Fact]
    public void I_counted_no_roots_and_it_was_watered_and_fed() =>
        Signed(
            "Cattleya labiata; bark; indoors; nights 18",
            "2031-06-14",
            "06-01 growth started, 06-14 root count 0, 06-14 medium dry",
            "never do water; never do feed; phase recovering"
        );

    [Fact]
    public void It_stood_at_five_degrees_and_was_given_a_full_feed() =>
        Signed(
            "Phalaenopsis amabilis; bark; glasshouse; nights 5",
            "2031-06-14",
            "06-01 leaf started, 06-14 medium dry",
            "never do feed; do/look move; never do water"
        );

    [Fact]
    public void Frost_was_forecast_and_the_forecast_was_only_kept() =>
        Signed("Phalaenopsis amabilis; bark; outdoors; nights 15; forecast 14 1 -1", "2031-09-14", "06-01 leaf started", "do move");

    [Fact]
    public void One_old_yellow_leaf_in_July_sent_my_tuber_to_rest() =>
        Signed(
            "Caladium bicolor; indoors; nights 20",
            "2031-07-10",
            "05-10 leaf started, 07-08 leaves yellowing, 07-10 leaves limp, 07-10 medium dry",
            "do water; never do rest; never hold water"
        );

    [Fact]
    public void I_bought_it_bare_in_February_and_it_was_watered_through() =>
        Signed("Caladium bicolor; indoors; nights 16", "2031-02-10", "01-20 watered, 02-10 medium dry", "never do water; never do feed");

    [Fact]
    public void Bulbs_that_were_shrivelled_two_years_ago_are_todays_emergency() =>
        Signed(
            "Lycaste aromatica; bark; glasshouse; nights 14",
            "2031-05-24",
            "2029-05-01 bulbs shrivelled, 2030-11-20 leaves gone, 05-01 growth started, 05-22 root length 3 cm",
            "hold first-soak; never do first-soak"
        );

    [Fact]
    public void I_topped_it_up_and_an_hour_later_it_was_still_low() =>
        Signed("Oncidium sphacelatum; leca; indoors; nights 18", "2031-06-14", "06-14 reservoir 0 cm, 06-14 topped up", "never do water");

    [Fact]
    public void The_command_line_knows_nothing_of_my_trays()
    {
        var sundew = new Plant
        {
            Tag = "D-1",
            Taxon = "Drosera capensis",
            Vessel = "t",
            Place = "here",
            Pot = new(9, 9, "plastic"),
            Entries = [At(Today, EntryKinds.Medium, text: "dry")],
        };
        var garden = new GardenRecord(Around.Garden, [new("here", "Here", "indoors")], [sundew, sundew with { Tag = "D-2" }], [], [])
        {
            Vessels = [new("t", "Tray", Vessel.Tray, "here")],
        };
        Assert.All(new GardenAssessed(garden, Today).Plants, plant => Assert.Contains("\"act\": \"fill-tray\"", AdviceJson.Write(plant)));
    }

    [Fact]
    public void A_yellow_leaf_on_a_bog_plant_was_told_to_dry() =>
        Signed(
            "Drosera capensis; indoors; nights 16",
            "2031-06-14",
            "06-01 leaf started, 06-14 leaves yellowing, 06-14 tray 2 cm",
            "never look health says dry; never do water says dry"
        );

    [Fact]
    public void The_feed_was_promised_to_a_plant_on_its_way_to_rest() =>
        Signed(
            "Catasetum macrocarpum; bark; glasshouse; nights 16",
            "2031-11-10",
            "04-20 growth started, 10-01 growth matured, 11-01 leaves yellowing, 11-05 leaf dropped, 11-10 medium dry",
            "never do feed"
        );

    [Fact]
    public void Two_things_were_wrong_and_only_the_first_was_said() =>
        Signed(
            "Phalaenopsis amabilis; bark; glasshouse; nights 5",
            "2031-06-14",
            "06-01 leaf started, 06-14 rot crown, 06-14 pest scale",
            "do health act cut-out; do/look move; do/look health act treat"
        );

    [Fact]
    public void The_tuber_was_mouldy_and_I_should_feel_it_again_in_a_month() =>
        Signed(
            "Caladium bicolor; store; nights 18",
            "2031-01-10",
            "2030-11-20 leaves gone, 2030-12-10 stored, 01-10 tuber mouldy",
            "do health/rest; never do water"
        );

    [Fact]
    public void I_found_scale_and_heard_nothing() =>
        Signed("Hoya carnosa; bark; indoors; nights 18", "2031-06-14", "06-14 pest scale", "do/look health says label");

    [Fact]
    public void It_was_burnt_and_I_was_told_to_give_it_morning_sun() =>
        Signed(
            "Phalaenopsis amabilis; bark; outdoors; nights 16",
            "2031-06-14",
            "06-10 moved out, 06-14 leaves scorched",
            "do/look move; never do move says a step more"
        );

    [Fact]
    public void A_spike_that_ends_in_bloom_was_called_slow()
    {
        Entry Spike(int day, double cm) => At(new DateOnly(2031, 4, 1).AddDays(day), EntryKinds.SpikeLength, Cm(cm)) with { Organ = "s" };
        var plant = Lycaste([
            At("2031-03-28", EntryKinds.SpikeStarted) with
            {
                Organ = "s",
            },
            Spike(0, 4),
            Spike(7, 9),
            Spike(14, 14),
            Spike(21, 17),
            Spike(28, 18),
            At("2031-05-01", EntryKinds.BloomOpened) with
            {
                Organ = "s",
            },
        ]) with
        {
            Taxon = "Phalaenopsis amabilis",
            Organs = [new("s", Organ.Spike, "2031")],
        };
        Assert.DoesNotContain(Assess(plant).Situation.Series, series =>
            Pace.Read(series)?.Kind is PaceKind.Slow or PaceKind.Stalled && series.Moves
        );
        Assert.DoesNotContain(Assess(plant).Settled, advice => advice.Reason.Contains("stalled", StringComparison.OrdinalIgnoreCase));
    }

    [Fact]
    public void A_bare_plant_at_rest_was_to_get_almost_half_a_litre() =>
        Signed(
            "Clivia miniata; bark; indoors; nights 10; pot 20",
            "2031-01-10",
            "07-01 watered 450 mL, 07-15 watered 450 mL, 08-01 watered 450 mL, 01-10 medium dry",
            "never do water says 450"
        );

    [Theory]
    [
        InlineData("African violet", "rosette-gesneriad"),
        InlineData("Begonia", "begonia"),
        InlineData("cyclamen", "cyclamen"),
        InlineData("x Laeliocattleya", null)
    ]
    public void My_plant_had_no_sheet(string typed, string? sheet)
    {
        var found = CultureSheets.Shipped.Search(typed);
        Assert.NotEmpty(found);
        if (sheet is not null)
            Assert.Equal(sheet, found[0].Sheet.Name);
    }

    [Fact]
    public void Not_even_a_slip_of_the_pen_was_understood() =>
        Assert.Contains(CultureSheets.Shipped.Search("Phalenopsis"), found => found.Taxon == "Phalaenopsis");

    [Fact]
    public void The_sitter_was_sent_to_a_plant_that_rots()
    {
        Plant Hoya(string tag, params Entry[] entries) =>
            new()
            {
                Tag = tag,
                Taxon = "Hoya carnosa",
                Place = "sill",
                Pot = new(12, 12, "plastic"),
                Entries = [At(Today.AddDays(-4), EntryKinds.Watered), .. entries],
            };
        var plants = new[] { Assess(Hoya("H-1")), Assess(Hoya("H-2", At(Today, EntryKinds.Rot, text: "base"))) };
        var sheet = SitterSheet.Of(plants, [new("sill", "Sill", "indoors")], [], Today.AddDays(3), 14);
        Assert.Equal(Today.AddDays(3), sheet.From);
        Assert.Equal("H-1", Assert.Single(sheet.Places.Single().Rows).Plant.Plant.Tag);
        Assert.Equal("ill, no water", Assert.Single(sheet.Places.Single().Leave).Do);
    }

    [Fact]
    public void It_asked_again_about_today() =>
        Signed(
            "Hoya carnosa; bark; indoors; nights 18",
            "2031-06-14",
            "05-01 watered, 05-15 watered, 06-01 watered",
            "never hold water says about today"
        );

    [Fact]
    public void Nobody_sent_me_back_to_what_I_had_divided() =>
        Signed("Clivia miniata; bark; indoors; nights 16", "2031-06-25", "06-01 divided, 06-21 watered", "look second-look");
}

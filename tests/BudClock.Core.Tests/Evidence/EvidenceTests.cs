using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Evidence;

/// <summary>What is read from journals and weather, at the edges where a day or a degree more makes another answer.</summary>
public class EvidenceTests
{
    static readonly Garden Glass = new("Glass", 51.5, 0.7, "Europe/London");

    static DateTimeOffset At(int back, int hour) => new(Today.AddDays(-back), new(hour, 0), TimeSpan.Zero);

    static ClimateReading Reading(int back, int hour, double? celsius, double? humidity = null, string place = "here") =>
        new(place, At(back, hour), celsius, humidity);

    static Weather WeatherHere(IReadOnlyList<ClimateReading> readings, IReadOnlyList<ForecastDay> forecast) =>
        PlaceWeathers.Of(new(Glass, [new("here", "Here", "glasshouse")], [], readings, forecast), Today).At("here");

    [Fact]
    public void Weather_is_that_of_its_place_by_garden_days_the_newest_first()
    {
        var weather = WeatherHere(
            [
                Reading(0, 1, 9, 80),
                Reading(0, 2, 8, 90),
                Reading(0, 12, 21, 40),
                Reading(1, 2, 11),
                Reading(1, 13, 25),
                Reading(1, 14, null, 50),
                Reading(13, 2, 6),
                Reading(14, 2, 1), // too long ago
                Reading(-1, 2, 2), // still to come
                Reading(0, 2, -5, 10, "elsewhere"),
            ],
            [
                new("here", Today.AddDays(1), 4, 12),
                new("here", Today, 7, 15),
                new("here", Today.AddDays(-1), 1, 2),
                new("elsewhere", Today, -9, 0),
            ]
        );
        Assert.Equal([(8, 0), (11, 1), (6, 13)], weather.Nights.Select(n => ((int)n.Value, Today.DayNumber - n.On.DayNumber)));
        Assert.Equal([(21, 0), (25, 1), (6, 13)], weather.Days.Select(n => ((int)n.Value, Today.DayNumber - n.On.DayNumber)));
        Assert.Equal([(70, 0), (50, 1)], weather.Humidity.Select(n => ((int)n.Value, Today.DayNumber - n.On.DayNumber)));
        Assert.Equal([Today, Today.AddDays(1)], weather.Ahead.Select(day => day.On));
        Assert.Equal(8, weather.CoolestNight(Today, 7)!.Value);
        Assert.Equal(6, weather.CoolestNight(Today, 14)!.Value);
        Assert.Equal((2, 25d), (weather.HotDays(Today, 7, 20).Count, weather.HotDays(Today, 7, 20).Warmest!.Value));
    }

    [Fact]
    public void A_forecast_counts_to_its_last_day_and_only_beyond_the_limit()
    {
        var weather = Weather.Unknown with { Ahead = [new(Today, 5, 9), new(Today.AddDays(3), 2, 9), new(Today.AddDays(4), 21, 30)] };
        Assert.Null(weather.FirstBelow(5, Today, 3));
        Assert.Equal(Today.AddDays(3), weather.FirstBelow(5, Today, 4)!.On);
        Assert.Equal(Today, weather.FirstBelow(5.1, Today, 3)!.On);
        Assert.Null(weather.FirstWarmNight(20, Today, 4));
        Assert.Null(weather.FirstWarmNight(21, Today, 9));
        Assert.Equal(Today.AddDays(4), weather.FirstWarmNight(20, Today, 5)!.On);
    }

    static RotCase? Rot(params Entry[] entries) => Specimens.Assess(Specimens.Lycaste(entries)).Situation.Rot;

    static Entry Seen(int back, EntryKind kind, string? text = null, double? count = null) =>
        Specimens.At(
            Today.AddDays(-back),
            kind,
            count is { } n ? new Quantity(n, kind == EntryKinds.RootLength ? Unit.Cm : null) : null,
            text
        );

    [Fact]
    public void Roots_seen_once_more_to_be_gone_are_gone_since_they_were_lost()
    {
        DateOnly? Since(params Entry[] log) =>
            Specimens.Assess(Specimens.Lycaste(log) with { Taxon = "Cattleya intermedia" }).Situation.Roots.NoneSince;
        var (lost, none) = (Seen(80, EntryKinds.RootsLost), Seen(20, EntryKinds.RootCount, count: 0));
        Assert.Equal(Today.AddDays(-80), Since(lost, none));
        Assert.Equal(Today.AddDays(-80), Since(lost, none, Seen(5, EntryKinds.RootsStarted)));
        Assert.Equal(Today.AddDays(-20), Since(lost, Seen(40, EntryKinds.RootsStarted), none)); // lost again
        Assert.Null(Since(Seen(80, EntryKinds.RootCount, count: 2)));
    }

    [Fact]
    public void Rotted_roots_are_over_with_new_roots_after_they_were_treated_and_not_with_a_firm_base()
    {
        var (rot, cut) = (Seen(20, EntryKinds.Rot, "roots"), Seen(18, EntryKinds.Treated, "dead roots off"));
        Assert.True(Rot(rot, cut)!.Open);
        Assert.True(Rot(rot, cut, Seen(1, EntryKinds.Base, "firm"))!.Open);
        Assert.False(Rot(rot, cut, Seen(1, EntryKinds.RootCount, count: 3))!.Open);
        Assert.False(Rot(rot, cut, Seen(1, EntryKinds.RootLength, count: 2))!.Open);
        Assert.False(Rot(rot, cut, Seen(1, EntryKinds.RootsStarted))!.Open);
        Assert.True(Rot(rot, cut, Seen(1, EntryKinds.RootCount, count: 0))!.Open);
        Assert.True(Rot(rot, Seen(1, EntryKinds.RootCount, count: 3))!.Open); // nobody cut anything
        Assert.True(Rot(rot, Seen(1, EntryKinds.RootsStarted))!.Open);
        Assert.True(Rot(rot, Seen(20, EntryKinds.Treated), Seen(20, EntryKinds.RootCount, count: 3))!.Open); // that same day
        Assert.True(Rot(rot, Seen(20, EntryKinds.Treated), Seen(20, EntryKinds.RootsStarted))!.Open);
        var stem = Seen(20, EntryKinds.Rot, "stem");
        Assert.True(Rot(stem, cut, Seen(1, EntryKinds.RootCount, count: 3))!.Open); // roots say nothing of a stem
        Assert.True(Rot(stem, cut, Seen(1, EntryKinds.RootsStarted))!.Open);
    }

    [Fact]
    public void A_firm_base_ends_rot_on_a_later_day_and_on_the_same_part()
    {
        var soft = Seen(9, EntryKinds.Base, "soft");
        Assert.False(Rot(soft, Seen(8, EntryKinds.Base, "firm"))!.Open);
        Assert.True(Rot(soft, Seen(9, EntryKinds.Base, "firm"))!.Open);
        Assert.True(Rot(soft.Of("a"), Seen(8, EntryKinds.Base, "firm").Of("b"))!.Open);
        Assert.False(Rot(soft.Of("a"), Seen(8, EntryKinds.Base, "firm").Of("a"))!.Open);
        Assert.False(Rot(soft.Of("a"), Seen(8, EntryKinds.Base, "firm"))!.Open);
        Assert.False(Rot(soft, Seen(8, EntryKinds.Base, "firm").Of("b"))!.Open);
    }

    [Fact]
    public void Repotting_and_another_word_of_rot_end_nothing_and_words_do()
    {
        var rot = Seen(9, EntryKinds.Rot);
        Assert.Equal("rot", rot.Text is null ? Rot(rot)!.Words : "");
        Assert.True(Rot(rot, Seen(5, EntryKinds.Repotted, "clean bark"))!.Open);
        Assert.NotNull(Rot(rot, Seen(5, EntryKinds.Repotted, "clean bark"))!.Treated);
        Assert.True(Rot(rot, Seen(5, EntryKinds.Looked, "same"))!.Open);
        Assert.False(Rot(rot, Seen(5, EntryKinds.Treated, "cut clean"))!.Open);
        Assert.NotNull(Rot(rot, Seen(5, EntryKinds.Treated, "cut clean"))!.Treated);
        Assert.Equal(Today.AddDays(-5), Rot(rot, Seen(5, EntryKinds.Rot, "brown at the eye"))!.Sign.On);
        Assert.Equal("rot", Rot(Seen(3, EntryKinds.Inspected, "rotten at the base"))!.Words);
        Assert.Equal("base soft", Rot(Seen(3, EntryKinds.Base, "soft"))!.Words);
        Assert.NotNull(Rot(Seen(3, EntryKinds.Rot, "crown gone soft")));
        Assert.Null(Rot(Seen(3, EntryKinds.Rot, "healed over")));
    }

    static Interval Of(string taxon, Func<Plant, Plant>? change = null, Surroundings? around = null) =>
        Interval.Read(
            Assessor
                .Shipped.Assess(
                    (change ?? (p => p))(
                        new Plant
                        {
                            Tag = "A-1",
                            Taxon = taxon,
                            Pot = new(12, 12, "plastic"),
                            Medium = "moss",
                        }
                    ),
                    around ?? Around,
                    Today
                )
                .Situation
        );

    static Surroundings Warmest(double celsius, string setting = "indoors") =>
        Around with
        {
            Place = new("here", "Here", setting),
            Weather = Weather.Unknown with { Days = [new(celsius, Today)] },
        };

    [Fact]
    public void Clay_small_pots_and_heat_shorten_an_interval_and_cool_days_lengthen_it()
    {
        var plain = Of("Hoya carnosa");
        double Share(Func<Plant, Plant> change) => Math.Round(Of("Hoya carnosa", change).To / plain.To, 3);
        Assert.Equal(0.8, Share(p => p with { Pot = new(12, 12, "clay") }));
        Assert.Equal(0.8, Share(p => p with { Pot = new(8.9, 9, "plastic") }));
        Assert.Equal(1, Share(p => p with { Pot = new(9, 9, "plastic") }));
        Assert.Equal(1, Share(p => p with { Pot = new(18, 18, "plastic") }));
        Assert.Equal(1.25, Share(p => p with { Pot = new(19, 18, "plastic") }));
        Assert.Equal(0.64, Share(p => p with { Pot = new(8, 9, "clay") }));
        double In(double celsius, string medium = "moss", string setting = "indoors") =>
            Math.Round(Of("Hoya carnosa", p => p with { Medium = medium }, Warmest(celsius, setting)).From / plain.From, 3);
        Assert.Equal([1, 0.5, 0.5, 0.3], [In(22), In(34), In(34, "bark"), In(34, "bark", "glasshouse")]);
        Assert.Equal([0.5, 0.3], [In(34, "moss", "glasshouse"), In(34, "orchid Bark", "outdoors")]);
        Assert.True(In(28) == 0.75 && In(10) == 1.5, $"{In(28)} {In(10)}");
        Assert.True(plain.From < plain.To);
    }

    [Fact]
    public void A_mount_dries_in_days_whatever_its_kind_and_an_unknown_kind_has_a_wide_guide()
    {
        Assert.Equal(
            (1d, 3d),
            (
                Of("Oncidium sphacelatum", p => p with { Medium = "cork mount" }).From,
                Of("Oncidium sphacelatum", p => p with { Medium = "cork mount" }).To
            )
        );
        Assert.Equal(
            (1d, 3d),
            (
                Of("Vanda tricolor", p => p with { Pot = new(12, 12, "basket") }).From,
                Of("Vanda tricolor", p => p with { Pot = new(12, 12, "basket") }).To
            )
        );
    }

    static Levels Tray(bool stands, params Entry[] entries) =>
        Levels.Read(PlantJournal.UpTo(Today, entries), stands ? EntryKinds.Tray : EntryKinds.Reservoir, stands, true, 2, Today);

    static Entry Level(int back, double cm, bool stands = true) =>
        Specimens.At(Today.AddDays(-back), stands ? EntryKinds.Tray : EntryKinds.Reservoir, Cm(cm));

    [Fact]
    public void A_level_at_its_limit_is_low_and_the_same_level_again_is_no_fall()
    {
        Assert.NotNull(Tray(true, Level(1, 0.5)).Low);
        Assert.Null(Tray(true, Level(1, 0.6)).Low);
        Assert.NotNull(Tray(false, Level(1, 2, false)).Low);
        Assert.Null(Tray(false, Level(1, 2.1, false)).Low);
        Assert.Equal(1, Tray(true, Level(9, 4), Level(8, 4), Level(6, 2)).Falls.Single().CmPerDay);
        Assert.Empty(Tray(true, Level(6, 4), Level(6, 2)).Falls); // on one day nothing is told of days
        Assert.Equal(1.5, Tray(true, Level(9, 6), Level(8, 5), Level(7, 3)).CmPerDay); // the middle of 1 and 2
        Assert.Equal("empty", new LevelSeen(0, Today).Words);
        Assert.Equal("2.5 cm", new LevelSeen(2.5, Today).Words);
    }

    [Fact]
    public void Fillings_teach_from_the_second_interval_on_and_a_sprinkling_fills_no_tray()
    {
        Entry Fill(int back) => Specimens.At(Today.AddDays(-back), EntryKinds.ToppedUp);
        Assert.Null(Tray(true, Fill(20), Fill(12)).RefillDays);
        Assert.Equal(7, Tray(true, Fill(20), Fill(12), Fill(6)).RefillDays);
        Assert.Null(Tray(true, Fill(20), Fill(12), Fill(12)).RefillDays); // twice on a day is one filling
        Assert.Null(Tray(true, Specimens.At(Today, EntryKinds.Watered)).Filled);
        Assert.NotNull(Tray(false, Specimens.At(Today, EntryKinds.Watered)).Filled);
        Assert.NotNull(Tray(false, Specimens.At(Today, EntryKinds.Repotted)).Filled);
        Assert.Equal(5, Tray(true, Fill(40), Fill(10), Fill(7), Fill(2)).RefillDays);
    }

    static WaterNeed Need(Plant plant) =>
        WaterNeed.Of(
            Assessor.Shipped.Assess(plant with { Taxon = "Cattleya intermedia" }, new Surroundings(new("Glass", 51.5)), Today).Situation
        );

    [Theory]
    [InlineData("bark", 0.35)]
    [InlineData("Sphagnum MOSS", 0.25)]
    [InlineData("semi-hydro", 0.2)]
    [InlineData("gritty mix", 0.25)]
    [InlineData("water", 0.25)]
    [InlineData(null, 0.2)]
    public void A_watering_takes_a_share_of_the_pot_by_its_medium(string? medium, double share)
    {
        var plant = new Plant
        {
            Tag = "A-1",
            Pot = new(10, 10, "plastic"),
            Medium = medium,
        };
        var need = Need(plant);
        Assert.Equal(plant.Pot!.VolumeMl!.Value * share, need.Ml, 6);
        Assert.StartsWith("about ", need.Words());
        Assert.Equal(plant.Pot.VolumeMl.Value / 2, WaterNeed.OfTray(plant).Ml, 6);
        Assert.Equal(100, WaterNeed.OfTray(plant with { Pot = null }).Ml);
        Assert.False(WaterNeed.OfTray(plant).Own);
        var own = Need(plant with { Entries = [Specimens.At(Today, EntryKinds.Watered, new Quantity(140, Unit.Ml))] });
        Assert.Equal("140 mL", own.Words());
    }

    [Fact]
    public void Hot_is_a_hot_night_or_a_hot_spell_and_danger_begins_below_its_limit()
    {
        var temper = new Temper(new(5, Today), 10, 5, null, null, null, null, null, null, null, null);
        Assert.Equal((true, false, false), (temper.Cold, temper.Danger, temper.Hot));
        Assert.True((temper with { Night = new(4.9, Today) }).Danger);
        Assert.False((temper with { Night = new(10, Today) }).Cold);
        Assert.True((temper with { HotNight = new(24, Today) }).Hot);
        Assert.True((temper with { HotDay = new(36, Today) }).Hot);
    }

    static Entry Log(int back, EntryKind kind, string? text = null) => Specimens.At(Today.AddDays(-back), kind, null, text);

    static DryRest Rest(params Entry[] entries) => Assess(Lycaste(entries) with { Taxon = "Catasetum pileatum" }).Situation.DryRest;

    [Fact]
    public void A_dry_rest_ends_with_a_sign_of_that_day_and_a_growth_after_sixty_dry_days_ends_one_that_nobody_logged()
    {
        Assert.Equal(Today.AddDays(-9), Rest(Log(9, EntryKinds.LeavesGone), Log(9, EntryKinds.GrowthStarted)).Woke);
        var height = Specimens.At(Today.AddDays(-3), EntryKinds.GrowthHeight, Cm(0));
        Assert.Null(Rest(Log(9, EntryKinds.LeavesGone), height).Woke);
        Assert.Equal(height.On, Rest(Log(9, EntryKinds.LeavesGone), height with { Amount = Cm(0.5) }).Woke);
        Assert.NotNull(Rest(Log(9, EntryKinds.LeavesGone), Log(5, EntryKinds.GrowthStarted), Log(5, EntryKinds.Watered)).FirstWater);
        Assert.NotNull(Rest(Log(5, EntryKinds.GrowthStarted)).Woke);
        Assert.NotNull(Rest(Log(65, EntryKinds.Watered), Log(5, EntryKinds.GrowthStarted)).Woke); // sixty days to the day
        Assert.Null(Rest(Log(64, EntryKinds.Watered), Log(5, EntryKinds.GrowthStarted)).Woke);
        Assert.NotNull(Rest(Log(5, EntryKinds.Watered), Log(5, EntryKinds.GrowthStarted)).Woke); // watered for it
    }

    static Situation Limp(int back, params Entry[] more) =>
        Assess(Lycaste([Log(back, EntryKinds.Leaves, "limp"), .. more]) with { Taxon = "Hoya carnosa" }).Situation;

    [Fact]
    public void A_sign_is_weighed_to_the_last_day_of_its_age_and_then_forgotten()
    {
        var ages = Limp(0).Ages;
        Assert.NotEqual(ThirstKind.Forgotten, Limp(ages.Limp).Thirst.Kind);
        Assert.Equal(ThirstKind.Forgotten, Limp(ages.Limp + 1).Thirst.Kind);
        var bulbs = Assess(Lycaste(Log(ages.Bulbs, EntryKinds.Bulbs, "wrinkled")) with { Taxon = "Cattleya labiata" }).Situation;
        Assert.NotEqual(ThirstKind.Forgotten, bulbs.Thirst.Kind);
        Assert.NotNull(bulbs.Thirst.Sign);
    }

    [Fact]
    public void Limp_again_after_a_watering_for_it_is_an_alarm_and_the_newest_of_two_signs_is_weighed()
    {
        Entry[] again = [Log(9, EntryKinds.Leaves, "limp"), Log(8, EntryKinds.Watered)];
        Assert.Equal(ThirstKind.RootAlarm, Limp(0, again).Thirst.Kind);
        Assert.Equal(ThirstKind.Unfelt, Limp(0, Log(8, EntryKinds.Watered)).Thirst.Kind);
        Assert.Equal(ThirstKind.Unfelt, Limp(0, Log(9, EntryKinds.Leaves, "firm"), Log(8, EntryKinds.Watered)).Thirst.Kind);
        var two = Assess(
            Lycaste(Log(2, EntryKinds.Bulbs, "wrinkled"), Log(1, EntryKinds.Leaves, "pliable")) with
            {
                Taxon = "Cattleya labiata",
            }
        ).Situation.Thirst;
        Assert.Equal(EntryKinds.Leaves, two.Sign!.Kind);
    }

    [Theory]
    [InlineData("rot", "V2", "rot (stem)", "nothing until it is cut clean and firm again")]
    [InlineData("pest", "H1", "thrips were found yesterday", "no feed until it is clear of them")]
    [InlineData("wet", "V7", "the medium was wet", "leave it")]
    public void What_a_guard_stops_is_told_with_what_was_seen_and_what_to_do(string danger, string rule, string seen, string then)
    {
        var sign = danger switch
        {
            "rot" => Log(1, EntryKinds.Rot, "stem"),
            "pest" => Log(1, EntryKinds.Pest, "thrips"),
            _ => Log(1, EntryKinds.Medium, "wet"),
        };
        var now = Assess(Lycaste(sign) with { Taxon = "Hoya carnosa" }).Situation;
        var guard = Guards.All.Single(guard => guard.Rule == rule && guard.Name == (danger == "pest" ? "pests" : danger));
        var stop = guard.Stop(now, danger == "pest" ? Care.Feed : Care.GiveWater)!;
        Assert.Contains(seen, stop.Words);
        Assert.Contains(then, stop.Then);
        var condition = Assert.Single(stop.Evidence);
        Assert.Equal((false, (DateOnly?)Today.AddDays(-1)), (condition.Met, condition.Seen));
        Assert.Equal(
            danger == "pest" ? "pests"
                : danger == "wet" ? "medium"
                : "rot",
            condition.Name
        );
        if (danger == "wet")
            Assert.Contains("next water", guard.Stop(now, Care.Feed)!.Then);
    }
}

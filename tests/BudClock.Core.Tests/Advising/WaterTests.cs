using BudClock.Core.Advising;
using BudClock.Core.Advising.Resting;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Core.Round;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Own rhythm, shared trays, changed sheets, the sitter's sheet, and how rules that differ are settled.</summary>
public class WaterTests
{
    [Theory] // FAO Irrigation and Drainage Paper 56, annex 2 (from memory); psychrolib agrees to 0.1 %
    [InlineData(10, 1.228)]
    [InlineData(20, 2.338)]
    [InlineData(25, 3.168)]
    [InlineData(30, 4.243)]
    public void Saturation_vapour_pressure_is_that_of_the_tables(double celsius, double kPa) =>
        Assert.Equal(kPa, Vpd.SaturationKPa(celsius), 0.002);

    [Theory] // by definition from the same table
    [InlineData(25, 60, 1.27)]
    [InlineData(20, 80, 0.47)]
    public void Vapour_pressure_deficit_is_what_is_missing_to_saturation(double celsius, double humidity, double kPa) =>
        Assert.Equal(kPa, Vpd.KPa(celsius, humidity), 0.005);

    /// <summary>Watered again and again without a sign teaches when to look; that a limp leaf is thirst it does not teach.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(5)]
    public void Who_waters_daily_is_not_told_to_water_what_hangs_over_a_medium_that_nobody_felt(int daysAgo)
    {
        Entry[] daily =
        [
            .. Enumerable.Range(daysAgo, 12).Select(back => At(Today.AddDays(-back), EntryKinds.Watered, new Quantity(200, Unit.Ml))),
        ];
        var said = Assess(Lycaste([.. daily, At(Today, EntryKinds.Leaves, text: "limp")]) with { Taxon = "Hoya carnosa" });
        Assert.True(said.Situation.Interval.Rhythm.Practised);
        Assert.DoesNotContain(said.Settled, advice => advice is { Verdict: Verdict.Do, Topic: Topics.Water });
    }

    [Fact]
    public void A_monthly_feed_without_a_water_on_record_is_no_row_of_fed_waters()
    {
        Entry[] monthly = [.. Enumerable.Range(1, 10).Select(month => At(Today.AddDays(-30 * month), EntryKinds.Fed))];
        Assert.DoesNotContain(Assess(Lycaste(monthly) with { Taxon = "Hoya carnosa" }).Settled, advice =>
            advice.Reason.Contains("waters: this one plain", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_plant_teaches_its_own_interval_from_water_to_asking()
    {
        var rhythm = Rhythm.Read(Journal(Asking(6, 8, 7, 9, 8)), Today, 1, _ => null)!;
        Assert.Equal((8d, 6d, 9d, true), (rhythm.Days, rhythm.From, rhythm.To, rhythm.Own));
        Assert.Null(Rhythm.Read(Journal(Asking(6, 8)), Today, 1, _ => null));
    }

    [Fact]
    public void Who_waits_until_thin_leaves_hang_learns_to_water_before_they_do()
    {
        Entry[] hung =
        [
            .. Enumerable
                .Range(1, 4)
                .SelectMany(i =>
                    new[]
                    {
                        At(Today.AddDays(-10 * i), EntryKinds.Watered),
                        At(Today.AddDays(10 - (10 * i)), EntryKinds.Leaves, text: "limp"),
                    }
                )
                .OrderBy(entry => entry.On),
        ];
        Assert.Equal(
            (10d, 7d),
            (Rhythm.Read(Journal(hung), Today, 1, _ => null)!.Days, Rhythm.Read(Journal(hung), Today, 0.7, _ => null)!.Days)
        );
        double Own(string taxon) => Assess(Lycaste(hung) with { Taxon = taxon }).Situation.Interval.Rhythm.Days;
        Assert.Equal((7d, 10d), (Own("Alocasia zebrina"), Own("Hoya carnosa"))); // a vine's leaf is the sign
    }

    [Fact]
    public void Another_season_teaches_nothing_about_this_one() =>
        Assert.Null(Rhythm.Read(Journal(Asking(6, 8, 7)), Today.AddDays(120), 1, _ => null));

    [Theory]
    [InlineData(1.0, 2.0, 4)] // thirstier air, half the days
    [InlineData(1.0, 9.0, 4)] // never below half
    [InlineData(1.0, 0.5, 16)]
    [InlineData(4.0, 0.5, 16)] // never above double
    public void Drier_air_now_than_then_shortens_it_between_half_and_double(double then, double now, double days) =>
        Assert.Equal(days, Rhythm.Read(Journal(Asking(8, 8, 8)), Today, 1, day => day > Today.AddDays(-4) ? now : then)!.Days);

    [Fact]
    public void The_next_look_is_said_by_weekday()
    {
        var plant = Lycaste([.. Asking(7, 7, 7), At(Today.AddDays(-1), EntryKinds.Watered)]) with { Taxon = "Streptocarpus caulescens" };
        Assert.Equal("Watered yesterday; it is likely to ask again about Friday.", Assess(plant).Rule("W3")!.Reason); // 30 May 2031
    }

    [Fact]
    public void Stronger_ground_stands_where_rules_differ_on_one_topic()
    {
        Advice Say(string rule, Ground ground) => new(Topics.Water, rule, Care.GiveWater, Verdict.Hold, null, "x.", []) { Ground = ground };
        Assert.Equal(
            ["W15"],
            Judgement.Settle([Say("W3", Ground.Sign), Say("W15", Ground.Veto), Say("W13", Ground.Interval)]).Select(a => a.Rule)
        );
        Assert.Equal(["W11"], Judgement.Settle([Say("W15", Ground.Veto), Say("W11", Ground.Emergency)]).Select(a => a.Rule));
    }

    [Fact]
    public void One_advice_for_the_tray_names_the_one_to_take_out()
    {
        var tray = new Vessel("t", "Sill tray", Vessel.Tray);
        Plant In(string tag, string taxon, params Entry[] entries) => Lycaste(entries) with { Tag = tag, Taxon = taxon, Vessel = "t" };
        Plant[] plants =
        [
            In("PIN-01", "Pinguicula moranensis", At("2030-11-10", EntryKinds.WinterRosette), At("2031-03-20", EntryKinds.SummerLeaves)),
            In("PIN-02", "Pinguicula moranensis", At("2031-03-24", EntryKinds.SummerLeaves)),
            In("PIN-03", "Pinguicula esseriana", At("2031-05-01", EntryKinds.WinterRosette)),
            In("DRO-01", "Drosera capensis", At("2031-05-22", EntryKinds.Tray, Cm(2))),
        ];
        var garden = new GardenRecord(new("Glass", 51.5, 0.7, "Europe/London"), [], plants, [], []) { Vessels = [tray] };
        var shared = new GardenAssessed(garden, Today).Vessels.Single();
        Assert.Equal(["PIN-03"], shared.Out.Select(pair => pair.Plant.Plant.Tag));
        Assert.Equal((Topics.Tray, "W8", Verdict.Look), (shared.Advice!.Topic, shared.Advice.Rule, shared.Advice.Verdict));
        Assert.StartsWith(
            "Take out PIN-03 (Pinguicula esseriana): its winter rosette since 1 May wants to be dry (W7).",
            shared.Advice.Reason
        );
        Assert.StartsWith(
            "3 plants in Sill tray: the tray held 2 cm 2 days ago",
            shared.Said.Single(said => said.Care is Care.FillTray).Reason
        );
        // None of them says it again
        Assert.All(new GardenAssessed(garden, Today).Plants, plant => Assert.DoesNotContain(plant.Settled, a => a.Care is Care.FillTray));
    }

    [Fact]
    public void A_level_falls_at_its_rate_and_a_refill_is_no_fall()
    {
        var journal = Journal(
            At("2031-05-01", EntryKinds.Tray, Cm(4)),
            At("2031-05-05", EntryKinds.Tray, Cm(2)),
            At("2031-05-06", EntryKinds.Tray, Cm(4)),
            At("2031-05-10", EntryKinds.Tray, Cm(2)),
            At("2031-05-20", EntryKinds.Tray, Cm(4))
        );
        var levels = Levels.Read(journal, EntryKinds.Tray, stands: true, overWater: true, 0.5, new(2031, 5, 24));
        Assert.Equal(0.5, levels.CmPerDay);
        Assert.Equal(new DateOnly(2031, 5, 27), levels.AsksOn); // 3.5 cm at 0.5 cm a day
    }

    [Fact]
    public void A_changed_number_holds_for_the_sheet_or_for_one_plant_and_goes_back()
    {
        var plant = Lycaste(At(Today.AddDays(-9), EntryKinds.Watered)) with { Taxon = "Hoya carnosa", Pot = null };
        Verdict Says(params SheetChange[] changes) => Assessor.With(changes).Assess(plant, Around, Today).Rule("W3")!.Verdict;
        SheetChange[] For(string? tag) =>
            [new("wax-vine-thick", tag, "W3.every-from", 4, null), new("wax-vine-thick", tag, "W3.every-to", 6, null)];
        Assert.Equal(
            (Verdict.Hold, Verdict.Look, Verdict.Look, Verdict.Hold),
            (Says(), Says(For(null)), Says(For("lyc-01")), Says(For("HOY-99")))
        );
    }

    [Fact]
    public void A_school_can_be_chosen_for_the_whole_sheet()
    {
        var plant = Lycaste(At("2030-10-25", EntryKinds.LeavesGone)) with { Taxon = "Caladium bicolor" };
        Assert.Equal("lift-and-dry", Assess(plant, night: new(17, Today)).Rule("D3")!.School);
        Assert.Equal(
            "pot-dry",
            Assessor
                .With([new("tuber-foliage", null, TuberRestAdviser.Question, null, "pot-dry")])
                .Assess(plant, Around, Today)
                .Rule("D3")!
                .School
        );
    }

    [Theory]
    [InlineData("first-water", "Lycaste aromatica", "W1", "soak", "sip")]
    [InlineData("tuber-rest", "Caladium bicolor", "D3", "lift-and-dry", "pot-barely-damp")]
    [InlineData("after-bloom", "Zantedeschia elliottiana", "D8", "water-as-normal", "dry-rest")]
    public void Schools_run_side_by_side_on_one_journal_with_different_outcomes(
        string question,
        string taxon,
        string rule,
        string one,
        string other
    )
    {
        Entry[] log =
            rule == "W1"
                ? [At("2030-11-20", EntryKinds.LeavesGone), At(Woke, EntryKinds.GrowthStarted), Roots(Today, 16)]
                :
                [
                    At("2030-06-09", EntryKinds.BloomOpened),
                    At("2030-07-20", EntryKinds.BloomEnded),
                    At("2030-10-25", EntryKinds.LeavesGone),
                ];
        Advice Says(string school) =>
            Assess(Lycaste(log) with { Taxon = taxon, Schools = Choices.None.With(question, school) }, night: new(17, Today)).Rule(rule)!;
        Assert.Equal((one, other), (Says(one).School, Says(other).School));
        Assert.NotEqual(Says(one).Reason, Says(other).Reason);
        Assert.Contains(Says(one).Others, school => school.Name == other && school.Risks.Length > 10);
    }

    [Fact]
    public void A_sitter_is_left_only_plain_water_and_told_what_to_leave_alone()
    {
        var sheet = SitterSheet.Of(
            [
                Assess(
                    Lycaste([.. Asking(7, 7, 7), At(Today.AddDays(-4), EntryKinds.Watered)]) with
                    {
                        Tag = "STR-01",
                        Taxon = "Streptocarpus caulescens",
                    }
                ),
                Assess(WithRoots(11)),
                Assess(Lycaste(At("2030-10-25", EntryKinds.LeavesGone)) with { Tag = "CLD-01", Taxon = "Caladium bicolor" }),
            ],
            [new("south", "South bench")],
            [],
            Today,
            14
        );
        var place = sheet.Places.Single();
        Assert.Equal(
            ("STR-01", "27 May, 3 Jun"),
            (place.Rows.Single().Plant.Plant.Tag, string.Join(", ", place.Rows.Single().Days.Select(Dates.Short)))
        );
        // A first soak and a resting tuber stay with the grower
        Assert.Equal(["CLD-01", "LYC-01"], place.Leave.Select(row => row.Plant.Plant.Tag).Order());
    }

    /// <summary>Waterings, each followed by dry medium so many days later, the last of them five days before today.</summary>
    static Entry[] Asking(params int[] days)
    {
        var (on, entries) = (Today.AddDays(-5 - days.Sum()), new List<Entry>());
        foreach (var wait in days)
        {
            entries.Add(At(on, EntryKinds.Watered));
            on = on.AddDays(wait);
            entries.Add(At(on, EntryKinds.Medium, text: "dry"));
        }
        return [.. entries.Select((entry, index) => entry with { Logged = entry.Logged.AddSeconds(index) })];
    }

    static PlantJournal Journal(params Entry[] entries) => PlantJournal.UpTo(Today.AddDays(200), entries);
}

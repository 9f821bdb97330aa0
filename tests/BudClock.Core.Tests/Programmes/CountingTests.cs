using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Tests.Programmes;

/// <summary>Rules B1 and B6: what is counted, what does not count, and what a mistake costs.</summary>
public class CountingTests
{
    static readonly Garden Glass = new("Glass", 51.5, 0.7, "Europe/London");
    static readonly Place Here = new("here", "Here", "glasshouse");
    static readonly Place Warm = new("warm", "Sill", "indoors");
    static readonly DateOnly Start = new(2031, 11, 1);

    /// <summary>A clivia that was started on 1 November, and what its place's nights were from then on.</summary>
    static Assessment Clivia(DateOnly today, Func<int, double?> nights, params Entry[] log)
    {
        var days = new GardenDays(Glass);
        var readings = Enumerable
            .Range(1, 150)
            .Where(day => nights(day) is not null)
            .Select(day => new ClimateReading("here", new(Start.AddDays(day), new(3, 0), TimeSpan.Zero), nights(day), 70))
            .Concat(
                Enumerable
                    .Range(0, 150)
                    .Select(day => new ClimateReading("warm", new(Start.AddDays(day), new(3, 0), TimeSpan.Zero), 17, 50))
            );
        var records = readings.ToLookup(reading => reading.Place).ToDictionary(group => group.Key, group => PlaceRecord.Of(days, group));
        var plant = new Plant
        {
            Tag = "CLI-01",
            Taxon = "Clivia miniata",
            Place = "here",
            Acquired = new(2028, 3, 1),
            Entries = [Specimens.At(Start, EntryKinds.ProgrammeStarted, text: "cool nights"), .. log],
        };
        var around = new Surroundings(Glass)
        {
            Place = Here,
            SharedDays = days,
            Places = new(days, code => records.GetValueOrDefault(code ?? "") ?? PlaceRecord.Empty, code => code == "warm" ? Warm : Here),
            Others = [Here, Warm],
        };
        return Assessor.Shipped.Assess(plant.On(today), around, today);
    }

    static StepRun Now(Assessment plant) => plant.Situation.Programme!.Now!;

    [Fact]
    public void Of_34_nights_30_qualify_and_the_cool_step_ends_on_the_right_night()
    {
        // Nights 5, 12, 13 and 20 are warm: the thirtieth that counts is the 34th.
        static double? Nights(int day) => day is 5 or 12 or 13 or 20 ? 14 : 9;
        var before = Now(Clivia(Start.AddDays(33), Nights));
        Assert.Equal(("cool", 29, 4, 0), (before.Step.Name, before.Count, before.Missed, before.Unknown));
        var after = Clivia(Start.AddDays(34), Nights).Situation.Programme!;
        Assert.Equal(("dry", Start.AddDays(34)), (after.Now!.Step.Name, after.Before!.To));
    }

    [Fact]
    public void A_gap_is_said_and_not_counted()
    {
        var plant = Clivia(Start.AddDays(20), day => day is > 8 and < 15 ? null : 9);
        Assert.Equal((14, 6), (Now(plant).Count, Now(plant).Unknown));
        Assert.Contains(plant.Settled, advice =>
            advice.Topic == Topics.Trigger && advice.Reason.Contains("6 not measured", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Nights_are_those_of_the_place_where_it_stood()
    {
        var move = Specimens.At(Start.AddDays(10), EntryKinds.Moved) with { Sets = [new(Facts.Place, "here", "warm")] };
        var back = Specimens.At(Start.AddDays(16), EntryKinds.Moved) with { Sets = [new(Facts.Place, "warm", "here")] };
        // The night that ends on the day of the move was spent at the old place.
        Assert.Equal(14, Now(Clivia(Start.AddDays(20), _ => 9, move, back)).Count);
    }

    [Fact]
    public void A_soak_in_the_dry_weeks_is_said_at_once_with_what_it_costs()
    {
        var soaked = Start.AddDays(50);
        var plant = Clivia(soaked, _ => 9, Specimens.At(soaked, EntryKinds.Soaked));
        var said = plant.Settled.Single(advice => advice.Topic == Topics.Trigger);
        Assert.Equal(Verdict.Look, said.Verdict);
        Assert.Contains("dry days begin again, 19 days of them lost", said.Reason, StringComparison.Ordinal);
        Assert.Equal(0, Now(plant).Count);
        // It goes on from the soak, and is done 28 days after it.
        Assert.Equal(
            ("water", soaked.AddDays(28)),
            (Now(Clivia(soaked.AddDays(28), _ => 9, Specimens.At(soaked, EntryKinds.Soaked))).Step.Name, soaked.AddDays(28))
        );
        Assert.Equal("dry", Now(Clivia(soaked.AddDays(27), _ => 9, Specimens.At(soaked, EntryKinds.Soaked))).Step.Name);
    }

    [Fact]
    public void In_the_dry_weeks_no_rule_waters_a_dry_pot_whatever_else_is_logged()
    {
        foreach (var leaves in (string[])["firm", "pliable", "limp"])
            for (var day = 31; day < 58; day++)
            {
                var plant = Clivia(
                    Start.AddDays(day),
                    _ => 9,
                    Specimens.At(Start.AddDays(-20), EntryKinds.Watered),
                    Specimens.At(Start.AddDays(day), EntryKinds.Medium, text: "dry"),
                    Specimens.At(Start.AddDays(day), EntryKinds.Leaves, text: leaves)
                );
                Assert.False(plant.Does([.. Acts.Wets, .. Acts.Feeds]));
            }
    }

    [Fact]
    public void A_paused_night_does_not_count_and_an_abandoned_programme_forbids_nothing()
    {
        var paused = Clivia(
            Start.AddDays(20),
            _ => 9,
            Specimens.At(Start.AddDays(5), EntryKinds.ProgrammePaused),
            Specimens.At(Start.AddDays(15), EntryKinds.ProgrammeResumed)
        );
        Assert.Equal(10, Now(paused).Count);
        var ended = Clivia(Start.AddDays(40), _ => 9, Specimens.At(Start.AddDays(38), EntryKinds.ProgrammeEnded));
        Assert.Equal((RunState.Abandoned, null), (ended.Situation.Programme!.State, ended.Situation.Programme.Rules));
    }

    [Fact]
    public void A_lamp_at_midnight_costs_its_night_and_is_said_at_once()
    {
        var lit = new DateOnly(2031, 10, 24);
        var run = Cactus(lit, lit).Situation.Programme!.Now!;
        Assert.Equal(EntryKinds.NightLit, run.Setback!.By);
        var (with, without) = (
            Cactus(lit.AddDays(6), lit).Situation.Programme!.Now!,
            Cactus(lit.AddDays(6), null).Situation.Programme!.Now!
        );
        Assert.Equal(without.Count - 1, with.Count);
        Assert.Contains(Cactus(lit, lit).Settled, advice =>
            advice is { Topic: Topics.Trigger, Verdict: Verdict.Look } && advice.Reason.Contains("lamp", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(23, 0, 40, true)] // a lamp an hour before midnight
    [InlineData(23, 0, 0.2, false)] // the full moon
    [InlineData(18, 10, 40, false)] // twilight: the sun sets at about ten to six by summer time
    [InlineData(7, 10, 40, false)] // and rises at half past seven
    [InlineData(3, 0, 40, true)]
    public void A_lamp_that_only_the_meter_saw_costs_its_night(int hour, int minute, double lux, bool costs)
    {
        var evening = new DateOnly(2031, 10, hour < 12 ? 24 : 23);
        var at = evening.ToDateTime(new(hour, minute)).AddHours(-1); // summer time ends on the 26th
        var record = PlaceRecord.Of(new(Glass), [new("warm", new(at, TimeSpan.Zero), null, null) { Lux = lux }]);
        var (seen, dark) = (Cactus(new(2031, 10, 24), null, record), Cactus(new(2031, 10, 24), null));
        var (with, without) = (seen.Situation.Programme!.Now!, dark.Situation.Programme!.Now!);
        Assert.Equal(without.Count - (costs ? 1 : 0), with.Count);
        Assert.Equal(costs, seen.Settled.Any(advice => advice.Reason.Contains("The meter saw a lamp", StringComparison.Ordinal)));
    }

    static Assessment Cactus(DateOnly today, DateOnly? lit, PlaceRecord? record = null)
    {
        var plant = new Plant
        {
            Tag = "SCH-01",
            Taxon = "Schlumbergera truncata",
            Place = "warm",
            Acquired = new(2028, 3, 1),
            Entries =
            [
                Specimens.At(new DateOnly(2031, 10, 1), EntryKinds.ProgrammeStarted, text: "long nights"),
                .. lit is { } night ? new[] { Specimens.At(night, EntryKinds.NightLit) } : [],
            ],
        };
        var places = new ProgrammeAround(new(Glass), _ => record ?? PlaceRecord.Empty, _ => Warm);
        return Assessor.Shipped.Assess(plant, new Surroundings(Glass) { Place = Warm, Places = places }, today);
    }

    [Fact]
    public void What_is_ahead_is_a_range_that_holds_the_day_it_happens()
    {
        // Eight nights in ten are cool: after ten nights 22 are left of thirty, which takes about 27.
        static double? Nights(int day) => day % 5 == 0 ? 14 : 9;
        var plant = Clivia(Start.AddDays(10), Nights);
        var ahead = plant.Situation.Outlook.Of(plant.Situation.Programme!)[0];
        var happened = Enumerable
            .Range(11, 100)
            .First(day => Clivia(Start.AddDays(day), Nights).Situation.Programme!.Now!.Step.Name == "dry");
        Assert.InRange(Start.AddDays(happened), ahead.Earliest!.Value, ahead.Latest!.Value);
        Assert.InRange(ahead.Likely!.Value, Start.AddDays(happened - 4), Start.AddDays(happened + 4));
    }
}

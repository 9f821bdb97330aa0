using BudClock.Core.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>A leafless pseudobulb through its year, from the handbook's practice: what is said at each turning point.</summary>
public class AYearTests
{
    static readonly Plant Usual = Lycaste(
        At("2030-11-20", EntryKinds.LeavesGone),
        At("2031-03-20", EntryKinds.EyeSwelling),
        At("2031-04-10", EntryKinds.GrowthStarted),
        At("2031-04-24", EntryKinds.RootsStarted),
        Roots(new(2031, 5, 1), 3),
        Roots(new(2031, 5, 8), 6),
        Roots(new(2031, 5, 15), 9),
        Bulbs(new(2031, 5, 15), "wrinkled"),
        Roots(new(2031, 5, 18), 10.2),
        At("2031-05-18", EntryKinds.Soaked),
        Bulbs(new(2031, 5, 22), "plump"),
        At("2031-10-10", EntryKinds.GrowthMatured),
        At("2031-11-02", EntryKinds.LeafDropped),
        At("2031-11-21", EntryKinds.LeavesGone)
    );

    [Theory]
    [InlineData("2030-12-24", Phase.Resting, "hold W1, hold V5")] // at rest: dry
    [InlineData("2031-03-25", Phase.Resting, "hold W1, hold V5")] // an eye is not a growth
    [InlineData("2031-04-12", Phase.Waking, "hold W1, hold F4, hold K3")] // growth alone is not the signal
    [InlineData("2031-04-17", Phase.Waking, "look K3, hold W1, hold F4")] // a week without a look at the roots
    [InlineData("2031-05-09", Phase.Waking, "hold W1, hold F4, hold K3")] // 6 of 10 cm
    [InlineData("2031-05-17", Phase.Waking, "hold W1, hold F4, hold K3")] // 9 cm, the trend says the 18th
    [InlineData("2031-05-19", Phase.Growing, "hold K4, hold W3, hold F4, hold K3")] // soaked yesterday
    [InlineData("2031-05-21", Phase.Growing, "look K4, hold W3, hold F4, hold K3")] // three days on: have the bulbs filled?
    [InlineData("2031-05-23", Phase.Growing, "hold W3, hold F4, hold K3")] // they have
    [InlineData("2031-10-15", Phase.Ripening, "look W3, look F4")] // no water since May is on record
    [InlineData("2031-11-05", Phase.GoingToRest, "look D1, hold V5, hold F4")] // leaves go: feel the base
    [InlineData("2031-12-01", Phase.Resting, "look D1, hold W1, hold V5")]
    [InlineData("2031-12-24", Phase.Resting, "hold W1, hold V5")]
    public void In_its_usual_course(string on, Phase phase, string said) => Says(Usual, on, phase, said);

    [Theory]
    [InlineData("2031-05-18", "do W1, do F4, hold K3")] // long enough, nights warm: the soak, with a light first feed
    [InlineData("2031-05-25", "do W1, do F4, look K3")]
    public void On_the_day_the_roots_are_long_enough(string on, string said) =>
        Says(
            Without(Usual, EntryKinds.Soaked) with
            {
                Entries =
                [
                    .. Without(Usual, EntryKinds.Soaked).Entries,
                    At("2031-05-18", EntryKinds.GrowthHeight, new Quantity(6, Unit.Cm)),
                ],
            },
            on,
            Phase.Waking,
            said
        );

    [Fact]
    public void In_a_late_cold_spring_ready_roots_wait_for_the_nights()
    {
        var assessment = Assess(Without(Usual, EntryKinds.Soaked), new(2031, 5, 19), night: new(8, new(2031, 5, 18)));
        Assert.Equal(
            (Verdict.Hold, "Roots 10.2 cm, but nights are down to 8 °C; 12 °C are needed."),
            (assessment.Rule("W1")!.Verdict, assessment.Rule("W1")!.Reason)
        );
    }

    [Fact]
    public void When_the_growth_aborts_without_roots_the_plant_goes_back_to_waiting()
    {
        var plant = Lycaste(
            At("2030-11-20", EntryKinds.LeavesGone),
            At("2031-04-10", EntryKinds.GrowthStarted),
            At("2031-04-25", EntryKinds.GrowthStopped)
        );
        Assert.Equal("The growth stopped before it made roots: stay dry and watch for the next eye.", Assess(plant).Rule("W1")!.Reason);
    }

    [Fact]
    public void When_the_new_roots_are_lost_it_stays_dry_until_others_come()
    {
        var lost = Waking(Roots(Today.AddDays(-9), 11), At(Today.AddDays(-2), EntryKinds.RootsLost));
        Assert.Equal((Verdict.Hold, Phase.Recovering), (Assess(lost).Rule("W1")!.Verdict, Assess(lost).Phase.Phase));
        var again = lost with { Entries = [.. lost.Entries, At(Today, EntryKinds.RootsStarted)] };
        Assert.Equal("New roots are showing but not measured; 10 cm are needed.", Assess(again).Rule("W1")!.Reason);
    }

    [Fact]
    public void A_plant_under_a_general_sheet_hears_nothing_of_dry_rests()
    {
        var hoya = Usual with { Taxon = "Hoya carnosa" };
        Assert.DoesNotContain(Assess(hoya, new(2030, 12, 24)).Settled, advice => advice.Rule is "W1" or "W2");
    }

    static Plant Without(Plant plant, EntryKind kind) =>
        plant with
        {
            Entries = [.. plant.Entries.Where(e => e.Kind != kind && e.On < new DateOnly(2031, 5, 20))],
        };

    static void Says(Plant plant, string on, Phase phase, string said)
    {
        var assessment = Assess(plant, DateOnly.ParseExact(on, "yyyy-MM-dd", null));
        Assert.Equal(
            (phase, said),
            (
                assessment.Phase.Phase,
                string.Join(", ", assessment.Settled.Select(a => $"{a.Verdict.ToString().ToLowerInvariant()} {a.Rule}"))
            )
        );
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Round;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>What of one plant goes wrong stays with that plant, when it is assessed and when more is read of it later.</summary>
public class BoundaryTests
{
    static readonly Plant Measured = Lycaste(
        At("2031-01-04", EntryKinds.GrowthStarted),
        At("2031-05-01", EntryKinds.Watered),
        At("2031-05-20", EntryKinds.Leaves, text: "limp")
    );

    [Fact]
    public void A_plant_that_cannot_be_assessed_is_a_look_of_that_plant_with_the_reason()
    {
        var said = Assessor.Shipped.Assess(Measured, Under(new InvalidOperationException("The air is lost.")), Today);
        var look = Assert.Single(said.Settled);
        Assert.Equal((Verdict.Look, "V9"), (look.Verdict, look.Rule));
        Assert.Contains("The air is lost", look.Reason);
        Assert.IsType<InvalidOperationException>(said.Fault);
        // Pages ask more of it: they find nothing, and do not fail.
        Assert.Null(said.Situation.Thirst.Sign);
        Assert.Empty(said.Forecasts);
    }

    [Fact]
    public void What_is_read_later_keeps_within_the_plant_too()
    {
        var around = Around with { Kin = (_, _) => throw new ArithmeticException("No such days.") };
        var said = Assessor.Shipped.Assess(Measured, around, Today);
        Assert.Null(said.Fault);
        Assert.Empty(said.Forecasts);
        Assert.NotEmpty(said.Lanes);
        Assert.IsType<ArithmeticException>(said.Fault);
    }

    [Fact]
    public void A_fault_of_the_program_is_not_hidden() =>
        Assert.Throws<NotSupportedException>(() => Assessor.Shipped.Assess(Measured, Under(new NotSupportedException()), Today));

    [Fact]
    public void The_others_of_its_garden_are_judged_as_ever()
    {
        var broken = Measured with { Tag = "LYC-02", Entries = [At(DateOnly.MaxValue, EntryKinds.Watered), .. Measured.Entries] };
        var said = new GardenAssessed(new(Around.Garden, [], [Measured, broken], [], []), Today).Plants;
        Assert.Equal(2, said.Count);
        Assert.NotEmpty(said[0].Settled);
    }

    static Surroundings Under(Exception fault) => Around with { Weather = Weather.Unknown with { Nights = new Unreadable(fault) } };

    /// <summary>Nights that cannot be read, for a reason that no rule foresaw.</summary>
    sealed class Unreadable(Exception fault) : IReadOnlyList<Seen<double>>
    {
        public Seen<double> this[int index] => throw fault;

        public int Count => throw fault;

        public IEnumerator<Seen<double>> GetEnumerator() => throw fault;

        System.Collections.IEnumerator System.Collections.IEnumerable.GetEnumerator() => throw fault;
    }
}

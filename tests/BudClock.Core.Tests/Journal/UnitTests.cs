using BudClock.Core.Advising;
using CsCheck;

namespace BudClock.Core.Tests.Journal;

public class UnitTests
{
    // NIST Handbook 44, appendix C, and NIST SP 811, appendix B.
    public static TheoryData<string, double, string, double> Published =>
        new()
        {
            { "gal", 1, "L", 3.785411784 },
            { "cup", 1, "mL", 236.588 },
            { "tsp", 1, "mL", 4.929 },
            { "oz", 1, "g", 28.3495 },
            { "in", 1, "cm", 2.54 },
            { "ft", 1, "cm", 30.48 },
            { "lb", 1, "g", 453.592 },
            { "fl oz", 1, "mL", 29.5735 },
            { "qt", 1, "L", 0.946353 },
            { "°F", 212, "°C", 100 },
            { "°F", 32, "°C", 0 },
            { "°C", 37, "°F", 98.6 },
        };

    [Theory]
    [MemberData(nameof(Published))]
    public void Converts_as_the_standard_says(string from, double value, string to, double expected)
    {
        var converted = new Quantity(value, Unit.Find(from)).In(Unit.Find(to)!).Value;
        Assert.Equal(expected, converted, Math.Abs(expected) * 1e-4);
    }

    [Fact]
    public void There_and_back_is_the_same()
    {
        var pairs = from a in Gen.OneOf<Unit>([.. Unit.All]) from value in Gen.Double[-1000, 1000] select (a, value);
        pairs.Sample(pair =>
        {
            foreach (var other in Unit.All.Where(unit => unit.Dimension == pair.a.Dimension))
                Assert.Equal(pair.value, new Quantity(pair.value, pair.a).In(other).In(pair.a).Value, 1e-6);
        });
    }

    [Fact]
    public void Length_cannot_be_given_in_litres() => Assert.Throws<ArgumentException>(() => new Quantity(1, Unit.Cm).In(Unit.L));

    [Fact]
    public void A_pot_holds_what_its_frustum_holds() // geometry: top 12 cm, bottom 9 cm, height 11 cm is 0.959 L
        => Assert.Equal(959, new Pot(12, 11, "clay").VolumeMl!.Value, 0.5);
}

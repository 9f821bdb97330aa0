using BudClock.Core.Tests.Situations;
using BudClock.Core.Years;

namespace BudClock.Core.Tests.Years;

/// <summary>Pairs with what differs between them, decided by hand.</summary>
public class SistersTests
{
    const string Log = "05-01 growth started, 05-10 growth 4 cm, 05-24 growth 10 cm, 06-07 growth 16 cm";

    static Side Side(string setup, string log)
    {
        var plant = Situated
            .Read($"x | Cattleya labiata; {setup}; nights 17; came 2028-01-01 | 2031-07-20 | {log} | never do feed | -")
            .Assess();
        return new(plant, plant.Situation.Series[0]);
    }

    [Fact]
    public void Two_alike_differ_in_nothing_and_the_rest_is_chance()
    {
        var pair = Sisters.Of(Side("bark; indoors", Log), Side("bark; indoors", Log.Replace("16 cm", "12 cm")));
        Assert.Empty(pair.Differences);
        Assert.StartsWith("Nothing that is on record was different", pair.Says);
        Assert.StartsWith("28 days after the first measurement: 16 cm", pair.Measured);
    }

    [Fact]
    public void One_difference_is_a_hint_and_two_cannot_be_told_apart()
    {
        var medium = Sisters.Of(Side("bark; indoors", Log), Side("coir; indoors", Log));
        Assert.Equal(("medium", "bark", "coir"), (medium.Differences[0].What, medium.Differences[0].One, medium.Differences[0].Other));
        Assert.StartsWith("Only one thing on record was different: medium.", medium.Says);
        var two = Sisters.Of(Side("bark; indoors", Log), Side("coir; indoors", $"04-20 repotted, {Log}"));
        Assert.Equal(["medium", "repotted"], two.Differences.Select(one => one.What));
        Assert.EndsWith("so the cause can't be told apart.", two.Says);
    }

    [Theory]
    [InlineData("05-10 fed, 05-20 fed, 06-01 fed", "feed")]
    [InlineData("05-12 watered, 05-15 watered, 05-18 watered, 05-21 watered", null)] // the other's waters are not known
    [InlineData("04-25 divided", "divided")]
    [InlineData("2030-11-01 divided", null)] // long before
    [InlineData("05-20 pest scale", "pest")]
    public void What_was_done_to_one_alone_counts_while_it_grew(string done, string? what)
    {
        var pair = Sisters.Of(Side("bark; indoors", $"{done}, {Log}"), Side("bark; indoors", Log));
        Assert.Equal(what is null ? [] : [what], pair.Differences.Select(one => one.What));
    }

    [Fact]
    public void How_often_it_was_watered_counts_where_both_are_known()
    {
        var often = $"{Log}, 05-12 watered, 05-15 watered, 05-18 watered, 05-21 watered";
        var seldom = $"{Log}, 05-12 watered, 05-19 watered, 05-26 watered, 06-02 watered";
        var pair = Sisters.Of(Side("bark; indoors", often), Side("bark; indoors", seldom));
        Assert.Equal(
            ("days between waters", "3 days", "7 days"),
            (pair.Differences[0].What, pair.Differences[0].One, pair.Differences[0].Other)
        );
    }

    [Fact]
    public void Two_years_of_one_plant_grew_in_other_seasons()
    {
        var winter = "2030-11-01 growth started, 2030-11-10 growth 3 cm, 2030-12-10 growth 9 cm";
        var pair = Sisters.Of(Side("bark; indoors", Log), Side("bark; indoors", winter));
        Assert.Equal(
            ("season", "from May", "from November"),
            (pair.Differences[0].What, pair.Differences[0].One, pair.Differences[0].Other)
        );
    }
}

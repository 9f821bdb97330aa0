using BudClock.Core.Advising;
using BudClock.Web.Demo;
using BudClock.Web.Drawing;

namespace BudClock.Web.Tests.Drawing;

public class DialTests
{
    static readonly DateOnly Today = new(2031, 5, 24);

    [Fact]
    public void Midsummer_is_on_top_in_both_hemispheres()
    {
        Assert.Equal(0, new DialGeometry(Southern: false).Angle(new(2031, 6, 21)), 6);
        Assert.Equal(0, new DialGeometry(Southern: true).Angle(new(2031, 12, 21)), 6);
        Assert.Equal(Math.PI, Math.Abs(new DialGeometry(Southern: false).Angle(new(2030, 12, 20))), 0.02);
    }

    [Fact]
    public void Time_runs_clockwise()
    {
        var (spring, summer) = (
            new DialGeometry(false).At(new DateOnly(2031, 3, 21), 100),
            new DialGeometry(false).At(new DateOnly(2031, 9, 21), 100)
        );
        Assert.True(spring.X < -90 && summer.X > 90);
    }

    [Fact]
    public void The_dial_shows_nine_months_back_and_three_ahead()
    {
        var dial = YearDial.Of(Assess("CAL-02"), DemoGarden.Read().Garden);
        Assert.Equal(("Waking", "day 42 · roots 8.5 cm"), (dial.Word, dial.Under));
        Assert.Contains(dial.Arcs, arc => arc is { Kind: LaneKind.Bloom, Expected: false } && arc.Words == "Bloom, 18 Jan to 2 Mar");
        Assert.Contains(dial.Arcs, arc => arc is { Kind: LaneKind.Roots, Expected: true });
        Assert.All(dial.Arcs, arc => Assert.True((arc.To ?? Today) > Today.AddDays(-275) && arc.From < Today.AddDays(92)));
    }

    [Fact]
    public void The_chart_puts_the_need_above_the_last_point_and_the_range_after_it()
    {
        var chart = RootChart.Of(Assess("CAL-02").Situation)!;
        Assert.Equal(5, chart.Points.Count);
        Assert.True(chart.Need.Y1 < chart.Points[^1].Y);
        Assert.True(chart.Expected!.X > chart.Points[^1].X);
        Assert.Equal("8.5 cm on 22 May, 10 cm needed. On the trend about 27 May (26–28 May).", chart.Summary);
        Assert.Null(RootChart.Of(Assess("CLO-01").Situation));
    }

    [Fact]
    public void A_growth_s_disc_has_an_area_that_follows_its_size()
    {
        var discs = GrowthsFromAbove.Of(Assess("CAL-02").Plant, Today)!.Discs;
        Assert.Equal(["2028", "2029", "2030", "2031"], discs.Select(d => d.Label));
        Assert.Equal(5.2 / 7.1, Math.Pow(discs[0].Radius / discs[2].Radius, 2), 3);
        Assert.Equal(["back", "bulb", "bulb", "lead"], discs.Select(d => d.Look));
        Assert.Equal("stopped", GrowthsFromAbove.Of(Assess("CTM-07").Plant, Today)!.Discs[^1].Look);
        Assert.Null(GrowthsFromAbove.Of(Assess("STR-07").Plant, Today));
    }

    [Fact]
    public void The_demo_has_leafless_plants_at_every_point_of_their_waking()
    {
        var garden = DemoGarden.Read();
        var leafless = garden.Plants.Select(p => Assessor.Shipped.Assess(p, garden, Today)).Where(a => a.Situation is not null).ToList();
        Assert.True(garden.Plants.Count >= 14 && garden.Places.Count == 4 && leafless.Count >= 8);
        Assert.Contains(leafless, a => a.Situation.DryRest.Asleep);
        Assert.Contains(leafless, a => a.Situation.DryRest.Waking && !a.Situation.NewRoots.Live);
        Assert.Contains(leafless, a => a.Situation!.Roots.Longest?.Value is >= 4 and < 5);
        Assert.Contains(leafless, a => a.Situation!.Roots.Longest?.Value is >= 8 and < 9);
        Assert.Contains(leafless, a => a.Situation!.Bulbs?.Value == "shrivelled");
        Assert.Contains(leafless, a => a.Situation.DryRest.FirstWater?.On == Today.AddDays(-4));
    }

    static Assessment Assess(string tag)
    {
        var garden = DemoGarden.Read();
        return Assessor.Shipped.Assess(garden.Plants.Single(p => p.Tag == tag), garden, Today);
    }
}

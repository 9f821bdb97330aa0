using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using BudClock.Core.Tests.Situations;
using BudClock.Core.Years;

namespace BudClock.Core.Tests.Years;

/// <summary>Years, weeks and forecasts counted by hand from short logs.</summary>
public class SeasonsTests
{
    static Assessment Plant(string kind, string log, string on = "2031-07-20") =>
        Situated.Read($"x | {kind}; indoors; nights 17; came 2029-01-01 | {on} | {log} | never do feed | -").Assess();

    static readonly Assessment Hoya = Plant(
        "Hoya carnosa",
        "2030-05-01 spike showing, 2030-05-20 buds 20, 2030-06-01 first flower open, 2030-06-02 buds lost 3, 2030-06-21 bloom over, "
            + "2030-08-01 spike showing, 2030-08-20 spike lost, 2031-06-24 first flower open"
    );

    [Fact]
    public void A_year_is_counted_from_the_log()
    {
        var years = YearSum.Of([Hoya], new(2031, 7, 20), southern: false);
        Assert.Equal(["2031", "2030"], years.Select(year => year.Year.Label));
        var (now, last) = (years[0], years[1]);
        Assert.Equal((2, 1, 1), (last.Spikes, last.SpikesLost, last.Blooms));
        Assert.Equal((20, 3), (last.Buds, last.BudsLost));
        Assert.Equal(20, last.DaysInBloom); // 1 to 20 June
        Assert.Equal(new(2030, 6, 1), last.FirstOpen);
        Assert.Equal(27, now.DaysInBloom); // 24 June to 20 July, still open
    }

    [Fact]
    public void South_of_the_equator_a_year_begins_in_july()
    {
        var years = YearSum.Of([Hoya], new(2031, 7, 20), southern: true);
        Assert.Equal(["2031/32", "2030/31", "2029/30"], years.Select(year => year.Year.Label));
        Assert.Equal((1, 20, 7), (years[2].Blooms, years[2].DaysInBloom, years[1].DaysInBloom));
        Assert.Equal(new(2029, false), GrowingYear.Of(new(2029, 12, 31), false));
        Assert.Equal(new(2028, true), GrowingYear.Of(new(2029, 6, 30), true));
    }

    [Fact]
    public void A_plant_that_died_is_lost_in_its_year_with_its_cause()
    {
        var died = Plant("Hoya carnosa", "2030-10-01 roots lost, 2030-10-20 died");
        var lost = Assert.Single(YearSum.Of([Hoya, died], new(2031, 7, 20), false).Single(year => year.Year.Begins == 2030).Lost);
        Assert.Contains("roots", lost.Because, StringComparison.Ordinal);
    }

    [Fact]
    public void Every_week_says_what_bloomed_and_gaps_are_found()
    {
        var ribbon = BloomRibbon.Of([Hoya], new(2030, false), new(2031, 7, 20));
        Assert.Equal(52, ribbon.Weeks.Count);
        Assert.Equal((new(2030, 1, 1), new(2030, 12, 31)), (ribbon.Weeks[0].From, ribbon.Weeks[^1].To));
        Assert.Equal([22, 23, 24, 25], ribbon.Weeks.Where(week => week.InBloom.Count > 0).Select(week => week.Number));
        Assert.Equal((26, 52), (ribbon.Gaps[0].First.Number, ribbon.Gaps[0].Last.Number));
        // Its log begins on 1 May: what was before is not known to be a gap.
        Assert.DoesNotContain(ribbon.Weeks, week => week.Gap && week.To < new DateOnly(2030, 5, 1));
        var now = BloomRibbon.Of([Hoya], new(2031, false), new(2031, 7, 20));
        Assert.DoesNotContain(now.Weeks, week => week.Ahead && week.InBloom.Count > 0);
        Assert.DoesNotContain(now.Weeks, week => week.Gap && week.From > new DateOnly(2031, 7, 20));
        // Its last bloom took twenty days, and this one is four days old.
        var young = Plant(
            "Hoya carnosa",
            "2030-06-01 first flower open, 2030-06-21 bloom over, 2031-06-24 first flower open",
            "2031-06-28"
        );
        var ahead = BloomRibbon.Of([young], new(2031, false), new(2031, 6, 28)).Weeks.Where(week => week.Ahead && week.Likely.Count > 0);
        Assert.Contains(new DateOnly(2031, 7, 2), ahead.Select(week => week.From));
    }

    [Theory]
    [InlineData("2030-05-20", "2030-05-28", "2030-06-05", Fell.SecondHalf, 4)]
    [InlineData("2030-05-20", "2030-06-01", "2030-06-05", Fell.FirstHalf, 0)]
    [InlineData("2030-06-02", "2030-06-05", "2030-06-09", Fell.Early, -4)]
    [InlineData("2030-05-10", "2030-05-15", "2030-05-31", Fell.Late, 17)]
    public void What_was_told_is_held_against_what_came(string from, string likely, string to, Fell fell, int late)
    {
        static DateOnly Day(string day) => DateOnly.ParseExact(day, "yyyy-MM-dd", null);
        var spike = Hoya.Recorded.First(lane => lane.Kind is LaneKind.Spike);
        Forecast Told(string made, string organ) =>
            new(Forecasts.FirstFlower, organ == "" ? spike.Organ : organ, Day(made), Day(from), Day(likely), Day(to), "test");
        var plant = Hoya with
        {
            // The second of the same spike is not counted again, that of the lost one and that of another day not at all.
            Plant = Hoya.Plant with
            {
                Forecasts = [Told("2030-05-20", ""), Told("2030-05-10", ""), Told("2030-08-05", ""), Told("2030-05-10", "none")],
            },
        };
        var kept = Assert.Single(Assert.Single(ForecastsKept.Read([plant])).All);
        Assert.Equal((Day("2030-05-10"), fell, late), (kept.Told.Made, kept.Fell, kept.DaysLate));
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Climate;

namespace BudClock.Core.Tests.Climate;

public class SunTests
{
    // Reference/day-length.csv, by the npm package astronomy-engine: every day of 2026 at five latitudes.
    public static TheoryData<double, int> Latitudes =>
        new()
        {
            { 51.5, 1 },
            { -33.9, 2 },
            { 40, 3 },
            { 60, 4 },
            { 0, 5 },
        };

    [Theory]
    [MemberData(nameof(Latitudes))]
    public void Day_length_agrees_with_an_astronomy_library_within_two_minutes(double latitude, int column)
    {
        foreach (var row in Reference.Rows("day-length.csv"))
        {
            var day = DateOnly.ParseExact(row[0], "yyyy-MM-dd", null);
            var ours = Sun.On(day, latitude).DayHours;
            Assert.True(Math.Abs(ours - Reference.Number(row[column])) < 2.0 / 60, $"{day:O}: {ours} against {row[column]}");
        }
    }

    [Fact]
    public void The_sun_stays_up_at_midsummer_and_down_at_midwinter_beyond_the_polar_circle()
    {
        Assert.Equal(24, Sun.On(new(2026, 6, 21), 70).DayHours);
        Assert.Equal(0, Sun.On(new(2026, 12, 21), 70).DayHours);
        Assert.Equal(24, Sun.On(new(2026, 12, 21), -70).DayHours);
    }

    [Fact]
    public void Noon_comes_four_minutes_later_for_each_degree_west()
    {
        var (east, west) = (Sun.On(new(2031, 5, 24), 51.5), Sun.On(new(2031, 5, 24), 51.5, -15));
        Assert.Equal(60, (west.Rise!.Value - east.Rise!.Value).TotalMinutes, 0.2);
    }
}

using BudClock.Core.Culture;

namespace BudClock.Core.Tests.Culture;

/// <summary>Days of any year, at the turns of the calendar (Gregorian rules: 2000 and 2032 are leap years, 2031 and 2100 are not).</summary>
public class MonthDayTests
{
    [Theory]
    [InlineData(4, 10, 2031, false, "2031-04-10")]
    [InlineData(4, 10, 2031, true, "2031-10-10")]
    [InlineData(2, 29, 2032, false, "2032-02-29")]
    [InlineData(2, 29, 2031, false, "2031-02-28")]
    [InlineData(2, 29, 2100, false, "2100-02-28")]
    [InlineData(2, 29, 2000, true, "2000-08-29")]
    [InlineData(2, 29, 2031, true, "2031-08-28")]
    [InlineData(8, 31, 2031, true, "2032-02-29")]
    [InlineData(8, 31, 2030, true, "2031-02-28")]
    [InlineData(12, 31, 2031, true, "2032-06-30")]
    public void It_falls_on_a_day_of_each_year(int month, int day, int year, bool southern, string expected) =>
        Assert.Equal(expected, new MonthDay(month, day).In(year, southern).ToString("yyyy-MM-dd"));

    [Fact]
    public void A_month_that_is_none_is_refused() =>
        Assert.Throws<ArgumentOutOfRangeException>(() => new MonthDay(13, 1).In(2031, southern: false));
}

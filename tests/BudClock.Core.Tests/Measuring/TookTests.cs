using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Measuring;

/// <summary>What earlier organs are heard of, and when.</summary>
public class TookTests
{
    static readonly DateOnly Began = new(2031, 3, 1);

    [Fact]
    public void It_is_heard_once_one_that_takes_a_third_longer_would_have_ended()
    {
        var took = new Took(Began, 30);
        Assert.False(took.Heard(Began.AddDays(38)));
        Assert.True(took.Heard(Began.AddDays(39)));
    }

    /// <summary>
    /// Organs that begin together and differ: whoever hears each as it ends expects the others too early, whoever waits does not.
    /// </summary>
    [Fact]
    public void Waiting_takes_away_most_of_what_the_quick_ones_pretend()
    {
        var random = new Random(11);
        var (atOnce, waited, rounds) = (0.0, 0.0, 400);
        for (var round = 0; round < rounds; round++)
        {
            var days = Enumerable.Range(0, 12).Select(_ => 40 + random.Next(-10, 11)).ToArray();
            var mean = days.Average();
            // The first day on which anything is heard.
            atOnce += days.Min() - mean;
            var day = Enumerable.Range(0, 100).First(n => days.Any(d => new Took(Began, d).Heard(Began.AddDays(n))));
            waited += days.Where(d => new Took(Began, d).Heard(Began.AddDays(day))).Average() - mean;
            var all = Enumerable.Range(0, 100).First(n => days.All(d => new Took(Began, d).Heard(Began.AddDays(n))));
            Assert.True(all >= days.Max());
        }
        Assert.True(atOnce / rounds < -7, $"{atOnce / rounds}");
        Assert.InRange(waited / rounds, -10, 0);
    }

    [Theory]
    [InlineData("2031-03-01", "2031-04-29", true)]
    [InlineData("2031-03-01", "2031-05-02", false)]
    [InlineData("2030-12-20", "2031-01-20", true)] // across the turn of the year
    [InlineData("2028-02-29", "2031-03-01", true)] // a leap day
    [InlineData("2031-06-30", "2030-12-30", false)]
    public void Seasons_are_sixty_days_either_way_whatever_the_year(string one, string other, bool same)
    {
        var (a, b) = (DateOnly.Parse(one), DateOnly.Parse(other));
        Assert.Equal(same, new Took(a, 10).InSeason(b));
        Assert.Equal(Dates.ApartInYear(a, b), Dates.ApartInYear(b, a));
        Assert.InRange(Dates.ApartInYear(a, b), 0, 183);
    }
}

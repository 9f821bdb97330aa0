using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Measuring;

/// <summary>Rule K3: stalled, slow, as before, faster.</summary>
public class PaceTests
{
    static readonly DateOnly Start = new(2031, 1, 4);

    [Fact]
    public void A_stalled_and_a_slow_spike_with_nearly_the_same_last_value_are_told_apart()
    {
        // Both grew 0.5 cm a day for three weeks. One has stood at 12 cm since; the other still gains 0.1 cm a day.
        var stalled = Pace.Read(Spike((0, 2), (7, 5.5), (14, 9), (20, 12), (27, 12.1), (34, 12.2)))!;
        var slow = Pace.Read(Spike((0, 2), (7, 5.5), (14, 9), (18, 10.9), (25, 11.6), (32, 12.3)))!;
        Assert.Equal((PaceKind.Stalled, PaceKind.Slow), (stalled.Kind, slow.Kind));
        Assert.Equal(
            "12 to 12.2 cm in 14 days, within the error of a reading; the rate before (0.5 cm a day) meant 7 cm more.",
            stalled.Why
        );
        Assert.Equal("0.7 cm in 7 days, 0.1 cm a day; before it was 0.48 cm a day.", slow.Why);
    }

    [Fact]
    public void Nothing_is_said_below_three_measurements() => Assert.Null(Pace.Read(Spike((0, 2), (20, 2))));

    [Fact]
    public void Flat_for_less_than_a_week_is_not_yet_stalled() =>
        Assert.NotEqual(PaceKind.Stalled, Pace.Read(Spike((0, 2), (7, 5.5), (14, 9), (18, 9.1)))?.Kind);

    [Theory]
    [InlineData(12.4, PaceKind.AsBefore)]
    [InlineData(15.5, PaceKind.Faster)]
    public void A_rate_is_compared_with_the_one_before(double cm, PaceKind expected) =>
        Assert.Equal(expected, Pace.Read(Spike((0, 2), (7, 5.5), (14, 9), (21, cm)))!.Kind);

    [Fact]
    public void Without_an_earlier_rate_last_year_s_at_the_same_age_counts()
    {
        var before = Spike((0, 2), (7, 5.5), (14, 9));
        var pace = Pace.Read(Spike((0, 2), (4, 2.6), (7, 3.2)), before)!;
        Assert.Equal((PaceKind.Slow, "last year"), (pace.Kind, pace.Against));
    }

    [Fact]
    public void Each_season_and_each_organ_is_a_series_of_its_own()
    {
        var series = Series(
            Roots(new(2030, 5, 1), 3),
            Roots(new(2030, 5, 10), 6),
            Roots(new(2031, 5, 1), 2),
            Roots(new(2031, 5, 10), 5),
            Roots(new(2031, 5, 9), 4) with
            {
                Organ = "g31",
            },
            Roots(new(2031, 5, 12), 0)
        );
        Assert.Equal(
            ["Roots 2031: 2 5", "Roots lead: 4", "Roots 2030: 3 6"],
            series.Select(s => $"{s.Label}: {string.Join(' ', s.Points.Select(p => p.Cm))}")
        );
        Assert.Equal("Roots 2030", series[0].YearBefore(series)!.Label);
    }

    [Fact]
    public void A_length_between_two_measurements_is_read_between_them()
    {
        var spike = Spike((0, 2), (10, 7));
        Assert.Equal((2d, 4.5, 7d), (spike.AtAge(0), spike.AtAge(5), spike.AtAge(10)));
        Assert.Null(spike.AtAge(11));
    }

    static OrganSeries Spike(params (int Day, double Cm)[] points) =>
        new(EntryKinds.SpikeLength, null, "Spike 2031", [.. points.Select(p => new Measurement(Start.AddDays(p.Day), p.Cm))], true);

    static IReadOnlyList<OrganSeries> Series(params Entry[] entries)
    {
        var journal = PlantJournal.UpTo(Today, entries);
        return SeriesReader.Read(journal, LaneReader.Read(journal), [new("g31", "growth", "lead")]);
    }
}

using BudClock.Core.Culture;
using BudClock.Core.Lanes;
using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Measuring;

/// <summary>Rule B8: own record first, then the kind's, then the sheet's.</summary>
public class BloomForecastTests
{
    static readonly DateOnly Start = new(2031, 5, 1);
    static readonly CultureSheet Sheet = CultureSheets.Shipped.Find("leafless-pseudobulb")!;

    [Fact]
    public void The_plant_s_own_spikes_come_first() =>
        Assert.Equal(new(Start.AddDays(40), Start.AddDays(47), Start.AddDays(54), "this plant's 2 earlier spikes"), Forecast([54, 40], [90]));

    [Fact]
    public void Then_those_of_its_kind_here() =>
        Assert.Equal(new(Start.AddDays(46), Start.AddDays(50), Start.AddDays(54), "1 spike of other Lycaste here"), Forecast([], [50]));

    [Fact]
    public void Then_the_sheet_s_usual_year() // 25 November to 20 January is 56 days
        => Assert.Equal(new(Start.AddDays(42), Start.AddDays(56), Start.AddDays(70), "the sheet's usual year"), Forecast([], []));

    [Fact]
    public void A_spike_under_a_week_old_is_only_told_the_sheet_s_range() =>
        Assert.Equal("the sheet's usual year", Forecast([40], [50], today: Start.AddDays(6))!.Source);

    [Fact]
    public void Without_an_open_spike_or_anything_to_go_by_nothing_is_said()
    {
        Assert.Null(BloomForecast.Of([new(LaneKind.Spike, Start, Start.AddDays(9), Ending: "lost")], [40], [], null, Sheet, Start.AddDays(20)));
        Assert.Null(Forecast([], [], sheet: CultureSheets.Shipped.Find(CultureSheets.General)));
    }

    [Fact]
    public void A_spike_that_came_with_the_plant_or_was_lost_teaches_nothing()
    {
        Lane[] lanes =
        [
            new(LaneKind.Spike, new(2029, 3, 1), new(2029, 4, 1), Ending: "opened"), new(LaneKind.Spike, new(2030, 3, 1), new(2030, 4, 10), Ending: "opened"),
            new(LaneKind.Spike, new(2031, 3, 1), new(2031, 3, 9), Ending: "lost"), new(LaneKind.Spike, new(2031, 5, 1), null),
        ];
        Assert.Equal([40], BloomForecast.Intervals(lanes, acquired: new(2029, 3, 20)));
    }

    static BloomForecast? Forecast(int[] own, int[] kin, DateOnly? today = null, CultureSheet? sheet = null) =>
        BloomForecast.Of([new(LaneKind.Spike, Start, null)], own, kin, "Lycaste", sheet ?? Sheet, today ?? Start.AddDays(20));
}

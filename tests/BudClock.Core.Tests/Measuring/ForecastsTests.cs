using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Measuring;

/// <summary>Rules B8 and B10: own record first, then the kind's, then the sheet's.</summary>
public class ForecastsTests
{
    static readonly DateOnly Start = new(2031, 5, 1);
    static readonly CultureSheet Sheet = CultureSheets.Shipped.Find("leafless-pseudobulb")!;

    [Fact]
    public void The_plant_s_own_spikes_come_first() =>
        Assert.Equal((Start.AddDays(34), Start.AddDays(47), Start.AddDays(61), "this plant's 2 earlier spikes"), Says([54, 40], [90]));

    [Fact]
    public void Then_those_of_its_kind_here() =>
        Assert.Equal((Start.AddDays(30), Start.AddDays(51), Start.AddDays(75), "1 spike of other Lycaste here"), Says([], [50]));

    [Fact]
    public void Then_the_sheet_s_usual_year() // 25 November to 20 January is 56 days
        => Assert.Equal((Start.AddDays(39), Start.AddDays(56), Start.AddDays(73), "the sheet's usual year"), Says([], []));

    [Fact]
    public void A_spike_under_a_week_old_is_only_told_the_sheet_s_range() =>
        Assert.Equal("the sheet's usual year", Says([40], [50], today: Start.AddDays(6))!.Value.Source);

    [Fact]
    public void Without_an_open_spike_or_anything_to_go_by_nothing_is_said()
    {
        Assert.Empty(
            Forecasts.Read([new(LaneKind.Spike, Start, Start.AddDays(9), Ending: "lost")], null, _ => [], null, Sheet, Start.AddDays(20))
        );
        Assert.Null(Says([], [], sheet: CultureSheets.Shipped.Find(CultureSheets.General)));
    }

    [Fact]
    public void A_spike_that_came_with_the_plant_or_was_lost_teaches_nothing()
    {
        Lane[] lanes =
        [
            new(LaneKind.Spike, new(2029, 3, 1), new(2029, 4, 1), Ending: "opened"),
            new(LaneKind.Spike, new(2030, 3, 1), new(2030, 4, 10), Ending: "opened"),
            new(LaneKind.Spike, new(2031, 3, 1), new(2031, 3, 9), Ending: "lost"),
            new(LaneKind.Spike, new(2031, 5, 1), null),
        ];
        Assert.Equal([new(new(2030, 3, 1), 40)], Forecasts.Before(Forecasts.FirstFlower, lanes, acquired: new(2029, 3, 20)));
    }

    [Fact]
    public void Growths_and_flowers_are_forecast_from_how_long_they_lasted_before()
    {
        Lane[] lanes =
        [
            new(LaneKind.Growth, new(2030, 4, 1), new(2030, 9, 28), "g30", Ending: "matured"),
            new(LaneKind.Growth, Start, null, "g31"),
            new(LaneKind.Bloom, new(2030, 6, 1), new(2030, 7, 1), "s30", Ending: "faded"),
            new(LaneKind.Bloom, Start, null, "s31"),
        ];
        var said = Forecasts.Read(lanes, null, _ => [], null, Sheet, Start.AddDays(10));
        Assert.Equal(
            [("matured", "g31", Start.AddDays(180)), ("faded", "s31", Start.AddDays(30))],
            said.Select(f => (f.Of, f.Organ!, f.Likely))
        );
    }

    [Fact]
    public void The_first_to_open_of_those_that_began_together_says_nothing_of_the_others_yet()
    {
        string Source(int day) => Kin(Start.AddDays(-1), 20, Start.AddDays(day)).Source;
        Assert.Equal("the sheet's usual year", Source(20)); // one that takes a third longer may still come
        Assert.Equal("1 spike of other Lycaste here", Source(26));
    }

    [Fact]
    public void What_began_at_another_time_of_the_year_says_less()
    {
        var (now, then) = (Kin(Start.AddYears(-1), 50, Start.AddDays(20)), Kin(Start.AddYears(-1).AddDays(-150), 50, Start.AddDays(20)));
        Assert.InRange(Width(then) / (double)Width(now), 1.2, 1.6);
        static int Width(Forecast said) => said.To.DayNumber - said.From.DayNumber;
    }

    [Fact]
    public void What_has_not_come_yet_comes_later_than_today()
    {
        var days = Enumerable.Range(0, 120).Select(day => Kin(Start.AddYears(-1), 50, Start.AddDays(day)));
        Assert.All(days, said => Assert.True(said.From >= said.Made && said.To >= said.Likely && said.Likely >= said.From));
        Assert.False(Kin(Start.AddYears(-1), 50, Start.AddDays(60)).Late);
        Assert.True(Kin(Start.AddYears(-1), 50, Start.AddDays(80)).Late);
    }

    static Forecast Kin(DateOnly began, int days, DateOnly today) =>
        Forecasts.Read([new(LaneKind.Spike, Start, null)], null, _ => [new(began, days)], "Lycaste", Sheet, today).Single();

    static readonly PlantJournal Nothing = PlantJournal.UpTo(Start, []);

    [Fact]
    public void A_kept_forecast_tells_its_error_once_the_flower_is_open()
    {
        var kept = new Forecast(
            Forecasts.FirstFlower,
            "s31",
            Start.AddDays(10),
            Start.AddDays(36),
            Start.AddDays(40),
            Start.AddDays(44),
            ""
        );
        Lane[] open = [new(LaneKind.Spike, Start, null, "s31")];
        Lane[] opened = [new(LaneKind.Spike, Start, Start.AddDays(43), "s31", Ending: "opened")];
        Assert.Null(Forecasts.Outcome(kept, open, Nothing));
        Assert.Equal((Start.AddDays(43), 3), Forecasts.Outcome(kept, opened, Nothing));
    }

    [Fact]
    public void Flowers_are_expected_when_the_spike_is_forecast_to_open_not_at_the_sheet_s_time()
    {
        var likely = Start.AddDays(30);
        var forecast = new Forecast(Forecasts.FirstFlower, null, Start.AddDays(9), likely.AddDays(-4), likely, likely.AddDays(4), "");
        var ahead = ExpectedLanes.Ahead(Sheet, [new(LaneKind.Spike, Start, null)], [forecast], Start.AddDays(9), southern: false);
        Assert.Equal(likely, ahead.Single(lane => lane.Kind is LaneKind.Spike).To);
        Assert.Equal(likely, ahead.Single(lane => lane.Kind is LaneKind.Bloom).From);
    }

    static (DateOnly From, DateOnly Likely, DateOnly To, string Source)? Says(
        int[] own,
        int[] kin,
        DateOnly? today = null,
        CultureSheet? sheet = null
    )
    {
        Lane[] lanes =
        [
            .. own.Select(
                (days, n) =>
                    new Lane(LaneKind.Spike, new DateOnly(2020 + n, 5, 1), new DateOnly(2020 + n, 5, 1).AddDays(days), Ending: "opened")
            ),
            new(LaneKind.Spike, Start, null),
        ];
        var said = Forecasts.Read(
            lanes,
            null,
            _ => [.. kin.Select(days => new Took(Start.AddYears(-1), days))],
            "Lycaste",
            sheet ?? Sheet,
            today ?? Start.AddDays(20)
        );
        return said is [var one] ? (one.From, one.Likely, one.To, one.Source) : null;
    }
}

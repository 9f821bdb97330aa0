using BudClock.Core.Planning;
using BudClock.Data;
using BudClock.Practice;
using BudClock.Web.Demo;
using BudClock.Web.Outside;
using BudClock.Web.Stepping;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests;

/// <summary>A stepped garden: what is written, what is told, what lasts over a stop, and how the lighthouse is had back.</summary>
public class SteppingTests
{
    static CancellationToken Cancel => TestContext.Current.CancellationToken;

    static SteppingDesk Desk(Site site) => site.Services.GetRequiredService<SteppingDesk>();

    static Task<GardenDay?> TodayAsync(Site site) => site.Services.GetRequiredService<TodaysGarden>().TodayAsync();

    [Fact]
    public async Task A_step_brings_the_day_its_weather_and_a_forecast()
    {
        await using var site = await Site.DemoAsync();
        await Desk(site).StepAsync(3, toTurn: false, Cancel);
        var today = (await TodayAsync(site))!;
        Assert.Equal(DemoGarden.Day.AddDays(3), today.Day);
        foreach (var place in today.Places)
            Assert.NotNull(today.Weather.RecordOf(place.Code).Day(today.Day));
        Assert.Equal(14, today.Weather.AheadOf("south").Days14.Count);
        var state = (await Desk(site).StateAsync())!;
        Assert.Equal((today.Day, DemoGarden.Day), (state.Day, state.Began));
        Assert.True(state.Plants.Count > 25, "most plants of the demo are simulated");
    }

    [Fact]
    public async Task What_was_done_is_told_by_the_advice_that_stood_before_it()
    {
        await using var site = await Site.DemoAsync();
        var today = (await TodayAsync(site))!;
        Assert.Contains("first soak today", today.Find("LYC-01")!.Main!.Reason, StringComparison.Ordinal);
        await site.PostAsync("/notes", ("text", "lyc-01 soaked 400 ml"), ("returnUrl", "/"));
        await site.PostAsync("/notes", ("text", "cal-02 watered 400 ml"), ("returnUrl", "/"));
        await Desk(site).StepAsync(1, toTurn: false, Cancel);
        var acts = (await Desk(site).StateAsync())!.Acts;
        Assert.Equal(Stood.With, acts.Single(act => act.Tag == "LYC-01").Stood);
        Assert.Equal(Stood.Against, acts.Single(act => act.Tag == "CAL-02").Stood);
        // The next step does not tell them again.
        await Desk(site).StepAsync(1, toTurn: false, Cancel);
        Assert.Equal(2, (await Desk(site).StateAsync())!.Acts.Count);
        Assert.Contains("against the advice", await site.TextAsync("/practice/end"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_is_seen_is_nobody_s_act_to_take_back()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "lyc-01 soaked 400 ml"), ("returnUrl", "/"));
        await Desk(site).StepAsync(2, toTurn: false, Cancel);
        var undone = await site.PostAsync("/notes?handler=Undo", ("returnUrl", "/"));
        Assert.Contains("Soaked 400 mL on LYC-01", undone.QuerySelector("#said")!.TextContent, StringComparison.Ordinal);
    }

    [Fact]
    public async Task To_the_next_turn_stops_where_something_shows()
    {
        await using var site = await Site.DemoAsync();
        var turned = await Desk(site).StepAsync(SteppingDesk.FurthestTurn, toTurn: true, Cancel);
        Assert.NotEmpty(turned);
        Assert.True((await TodayAsync(site))!.Day <= DemoGarden.Day.AddDays(SteppingDesk.FurthestTurn));
    }

    [Fact]
    public async Task It_goes_on_where_it_was_after_a_stop()
    {
        await using var site = await Site.DemoAsync();
        await Desk(site).StepAsync(4, toTurn: false, Cancel);
        await using var again = await site.AgainAsync(null);
        Assert.Equal(DemoGarden.Day.AddDays(4), (await TodayAsync(again))!.Day);
        await Desk(again).StepAsync(1, toTurn: false, Cancel);
        Assert.Equal(DemoGarden.Day.AddDays(5), (await TodayAsync(again))!.Day);
    }

    [Fact, Long]
    public async Task A_practice_takes_the_garden_s_place_and_the_lighthouse_is_had_back_as_it_was()
    {
        await using var site = await Site.DemoAsync();
        var before = (await TodayAsync(site))!.Plants.Select(plant => (plant.Plant.Tag, plant.Plant.Entries.Count)).ToList();
        foreach (var situation in PracticeSituations.All)
        {
            await Desk(site).BeginAsync(situation, Cancel);
            var practice = (await TodayAsync(site))!;
            Assert.Equal(situation.Day, practice.Day);
            Assert.Equal(situation.Garden.Plants.Select(plant => plant.Tag).Order(), practice.Tags.Order());
            Assert.True(practice.Weather.RecordOf(situation.Garden.Places[0].Code).Nights.Count > 30);
            await Desk(site).StepAsync(1, toTurn: false, Cancel);
            Assert.Null((await Desk(site).StateAsync())!.End);
        }
        await Desk(site).BeginAsync(null, Cancel);
        var after = (await TodayAsync(site))!;
        Assert.Equal((DemoGarden.Day, DemoGarden.Name), (after.Day, after.Garden.Name));
        Assert.Equal(before, after.Plants.Select(plant => (plant.Plant.Tag, plant.Plant.Entries.Count)));
        Assert.Null(await Desk(site).StateAsync());
    }

    [Fact]
    public async Task The_calendar_keeps_to_its_format()
    {
        await using var site = await Site.DemoAsync();
        var today = (await TodayAsync(site))!;
        AgendaItem[] items =
        [
            new("A/turn", AgendaKind.Turn, new(2032, 2, 29), "Dry weeks: keep it dry; no water, for 28 days.", ["CLI-01"])
            {
                From = new(2032, 2, 20),
                To = new(2032, 3, 9),
            },
            new("B/cold", AgendaKind.Move, new(2031, 10, 12), new string('ß', 200), ["HOY-01", "HOY-02", "PHA-01"]),
        ];
        var text = GardenCalendar.Write(today.Garden.Name, items, new(2031, 5, 24, 9, 0, 0, TimeSpan.Zero));
        // RFC 5545: lines end in CR LF and are folded at 75 octets; whole days end on the next.
        Assert.All(text.Split("\r\n"), line => Assert.True(System.Text.Encoding.UTF8.GetByteCount(line) <= 75, line));
        Assert.Contains("DTSTART;VALUE=DATE:20320229", text, StringComparison.Ordinal);
        Assert.Contains("DTEND;VALUE=DATE:20320301", text, StringComparison.Ordinal);
        Assert.Contains("DTSTAMP:20310524T090000Z", text, StringComparison.Ordinal);
        Assert.Contains("SUMMARY:HOY-01 and 2 more", text, StringComparison.Ordinal);
        Assert.Equal(GardenCalendar.Uid("a/turn"), GardenCalendar.Uid("A/turn"));
        Assert.NotEqual(GardenCalendar.Uid("a/turn"), GardenCalendar.Uid("b/cold"));
    }

    [Fact]
    public async Task Days_away_and_notices_that_are_damaged_are_nothing_and_no_fault()
    {
        await using var site = await Site.DemoAsync();
        var logbook = site.Services.GetRequiredService<Logbook>();
        foreach (var name in (string[])["away", "notices", "stepped"])
            await logbook.AsideAsync("damaged", Changes.Setting(name, "{ no json"), Cancel);
        var store = site.Services.GetRequiredService<GardenStore>();
        Assert.Empty(await AwayBook.ReadAsync(store));
        Assert.Null((await NoticeSettings.ReadAsync(store)).CalendarToken);
        Assert.Null(await SteppedState.ReadAsync(store));
        Assert.Contains("Triggers", await site.TextAsync("/triggers"), StringComparison.Ordinal);
    }
}

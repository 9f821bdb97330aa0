using BudClock.Core.Evidence;
using BudClock.Core.Planning;
using BudClock.Core.Programmes;
using BudClock.Data;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Triggers;

/// <summary>Programmes, forced bulbs and expected blooms as lanes; starts are moved by hand, by keys or in the table.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook, GardenStore store) : GardenPage(todaysGarden)
{
    const int LongestAwayDays = 200;

    public TriggerBoard Board { get; private set; } = null!;
    public TriggerChart Chart { get; private set; } = null!;
    public IReadOnlyList<Away> Away { get; private set; } = [];

    /// <summary>The place whose nights are drawn.</summary>
    public Place? NightsOf { get; private set; }

    public string? Fault { get; private set; }

    public async Task OnGetAsync() => await ShowAsync();

    /// <summary>Moves a planting day or a planned start; what follows from it follows.</summary>
    public async Task<IActionResult> OnPostMoveAsync(string tag, Guid order, DateOnly? to)
    {
        Fault = await MoveAsync(tag, order, to);
        return await AgainAsync();
    }

    async Task<string?> MoveAsync(string tag, Guid order, DateOnly? to)
    {
        if (Today.Find(tag) is not { Situation.Programme: { } run } plant || run.Order.Entry.Id != order)
            return "That programme is not there any more. Here is how it stands now.";
        if (to is not { } day || day < Today.Day.AddYears(-1) || day > Today.Day.AddYears(2))
            return "Give the day as 2031-11-26, within two years.";
        var old = run.Order.Entry;
        string text;
        if (run.Order.BloomOn is not null)
        {
            var took = BulbInterval.Of(plant.Situation);
            text = run.Order.MovedTo(day.AddDays((int)Math.Round(took.Likely)));
        }
        else if (run.State is not RunState.Planned)
            return $"{run.Programme.Title} has begun already; correct the entry in {plant.Plant.Tag}'s log where its day was wrong.";
        else if (day < Today.Day)
            return "A start that is planned lies ahead. To say that it began earlier, log it on that day.";
        else
            text = ProgrammeOrder.Words(run.Programme.Name, day, old.On);
        if (text == old.Text)
            return null;
        var outcome = await logbook.AmendAsync(Act, plant.Plant.Tag, old, new(old.Kind, old.On, Text: text));
        return outcome.Trouble;
    }

    /// <summary>Pauses, resumes or gives up.</summary>
    public async Task<IActionResult> OnPostSayAsync(string tag, string what)
    {
        var kind = what switch
        {
            "pause" => EntryKinds.ProgrammePaused,
            "resume" => EntryKinds.ProgrammeResumed,
            "end" => EntryKinds.ProgrammeEnded,
            _ => null,
        };
        if (kind is null || Today.Find(tag) is not { } plant)
            return NotFound();
        Fault = (await logbook.LogAsync(Act, [plant.Plant.Tag], [new(kind, Today.Day)])).Trouble;
        return await AgainAsync();
    }

    public async Task<IActionResult> OnPostAwayAsync(DateOnly? from, DateOnly? to)
    {
        if (from is not { } first || to is not { } last || last < first || last.DayNumber - first.DayNumber > LongestAwayDays)
            Fault = $"Give the first and the last day away, as 2031-08-02, at most {LongestAwayDays} days.";
        else
            Fault = (await KeepAsync([.. await AwayBook.ReadAsync(store), new(first, last)], $"Away {Dates.Range(first, last)}")).Trouble;
        return await AgainAsync();
    }

    public async Task<IActionResult> OnPostBackAsync(DateOnly from)
    {
        Fault = (await KeepAsync([.. (await AwayBook.ReadAsync(store)).Where(span => span.From != from)], "Days away taken back")).Trouble;
        return await AgainAsync();
    }

    Task<Outcome> KeepAsync(IEnumerable<Away> spans, string words) => logbook.WriteAsync(Act, words, AwayBook.Keep(spans));

    async Task<IActionResult> AgainAsync()
    {
        if (Fault is null && !IsHtmx)
            return Redirect("/triggers");
        await ShowAsync();
        return IsHtmx ? Partial("_TriggerBoard", this) : Page();
    }

    async Task ShowAsync()
    {
        var today = await TodaysGarden.TodayAsync() ?? Today;
        Away = [.. (await AwayBook.ReadAsync(store)).Where(span => span.To >= today.Day)];
        Board = TriggerBoard.Of(today.Plants, Away, today.Day);
        NightsOf = Most(today);
        Chart = TriggerChart.Of(
            Board,
            today.Weather.Calendar,
            today.Weather.RecordOf(NightsOf?.Code),
            today.Weather.AheadOf(NightsOf?.Code),
            Away,
            today.Day
        );
    }

    /// <summary>The place at which most lanes stand, a measured one before others.</summary>
    Place? Most(GardenDay today) =>
        today
            .Places.OrderByDescending(place => today.Weather.RecordOf(place.Code).Nights.Count > 0)
            .ThenByDescending(place => Board.Lanes.Count(lane => today.Find(lane.Tag)?.Plant.Place == place.Code))
            .FirstOrDefault();
}

using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Climate;
using BudClock.Core.Feeding;
using BudClock.Core.Round;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages;

/// <summary>The Round: today, place by place.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, ReadingIntake intake, ForecastWatcher watcher) : GardenPage(todaysGarden)
{
    /// <summary>Only this place, by code; all when left out.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    /// <summary>The tag of the plant whose reasons are shown.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Selected { get; set; }

    /// <summary>The plant to go on to when the selected one asks no more.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Then { get; set; }

    /// <summary>Put the cursor into the number that is asked for.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Measure { get; set; }

    public RoundView View { get; private set; } = null!;

    public async Task<IActionResult> OnGetAsync()
    {
        View = RoundView.Of(Today, Place, Selected, Then, Measure) with
        {
            Troubles =
            [
                .. (await intake.StatesAsync(Today.Devices)).Where(state => state.Health is not (DeviceHealth.Well or DeviceHealth.New)),
            ],
            Said = watcher.Trouble,
        };
        return IsHtmx ? Partial("_Board", View) : Page();
    }
}

/// <summary>What the Round shows.</summary>
public sealed record RoundView(
    GardenDay Today,
    RoundOfDay Round,
    RoundOfDay Everywhere,
    string? Place,
    Assessment? Chosen,
    bool ByDefault,
    bool Measure
)
{
    /// <summary>Its parts are sent on their own, each to the place of its id.</summary>
    public bool IsPart { get; init; }

    public static RoundView Of(GardenDay today, string? place, string? selected, string? then, bool measure)
    {
        var (everywhere, round) = (today.Round(null), today.Round(place));
        var chosen = today.Find(selected);
        if (then is not null && !round.AllAsking.Contains(chosen))
            chosen = today.Find(then);
        return new(today, round, everywhere, place, chosen ?? round.AllAsking.FirstOrDefault(), chosen is null, measure);
    }

    /// <summary>Trays and reservoirs of the places shown, each with its one advice.</summary>
    public IEnumerable<SharedVessel> Trays =>
        Today.SharedVessels.Where(shared => shared.Advice is not null && (Place is null || shared.Vessel.Place == Place));

    /// <summary>What the plants that are due take from the mixing bench; null while there is no recipe to mix by.</summary>
    public TodaysMix? ToMix => Today.Shelf.Recipes.Count == 0 ? null : Today.Mix;

    /// <summary>Young batches that are due for a look.</summary>
    public int YoungToLookAt => Today.Shed.ToLookAt(Today.Day).Count();

    /// <summary>A nursery is walked place by place: more rows than this at once help nobody.</summary>
    const int MostRows = 120;

    /// <summary>How many of a list are shown: all where one place was chosen, else a fair share of the rows.</summary>
    public int Rows(IReadOnlyCollection<Assessment> plants) =>
        Place is null ? Math.Min(plants.Count, MostRows / Math.Max(3, Round.Asking.Count)) : plants.Count;

    public string Title => $"{Today.Day.ToString("dddd", CultureInfo.InvariantCulture)} round";

    /// <summary>Where the board is fetched from when the journal has changed: the same choice, or the next plant that asks.</summary>
    public string Again
    {
        get
        {
            var next = Round.AllAsking.SkipWhile(plant => !Shows(plant)).Skip(1).FirstOrDefault()?.Plant.Tag;
            var then = next is null ? "" : $"&then={Uri.EscapeDataString(next)}";
            return ByDefault ? Link(Place, null) : Link(Place, Chosen!.Plant.Tag) + then;
        }
    }

    public string Link(string? place, string? tag, bool measure = false)
    {
        var query = QueryString.Create(
            new Dictionary<string, string?>
            {
                ["place"] = place,
                ["selected"] = tag,
                ["measure"] = measure ? "true" : null,
            }.Where(pair => pair.Value is not null)
        );
        return "/" + query;
    }

    public bool Shows(Assessment plant) => ReferenceEquals(plant, Chosen);

    public int Asking(string? place) => (asking ??= Count()).GetValueOrDefault(place ?? "");

    Dictionary<string, int>? asking;

    /// <summary>How many ask at each place, and under no name at all of them.</summary>
    Dictionary<string, int> Count()
    {
        var count = Everywhere.AllAsking.GroupBy(plant => plant.Plant.Place ?? " ").ToDictionary(here => here.Key, here => here.Count());
        // What is asked of several together is one question.
        foreach (var place in Everywhere.Asking.Where(place => place.Beginners.Count > 0))
        {
            var code = place.Place?.Code ?? " ";
            count[code] = count.GetValueOrDefault(code) + 1;
        }
        count[""] = count.Values.Sum();
        return count;
    }

    /// <summary>"Day 16 h 04 min, +2 min"; null without a latitude.</summary>
    public string? DayLength
    {
        get
        {
            if (Today.Garden.Latitude is not { } latitude)
                return null;
            var (hours, before) = (Sun.On(Today.Day, latitude).DayHours, Sun.On(Today.Day.AddDays(-1), latitude).DayHours);
            var minutes = (int)Math.Round(hours * 60);
            var change = (int)Math.Round((hours - before) * 60);
            var sign = change < 0 ? $"−{-change}" : $"+{change}";
            return $"Day {minutes / 60} h {minutes % 60:00} min, {sign} min";
        }
    }

    /// <summary>The next nights at each place that anything is known of.</summary>
    public IReadOnlyList<PlaceOutlook> Outlooks => [.. Today.Outlooks.Where(at => (at.Tonight?.MinC ?? at.Coolest?.Value) is not null)];

    /// <summary>Plants that have to come in before the same cold, place by place.</summary>
    public IEnumerable<BringIn> BringIns => Today.BringIns.Where(group => Place is null || group.From.Code == Place);

    /// <summary>Places with plants of which nobody has said what they are.</summary>
    public IReadOnlyList<Place> OnlyNames =>
        [.. Today.Places.Where(place => !place.Described && Today.Plants.Any(plant => !plant.Gone && plant.Plant.Place == place.Code))];

    /// <summary>Devices of which something is to be said.</summary>
    public IReadOnlyList<DeviceState> Troubles { get; init; } = [];

    /// <summary>What is wrong with the forecast, or how old it is; null for nothing.</summary>
    public string? Said
    {
        get =>
            field
            ?? (
                Today.Forecast.Where(day => day.Place is null).Max(day => day.Made) is { } made && made < Today.Day.AddDays(-1)
                    ? $"The forecast is from {Dates.Short(made)}."
                    : null
            );
        init;
    }
}

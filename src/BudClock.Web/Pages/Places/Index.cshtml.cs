using BudClock.Core.Round;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>The places in walking order: how each does, add, move and take away.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook, ThinningDesk thinning, Clock clock) : GardenPage(todaysGarden)
{
    [BindProperty]
    public string? Code { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? Setting { get; set; }

    [BindProperty]
    public string? Window { get; set; }

    /// <summary>What is said of places that are only names so far.</summary>
    [BindProperty]
    public List<DescribedPlace> Described { get; set; } = [];

    /// <summary>Places of which nobody has said what they are, while plants stand there or nothing else is known.</summary>
    public IReadOnlyList<Place> Undescribed => [.. Today.Places.Where(place => !place.Described)];

    /// <summary>Last night's lowest by place, as it is typed.</summary>
    [BindProperty]
    public Dictionary<string, string?> Nights { get; set; } = [];

    public Unit DegreeUnit => Unit.Default(Dimension.Temperature, Today.Garden.UsUnits)!;

    /// <summary>What was wrong with the last form.</summary>
    public string? Fault { get; private set; }

    /// <summary>Every place with its next days.</summary>
    public IReadOnlyList<PlaceOutlook> Outlooks => Today.Outlooks;

    /// <summary>Readings that could be thinned; null for none.</summary>
    public OldReadings? Old { get; private set; }

    /// <summary>How many plants stand there.</summary>
    public int Here(Place place) => Today.Plants.Count(plant => !plant.Gone && plant.Plant.Place == place.Code);

    /// <summary>Its light in words.</summary>
    public string LightOf(Place place) => PlaceLight.Of(place, Today.Weather.At(place.Code), Today.Day, Today.Garden).Words;

    public async Task OnGetAsync() => Old = await thinning.OldAsync(Today);

    /// <summary>Writes down last night's lowest at each place where one was typed.</summary>
    public async Task<IActionResult> OnPostNightsAsync()
    {
        var readings = new List<ClimateReading>();
        foreach (var (code, night) in Nights.Where(one => !string.IsNullOrWhiteSpace(one.Value)))
        {
            if (Today.PlaceAt(code) is not { } place)
                return await WrongAsync("That place is not there any more.");
            var form = new ReadingForm
            {
                On = Today.Day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture),
                Night = night,
            };
            var (read, fault) = form.Read(place, Today.Garden, clock.GetUtcNow(), Today.Day);
            if (read.Count == 0)
                return await WrongAsync($"{place.Name}: {fault}");
            readings.AddRange(read);
        }
        return readings.Count == 0
            ? await WrongAsync("Write down the night of at least one place.")
            : await SavedAsync($"The night at {readings.Count} places", Changes.Readings(readings));
    }

    /// <summary>Adds a place.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        var name = Name?.Trim() ?? "";
        if (PlaceForm.NameFault(name, null, Today) is { } fault)
            return await WrongAsync(fault);
        if (!string.IsNullOrEmpty(Setting) && !Place.Settings.Contains(Setting))
            return await WrongAsync("Choose one of the settings.");
        var place = new DescribedPlace { Setting = Setting, Window = Window }.On(
            new(Codes.For(name, "place", Today.Places.Select(p => p.Code)), name)
        );
        return await SavedAsync($"Place {name}", Changes.Place(place));
    }

    /// <summary>Keeps what is said of places that were only names.</summary>
    public async Task<IActionResult> OnPostDescribeAsync()
    {
        var said = Described
            .Select(one => (Said: one, Place: Today.PlaceAt(one.Code)))
            .Where(one => one.Place is not null)
            .Select(one => one.Said.On(one.Place!))
            .Where(place => place.Described)
            .ToList();
        return said.Count == 0
            ? await WrongAsync("Say of at least one place what it is.")
            : await SavedAsync(
                said.Count == 1 ? $"{said[0].Name} described" : $"{said.Count} places described",
                Changes.All([.. said.Select(Changes.Place)])
            );
    }

    public Task<IActionResult> OnPostMoveAsync(int step) => SavedAsync("The order of the walk", Changes.Walk(Code ?? "", Math.Sign(step)));

    /// <summary>Takes a place away that was added by mistake; what stands there has to be moved first.</summary>
    public async Task<IActionResult> OnPostRemoveAsync()
    {
        if (Today.PlaceAt(Code) is not { } place)
            return await WrongAsync("That place is not there any more.");
        var here = Today.Plants.Where(a => a.Plant.Place == place.Code && !a.Gone).Select(a => a.Plant.Tag).ToList();
        if (here.Count > 0)
            return await WrongAsync(
                $"{string.Join(", ", here.Take(5))}{(here.Count > 5 ? " and others" : "")} stand there. Move them first."
            );
        if (Today.Devices.FirstOrDefault(device => device.Place == place.Code) is { } device)
            return await WrongAsync($"{device.Name} hangs there. Hang it elsewhere first, under Devices.");
        return await SavedAsync($"Place {place.Name} taken away", Changes.WithoutPlace(place.Code));
    }

    /// <summary>Thins readings that are older than two years.</summary>
    public async Task<IActionResult> OnPostThinAsync()
    {
        TempData["Said"] = await thinning.ThinAsync(Today);
        return Redirect("/places");
    }

    async Task<IActionResult> SavedAsync(string words, Change change)
    {
        var outcome = await logbook.WriteAsync(Act, words, change);
        return outcome.Done ? Redirect("/places") : await WrongAsync(outcome.Trouble!);
    }

    async Task<IActionResult> WrongAsync(string fault)
    {
        Fault = fault;
        Old = await thinning.OldAsync(Today);
        return Page();
    }
}

/// <summary>What is said of a place in a few words; what is no answer of the lists counts as not said.</summary>
public sealed class DescribedPlace
{
    public string? Code { get; set; }
    public string? Setting { get; set; }
    public string? Window { get; set; }
    public string? Light { get; set; }

    /// <summary>The place with what is said of it.</summary>
    public Place On(Place place) =>
        place with
        {
            Setting = Known(Setting, Place.Settings) ?? place.Setting,
            Window = Known(Window, Place.Windows) ?? place.Window,
            Light = Known(Light, Place.Lights) ?? place.Light,
        };

    static string? Known(string? said, IReadOnlyList<string> answers) => said is not null && answers.Contains(said) ? said : null;
}

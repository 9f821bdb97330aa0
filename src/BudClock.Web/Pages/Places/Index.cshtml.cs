using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>The places in walking order: add, rename, move, and write down a night.</summary>
public sealed class IndexModel(TodaysGarden glasshouse, Logbook logbook, Clock clock) : GardenPage(glasshouse)
{
    const int LongestName = 40;

    [BindProperty]
    public string? Code { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? Setting { get; set; }

    [BindProperty]
    public string? Night { get; set; }

    /// <summary>Hours a day that lamps burn there; empty without lamps.</summary>
    [BindProperty]
    public string? Lamps { get; set; }

    /// <summary>What was wrong with the last form, and which place it was about.</summary>
    public string? Fault { get; private set; }

    public Unit NightUnit => Unit.Default(Dimension.Temperature, Today.Garden.UsUnits)!;

    public void OnGet() { }

    /// <summary>Adds a place, or changes the one whose code is sent.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        var name = Name?.Trim() ?? "";
        if (name.Length is 0 or > LongestName)
            return Wrong($"A place needs a name of at most {LongestName} characters.");
        if (Today.Places.FirstOrDefault(p => p.Code != Code && p.Name.Equals(name, StringComparison.OrdinalIgnoreCase)) is { } taken)
            return Wrong($"There is a place called {taken.Name} already.");
        if (!string.IsNullOrEmpty(Setting) && !Place.Settings.Contains(Setting))
            return Wrong("Choose one of the settings.");
        var lamps = AmountReader.Read(Lamps, null);
        if (!string.IsNullOrWhiteSpace(Lamps) && lamps is not { Unit: null, Value: >= 0 and <= 24 })
            return Wrong($"\"{Lamps}\" is no number of hours from 0 to 24.");
        var place = new Place(
            Code ?? Codes.For(name, "place", Today.Places.Select(p => p.Code)),
            name,
            string.IsNullOrEmpty(Setting) ? null : Setting,
            lamps?.Value
        );
        return await SavedAsync($"Place {name}", Changes.Place(place));
    }

    public async Task<IActionResult> OnPostMoveAsync(int step)
    {
        return await SavedAsync("The order of the walk", Changes.Walk(Code ?? "", Math.Sign(step)));
    }

    /// <summary>Takes a place away that was added by mistake; what stands there has to be moved first.</summary>
    public async Task<IActionResult> OnPostRemoveAsync()
    {
        if (Today.PlaceAt(Code) is not { } place)
            return Wrong("That place is not there any more.");
        var here = Today.Plants.Where(a => a.Plant.Place == place.Code && !a.Gone).Select(a => a.Plant.Tag).ToList();
        if (here.Count > 0)
            return Wrong($"{string.Join(", ", here.Take(5))}{(here.Count > 5 ? " and others" : "")} stand there. Move them first.");
        return await SavedAsync($"Place {place.Name} taken away", Changes.WithoutPlace(place.Code));
    }

    /// <summary>Writes down last night's lowest temperature at a place.</summary>
    public async Task<IActionResult> OnPostNightAsync()
    {
        if (Today.Places.All(p => p.Code != Code))
            return Wrong("That place is not there any more.");
        if (AmountReader.Read(Night, NightUnit) is not { Dimension: Dimension.Temperature } read || read.InBase is < -60 or > 60)
            return Wrong($"\"{Night}\" is no night temperature; write a number such as {(Today.Garden.UsUnits ? "57" : "14")}.");
        var threeInTheMorning = new DateTime(Today.Day, new TimeOnly(3, 0));
        var at = new DateTimeOffset(threeInTheMorning, Today.Garden.Zone.GetUtcOffset(threeInTheMorning));
        if (at > clock.GetUtcNow())
            at = clock.GetUtcNow();
        return await SavedAsync(
            $"Last night {read} at {Today.PlaceAt(Code)!.Name}",
            Changes.Readings([new(Code!, at.ToUniversalTime(), read.InBase, null)])
        );
    }

    async Task<IActionResult> SavedAsync(string words, Change change)
    {
        var outcome = await logbook.WriteAsync(Act, words, change);
        return outcome.Done ? Redirect("/places") : Wrong(outcome.Trouble!);
    }

    IActionResult Wrong(string fault)
    {
        Fault = fault;
        return Page();
    }
}

using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>The places in walking order: add, rename, move, and write down a night.</summary>
public sealed class IndexModel(TodaysGarden glasshouse, GardenStore store, Clock clock) : GardenPage(glasshouse)
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
        await store.SavePlaceAsync(
            new(
                Code ?? Codes.For(name, "place", Today.Places.Select(p => p.Code)),
                name,
                string.IsNullOrEmpty(Setting) ? null : Setting,
                lamps?.Value
            )
        );
        return Saved();
    }

    public async Task<IActionResult> OnPostMoveAsync(int step)
    {
        await store.MovePlaceAsync(Code ?? "", Math.Sign(step));
        return Saved();
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
        await store.SaveReadingAsync(new(Code!, at.ToUniversalTime(), read.InBase, null));
        return Saved();
    }

    RedirectResult Saved()
    {
        TodaysGarden.Forget();
        return Redirect("/places");
    }

    IActionResult Wrong(string fault)
    {
        Fault = fault;
        return Page();
    }
}

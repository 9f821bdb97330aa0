using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A water on the shelf: new, or measured again.</summary>
public sealed class WaterModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? Kind { get; set; }

    [BindProperty]
    public string? Tds { get; set; }

    /// <summary>Conductivity instead, mS/cm.</summary>
    [BindProperty]
    public string? Ec { get; set; }

    [BindProperty]
    public string? Ph { get; set; }

    [BindProperty]
    public string? Hardness { get; set; }

    [BindProperty]
    public DateOnly? Measured { get; set; }

    public Water? Known { get; private set; }

    public IActionResult OnGet(string? code)
    {
        Known = Shelf.Water(code);
        if (code is not null && Known is null)
            return NotFound();
        (Name, Kind, Tds, Ph, Hardness, Measured) = (
            Known?.Name,
            Known?.Kind ?? Water.Rain,
            Shown(Known?.TdsPpm),
            Shown(Known?.Ph),
            Shown(Known?.HardnessPpm),
            Known?.Measured ?? Today.Day
        );
        return Page();
    }

    public async Task<IActionResult> OnPostAsync([FromRoute] string? code)
    {
        Known = Shelf.Water(code);
        if (code is not null && Known is null)
            return NotFound();
        var name = ReadName(Name, "A water", Shelf.Waters.Where(w => w.Code != code).Select(w => w.Name));
        if (!Water.Kinds.Contains(Kind))
            Faults.Add("Choose what kind of water it is.");
        var water = new Water(name, ReadTds())
        {
            Code = code ?? Codes.For(name, "water", Shelf.Waters.Select(w => w.Code)),
            Kind = Kind ?? Water.Pure,
            Ph = ReadPh(Ph),
            HardnessPpm = Optional(Hardness, 0, 5000, "Hardness"),
            Measured = Measured > Today.Day ? null : Measured,
        };
        if (Measured > Today.Day)
            Faults.Add("The day it was measured is still to come.");
        if (Faults.Count > 0)
            return Page();
        return await SaveAsync($"Water {water.Name}", code is null ? Changes.NewOnShelf(water) : Changes.Shelf(water));
    }

    public async Task<IActionResult> OnPostRemoveAsync([FromRoute] string code)
    {
        if (Shelf.Recipes.Where(recipe => recipe.Waters.ContainsKey(code)).Select(recipe => recipe.Name).ToList() is { Count: > 0 } used)
        {
            OnGet(code);
            Faults.Add($"It is in {string.Join(", ", used)}: change those recipes first.");
            return Page();
        }
        return await SaveAsync("Water off the shelf", Changes.OffShelf<Water>(w => w.Code == code));
    }

    double ReadTds() =>
        string.IsNullOrWhiteSpace(Tds) && Optional(Ec, 0, 10, "Conductivity") is { } ec
            ? MeterScale.Of(Shelf.Tools.MeterScale).PpmOf(ec)
            : Number(Tds, 0, 5000, "Dissolved solids");
}

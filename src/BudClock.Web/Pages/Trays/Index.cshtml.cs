using BudClock.Core.Advising.Vessels;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Trays;

/// <summary>Trays, reservoirs and cover pots: what stands in them, how fast they are drunk, and what to take out.</summary>
public sealed class IndexModel(TodaysGarden glasshouse, GardenStore store) : GardenPage(glasshouse)
{
    const int LongestName = 40;

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? Kind { get; set; }

    [BindProperty]
    public string? Place { get; set; }

    [BindProperty]
    public List<string> Tags { get; set; } = [];

    public SharedVessel? Shared { get; private set; }

    public string? Fault { get; private set; }

    public IActionResult OnGet(string? code) => Find(code) ? Page() : NotFound();

    public async Task<IActionResult> OnPostAsync(string? code)
    {
        if (!Find(code))
            return NotFound();
        var name = Name?.Trim() ?? "";
        if (name.Length is 0 or > LongestName)
            Fault = $"It needs a name of at most {LongestName} characters.";
        else if (!Vessel.Kinds.Contains(Kind))
            Fault = "Choose a tray, a reservoir or a cover pot.";
        else if (Today.Vessels.Any(v => v.Code != code && v.Name.Equals(name, StringComparison.OrdinalIgnoreCase)))
            Fault = $"There is one called {name} already.";
        if (Fault is not null)
            return Page();
        var vessel = new Vessel(
            code ?? $"v{Guid.CreateVersion7():N}"[..13] + Today.Vessels.Count,
            name,
            Kind!,
            Today.Places.FirstOrDefault(p => p.Code == Place)?.Code
        );
        await store.SaveVesselAsync(vessel, [.. Tags.Where(tag => Today.Find(tag) is not null)]);
        TodaysGarden.Forget();
        return Redirect($"/trays/{vessel.Code}");
    }

    bool Find(string? code)
    {
        Shared = code is null ? null : Today.SharedVessels.FirstOrDefault(shared => shared.Vessel.Code == code);
        return code is null || Shared is not null;
    }
}

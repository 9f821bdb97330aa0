using BudClock.Core.Potting;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Potting;

/// <summary>Empty pots, and mixes of the grower's own.</summary>
public sealed class PotsModel(TodaysGarden todaysGarden, Logbook logbook) : TypedPage(todaysGarden, logbook)
{
    const int MostKinds = 10_000;

    [BindProperty]
    public string? Wide { get; set; }

    [BindProperty]
    public string? High { get; set; }

    [BindProperty]
    public string? Kind { get; set; }

    [BindProperty]
    public string? Count { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    /// <summary>Parts as typed: "4 bark, 1 perlite".</summary>
    [BindProperty]
    public string? Parts { get; set; }

    [BindProperty]
    public string? Settles { get; set; }

    [BindProperty]
    public string? Handling { get; set; }

    public void OnGet() { }

    /// <summary>Adds pots, or counts those of the same size and stuff anew.</summary>
    public async Task<IActionResult> OnPostPotAsync()
    {
        var wide = Length(Wide, OwnedPot.LeastCm, OwnedPot.MostCm, "The pot's width");
        var high = string.IsNullOrWhiteSpace(High) ? wide : Length(High, OwnedPot.LeastCm, OwnedPot.MostCm, "The pot's height");
        var count = Whole(Count, 0, MostKinds, "How many stand empty");
        var kind = Kind?.Trim().ToLowerInvariant() ?? "";
        if (kind.Length is 0 or > 30)
            Faults.Add("Say what the pot is made of, such as clay, in at most 30 characters.");
        if (Faults.Count > 0)
            return Page();
        var same = Today.Shed.Pots.FirstOrDefault(pot => (pot.DiameterCm, pot.Kind) == (wide!.Value, kind));
        var code = same?.Code ?? Codes.For($"{kind} {wide:0.#}", "pot", Today.Shed.Pots.Select(pot => pot.Code));
        var made = new OwnedPot(code, wide!.Value, high!.Value, kind, count);
        return await SaveAsync($"{count} pots of {made.Words}", Changes.Shelf(made), "/potting/pots");
    }

    public async Task<IActionResult> OnPostWithoutPotAsync(string code) =>
        await SaveAsync("Pots off the shelf", Changes.OffShelf<OwnedPot>(pot => pot.Code == code), "/potting/pots");

    public async Task<IActionResult> OnPostMixAsync()
    {
        var name = ReadName(Name, "A mix", Today.Shed.AllMixes.Select(mix => mix.Name));
        var mix = new PottingMix(Codes.For(name, "mix", Today.Shed.AllMixes.Select(known => known.Code)), name)
        {
            Parts = ReadParts(),
            SettlesPercent = Optional(Settles, 0, 50, "How much it settles, percent,") ?? new PottingMix("", "").SettlesPercent,
            Handling = Handling?.Trim() ?? "",
        };
        if (mix.Fault() is { } fault)
            Faults.Add(fault);
        return Faults.Count > 0 ? Page() : await SaveAsync($"Mix {name}", Changes.NewOnShelf(mix), "/potting/pots#mixes");
    }

    public async Task<IActionResult> OnPostWithoutMixAsync(string code) =>
        await SaveAsync("Mix taken away", Changes.OffShelf<PottingMix>(mix => mix.Code == code), "/potting/pots#mixes");

    /// <summary>"4 bark, 1 perlite", each part with its number first.</summary>
    Dictionary<string, double> ReadParts()
    {
        var parts = new Dictionary<string, double>(StringComparer.OrdinalIgnoreCase);
        foreach (var typed in (Parts ?? "").Split([',', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var words = typed.Split(' ', 2, StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
            if (words.Length == 2 && AmountReader.Read(words[0], null) is { Unit: null, Value: > 0 } read && !parts.ContainsKey(words[1]))
                parts[words[1].ToLowerInvariant()] = read.Value;
            else
                Faults.Add($"\"{typed}\" is no part: write a number and what it is, each part once, such as 4 bark.");
        }
        return parts;
    }
}

using System.Globalization;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A feed or stimulant on the shelf, as its label says it.</summary>
public sealed class FeedModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string Label { get; set; } = "";

    /// <summary>The label gives P and K as elements, not as oxides.</summary>
    [BindProperty]
    public bool AsElements { get; set; }

    [BindProperty]
    public string? Urea { get; set; }

    [BindProperty]
    public string? Ca { get; set; }

    [BindProperty]
    public string? Mg { get; set; }

    [BindProperty]
    public string Form { get; set; } = Feed.Powder;

    [BindProperty]
    public bool Stimulant { get; set; }

    [BindProperty]
    public string? Spoon { get; set; }

    [BindProperty]
    public string? Density { get; set; }

    /// <summary>The label's full dose, as it stands there: "1 g in 1 L".</summary>
    [BindProperty]
    public string? Full { get; set; }

    [BindProperty]
    public string? Salts { get; set; }

    [BindProperty]
    public string? Price { get; set; }

    public Feed? Known { get; private set; }

    public IActionResult OnGet(string? code)
    {
        Known = Shelf.Feed(code);
        if (code is not null && Known is null)
            return NotFound();
        if (Known is not { } feed)
            return Page();
        (Name, Label, Urea, Ca, Mg) = (feed.Name, feed.Label, Shown(feed.UreaNPercent), Shown(feed.CaPercent), Shown(feed.MgPercent));
        (Form, Stimulant, Spoon, Density, Salts, Price) = (
            feed.Form,
            feed.Stimulant,
            Shown(feed.GramsPerTeaspoon),
            Shown(feed.DensityGPerMl),
            Shown(feed.SaltsPercent),
            Shown(feed.PricePerKg)
        );
        Full = feed.LabelGramsPerLitre is { } full ? $"{Shown(full)} g in 1 L" : null;
        return Page();
    }

    public async Task<IActionResult> OnPostAsync([FromRoute] string? code)
    {
        Known = Shelf.Feed(code);
        if (code is not null && Known is null)
            return NotFound();
        if (Read(code) is not { } feed)
            return Page();
        return await SaveAsync($"Feed {feed.Name}", code is null ? Changes.NewOnShelf(feed) : Changes.Shelf(feed));
    }

    public async Task<IActionResult> OnPostRemoveAsync([FromRoute] string code)
    {
        if (Shelf.Recipes.Where(recipe => recipe.Feeds.ContainsKey(code)).Select(recipe => recipe.Name).ToList() is { Count: > 0 } used)
        {
            OnGet(code);
            Faults.Add($"It is in {string.Join(", ", used)}: change those recipes first.");
            return Page();
        }
        return await SaveAsync("Feed off the shelf", Changes.OffShelf<Feed>(f => f.Code == code));
    }

    Feed? Read(string? code)
    {
        var name = ReadName(Name, "A feed", Shelf.Feeds.Where(f => f.Code != code).Select(f => f.Name));
        if (!Feed.Forms.Contains(Form))
            Faults.Add("Choose powder, liquid or slow release.");
        if (ReadLabel(Label) is not { } parts)
        {
            Faults.Add($"\"{Label}\" is no label; write N-P-K, such as 20-20-20 or 5-10-3.");
            return null;
        }
        var (p, k) = AsElements ? (parts.P / Oxides.PInP2O5, parts.K / Oxides.KInK2O) : (parts.P, parts.K);
        var feed = new Feed(name, parts.N, p, k, Optional(Spoon, 0.001, 100, "A teaspoon's weight"))
        {
            Code = code ?? Codes.For(name, "feed", Shelf.Feeds.Select(f => f.Code)),
            Form = Form,
            Stimulant = Stimulant,
            UreaNPercent = Optional(Urea, 0, 100, "Urea's nitrogen") ?? 0,
            CaPercent = Optional(Ca, 0, 100, "Calcium") ?? 0,
            MgPercent = Optional(Mg, 0, 100, "Magnesium") ?? 0,
            DensityGPerMl = Optional(Density, 0.1, 5, "What a millilitre weighs"),
            SaltsPercent = Optional(Salts, 0, 100, "The share of salts"),
            PricePerKg = Optional(Price, 0, 100_000, "The price of a kilogram"),
        };
        feed = feed with { LabelGramsPerLitre = FullDose(feed) };
        if (Faults.Count == 0 && feed.Fault() is { } fault)
            Faults.Add(fault);
        return Faults.Count == 0 ? feed : null;
    }

    double? FullDose(Feed feed)
    {
        if (string.IsNullOrWhiteSpace(Full))
            return null;
        var strength = Strength.Read(Full) as Strength.Measured;
        if (strength is null)
            Faults.Add($"\"{Full}\" is no dose; write it as the label does, such as 1 g in 1 L, 5 mL in 1 L or 1/2 tsp in 1 gal.");
        else if (strength.In(1, feed) is { } dose)
            return dose.Grams;
        else
            Faults.Add(strength.Missing(feed));
        return null;
    }

    /// <summary>"5-10-3"; null when it is none.</summary>
    public static (double N, double P, double K)? ReadLabel(string? label)
    {
        var parts = (label ?? "")
            .Split('-')
            .Select(part =>
                double.TryParse(part.Trim(), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var percent)
                    ? percent
                    : double.NaN
            )
            .ToList();
        return parts.Count == 3 && !parts.Any(double.IsNaN) ? (parts[0], parts[1], parts[2]) : null;
    }
}

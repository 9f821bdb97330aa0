using BudClock.Core.Advising;
using BudClock.Core.Round;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Places;

/// <summary>All places of the garden against what one plant wants.</summary>
public sealed class FitModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    /// <summary>The tag of the plant.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Plant { get; set; }

    public Assessment? Chosen { get; private set; }

    public IReadOnlyList<PlaceFit> Fits { get; private set; } = [];

    /// <summary>What matters to it somewhere, in the order of the columns.</summary>
    public IReadOnlyList<string> Things => [.. Fits.SelectMany(fit => fit.Things.Select(thing => thing.What)).Distinct()];

    /// <summary>A sign and a word: never colour alone.</summary>
    public static string Words(Suits suits) =>
        suits switch
        {
            Suits.Well => "● suits",
            Suits.Nearly => "◐ not quite",
            Suits.Not => "▲ suffers",
            _ => "? not known",
        };

    public void OnGet()
    {
        Chosen = Today.Find(Plant) ?? Today.Plants.FirstOrDefault(plant => !plant.Gone);
        Fits = Chosen is null ? [] : PlaceFit.Of(Chosen, Today.Weather);
    }
}

using BudClock.Core.Round;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Sitter;

/// <summary>A round sheet to print for a plant-sitter: boxes to tick, and only what is safe to leave to a stranger.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    const int MostDays = 28;
    const int FarthestDays = 60;
    const int LongestWords = 1000;
    const int LongestNumber = 60;

    [BindProperty(SupportsGet = true)]
    public int Days { get; set; } = 7;

    /// <summary>The first day; today when left out, or when it lies before.</summary>
    [BindProperty(SupportsGet = true)]
    public DateOnly? From { get; set; }

    /// <summary>The grower's own words to the sitter.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Words { get; set; }

    /// <summary>Whom to call.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Telephone { get; set; }

    public SitterSheet Sheet { get; private set; } = null!;

    public void OnGet()
    {
        Days = Math.Clamp(Days, 1, MostDays);
        (Words, Telephone) = (Short(Words, LongestWords), Short(Telephone, LongestNumber));
        var from = From is { } day && day >= Today.Day && day <= Today.Day.AddDays(FarthestDays) ? day : Today.Day;
        Sheet = SitterSheet.Of(Today.Plants, Today.Places, Today.SharedVessels, from, Days);
    }

    static string? Short(string? text, int longest) =>
        string.IsNullOrWhiteSpace(text) ? null
        : text.Trim() is var trimmed && trimmed.Length > longest ? trimmed[..longest]
        : trimmed;
}

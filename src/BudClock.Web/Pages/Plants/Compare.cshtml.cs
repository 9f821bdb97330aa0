using BudClock.Web.Photos;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>Two pictures of a plant, one over the other; a slide uncovers either.</summary>
public sealed class CompareModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public Plant Plant { get; private set; } = null!;

    public IReadOnlyList<Entry> Pictures { get; private set; } = [];

    public Entry Under { get; private set; } = null!;

    public Entry Over { get; private set; } = null!;

    /// <param name="a">The file of the picture under; the oldest when left out.</param>
    /// <param name="b">The file of the picture over it; the newest when left out.</param>
    public IActionResult OnGet(string tag, string? a, string? b)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        (Plant, Pictures) = (plant.Plant, PlantPictures.Of(plant.Plant));
        if (Pictures.Count == 0)
            return Page();
        Under = Pictures.FirstOrDefault(picture => picture.File == a) ?? Pictures[0];
        Over = Pictures.FirstOrDefault(picture => picture.File == b) ?? Pictures[^1];
        return Page();
    }
}

using BudClock.Core.Advising;
using BudClock.Core.Years;
using BudClock.Web.Photos;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Seasons;

/// <summary>A year in print: one page for the garden, and one for each plant that anything was written of.</summary>
public sealed class PrintModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    /// <summary>More pictures than this do not go on a page.</summary>
    const int MostPictures = 4;

    public GrowingYear Year { get; private set; }

    public YearSum? Garden { get; private set; }

    public IReadOnlyList<(YearTold Told, YearSum? Sum, IReadOnlyList<Entry> Pictures)> Plants { get; private set; } = [];

    /// <summary>What bloomed in each month of the year.</summary>
    public IReadOnlyList<(DateOnly Month, IReadOnlyList<Assessment> InBloom)> Months { get; private set; } = [];

    /// <param name="year">The calendar year in which the year begins; left out for this one.</param>
    /// <param name="plant">The tag of the one plant to print; left out for all, and the garden.</param>
    public IActionResult OnGet(int? year, string? plant)
    {
        if (plant is not null && Today.Find(plant) is null)
            return NotFound();
        var southern = Today.Garden.Southern;
        var now = GrowingYear.Of(Today.Day, southern);
        Year = year is { } asked && asked > 1900 && asked <= now.Begins ? new(asked, southern) : now;
        IReadOnlyList<Assessment> plants = plant is null ? [.. Today.Plants] : [Today.Find(plant)!];
        if (plant is null)
        {
            Garden = YearSum.Of(plants, Today.Day, southern).FirstOrDefault(sum => sum.Year == Year);
            Months =
            [
                .. BloomRibbon
                    .Of(plants, Year, Today.Day)
                    .Weeks.Where(week => !week.Ahead)
                    .GroupBy(week => new DateOnly(week.From.Year, week.From.Month, 1))
                    .Select(month => (month.Key, (IReadOnlyList<Assessment>)[.. month.SelectMany(week => week.InBloom).Distinct()])),
            ];
        }
        Plants =
        [
            .. plants
                .Select(one => YearTold.Of(one, Year))
                .Where(told => told.Months.Count > 0)
                .Select(told =>
                    (
                        told,
                        YearSum.Of([told.Plant], Today.Day, southern).FirstOrDefault(sum => sum.Year == Year),
                        (IReadOnlyList<Entry>)[.. PlantPictures.Of(told.Plant.Plant).Where(one => Year.Has(one.On)).TakeLast(MostPictures)]
                    )
                ),
        ];
        return Page();
    }
}

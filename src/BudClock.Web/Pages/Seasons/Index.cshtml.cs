using BudClock.Core.Advising;
using BudClock.Core.Years;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Seasons;

/// <summary>What the years say: year beside year, the bloom ribbon, losses with their causes, and how good forecasts were.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    /// <summary>The one plant that it is about; null for the garden.</summary>
    public Assessment? Only { get; private set; }

    public IReadOnlyList<YearSum> Years { get; private set; } = [];

    public BloomRibbon Ribbon { get; private set; } = null!;

    public RibbonDrawing Drawing { get; private set; } = null!;

    /// <summary>The week that is told in words.</summary>
    public BloomWeek Week { get; private set; } = null!;

    /// <summary>What plants in trouble lately share, across the garden.</summary>
    public IReadOnlyList<Echo> Echoes { get; private set; } = [];

    public IReadOnlyList<ForecastsKept> Forecasts { get; private set; } = [];

    /// <param name="plant">The tag of one plant; left out for the garden.</param>
    /// <param name="year">The calendar year in which the year begins; left out for this one.</param>
    /// <param name="week">1 to 52; left out for the week of today, or the first.</param>
    public IActionResult OnGet(string? plant, int? year, int? week)
    {
        if (plant is not null && Today.Find(plant) is null)
            return NotFound();
        Only = plant is null ? null : Today.Find(plant);
        IReadOnlyList<Assessment> plants = Only is null ? [.. Today.Plants] : [Only];
        Years = YearSum.Of(plants, Today.Day, Today.Garden.Southern);
        var shown = GrowingYear.Of(Today.Day, Today.Garden.Southern);
        if (Years.FirstOrDefault(one => one.Year.Begins == year) is { } asked)
            shown = asked.Year;
        Ribbon = BloomRibbon.Of(plants, shown, Today.Day);
        Week = Ribbon.Weeks.FirstOrDefault(one => one.Number == week)
            ?? Ribbon.Weeks.FirstOrDefault(one => one.From <= Today.Day && Today.Day <= one.To)
            ?? Ribbon.Weeks[0];
        Drawing = RibbonDrawing.Of(Ribbon, Week.Number);
        Forecasts = ForecastsKept.Read(plants);
        Echoes = Only is null ? Radar.Read(plants, Today.Day) : [];
        return Page();
    }

    /// <summary>The same page with another year or week.</summary>
    public string Link(int? year = null, int? week = null)
    {
        List<string> parts = [$"year={year ?? Ribbon.Year.Begins}"];
        if (Only is { } only)
            parts.Insert(0, $"plant={Uri.EscapeDataString(only.Plant.Tag)}");
        if (week is { } number)
            parts.Add($"week={number}");
        return $"/seasons?{string.Join("&", parts)}";
    }

    /// <summary>What a forecast is of, in a grower's words.</summary>
    public static string Words(string of) =>
        of switch
        {
            Core.Measuring.Forecasts.FirstFlower => "first flower",
            Core.Measuring.Forecasts.Matured => "growth done",
            Core.Measuring.Forecasts.Faded => "last flower gone",
            Core.Measuring.Forecasts.PlantedToFlower => "planting to flower",
            _ => "buds or spike after a programme",
        };
}

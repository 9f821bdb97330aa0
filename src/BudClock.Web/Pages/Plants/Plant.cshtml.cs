using BudClock.Core.Advice;
using BudClock.Core.Journal;
using BudClock.Core.Measuring;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>One plant: its year, its verdict, what it has measured, its log.</summary>
public sealed class PlantModel(Glasshouse glasshouse) : GardenPage(glasshouse)
{
    /// <summary>Show the whole log instead of its newest part.</summary>
    [BindProperty(SupportsGet = true)]
    public bool All { get; set; }

    public PlantView View { get; private set; } = null!;

    public IActionResult OnGet(string tag)
    {
        if (Today.Find(tag) is not { } plant) return NotFound();
        View = new(Today, plant, All);
        return IsHtmx ? Partial("_Plant", View) : Page();
    }
}

/// <summary>What the plant page shows.</summary>
public sealed record PlantView(GardenDay Today, Assessment Assessment, bool All)
{
    const int Newest = 30;

    public Plant Plant => Assessment.Plant;

    public YearDial Dial => YearDial.Of(Assessment, Today.Garden);

    public RootChart? Roots => RootChart.Of(Assessment.Situation);

    /// <summary>How the roots of the root chart move.</summary>
    public Pace? RootPace => AllSeries.FirstOrDefault(s => s.Kind == EntryKinds.RootLength) is { } roots ? Pace.Read(roots, roots.YearBefore(AllSeries)) : null;

    /// <summary>What was measured in the last two months, besides the roots of the root chart.</summary>
    public IReadOnlyList<SeriesChart> Series =>
    [
        .. AllSeries.Where(s => s.Points.Count > 1 && s.Last.On > Today.Day.AddDays(-60) && !(s.Kind == EntryKinds.RootLength && Roots is not null))
            .Select(s => SeriesChart.Of(s, s.YearBefore(AllSeries))),
    ];

    /// <summary>When the open spike is likely to flower.</summary>
    public BloomForecast? Bloom
    {
        get
        {
            var kin = Today.Plants.Where(a => a.Plant.Tag != Plant.Tag && a.Plant.Genus is not null && a.Plant.Genus == Plant.Genus);
            return BloomForecast.Of(
                Assessment.Lanes, BloomForecast.Intervals(Assessment.Lanes, Plant.Acquired),
                [.. kin.SelectMany(a => BloomForecast.Intervals(a.Lanes, a.Plant.Acquired))], Plant.Genus, Assessment.Situation?.Sheet, Today.Day);
        }
    }

    IReadOnlyList<OrganSeries> AllSeries => Assessment.Situation?.Series ?? [];

    public GrowthsFromAbove? Growths => GrowthsFromAbove.Of(Plant, Today.Day);

    /// <summary>"CAL-02 · South bench · 12 cm clay pot, open bark · with you 3 years".</summary>
    public string Facts => string.Join(" · ", new[] { Plant.Taxon, Today.PlaceOf(Plant)?.Name ?? "Unplaced", Pot, WithYou }.Where(part => !string.IsNullOrEmpty(part)));

    /// <summary>The log, newest first, with struck lines.</summary>
    public IReadOnlyList<Entry> Log =>
        [.. Plant.Entries.OrderByDescending(e => e.On).ThenByDescending(e => e.Logged).Take(All ? int.MaxValue : Newest)];

    public int Older => Plant.Entries.Count - Log.Count;

    string Pot => string.Join(", ", new[]
    {
        Plant.Pot is { DiameterCm: { } wide } pot ? $"{wide:0.#} cm {pot.Kind} pot".Replace("  ", " ", StringComparison.Ordinal) : null,
        Plant.Medium,
    }.Where(part => part is not null));

    string WithYou
    {
        get
        {
            if (Plant.Acquired is not { } since || since > Today.Day) return "";
            var days = Today.Day.DayNumber - since.DayNumber;
            return days < 60 ? $"with you {days} days" : days < 730 ? $"with you {days / 30} months" : $"with you {days / 365} years";
        }
    }
}

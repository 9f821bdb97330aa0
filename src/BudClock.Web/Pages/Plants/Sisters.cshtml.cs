using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using BudClock.Core.Years;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>Two organs, of two plants or of two years of one, laid over each other by age.</summary>
public sealed class SistersModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    /// <summary>The plant whose page it was reached from.</summary>
    public Assessment One { get; private set; } = null!;

    /// <summary>The organ of it, and the other one; null where there is none to lay over it.</summary>
    public (Side One, Side Other)? Sides { get; private set; }

    public Sisters? Pair { get; private set; }

    public SeriesChart? Chart { get; private set; }

    /// <summary>What can be chosen, those of its own kind first, with their keys.</summary>
    public IReadOnlyList<(string Key, string Label)> Own { get; private set; } = [];

    public IReadOnlyList<(string Key, string Label)> Others { get; private set; } = [];

    /// <param name="a">The key of its own organ; the newest measured where left out.</param>
    /// <param name="b">The key of the other; the nearest of its kind where left out.</param>
    public IActionResult OnGet(string tag, string? a, string? b)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        One = plant;
        var own = Measured(plant).ToList();
        Own = [.. own.Select(series => (Key(plant, series), series.Label))];
        if ((own.Find(series => Key(plant, series) == a) ?? own.FirstOrDefault()) is not { } mine)
            return Page();
        var others = Today
            .Plants.Where(other => other.Plant.Genus == plant.Plant.Genus || other == plant)
            .SelectMany(other => Measured(other).Select(series => (Plant: other, Series: series)))
            .Where(other => other.Series.Kind == mine.Kind && !(other.Plant == plant && other.Series == mine))
            .OrderBy(other => other.Plant == plant)
            .ThenBy(other => other.Plant.Plant.Taxon != plant.Plant.Taxon)
            .ThenBy(other => Math.Abs(other.Series.Start.DayNumber - mine.Start.DayNumber))
            .ToList();
        Others = [.. others.Select(other => (Key(other.Plant, other.Series), $"{other.Plant.Plant.Tag}, {other.Series.Label}"))];
        if (others.Count == 0)
            return Page();
        var (otherPlant, series) = others.Find(other => Key(other.Plant, other.Series) == b) is { Series: not null } asked
            ? asked
            : others[0];
        Sides = (new(plant, mine), new(otherPlant, series));
        Pair = Sisters.Of(Sides.Value.One, Sides.Value.Other);
        Chart = SeriesChart.Of(mine, series, Today.Garden.UsUnits ? Unit.Find("in") : null);
        return Page();
    }

    static IEnumerable<OrganSeries> Measured(Assessment plant) => plant.Situation.Series.Where(series => series.Points.Count > 1);

    static string Key(Assessment plant, OrganSeries series) =>
        $"{plant.Plant.Tag}/{series.Kind.Name}/{series.Organ ?? $"{series.Start:yyyyMMdd}"}";

    /// <summary>The key of one of the two.</summary>
    public static string Key(Side side) => Key(side.Plant, side.Series);
}

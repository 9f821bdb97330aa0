using BudClock.Core.Formats.Lists;

namespace BudClock.Web.Pages.Plants;

/// <summary>A row of the list as the table sends it back.</summary>
public sealed class ListedForm
{
    public int Line { get; set; }
    public string? Written { get; set; }
    public string? Tag { get; set; }
    public string? Name { get; set; }
    public string? Taxon { get; set; }
    public string? Count { get; set; }

    /// <summary>What is counted stands in one pot.</summary>
    public bool OnePot { get; set; }
    public string? Place { get; set; }
    public string? Pot { get; set; }
    public string? Medium { get; set; }
    public string? Stage { get; set; }
    public string? Repotted { get; set; }
    public string? Acquired { get; set; }
    public string? Note { get; set; }

    /// <summary>It is not taken in.</summary>
    public bool Leave { get; set; }

    /// <summary>It is one of those that something is said of together.</summary>
    public bool Ticked { get; set; }

    public static ListedForm Of(ListedPlant plant) =>
        new()
        {
            Line = plant.Line,
            Written = plant.Written,
            Tag = plant.Tag,
            Name = plant.Name,
            Taxon = plant.Taxon,
            Count = $"{plant.Count}",
            OnePot = plant.OnePot,
            Place = plant.Place,
            Pot = plant.Pot,
            Medium = plant.Medium,
            Stage = plant.Stage,
            Repotted = plant.Repotted,
            Acquired = plant.Acquired,
            Note = plant.Note,
        };

    public ListedPlant Plant() =>
        new(Line, Written ?? "")
        {
            Tag = Plain(Tag),
            Name = Plain(Name),
            Taxon = Plain(Taxon),
            Count = int.TryParse(Count, out var count) ? Math.Clamp(count, 1, PlantList.MostOfOne) : 1,
            OnePot = OnePot,
            Place = Plain(Place),
            Pot = Plain(Pot),
            Medium = Plain(Medium),
            Stage = Plain(Stage),
            Repotted = Plain(Repotted),
            Acquired = Plain(Acquired),
            Note = Plain(Note),
        };

    static string Plain(string? field) => field?.Trim() ?? "";
}

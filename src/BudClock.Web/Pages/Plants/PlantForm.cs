using System.ComponentModel.DataAnnotations;
using System.Globalization;
using BudClock.Core.Culture;
using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace BudClock.Web.Pages.Plants;

/// <summary>A plant's form as typed. It comes back as typed when something in it is wrong.</summary>
public sealed class PlantForm
{
    const double PotMinCm = 1;
    const double PotMaxCm = 200;

    public string? Tag { get; set; }

    [StringLength(60, ErrorMessage = "A name holds at most 60 characters.")]
    public string? Name { get; set; }

    [StringLength(80, ErrorMessage = "A botanical name holds at most 80 characters.")]
    public string? Taxon { get; set; }

    /// <summary>The culture sheet that was chosen by hand; empty follows the name.</summary>
    public string? Sheet { get; set; }

    /// <summary>What a new plant is doing now, one of <see cref="PlantNow.All"/>; empty when nobody knows.</summary>
    public string? Doing { get; set; }

    public string? Place { get; set; }
    public string? Acquired { get; set; }
    public string? PotDiameter { get; set; }
    public string? PotHeight { get; set; }
    public string? PotKind { get; set; }

    [StringLength(60, ErrorMessage = "The medium holds at most 60 characters.")]
    public string? Medium { get; set; }

    /// <summary>Chosen schools by question; an empty one follows the sheet.</summary>
    public Dictionary<string, string?> Schools { get; set; } = [];
    public bool Doubtful { get; set; }

    [StringLength(20, ErrorMessage = "A tag holds at most 20 characters.")]
    public string? Parent { get; set; }
    public string? Origin { get; set; }

    [StringLength(80, ErrorMessage = "Where it came from holds at most 80 characters.")]
    public string? Source { get; set; }
    public string? QuarantineUntil { get; set; }

    /// <summary>The version of the plant that the form shows.</summary>
    public int Version { get; set; }

    /// <summary>From when the change holds, as 2031-05-24; today when left empty.</summary>
    public string? Holds { get; set; }

    /// <summary>It was so from the start: what stood here was wrong.</summary>
    public bool Always { get; set; }

    public static PlantForm Of(Plant plant, GardenDay today) =>
        new()
        {
            Tag = plant.Tag,
            Name = plant.Name,
            Taxon = plant.Taxon,
            Sheet = plant.Sheet,
            Place = plant.Place,
            Acquired = plant.Acquired?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            PotDiameter = Shown(plant.Pot?.DiameterCm, today),
            PotHeight = Shown(plant.Pot?.HeightCm, today),
            PotKind = plant.Pot?.Kind,
            Medium = plant.Medium,
            Schools = plant.Schools.All.ToDictionary(pair => pair.Key, pair => (string?)pair.Value),
            Doubtful = plant.Doubtful,
            Parent = plant.Parent,
            Origin = plant.Origin,
            Source = plant.Source,
            QuarantineUntil = plant.QuarantineUntil?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            Version = plant.Version,
        };

    /// <summary>The plant as the form gives it, or null with the faults noted beside their fields.</summary>
    public Plant? Read(Plant? known, GardenDay today, ModelStateDictionary faults)
    {
        var tag = known?.Tag ?? Blank(Tag) ?? Tags.Propose(Taxon, today.Tags);
        if (known is null && !Tags.Sound(tag))
            faults.AddModelError("Form.Tag", "A tag has letters, digits and hyphens, at most 20, such as LYC-01.");
        else if (known is null && today.Find(tag) is not null)
            faults.AddModelError("Form.Tag", $"{tag} is taken. A tag stays with its plant for good.");
        if (string.IsNullOrWhiteSpace(Taxon))
            faults.AddModelError(
                "Form.Taxon",
                "Write at least the genus, such as Lycaste; with \"identity is doubtful\" it can be a guess."
            );
        if (!string.IsNullOrEmpty(Place) && today.Places.All(p => p.Code != Place))
            faults.AddModelError("Form.Place", "That place is not there any more.");

        if (Blank(Sheet) is { } sheet && CultureSheets.Shipped.Find(sheet) is null)
            faults.AddModelError("Form.Sheet", $"There is no culture sheet \"{sheet}\".");
        if (Blank(Doing) is { } doing && PlantNow.Find(doing) is null)
            faults.AddModelError("Form.Doing", "Choose one of the answers.");
        SchoolFaults(faults);
        if (Blank(Parent) is { } parent && (today.Find(parent) is null || parent.Equals(tag, StringComparison.OrdinalIgnoreCase)))
            faults.AddModelError("Form.Parent", $"No other plant here is tagged \"{parent}\".");
        else if (Blank(Parent) is { } made && MadeFrom(made, tag, today))
            faults.AddModelError("Form.Parent", $"{made} was made from {tag}: it cannot be its parent too.");
        if (Blank(Origin) is { } origin && !Plant.Origins.Contains(origin))
            faults.AddModelError("Form.Origin", "Choose one of the ways.");
        var (quarantine, quarantineFault) = DayReader.Read(Blank(QuarantineUntil));
        if (quarantineFault is not null)
            faults.AddModelError("Form.QuarantineUntil", $"The end of the quarantine: {quarantineFault}.");
        var acquired = Day(today, faults);
        var pot = new Pot(
            Cm(PotDiameter, known?.Pot?.DiameterCm, "Form.PotDiameter", today, faults),
            Cm(PotHeight, known?.Pot?.HeightCm, "Form.PotHeight", today, faults),
            Blank(PotKind)
        );
        if (!faults.IsValid)
            return null;
        return (known ?? new Plant { Tag = tag }) with
        {
            Name = Blank(Name),
            Taxon = Blank(Taxon),
            Sheet = Blank(Sheet),
            Place = Blank(Place),
            Acquired = acquired,
            // A day that is known now says more than the rough date did.
            AcquiredAbout = acquired is null ? known?.AcquiredAbout : null,
            Pot = pot is { DiameterCm: null, HeightCm: null, Kind: null } ? null : pot,
            Medium = Blank(Medium),
            Doubtful = Doubtful,
            Synonyms = PlantChanges.Synonyms(known, Blank(Name), Blank(Taxon)),
            Parent = today.Find(Blank(Parent))?.Plant.Tag,
            Origin = Blank(Origin),
            Source = Blank(Source),
            QuarantineUntil = quarantine,
            Version = Version,
            Schools = Chosen(known),
        };
    }

    /// <summary>Whether a plant was made from another, over however many steps.</summary>
    static bool MadeFrom(string tag, string from, GardenDay today)
    {
        var seen = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        for (var at = today.Find(tag)?.Plant; at?.Parent is { } parent && seen.Add(at.Tag); at = today.Find(parent)?.Plant)
            if (parent.Equals(from, StringComparison.OrdinalIgnoreCase))
                return true;
        return false;
    }

    /// <summary>Only answers that some sheet knows.</summary>
    void SchoolFaults(ModelStateDictionary faults)
    {
        foreach (var (question, school) in Schools)
            if (Blank(school) is { } chosen && CultureSheets.Shipped.SchoolFault(question, chosen) is { } fault)
                faults.AddModelError("Form.Schools", fault);
    }

    /// <summary>Questions that the form did not show keep their answer.</summary>
    Choices Chosen(Plant? known)
    {
        var chosen = new Dictionary<string, string>(known?.Schools.All ?? Choices.None.All);
        foreach (var (question, school) in Schools)
        {
            if (string.IsNullOrEmpty(school))
                chosen.Remove(question);
            else
                chosen[question] = school;
        }
        return new(chosen);
    }

    DateOnly? Day(GardenDay today, ModelStateDictionary faults)
    {
        var (day, fault) = DayReader.Read(Blank(Acquired));
        if (fault is not null)
            faults.AddModelError("Form.Acquired", $"The day it came: {fault}.");
        if (day > today.Day)
            faults.AddModelError("Form.Acquired", $"{Dates.Long(day.Value)} is still to come.");
        return day;
    }

    /// <summary>From when the change holds; null where it was so from the start.</summary>
    public DateOnly? Since(Plant? known, GardenDay today, ModelStateDictionary faults)
    {
        if (known is null || Always)
            return null;
        var (day, fault) = DayReader.Read(Blank(Holds));
        if (fault is not null)
            faults.AddModelError("Form.Holds", $"The day it changed: {fault}.");
        if (day > today.Day)
            faults.AddModelError("Form.Holds", $"{Dates.Long(day.Value)} is still to come.");
        return day ?? today.Day;
    }

    /// <summary>A length in the garden's own unit, as it is typed.</summary>
    static string? Shown(double? cm, GardenDay today) =>
        cm is { } length
            ? (length / Unit.Default(Dimension.Length, today.Garden.UsUnits)!.Factor).ToString("0.##", CultureInfo.InvariantCulture)
            : null;

    /// <summary>What was not changed stays to the last digit, whatever the unit it is shown in rounds away.</summary>
    static double? Cm(string? text, double? known, string field, GardenDay today, ModelStateDictionary faults)
    {
        if (string.IsNullOrWhiteSpace(text))
            return null;
        if (text == Shown(known, today))
            return known;
        var read = AmountReader.Read(text, Unit.Default(Dimension.Length, today.Garden.UsUnits));
        if (read is { Dimension: Dimension.Length } length && length.InBase is >= PotMinCm and <= PotMaxCm)
            return Math.Round(length.InBase, 2);
        faults.AddModelError(field, $"\"{text}\" is no pot size; write a length from {PotMinCm} to {PotMaxCm} cm, such as 11 or 4 1/2 in.");
        return null;
    }

    static string? Blank(string? text) => string.IsNullOrWhiteSpace(text) ? null : text.Trim();
}

using BudClock.Core.Advising;

namespace BudClock.Web.Pages;

/// <summary>One entry as a button or a form sends it.</summary>
public sealed class EntryForm
{
    public string? Tag { get; set; }
    public string? Kind { get; set; }

    /// <summary>A number, with or without its unit.</summary>
    public string? Amount { get; set; }

    /// <summary>A state, or free words.</summary>
    public string? Words { get; set; }

    public string? Organ { get; set; }

    /// <summary>The day, as 2031-05-24; today when left out.</summary>
    public string? On { get; set; }

    /// <summary>An entry that stands, as it would be typed again.</summary>
    public static EntryForm Of(Entry entry) =>
        new()
        {
            Kind = entry.Kind.Name,
            Amount = entry.Amount?.ToString(),
            Words = entry.Text,
            Organ = entry.Organ,
            On = entry.On.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture),
        };

    /// <summary>The entry, or a sentence that says what is wrong.</summary>
    public (EntryDraft? Entry, string? Fault) Read(GardenDay today, Assessment plant)
    {
        if (EntryKinds.Find(Kind ?? "") is not { } kind)
            return (null, "Choose what you saw or did.");
        var unit = kind.Measure is { } measure ? Unit.Default(measure.Dimension, today.Garden.UsUnits) : null;
        var quantity = AmountReader.Read(Amount, unit);
        if (quantity is null && !string.IsNullOrWhiteSpace(Amount))
            return (null, $"\"{Shortened(Amount)}\" is not a number with a unit, such as 8.5 {unit}.");
        var (day, dateFault) = DayReader.Read(On);
        if (dateFault is not null)
            return (null, $"The day: {dateFault}.");
        var words = string.IsNullOrWhiteSpace(Words) ? null : Words.Trim();
        if (EntryCheck.Fault(kind, day ?? today.Day, quantity, words, today.Day) is { } fault)
            return (null, fault);
        if (kind == EntryKinds.Note && words is null)
            return (null, "A note needs some words.");
        var organ = string.IsNullOrEmpty(Organ) ? null : plant.Book.Find(Organ);
        if (organ is null && !string.IsNullOrEmpty(Organ))
            return (null, $"\"{Organ}\" is no part of {plant.Plant.Tag}.");
        return (new(kind, day ?? today.Day, quantity, words, organ), null);
    }

    static string Shortened(string text) => text.Length <= 30 ? text : text[..30] + "…";
}

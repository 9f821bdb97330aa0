using System.Globalization;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A page of the mixing shelf: what was typed is read here, and every fault is kept as a sentence.</summary>
public abstract class MixingPage(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    const int LongestName = 40;
    public const double MostLitres = 1000;

    protected Logbook Logbook => logbook;

    public Shelf Shelf => Today.Shelf;

    public List<string> Faults { get; } = [];

    /// <summary>Writes a change of the shelf and goes on to another page; refused, the page comes back as typed.</summary>
    protected async Task<IActionResult> SaveAsync(string words, Change change, string to = "/mixing")
    {
        var outcome = await logbook.WriteAsync(Act, words, change);
        if (outcome.Done)
            return Redirect(to);
        Faults.Add(outcome.Trouble!);
        return Page();
    }

    /// <summary>A name that nothing else of its kind has.</summary>
    protected string ReadName(string? typed, string what, IEnumerable<string> others)
    {
        var name = typed?.Trim() ?? "";
        if (name.Length is 0 or > LongestName)
            Faults.Add($"{what} needs a name of at most {LongestName} characters.");
        else if (others.Contains(name, StringComparer.OrdinalIgnoreCase))
            Faults.Add($"There is one called {name} already.");
        return name;
    }

    protected double Number(string? text, double min, double max, string what)
    {
        if (AmountReader.Read(text, null) is { Unit: null } read && read.Value >= min && read.Value <= max)
            return read.Value;
        Faults.Add(string.Create(CultureInfo.InvariantCulture, $"{what} is a number from {min} to {max}; \"{text}\" is none."));
        return min;
    }

    protected double? Optional(string? text, double min, double max, string what) =>
        string.IsNullOrWhiteSpace(text) ? null : Number(text, min, max, what);

    /// <summary>pH as measured; null when left empty.</summary>
    protected double? ReadPh(string? text)
    {
        if (Optional(text, -100, 100, "pH") is not { } ph)
            return null;
        if (Water.PhFault(ph) is { } fault)
            Faults.Add(fault);
        return ph;
    }

    protected double Litres(string? text)
    {
        if (
            AmountReader.Read(text, Today.Garden.UsUnits ? Unit.Gal : Unit.L) is { Dimension: Dimension.Volume } read
            && read.InBase / 1000 is > 0 and <= MostLitres
        )
            return read.InBase / 1000;
        Faults.Add($"\"{text}\" is no volume of water; write one above 0 and up to {MostLitres} L, such as 9.5 L or 1 gal.");
        return 1;
    }

    /// <summary>A number for a field, as typed again.</summary>
    protected static string Shown(double? number) => number?.ToString("0.####", CultureInfo.InvariantCulture) ?? "";
}

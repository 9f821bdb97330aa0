using System.Globalization;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages;

/// <summary>A page with a form: what was typed is read here, and every fault is kept as a sentence.</summary>
public abstract class TypedPage(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    const int LongestName = 40;

    protected Logbook Logbook => logbook;

    public List<string> Faults { get; } = [];

    /// <summary>Writes a change and goes on to another page; refused, the page comes back as typed.</summary>
    protected async Task<IActionResult> SaveAsync(string words, Change change, string to) =>
        After(await logbook.WriteAsync(Act, words, change), to);

    /// <summary>Goes on where it was written, and says so; else the page comes back as typed with the reason.</summary>
    protected IActionResult After(Outcome outcome, string to, string? said = null)
    {
        if (!outcome.Done)
        {
            Faults.Add(outcome.Trouble!);
            return Page();
        }
        if (said is not null)
            (TempData["Said"], TempData["Undo"]) = (said, true);
        return Redirect(to);
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

    /// <summary>A number within bounds; a fault, and the least, for anything else.</summary>
    protected double Number(string? text, double min, double max, string what)
    {
        if (AmountReader.Read(text, null) is { Unit: null } read && read.Value >= min && read.Value <= max)
            return read.Value;
        Faults.Add(string.Create(CultureInfo.InvariantCulture, $"{what} is a number from {min} to {max}; \"{text}\" is none."));
        return min;
    }

    /// <summary>A whole number within bounds.</summary>
    protected int Whole(string? text, int min, int max, string what)
    {
        if (int.TryParse(text?.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var whole) && whole >= min && whole <= max)
            return whole;
        Faults.Add($"{what} is a whole number from {min} to {max}; \"{text}\" is none.");
        return min;
    }

    protected double? Optional(string? text, double min, double max, string what) =>
        string.IsNullOrWhiteSpace(text) ? null : Number(text, min, max, what);

    /// <summary>A length in cm, typed in the garden's unit or with its own; null, with a fault, for anything else.</summary>
    protected double? Length(string? text, double min, double max, string what)
    {
        if (
            AmountReader.Read(text, Unit.Default(Dimension.Length, Today.Garden.UsUnits)) is { Dimension: Dimension.Length } read
            && read.InBase >= min
            && read.InBase <= max
        )
            return Math.Round(read.InBase, 2);
        Faults.Add(string.Create(CultureInfo.InvariantCulture, $"{what} is a length from {min} to {max} cm; \"{text}\" is none."));
        return null;
    }

    /// <summary>A day up to today; today where nothing was typed, with a fault for anything else.</summary>
    protected DateOnly DayUpToToday(string? text, string what)
    {
        var (day, fault) = DayReader.Read(string.IsNullOrWhiteSpace(text) ? null : text.Trim());
        if (fault is not null)
            Faults.Add($"{what}: {fault}.");
        if (day > Today.Day)
            Faults.Add($"{what}: {Dates.Long(day.Value)} is still to come.");
        return day ?? Today.Day;
    }

    /// <summary>What was typed, trimmed; null for nothing.</summary>
    protected static string? Blank(string? text) => string.IsNullOrWhiteSpace(text) ? null : text.Trim();

    /// <summary>A number for a field, as typed again.</summary>
    protected static string Shown(double? number) => number?.ToString("0.####", CultureInfo.InvariantCulture) ?? "";
}

using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A page of the mixing shelf: what was typed is read here, and every fault is kept as a sentence.</summary>
public abstract class MixingPage(TodaysGarden todaysGarden, Logbook logbook) : TypedPage(todaysGarden, logbook)
{
    public const double MostLitres = 1000;

    public Shelf Shelf => Today.Shelf;

    /// <summary>Writes a change of the shelf and goes on to another page; refused, the page comes back as typed.</summary>
    protected Task<IActionResult> SaveAsync(string words, Change change) => SaveAsync(words, change, "/mixing");

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
}

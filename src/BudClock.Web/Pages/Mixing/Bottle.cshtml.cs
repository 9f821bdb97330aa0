using System.Globalization;
using BudClock.Core.Mixing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>
/// Works out one bottle without keeping it: the dose from the strength, the strength from the dose, or how much tap makes a wanted TDS.
/// </summary>
public sealed class BottleModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    [BindProperty(SupportsGet = true)]
    public string Batch { get; set; } = "9.5 L";

    /// <summary>Dissolved solids of the water one starts from.</summary>
    [BindProperty(SupportsGet = true)]
    public string Base { get; set; } = "0";

    [BindProperty(SupportsGet = true)]
    public string TapShare { get; set; } = "0";

    [BindProperty(SupportsGet = true)]
    public string Tap { get; set; } = "300";

    /// <summary>Wanted dissolved solids of the blend; empty to say the share instead.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Wanted { get; set; }

    [BindProperty(SupportsGet = true)]
    public string Label { get; set; } = "20-20-20";

    [BindProperty(SupportsGet = true)]
    public string? Full { get; set; } = "1";

    [BindProperty(SupportsGet = true)]
    public string? Spoon { get; set; } = "5";

    [BindProperty(SupportsGet = true)]
    public string Strength { get; set; } = "100 ppm N";

    /// <summary>A second feed in the same bottle; none while it is empty.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Label2 { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Strength2 { get; set; }

    public Mix? Mix { get; private set; }

    /// <summary>How much tap a wanted TDS takes, as a sentence; null when none was wanted.</summary>
    public string? Blended { get; private set; }

    public MixFacts Facts => new(Mix!, Shelf.Tools, Today.Garden.UsUnits);

    public void OnGet()
    {
        var litres = Litres(Batch);
        var (into, tap) = (
            new Water("water", Number(Base, 0, 5000, "The water's dissolved solids")),
            new Water("tap", Number(Tap, 0, 5000, "The tap water's dissolved solids"))
        );
        var share = Optional(Wanted, 0, 5000, "The wanted dissolved solids") is { } wanted
            ? Blending(wanted, into, tap, litres)
            : Number(TapShare, 0, 100, "The share of tap water") / 100;
        var (spoon, full) = (Optional(Spoon, 0.001, 1000, "A teaspoon's weight"), Optional(Full, 0.001, 1000, "The full dose"));
        var doses = new List<Dose?>();
        // Whoever only blends waters leaves the label and the strength empty.
        if (!string.IsNullOrWhiteSpace(Label) || !string.IsNullOrWhiteSpace(Strength))
            doses.Add(ReadDose(Label ?? "", Strength ?? "", spoon, full, litres));
        if (!string.IsNullOrWhiteSpace(Label2))
            doses.Add(ReadDose(Label2, Strength2 ?? "", null, null, litres));
        if (Faults.Count == 0)
            Mix = new([(into, litres * (1 - share)), (tap, litres * share)], [.. doses.Select(dose => dose!)]);
    }

    double Blending(double wanted, Water into, Water tap, double litres)
    {
        if (Blend.ShareFor(wanted, into, tap) is not { } share)
        {
            Faults.Add(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{wanted:0.#} ppm lies outside of both waters ({into.TdsPpm:0.#} and {tap.TdsPpm:0.#} ppm)."
                )
            );
            return 0;
        }
        Blended = string.Create(
            CultureInfo.InvariantCulture,
            $"{Volumes.Words(litres * share, Today.Garden.UsUnits)} of tap in {Volumes.Words(litres * (1 - share), Today.Garden.UsUnits)} "
                + $"of the water: {share * 100:0.#} % tap makes {wanted:0.#} ppm."
        );
        return share;
    }

    Dose? ReadDose(string label, string strength, double? spoon, double? full, double litres)
    {
        if (FeedModel.ReadLabel(label) is not { } parts)
        {
            Faults.Add($"\"{label}\" is no label; write N-P-K, such as 20-20-20 or 5-10-3.");
            return null;
        }
        var feed = new Feed(label, parts.N, parts.P, parts.K, spoon, full);
        if (feed.Fault() is { } fault)
            Faults.Add(fault);
        // A bare amount is what was put into the whole batch.
        var read = Core.Mixing.Strength.Read(strength)
            ?? (
                AmountReader.Read(strength, null) is { Value: > 0, Unit.Dimension: Dimension.Mass or Dimension.Volume } amount
                    ? new Strength.Measured(amount, new(litres, Unit.L))
                    : null
            );
        if (read is null)
            Faults.Add($"\"{strength}\" is no strength; write 100 ppm N, 25 % of the label, or what you put in, such as 1/8 tsp or 0.6 g.");
        else if (read.In(litres, feed) is { } dose)
            return dose;
        else
            Faults.Add(read.Missing(feed));
        return null;
    }
}

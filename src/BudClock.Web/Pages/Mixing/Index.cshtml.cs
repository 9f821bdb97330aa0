using System.Globalization;
using BudClock.Core.Journal;
using BudClock.Core.Mixing;
using BudClock.Core.Notes;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>Works out one bottle: the dose from the strength, or the strength from the dose.</summary>
public sealed class IndexModel(Glasshouse glasshouse) : GardenPage(glasshouse)
{
    /// <summary>Rule F10: what fine-rooted orchids bear, by default.</summary>
    public const double FineRootsPpm = 400;

    const double MostLitres = 1000;

    public static readonly IReadOnlyList<(string By, string Words)> Ways = [("ppm", "by ppm of nitrogen"), ("share", "by the label's dose, %"), ("measured", "by what I put in")];

    [BindProperty(SupportsGet = true)]
    public string Batch { get; set; } = "9.5 L";

    [BindProperty(SupportsGet = true)]
    public string Base { get; set; } = "0";

    [BindProperty(SupportsGet = true)]
    public string TapShare { get; set; } = "0";

    [BindProperty(SupportsGet = true)]
    public string Tap { get; set; } = "300";

    [BindProperty(SupportsGet = true)]
    public string Label { get; set; } = "20-20-20";

    [BindProperty(SupportsGet = true)]
    public string Full { get; set; } = "1";

    [BindProperty(SupportsGet = true)]
    public string Spoon { get; set; } = "5";

    [BindProperty(SupportsGet = true)]
    public string By { get; set; } = "ppm";

    [BindProperty(SupportsGet = true)]
    public string Strength { get; set; } = "100";

    [BindProperty(SupportsGet = true)]
    public string Step { get; set; } = "0.1";

    public List<string> Faults { get; } = [];

    public Mix? Mix { get; private set; }

    public MeasurableDose? Measurable { get; private set; }

    public void OnGet()
    {
        var litres = Volume();
        var (water, tap, share) = (Number(Base, 0, 5000, "The water's dissolved solids"), Number(Tap, 0, 5000, "The tap water's dissolved solids"), Number(TapShare, 0, 100, "The share of tap water"));
        var step = Number(Step, 0.001, 100, "What your scale tells apart");
        var feed = ReadFeed();
        if (Faults.Count > 0 || feed is null || ReadDose(feed, litres) is not { } dose) return;
        Mix = new([(new("water", water), litres * (1 - (share / 100))), (new("tap", tap), litres * share / 100)], [dose]);
        Measurable = dose.InSteps(step);
    }

    /// <summary>Spoons come in eighths: "1 3/8", "under 1/8".</summary>
    public string Eighths(double spoons)
    {
        var eighths = (int)Math.Round(spoons * 8);
        if (eighths == 0) return "under 1/8";
        var (whole, part) = (eighths / 8, eighths % 8);
        var fraction = part switch { 0 => "", 4 => "1/2", 2 => "1/4", 6 => "3/4", _ => $"{part}/8" };
        return whole == 0 ? fraction : $"{whole} {fraction}".Trim();
    }

    double Volume()
    {
        if (AmountReader.Read(Batch, Unit.L) is { Dimension: Dimension.Volume } read && read.InBase / 1000 is > 0 and <= MostLitres) return read.InBase / 1000;
        Faults.Add($"\"{Batch}\" is no volume of water; write one above 0 and up to {MostLitres} L, such as 9.5 L or 1 gal.");
        return 1;
    }

    Feed? ReadFeed()
    {
        var parts = Label.Split('-').Select(part => double.TryParse(part.Trim(), NumberStyles.Float, CultureInfo.InvariantCulture, out var percent) ? percent : double.NaN).ToList();
        if (parts.Count != 3 || parts.Any(double.IsNaN))
        {
            Faults.Add($"\"{Label}\" is no label; write N-P-K, such as 20-20-20 or 5-10-3.");
            return null;
        }
        var feed = new Feed(Label, parts[0], parts[1], parts[2], Optional(Spoon, "A teaspoon's weight"), Optional(Full, "The full dose"));
        if (feed.Fault() is { } fault) Faults.Add(fault);
        return feed;
    }

    Dose? ReadDose(Feed feed, double litres)
    {
        var read = AmountReader.Read(Strength, null);
        Dose? dose = (By, read) switch
        {
            (_, null or { Value: <= 0 }) => null,
            ("ppm", { Unit: null, Value: <= 5000 } ppm) => Dose.ForNitrogen(feed, ppm.Value, litres),
            ("share", { Unit: null, Value: <= 500 } percent) => Dose.ForLabelShare(feed, percent.Value / 100, litres),
            ("measured", { } amount) => Dose.Of(feed, amount.Unit is null ? new(amount.Value, Unit.G) : amount, litres),
            _ => null,
        };
        if (dose is null)
            Faults.Add(By == "measured" && read?.Dimension is Dimension.Volume && feed.GramsPerTeaspoon is null
                ? "A spoon is a volume: weigh a level teaspoon of this feed once, and write its grams."
                : $"\"{Strength}\" cannot be mixed {Ways.FirstOrDefault(way => way.By == By).Words ?? "like that"} from what stands here.");
        return dose;
    }

    double? Optional(string text, string what) => string.IsNullOrWhiteSpace(text) ? null : Number(text, 0.001, 1000, what);

    double Number(string text, double min, double max, string what)
    {
        if (AmountReader.Read(text, null) is { Unit: null } read && read.Value >= min && read.Value <= max) return read.Value;
        Faults.Add(string.Create(CultureInfo.InvariantCulture, $"{what} is a number from {min} to {max}; \"{text}\" is none."));
        return min;
    }
}

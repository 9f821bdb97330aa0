using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Core.Planning;
using BudClock.Core.Programmes;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Triggers;

/// <summary>Bulbs for a date: worked back from the day they are wanted, kept as lots that the Round then speaks for, and printed.</summary>
public sealed class BulbsModel(TodaysGarden todaysGarden, Logbook logbook, Clock clock) : GardenPage(todaysGarden)
{
    const int MostBulbs = 500;
    const int FurthestDays = 700;

    [BindProperty(SupportsGet = true)]
    public string? Dates { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? Bulbs { get; set; }

    [BindProperty(SupportsGet = true)]
    public int? Every { get; set; }

    [BindProperty(SupportsGet = true)]
    public double? Diameter { get; set; }

    [BindProperty(SupportsGet = true)]
    public bool Pot { get; set; }

    /// <summary>Where they are held back; null for bulbs that are still to be bought.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Store { get; set; }

    /// <summary>Where they are to flower, whose warmth moves the days; null for the usual.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Sill { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Taxon { get; set; }

    public CultureSheet Sheet { get; private set; } = null!;
    public BulbPlan? Plan { get; private set; }
    public StoreSound? Sound { get; private set; }
    public BulbVessel Vessel { get; private set; } = new(20, Pebbles: true);
    public string? Fault { get; private set; }

    public void OnGet()
    {
        Begin();
        if (Dates is not null)
            Fault = Work();
    }

    /// <summary>Keeps each lot as a plant of its own, held back for its day.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        Begin();
        Fault = Work();
        if (Fault is not null || Plan is not { } plan)
            return Page();
        var tags = Today.Tags.ToList();
        var changes = new List<Change>();
        var act = Act ?? Guid.CreateVersion7();
        var written = clock.GetUtcNow();
        foreach (var lot in plan.Lots.Where(lot => lot.Wanted > Today.Day))
        {
            var tag = Tags.Propose(Taxon, tags);
            tags.Add(tag);
            changes.Add(Changes.Plant(LotPlant(tag, lot)));
            changes.Add(
                Changes.Entries(new PlantEntries(tag, [.. Entries(lot).Select(draft => EntryWriting.Fact(draft, act, written))], []))
            );
        }
        Fault =
            changes.Count == 0
                ? "None of these days lies ahead."
                : (await logbook.WriteAsync(act, $"{changes.Count / 2} lots of bulbs planned", Changes.All(changes))).Trouble;
        return Fault is null ? Redirect("/triggers") : Page();
    }

    Plant LotPlant(string tag, BulbLot lot) =>
        new()
        {
            Tag = tag,
            Name = $"Bulbs for {Core.Journal.Dates.Short(lot.Wanted)}",
            Taxon = Taxon,
            Place = Store,
            Acquired = Store is null ? null : Today.Day,
            Pot = new(Vessel.DiameterCm, null, Vessel.Pebbles ? "bowl" : "pot"),
            Medium = Vessel.Pebbles ? "pebbles" : "bulb mix",
        };

    IEnumerable<EntryDraft> Entries(BulbLot lot)
    {
        if (Store is not null)
            yield return new(EntryKinds.Stored, Today.Day, Text: "held back");
        yield return new(EntryKinds.ProgrammeStarted, Today.Day, Text: ProgrammeOrder.InBloomFor(lot.Wanted, lot.Bulbs));
    }

    void Begin()
    {
        Sheet = Today.Assessor.Sheets.Find("tender-narcissus")!;
        Taxon ??= "Narcissus papyraceus";
        (Bulbs, Diameter) = (Bulbs ?? 12, Diameter ?? 20);
        Vessel = new(Diameter is >= 5 and <= 80 ? Diameter.Value : 20, !Pot);
        Store = Today.PlaceAt(Store)?.Code;
        Sill = Today.PlaceAt(Sill)?.Code;
    }

    string? Work()
    {
        if (Bulbs is not (>= 1 and <= MostBulbs))
            return $"How many bulbs for each day: 1 to {MostBulbs}.";
        if (Diameter is not (>= 5 and <= 80))
            return "The width of a pot or bowl: 5 to 80 cm.";
        if (Every is not null and not (>= 7 and <= 120))
            return "A succession every 7 to 120 days, or leave it empty.";
        var wishes = new List<BulbWish>();
        foreach (var word in (Dates ?? "").Split([',', ';', ' ', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries))
        {
            if (!DateOnly.TryParseExact(word, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
                return $"\"{word}\" is no day: write it as {Today.Day.AddMonths(6):yyyy-MM-dd}.";
            if (day <= Today.Day || day > Today.Day.AddDays(FurthestDays))
                return $"{word} does not lie within the next {FurthestDays} days.";
            wishes.Add(new(day, Bulbs.Value));
        }
        if (wishes.Count == 0)
            return "Name the day on which they are wanted in bloom.";
        var southern = Today.Garden.Southern;
        Plan = BulbPlan.Of(Sheet, wishes, Every, Vessel, Interval(), Today.Day, southern, Store is null ? null : Today.Day);
        if (Store is not null)
            Sound = StoreSound.Of(Sheet, Today.Weather.RecordOf(Store), Today.Day.AddDays(-30), Today.Day);
        return null;
    }

    /// <summary>What this kind took here before, else the sheet's days at the warmth of the place it is to flower in.</summary>
    BulbInterval Interval()
    {
        var genus = Taxon?.Split(' ')[0];
        var took = Today
            .Plants.Where(plant => string.Equals(plant.Plant.Genus, genus, StringComparison.OrdinalIgnoreCase))
            .SelectMany(plant => Forecasts.FromPlanting(plant.Situation.Journal));
        var last = Today.Weather.RecordOf(Sill).Days.TakeLast(14).Select(day => day.MeanC).OfType<double>().ToList();
        return BulbInterval.Of(Sheet, took, last.Count == 0 ? null : last.Average(), Today.Day);
    }
}

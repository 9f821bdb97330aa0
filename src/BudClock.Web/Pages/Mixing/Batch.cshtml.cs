using BudClock.Core.Advising;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>One batch: what went in, what the meter said, which plants got it, and giving it to more.</summary>
public sealed class BatchModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    /// <summary>The plants it is to be given to.</summary>
    [BindProperty(SupportsGet = true)]
    public List<string> Tags { get; set; } = [];

    /// <summary>How much each got; left empty when nobody measured.</summary>
    [BindProperty]
    public string? Amount { get; set; }

    [BindProperty]
    public BatchForm Form { get; set; } = new();

    public Batch Batch { get; private set; } = null!;

    public MeasurementAsks Asks { get; private set; } = MeasurementAsks.Nothing;

    /// <summary>Whose roots do not bear it, among the plants it was about to be given to.</summary>
    public MeasurementAsks GivingAsks { get; private set; } = MeasurementAsks.Nothing;

    public Recipe? Recipe => Shelf.Recipe(Batch.Recipe);

    string Bottle => Recipe?.Bottle ?? Bottles.Plain;

    /// <summary>Who got it, newest first.</summary>
    public IEnumerable<(Assessment Plant, Entry Entry)> Given =>
        from plant in Today.Plants
        from entry in plant.Plant.Entries
        where entry.Mix == Batch.Code && !entry.Struck
        orderby entry.On descending, plant.Plant.Tag
        group (plant, entry) by plant.Plant.Tag into one
        select one.First();

    /// <summary>Plants that may be ticked: those named first, then what is due for this recipe, then all others.</summary>
    public IEnumerable<Assessment> Offered
    {
        get
        {
            var due = Today
                .Mix.ToMix.Where(bottle => bottle.Recipe?.Code == Batch.Recipe)
                .SelectMany(bottle => bottle.Plants)
                .Select(d => d.Tag)
                .ToHashSet();
            var given = Given.Where(pair => pair.Entry.On == Today.Day).Select(pair => pair.Plant.Plant.Tag).ToHashSet();
            return Today
                .Plants.Where(a => !a.Gone && !given.Contains(a.Plant.Tag))
                .OrderByDescending(a => Tags.Contains(a.Plant.Tag))
                .ThenByDescending(a => due.Contains(a.Plant.Tag))
                .ThenBy(a => a.Plant.Tag, StringComparer.Ordinal);
        }
    }

    public IActionResult OnGet(string code) => Find(code) ? Page() : NotFound();

    /// <summary>Logs the batch for the plants that are ticked, as one act.</summary>
    public async Task<IActionResult> OnPostGiveAsync([FromRoute] string code)
    {
        if (!Find(code))
            return NotFound();
        var chosen = Tags.Select(Today.Find).OfType<Assessment>().Where(a => !a.Gone).ToList();
        if (chosen.Count == 0)
            Faults.Add("Tick at least one plant.");
        if (Batch.ThrownAway is not null)
            Faults.Add("This batch was thrown away.");
        var amount = AmountReader.Read(Amount, Unit.Default(Dimension.Volume, Today.Garden.UsUnits));
        if (!string.IsNullOrWhiteSpace(Amount) && amount is not { Dimension: Dimension.Volume, InBase: > 0 and <= 100_000 })
            Faults.Add($"\"{Amount}\" is no amount of water, such as 200 mL.");
        GivingAsks = new([], BottleToMix.Warn(Bottle, Batch.MeasuredPpm ?? Batch.PredictedPpm, Batch.Ph, chosen), "");
        if (Faults.Count > 0 || !GivingAsks.Answered(Form))
            return Page();
        var outcome = await Logbook.LogEachAsync(
            Act,
            [.. chosen.Select(plant => (plant.Plant.Tag, Giving.Entries(plant, Batch, Recipe, amount)))]
        );
        if (outcome.Done)
            return Redirect($"/mixing/batches/{Batch.Code}");
        Faults.Add(outcome.Trouble!);
        return Page();
    }

    /// <summary>Writes down what the meter says, now or anew.</summary>
    public async Task<IActionResult> OnPostMeasureAsync([FromRoute] string code)
    {
        if (!Find(code))
            return NotFound();
        var (measured, ph) = (Optional(Form.Measured, 0, 20_000, "Measured dissolved solids"), ReadPh(Form.Ph));
        if (Faults.Count > 0)
            return Page();
        Asks = MeasurementAsks.Of(Batch.PredictedPpm, Bottle, measured, ph, Given.Select(pair => pair.Plant));
        if (!Asks.Answered(Form))
            return Page();
        var now = Batch with { MeasuredPpm = measured, Ph = ph, Found = Form.Found?.Trim() is { Length: > 0 } found ? found : Batch.Found };
        return await SaveAsync($"Batch {Batch.Code} measured", Changes.Shelf(now), $"/mixing/batches/{Batch.Code}");
    }

    public async Task<IActionResult> OnPostThrowAsync([FromRoute] string code)
    {
        if (!Find(code))
            return NotFound();
        var now = Batch with { ThrownAway = Batch.ThrownAway is null ? Today.Day : null };
        var words = $"Batch {Batch.Code} {(now.ThrownAway is null ? "kept after all" : "thrown away")}";
        return await SaveAsync(words, Changes.Shelf(now), $"/mixing/batches/{Batch.Code}");
    }

    bool Find(string code)
    {
        if (Shelf.Batch(code) is not { } batch)
            return false;
        Batch = batch;
        return true;
    }
}

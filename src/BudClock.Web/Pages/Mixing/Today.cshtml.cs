using BudClock.Core.Advising;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>One page to stand at the bench with: bottle by bottle what goes in, ticked off, measured, kept as a batch.</summary>
public sealed class TodayModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    public const string Weekend = "weekend";

    /// <summary>"weekend" to count in the plants that will ask by Sunday; now when left out.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Until { get; set; }

    [BindProperty]
    public BatchForm Form { get; set; } = new();

    public TodaysMix Mix { get; private set; } = null!;

    public MeasurementAsks Asks { get; private set; } = MeasurementAsks.Nothing;

    /// <summary>The Sunday of this week.</summary>
    public DateOnly Sunday => Today.Day.AddDays((7 - (int)Today.Day.DayOfWeek) % 7);

    public void OnGet() => Mix = Until == Weekend ? TodaysMix.Of(Today.Plants, Today.SharedVessels, Shelf, Sunday) : Today.Mix;

    /// <summary>Keeps a batch, unless its measurement asks something first.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        OnGet();
        if (Shelf.Recipe(Form.Recipe) is not { } recipe)
        {
            Faults.Add("That recipe is not on the shelf any more.");
            return Page();
        }
        var litres = Litres(Form.Litres);
        var (measured, ph) = (Optional(Form.Measured, 0, 20_000, "Measured dissolved solids"), ReadPh(Form.Ph));
        var (mix, faults) = recipe.In(litres, Shelf);
        Faults.AddRange(faults);
        if (Faults.Count > 0 || mix is null)
            return Page();
        Asks = MeasurementAsks.Of(mix.TdsPpm, recipe.Bottle, measured, ph, Form.Tags.Distinct().Select(Today.Find).OfType<Assessment>());
        if (!Asks.Answered(Form))
            return Page();
        var batch = new Batch(
            Shelf.NextBatch(recipe, Today.Day),
            Today.Day,
            recipe.Code,
            recipe.Name,
            litres,
            mix.Words(Today.Garden.UsUnits),
            Math.Round(mix.TdsPpm, 1)
        )
        {
            NitrogenPpm = Math.Round(mix.Elements.N, 1),
            MeasuredPpm = measured,
            Ph = ph,
            Found = Form.Found?.Trim() is { Length: > 0 } found ? found : null,
        };
        return await SaveAsync(
            $"Batch {batch.Code} mixed",
            Changes.NewOnShelf(batch),
            $"/mixing/batches/{batch.Code}" + QueryString.Create(Form.Tags.Select(tag => new KeyValuePair<string, string?>("tags", tag)))
        );
    }

    /// <summary>What stands in the measuring fields of a bottle: what was typed, for the one that came back.</summary>
    public BatchForm FormOf(BottleToMix bottle) =>
        IsBack(bottle)
            ? Form
            : new()
            {
                Litres = Volumes.Typed(bottle.Litres, Today.Garden.UsUnits),
                Tags = [.. bottle.Plants.Where(due => !due.FeelFirst).Select(due => due.Tag)],
            };

    public bool IsBack(BottleToMix bottle) =>
        HttpMethods.IsPost(Request.Method)
        && bottle.Recipe is not null
        && bottle.Recipe.Code == Form.Recipe
        && bottle.Bottle == Form.Bottle;
}

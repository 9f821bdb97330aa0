using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Potting;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Young;

/// <summary>Starts a batch.</summary>
public sealed class NewModel(TodaysGarden todaysGarden, Logbook logbook) : YoungPage(todaysGarden, logbook)
{
    [BindProperty(SupportsGet = true, Name = "method")]
    public string? How { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Parent { get; set; }

    [BindProperty(SupportsGet = true)]
    public bool Rescue { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? HowMany { get; set; }

    [BindProperty]
    public string? Started { get; set; }

    [BindProperty]
    public string? Place { get; set; }

    [BindProperty]
    public string? From { get; set; }

    [BindProperty]
    public string? Note { get; set; }

    public Assessment? Mother => Today.Find(Parent?.Trim());

    /// <summary>The usual caution where tissue of this plant is cut.</summary>
    public IEnumerable<Caution> Cautions => Mother is { } plant ? Core.Culture.Cautions.For(EntryKinds.Cut, plant.Situation.Sheet) : [];

    public void OnGet() => Place = Mother?.Plant.Place;

    public async Task<IActionResult> OnPostAsync()
    {
        var method = PottingTable.Shipped.Method(How);
        if (method is null)
            Faults.Add("Choose how they are made.");
        var number = Whole(Blank(HowMany), 1, YoungBatch.MostStarted, "How many were started");
        var day = DayUpToToday(Started, "The day they were started");
        if (Blank(Parent) is not null && Mother is null)
            Faults.Add($"No plant here is tagged \"{Parent!.Trim()}\".");
        if (Blank(Name) is null && Mother is null)
            Faults.Add("Say what is raised: the tag of its parent, or a name.");
        if (Name?.Trim().Length > 60 || From?.Trim().Length > 80 || Note?.Trim().Length > 300)
            Faults.Add("A name holds at most 60 characters, from whom 80, and a note 300.");
        if (Faults.Count > 0)
            return Page();
        var code = Free(method!);
        var dries = method!.DryingDays(Mother?.Situation.Sheet.Is(Traits.Succulent) == true);
        var batch = new YoungBatch(code, method!.Name, day, number)
        {
            Name = Blank(Name) ?? Mother?.Plant.Called ?? "",
            Parent = Mother?.Plant.Tag,
            Source = Blank(From),
            Place = Today.PlaceAt(Place)?.Code,
            Rescue = Rescue,
            DriesUntil = dries > 0 ? day.AddDays(dries) : null,
            Note = Blank(Note),
        };
        return After(await WriteAsync(batch, method), $"/young/{code}", $"Batch {code} started.");
    }

    /// <summary>The batch, and what was taken from its mother, are one act.</summary>
    Task<Outcome> WriteAsync(YoungBatch batch, RaisingMethod method)
    {
        var change = Changes.NewOnShelf(batch);
        if (Mother is not { Gone: false } mother || method.Name is "seed" or "layer")
            return Logbook.WriteAsync(Act, $"Batch {batch.Code}", change);
        var words = $"{batch.Number} × {method.Of} taken for batch {batch.Code}";
        return Logbook.LogAsync(Act, [mother.Plant.Tag], [new(EntryKinds.Note, batch.Started, null, words)], change);
    }

    /// <summary>The first letter of the method and the next number: C1, L2.</summary>
    string Free(RaisingMethod method) =>
        Enumerable
            .Range(1, 100_000)
            .Select(n => $"{char.ToUpperInvariant(method.Name[0])}{n}")
            .First(code => Today.Shed.Batch(code) is null);
}

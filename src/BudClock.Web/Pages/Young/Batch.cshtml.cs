using BudClock.Core.Potting;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Young;

/// <summary>One batch: what to do next, what is counted, and its plants potted on with tags.</summary>
public sealed class BatchModel(TodaysGarden todaysGarden, Logbook logbook, Clock clock) : YoungPage(todaysGarden, logbook)
{
    /// <summary>Nobody tags more in one go.</summary>
    const int MostTagged = 50;

    public YoungBatch Batch { get; private set; } = null!;

    [BindProperty]
    public string? What { get; set; }

    [BindProperty]
    public string? HowMany { get; set; }

    [BindProperty]
    public string? On { get; set; }

    [BindProperty]
    public string? To { get; set; }

    [BindProperty]
    public string? Pots { get; set; }

    [BindProperty]
    public string? Wide { get; set; }

    [BindProperty]
    public string? Medium { get; set; }

    [BindProperty]
    public string? Place { get; set; }

    public RaisingMethod How => Method(Batch);

    /// <summary>Plants that came out of it.</summary>
    public IEnumerable<Plant> Raised => Today.Plants.Select(a => a.Plant).Where(plant => plant.Source == Mark);

    string Mark => $"batch {Batch.Code}";

    public IActionResult OnGet(string code) => Find(code) ? Page() : NotFound();

    /// <summary>Counts something on a day.</summary>
    public async Task<IActionResult> OnPostCountAsync(string code)
    {
        if (!Find(code))
            return NotFound();
        if (!BatchCount.Kinds.Contains(What))
            Faults.Add("Choose what was counted.");
        var count = new BatchCount(
            DayUpToToday(On, "The day"),
            What ?? "",
            Whole(HowMany, 1, YoungBatch.MostStarted, "How many"),
            Blank(To)
        );
        if (To?.Length > 80)
            Faults.Add("To whom holds at most 80 characters.");
        return await KeepAsync(Batch with { Counts = Added(count) }, $"{count.Number} {count.What}");
    }

    /// <summary>Nothing more comes of it.</summary>
    public async Task<IActionResult> OnPostEndAsync(string code) =>
        Find(code) ? await KeepAsync(Batch with { Ended = Today.Day }, "ended") : NotFound();

    /// <summary>Goes on after all.</summary>
    public async Task<IActionResult> OnPostReopenAsync(string code) =>
        Find(code) ? await KeepAsync(Batch with { Ended = null }, "goes on") : NotFound();

    /// <summary>Pots some on: each becomes a plant with a tag, its parentage and a first entry.</summary>
    public async Task<IActionResult> OnPostPotOnAsync(string code)
    {
        if (!Find(code))
            return NotFound();
        var number = Whole(Pots, 1, MostTagged, "How many are potted on");
        double? wide = string.IsNullOrWhiteSpace(Wide) ? null : Length(Wide, OwnedPot.LeastCm, OwnedPot.MostCm, "The pot's width");
        if (Medium?.Length > 60)
            Faults.Add("The medium holds at most 60 characters.");
        if (Faults.Count > 0)
            return Page();
        var plants = Plants(number, wide);
        var tags = string.Join(", ", plants.Select(plant => plant.Tag));
        // What goes into a pot of its own has rooted, whether or not anybody counted that.
        var rooted = Math.Min(Batch.Number, Batch.Of(BatchCount.Potted) + number) - Batch.Of(BatchCount.Rooted);
        var counts = rooted > 0 && (!How.Many || Batch.Of(BatchCount.Rooted) == 0);
        var fresh = counts ? [new(Today.Day, BatchCount.Rooted, rooted)] : (BatchCount[])[];
        var batch = Batch with
        {
            Counts =
            [
                .. Batch.Counts,
                .. fresh,
                new(Today.Day, BatchCount.Potted, number, tags),
                new(Today.Day, BatchCount.Kept, number, tags),
            ],
        };
        Faults.AddRange(batch.Faults(How, Today.Day));
        if (Faults.Count > 0)
            return Page();
        var facts = plants.Select(plant => new PlantEntries(plant.Tag, Facts(plant, batch), []));
        var change = Changes.All([Changes.Shelf(batch), .. plants.Select(Changes.Plant), Changes.Entries([.. facts])]);
        var outcome = await Logbook.WriteAsync(Act, $"{tags} potted on from batch {Batch.Code}", change);
        return After(outcome, number == 1 ? $"/plants/{plants[0].Tag}" : $"/young/{Batch.Code}", $"{tags} potted on.");
    }

    List<Plant> Plants(int number, double? wide)
    {
        var mother = Today.Find(Batch.Parent)?.Plant;
        var taxon = Batch.Taxon ?? mother?.Taxon ?? Batch.Name;
        var taken = Today.Tags.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var plants = new List<Plant>();
        while (plants.Count < number)
        {
            var tag = Tags.Propose(taxon, taken);
            taken.Add(tag);
            plants.Add(
                new()
                {
                    Tag = tag,
                    Name = mother?.Name ?? (Batch.Name.Length > 0 ? Batch.Name : null),
                    Taxon = taxon,
                    Sheet = mother?.Sheet,
                    Place = Today.PlaceAt(Place)?.Code ?? Batch.Place,
                    Acquired = Today.Day,
                    Pot = wide is { } cm ? new(cm, null, null) : null,
                    Medium = Blank(Medium),
                    Parent = mother?.Tag,
                    Origin = How.Origin,
                    Source = Mark,
                }
            );
        }
        return plants;
    }

    /// <summary>It has roots of its own, and stands in a pot since today.</summary>
    IReadOnlyList<Entry> Facts(Plant plant, YoungBatch batch)
    {
        var rooted = batch.Counts.Last(count => count.What == BatchCount.Rooted).On;
        var into = plant.Pot is { DiameterCm: { } cm } ? FormattableString.Invariant($", into {cm:0.#} cm") : "";
        EntryDraft[] drafts =
        [
            new(EntryKinds.RootsStarted, rooted),
            new(EntryKinds.Repotted, Today.Day, null, $"out of {Mark}{into}{(plant.Medium is { } medium ? $", {medium}" : "")}"),
        ];
        return [.. drafts.Select((draft, index) => EntryWriting.Fact(draft, Guid.Empty, clock.GetUtcNow().AddTicks(index)))];
    }

    IReadOnlyList<BatchCount> Added(BatchCount count) => [.. Batch.Counts.Append(count).OrderBy(one => one.On)];

    async Task<IActionResult> KeepAsync(YoungBatch batch, string words)
    {
        if (Faults.Count == 0)
            Faults.AddRange(batch.Faults(How, Today.Day));
        return Faults.Count > 0
            ? Page()
            : After(
                await Logbook.WriteAsync(Act, $"Batch {batch.Code}: {words}", Changes.Shelf(batch)),
                $"/young/{batch.Code}",
                $"Batch {batch.Code}: {words}."
            );
    }

    bool Find(string code)
    {
        if (Today.Shed.Batch(code) is not { } batch)
            return false;
        Batch = batch;
        return true;
    }
}

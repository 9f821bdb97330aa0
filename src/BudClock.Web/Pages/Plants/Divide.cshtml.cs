using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;
using BudClock.Core.Potting;
using BudClock.Data;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>May it be divided, where, and its parts as plants with parentage.</summary>
public sealed class DivideModel(TodaysGarden todaysGarden, Logbook logbook, Clock clock) : TypedPage(todaysGarden, logbook)
{
    /// <summary>Nobody makes more of one plant in a day.</summary>
    const int MostParts = 20;

    /// <summary>How many parts, its own included.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Parts { get; set; }

    /// <summary>What the parts stand in, the first for the plant that keeps its tag; the last one for all further.</summary>
    [BindProperty]
    public List<string?> Media { get; set; } = [];

    [BindProperty]
    public string? Wide { get; set; }

    [BindProperty]
    public string? Note { get; set; }

    public Assessment Plant { get; private set; } = null!;

    public DivisionPlan Plan { get; private set; } = null!;

    /// <summary>The growths from above, with the cut.</summary>
    public GrowthsFromAbove? Drawing => GrowthsFromAbove.Of(Plant.Plant, Today.Day);

    public IEnumerable<Caution> Cautions => Core.Culture.Cautions.For(EntryKinds.Divided, Plant.Situation.Sheet);

    /// <summary>Tags that its parts will have, its own first.</summary>
    public IReadOnlyList<string> NextTags(int parts)
    {
        var taken = Today.Tags.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var tags = new List<string> { Plant.Plant.Tag };
        while (tags.Count < parts)
        {
            tags.Add(Tags.Propose(Plant.Plant.Taxon ?? Plant.Plant.Name, taken));
            taken.Add(tags[^1]);
        }
        return tags;
    }

    public int Count => int.TryParse(Parts, out var parts) && parts is >= 2 and <= MostParts ? parts : Math.Max(2, Plan.Cuts.Count + 1);

    public IActionResult OnGet(string tag) => Find(tag) ? Page() : NotFound();

    /// <summary>Writes the division: the plant keeps its tag, the other parts are plants of their own.</summary>
    public async Task<IActionResult> OnPostAsync(string tag)
    {
        if (!Find(tag))
            return NotFound();
        var parts = Whole(Parts, 2, MostParts, "How many parts");
        double? wide = string.IsNullOrWhiteSpace(Wide) ? null : Length(Wide, OwnedPot.LeastCm, OwnedPot.MostCm, "The pots' width");
        if (Media.Any(medium => medium?.Length > 60) || Note?.Length > 200)
            Faults.Add("A medium holds at most 60 characters, and a note 200.");
        if (Faults.Count > 0)
            return Page();
        var tags = NextTags(parts);
        var made = tags.Skip(1).Select((one, index) => Part(one, index + 1, wide)).ToList();
        var text = $"into {parts}: {string.Join(", ", tags)}{(Blank(Note) is { } note ? $", {note}" : "")}";
        var own = Part(Plant.Plant.Tag, 0, wide);
        var divided = new EntryDraft(EntryKinds.Divided, Today.Day, null, text);
        var repotted = new EntryDraft(EntryKinds.Repotted, Today.Day, null, "after dividing")
        {
            Sets = PlantPast.Between(
                Plant.Plant,
                Plant.Plant with
                {
                    Pot = own.Pot ?? Plant.Plant.Pot,
                    Medium = own.Medium ?? Plant.Plant.Medium,
                }
            ),
        };
        var facts = made.Select(part => new PlantEntries(part.Tag, Facts(part), []));
        var change = Changes.All([.. made.Select(Changes.Plant), Changes.Entries([.. facts])]);
        var outcome = await Logbook.LogAsync(Act, [Plant.Plant.Tag], [divided, repotted], change);
        return After(outcome, $"/labels?{string.Join('&', tags.Select(one => $"tags={one}"))}", $"{Plant.Plant.Tag} divided into {parts}.");
    }

    Plant Part(string tag, int index, double? wide) =>
        new()
        {
            Tag = tag,
            Name = Plant.Plant.Name,
            Taxon = Plant.Plant.Taxon,
            Sheet = Plant.Plant.Sheet,
            Doubtful = Plant.Plant.Doubtful,
            Place = Plant.Plant.Place,
            Acquired = Today.Day,
            Pot = wide is { } cm ? new(cm, null, Plant.Plant.Pot?.Kind) : null,
            Medium = Media.Count == 0 ? Plant.Plant.Medium : Blank(Media[Math.Min(index, Media.Count - 1)]) ?? Plant.Plant.Medium,
            Parent = Plant.Plant.Tag,
            Origin = "division",
        };

    /// <summary>A part is no newcomer from outside: it was wounded and potted today, which its log says.</summary>
    IReadOnlyList<Entry> Facts(Plant part) =>
        [
            EntryWriting.Fact(
                new(
                    EntryKinds.Repotted,
                    Today.Day,
                    null,
                    $"a part of {Plant.Plant.Tag}{(part.Medium is { } medium ? $", into {medium}" : "")}"
                ),
                Guid.Empty,
                clock.GetUtcNow()
            ),
        ];

    bool Find(string tag)
    {
        if (Today.Find(tag) is not { Gone: false } plant)
            return false;
        (Plant, Plan) = (plant, DivisionPlan.Read(plant));
        return true;
    }
}

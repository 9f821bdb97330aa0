using System.Globalization;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;
using BudClock.Core.Planning;
using BudClock.Core.Potting;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Potting;

/// <summary>A repotting day: one sheet to stand with, and one act at its end.</summary>
public sealed class DayModel(TodaysGarden todaysGarden, Logbook logbook) : TypedPage(todaysGarden, logbook)
{
    /// <summary>Nobody repots more in a day, and no log is made of more at once.</summary>
    const int Most = 60;

    /// <summary>What was typed for each plant.</summary>
    [BindProperty]
    public List<Potted> Plants { get; set; } = [];

    public IReadOnlyList<Stand> Stands { get; private set; } = [];

    /// <summary>How much of each mix, for all that stand here.</summary>
    public IReadOnlyList<MixBill> Bills =>
        [
            .. Stands
                .Where(stand => stand.Section is not null)
                .GroupBy(stand => stand.Choice.Mix.Code)
                .Select(same =>
                    MixBill.Of(same.First().Choice.Mix, same.Select(stand => new Filling(stand.Tag, stand.Section!.MediumLitres)))
                ),
        ];

    public void OnGet(string[] tags)
    {
        var board = Today.Repots;
        var rows = tags.Length > 0 ? board.Wanted.Concat(board.Others).Where(row => tags.Contains(row.Plant.Plant.Tag)) : board.ForADay;
        Plants = [.. rows.Take(Most).Select(row => Proposed(row))];
        Stands = [.. Plants.Select(Read).OfType<Stand>()];
        Faults.Clear(); // what was proposed is no fault of the grower's
    }

    /// <summary>Works it out anew with what was typed, and writes nothing.</summary>
    public IActionResult OnPostAgain()
    {
        Stands = [.. Plants.Take(Most).Select(Read).OfType<Stand>()];
        return Page();
    }

    /// <summary>Logs every ticked plant as one act, with its pot and medium, and takes the pots off the shelf.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        Stands = [.. Plants.Take(Most).Select(Read).OfType<Stand>()];
        var done = Stands.Where(stand => stand.Typed.Done).ToList();
        if (done.Count == 0)
            Faults.Add("Tick the plants that are done.");
        foreach (var stand in done.Where(stand => stand.Section is null && Faults.Count == 0))
            Faults.Add($"{stand.Tag}: write how wide its pot is.");
        if (Faults.Count > 0)
            return Page();
        var outcome = await Logbook.LogEachAsync(
            Act,
            [.. done.Select(stand => (stand.Tag, (IReadOnlyList<EntryDraft>)[stand.Entry(Today)]))],
            Changes.All(OffTheShelf(done).Select(Changes.Shelf))
        );
        var said = done.Count == 1 ? $"{done[0].Tag} repotted." : $"{done.Count} plants repotted.";
        return After(outcome, done.Count == 1 ? $"/plants/{done[0].Tag}" : "/potting", said);
    }

    /// <summary>Pots of that size that stood empty are in use now.</summary>
    IEnumerable<OwnedPot> OffTheShelf(IReadOnlyList<Stand> done) =>
        from pot in Today.Shed.Pots
        let used = done.Count(stand => stand.Uses(pot))
        where used > 0
        select pot with
        {
            Count = Math.Max(0, pot.Count - used),
        };

    Potted Proposed(RepotRow row)
    {
        var plant = row.Plant.Plant;
        var choice = PotChoice.Read(row.Plant.Situation);
        var owned = choice.FromShelf(Today.Shed, plant.Pot?.DiameterCm).FirstOrDefault();
        var inside = choice.Inside(plant, owned?.DiameterCm, owned?.HeightCm);
        return new()
        {
            Tag = plant.Tag,
            Pot = InUnit(inside?.TopCm),
            High = InUnit(inside?.HeightCm),
            Kind = owned?.Kind ?? plant.Pot?.Kind,
            Mix = choice.Mix.Code,
        };
    }

    string? InUnit(double? cm) =>
        cm is { } length
            ? (length / Unit.Default(Dimension.Length, Today.Garden.UsUnits)!.Factor).ToString("0.#", CultureInfo.InvariantCulture)
            : null;

    Stand? Read(Potted typed)
    {
        if (Today.Find(typed.Tag) is not { Gone: false } plant)
        {
            Faults.Add($"{typed.Tag} is not here any more.");
            return null;
        }
        var choice = PotChoice.Read(plant.Situation);
        if (Today.Shed.Mix(typed.Mix) is { } mix)
            choice = choice with { Mix = mix };
        var (wide, high) = (Size(typed.Pot, typed.Tag, "width"), Size(typed.High, typed.Tag, "height"));
        var section =
            wide is { } cm && choice.Inside(plant.Plant, cm, high) is { } inside
                ? PotSection.Of(inside, choice.Mix, choice.Depth, choice.BaseCm)
                : null;
        return new(typed, new(plant, RepotWindow.Read(plant)), choice, section);
    }

    double? Size(string? text, string tag, string what) =>
        string.IsNullOrWhiteSpace(text) ? null : Length(text, OwnedPot.LeastCm, OwnedPot.MostCm, $"{tag}, {what}");
}

/// <summary>What was typed for a plant.</summary>
public sealed class Potted
{
    public string Tag { get; set; } = "";
    public string? Pot { get; set; }
    public string? High { get; set; }
    public string? Kind { get; set; }
    public string? Mix { get; set; }

    /// <summary>Its roots were looked at and are sound.</summary>
    public bool Sound { get; set; }

    [System.ComponentModel.DataAnnotations.StringLength(200)]
    public string? Note { get; set; }
    public bool Done { get; set; }
}

/// <summary>A plant on the sheet.</summary>
public sealed record Stand(Potted Typed, RepotRow Row, PotChoice Choice, PotSection? Section)
{
    public string Tag => Row.Plant.Plant.Tag;

    /// <summary>The usual cautions for its kind; that of dust stands once, with the mix.</summary>
    public IEnumerable<Caution> Cautions =>
        Core.Culture.Cautions.For(EntryKinds.Repotted, Row.Plant.Situation.Sheet).Where(caution => caution.Name != "dust");

    public RepotSteps Steps => RepotSteps.Read(Row.Plant.Situation, Choice);

    public string? Warning => Section is null ? null : Choice.Size?.Warning(Section.Pot.TopCm, Row.Plant.Plant.Pot?.DiameterCm);

    /// <summary>Whether such a pot is the one it goes into.</summary>
    public bool Uses(OwnedPot pot) =>
        Section is { } section
        && Math.Abs(pot.DiameterCm - section.Pot.TopCm) < 0.05
        && string.Equals(pot.Kind, Typed.Kind?.Trim(), StringComparison.OrdinalIgnoreCase);

    /// <summary>The entry for its log, with the pot and the medium that it sets.</summary>
    public EntryDraft Entry(GardenDay today)
    {
        var plant = Row.Plant.Plant;
        var medium = string.Join(" and ", Choice.Mix.Parts.Keys);
        var kind = string.IsNullOrWhiteSpace(Typed.Kind) ? plant.Pot?.Kind : Typed.Kind.Trim();
        var (wide, high) = (Section!.Pot.TopCm, Section.Pot.HeightCm);
        var words = new[]
        {
            string.Create(CultureInfo.InvariantCulture, $"into {wide:0.#} cm{(kind is null ? "" : $" {kind}")}"),
            medium,
            Typed.Sound ? "sound roots" : null,
            string.IsNullOrWhiteSpace(Typed.Note) ? null : Typed.Note.Trim(),
        };
        return new(EntryKinds.Repotted, today.Day, null, string.Join(", ", words.Where(word => word is not null)))
        {
            Sets = PlantPast.Between(plant, plant with { Pot = new(wide, high, kind), Medium = medium }),
        };
    }
}

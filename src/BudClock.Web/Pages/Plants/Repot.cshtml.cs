using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;
using BudClock.Core.Potting;
using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>May it be repotted, into what, how large, how deep, and when does it get water again.</summary>
public sealed class RepotModel(TodaysGarden todaysGarden, Logbook logbook) : TypedPage(todaysGarden, logbook)
{
    /// <summary>The pot's width as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Pot { get; set; }

    /// <summary>The pot's height as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? High { get; set; }

    /// <summary>The code of a mix; the usual one where nothing was chosen.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Mix { get; set; }

    public Assessment Plant { get; private set; } = null!;

    public RepotWindow Window { get; private set; } = null!;

    public PotChoice Choice { get; private set; } = null!;

    /// <summary>The pot cut in half; null where its size is not known.</summary>
    public PotSection? Section { get; private set; }

    public RepotSteps Steps => RepotSteps.Read(Plant.Situation, Choice);

    public RootWindowChart? Chart => RootWindowChart.Of(Plant.Situation, Window);

    public IEnumerable<Caution> Cautions => Core.Culture.Cautions.For(EntryKinds.Repotted, Plant.Situation.Sheet);

    /// <summary>What speaks against the size that was typed.</summary>
    public string? Warning => Section is null ? null : Choice.Size?.Warning(Section.Pot.TopCm, Plant.Plant.Pot?.DiameterCm);

    public MixBill? Bill => Section is null ? null : MixBill.Of(Choice.Mix, [new(Plant.Plant.Tag, Section.MediumLitres)]);

    public IActionResult OnGet(string tag)
    {
        if (Today.Find(tag) is not { Gone: false } plant)
            return NotFound();
        Plant = plant;
        Window = RepotWindow.Read(plant);
        Choice = PotChoice.Read(plant.Situation);
        if (Today.Shed.Mix(Mix) is { } mix)
            Choice = Choice with { Mix = mix };
        var (wide, high) = (Size(Pot, "The pot's width"), Size(High, "The pot's height"));
        if (Faults.Count == 0 && Choice.Inside(plant.Plant, wide, high) is { } inside)
            Section = PotSection.Of(inside, Choice.Mix, Choice.Depth, Choice.BaseCm);
        return Page();
    }

    double? Size(string? text, string what) =>
        string.IsNullOrWhiteSpace(text) ? null : Length(text, OwnedPot.LeastCm, OwnedPot.MostCm, what);
}

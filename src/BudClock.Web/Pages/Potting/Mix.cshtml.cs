using BudClock.Core.Potting;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Potting;

/// <summary>A mix by parts for any pots: how much of each, and what to buy.</summary>
public sealed class MixModel(TodaysGarden todaysGarden, Logbook logbook) : TypedPage(todaysGarden, logbook)
{
    const int MostPots = 1000;

    /// <summary>The code of the mix.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Mix { get; set; }

    /// <summary>Across the top, as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Pot { get; set; }

    /// <summary>As typed; as high as wide where nothing was.</summary>
    [BindProperty(SupportsGet = true)]
    public string? High { get; set; }

    /// <summary>Across the bottom, as typed; three quarters of the top where nothing was.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Bottom { get; set; }

    /// <summary>How many such pots.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Pots { get; set; }

    public PottingMix Chosen { get; private set; } = null!;

    public MixBill? Bill { get; private set; }

    public void OnGet()
    {
        Chosen = Today.Shed.Mix(Mix) ?? Today.Shed.AllMixes[0];
        if (string.IsNullOrWhiteSpace(Pot))
            return;
        var wide = Size(Pot, "The pot's width");
        var high = string.IsNullOrWhiteSpace(High) ? wide : Size(High, "The pot's height");
        var bottom = string.IsNullOrWhiteSpace(Bottom) ? wide * Frustum.Usual : Length(Bottom, 0, OwnedPot.MostCm, "The pot's bottom");
        var count = string.IsNullOrWhiteSpace(Pots) ? 1 : Whole(Pots, 1, MostPots, "How many pots");
        if (Faults.Count > 0)
            return;
        var inside = new Frustum(wide!.Value, bottom!.Value, high!.Value);
        var depth = PottingTable.Shipped.Depths[^1];
        Bill = MixBill.Of(Chosen, [new("pots", PotSection.Of(inside, Chosen, depth, null).MediumLitres * count)]);
    }

    double? Size(string? text, string what) => Length(text, OwnedPot.LeastCm, OwnedPot.MostCm, what);
}

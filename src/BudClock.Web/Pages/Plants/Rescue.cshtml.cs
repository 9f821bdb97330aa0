using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;
using BudClock.Core.Potting;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>From a soft base to what can be saved of it, step by step, by its kind.</summary>
public sealed class RescueModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public Assessment Plant { get; private set; } = null!;

    public RescuePlan Plan { get; private set; } = null!;

    public IEnumerable<Caution> Cautions =>
        Core
            .Culture.Cautions.For(EntryKinds.Cut, Plant.Situation.Sheet)
            .Concat(Core.Culture.Cautions.For(EntryKinds.Treated, Plant.Situation.Sheet))
            .Distinct();

    /// <summary>How saved parts are raised, and how often that worked here.</summary>
    public IEnumerable<(RaisingMethod Method, Success Here)> Ways =>
        Plan
            .Methods.Select(name => PottingTable.Shipped.Method(name)!)
            .Select(method => (method, Success.In(Today.Shed.Batches.Where(batch => batch.Rescue && batch.Method == method.Name))));

    public IActionResult OnGet(string tag)
    {
        if (Today.Find(tag) is not { } plant)
            return NotFound();
        (Plant, Plan) = (plant, RescuePlan.Read(plant.Situation));
        return Page();
    }
}

using BudClock.Practice;
using BudClock.SimulatedPlants;
using BudClock.Web.Stepping;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Practice;

/// <summary>
/// Told afterwards: how it ended, what was done with and against the advice, what lived, what bloomed, what each loss came from.
/// </summary>
public sealed class EndModel(TodaysGarden todaysGarden, SteppingDesk desk) : GardenPage(todaysGarden)
{
    public SteppedState State { get; private set; } = null!;
    public PracticeSituation? Situation { get; private set; }

    /// <summary>What is true of the plants that were simulated.</summary>
    public IReadOnlyList<(string Tag, string Called, SimulatedPlant Model)> Plants { get; private set; } = [];

    public async Task<IActionResult> OnGetAsync()
    {
        if (await desk.StateAsync() is not { } state)
            return Redirect("/practice");
        (State, Situation) = (state, PracticeSituations.Named(state.Situation));
        Plants =
        [
            .. SteppingDesk
                .View(Today, state)
                .Plants.Select(one => (one.Key, Today.Find(one.Key)?.Plant.Called ?? one.Key, one.Value))
                .OrderBy(one => one.Value.Alive)
                .ThenBy(one => one.Key, StringComparer.Ordinal),
        ];
        return Page();
    }

    /// <summary>How many acts stood so to the advice.</summary>
    public int Count(Stood stood) => State.Acts.Count(act => act.Stood == stood);

    /// <summary>How an act stood, in words.</summary>
    public static string Word(Stood stood) =>
        stood switch
        {
            Stood.With => "with the advice",
            Stood.Against => "against the advice",
            Stood.Unlooked => "before the look it asked for",
            _ => "unasked",
        };
}

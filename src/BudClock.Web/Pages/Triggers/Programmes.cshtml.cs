using BudClock.Core.Programmes;

namespace BudClock.Web.Pages.Triggers;

/// <summary>The programmes that there are, and how many plants run each.</summary>
public sealed class ProgrammesModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public IReadOnlyList<(Programme Programme, int Running, int Fitting)> All { get; private set; } = [];

    public void OnGet() =>
        All = [
            .. Today.Programmes.All.Select(one =>
                (
                    one,
                    Today.Plants.Count(plant => !plant.Gone && Runs(plant, one)),
                    Today.Plants.Count(plant => !plant.Gone && one.Sheets.Count > 0 && one.IsFor(plant.Situation.Sheet))
                )
            ),
        ];

    internal static bool Runs(Core.Advising.Assessment plant, Programme programme) =>
        plant.Situation.Programme is { State: RunState.Running or RunState.Paused or RunState.Planned } run
        && run.Programme.Name == programme.Name;
}

using BudClock.Core.Programmes;
using BudClock.SimulatedPlants;

namespace BudClock.Practice;

public static partial class PracticeSituations
{
    /// <summary>A planting day worked back from a date.</summary>
    static PracticeSituation ChristmasBowl
    {
        get
        {
            var day = new DateOnly(2031, 11, 10);
            return new(
                "christmas-bowl",
                "A Christmas bowl",
                "Twelve paper-white bulbs lie in the cellar, firm and dry. They are wanted in bloom on 24 December.",
                day,
                Of(
                    [Bench, Sill, Cellar],
                    Plant(
                        "NAR-01",
                        "Bowl for Christmas",
                        "Narcissus papyraceus",
                        Cellar,
                        "pebbles",
                        (day.AddDays(-30), EntryKinds.Stored, null, "held back"),
                        (day, EntryKinds.ProgrammeStarted, null, ProgrammeOrder.InBloomFor(new(2031, 12, 24), 12)),
                        (day, EntryKinds.Tuber, null, "firm")
                    )
                ),
                Hidden(
                    ("NAR-01", Habits.ForcedBulb, state =>
                        (state.Stage, state.Lifted, state.Planted, state.Moisture, state.Reserve) = (Stage.Resting, true, false, 0, 0.95)
                    )
                ),
                view =>
                {
                    var plant = view.Plants["NAR-01"];
                    if (!plant.Alive)
                        return new(false, $"The bulbs were lost: {plant.State.DiedOf}.");
                    if (view.Bloomed.TryGetValue("NAR-01", out var opened))
                        return opened >= new DateOnly(2031, 12, 17) && opened <= new DateOnly(2031, 12, 28)
                            ? new(
                                true,
                                $"In bloom on {Dates.Short(opened)}, and in time. Four weeks, a little more where it is cool: the "
                                    + $"planting day is the whole secret."
                            )
                            : new(
                                false,
                                $"They bloomed on {Dates.Short(opened)}, {(opened.Month < 12 || opened.Day < 17 ? "before" : "after")} "
                                    + $"they were wanted. The planting day was the thing to watch."
                            );
                    return view.Day > new DateOnly(2032, 1, 2)
                        ? new(false, "Christmas passed without a flower. They want about four weeks from planting.")
                        : null;
                }
            );
        }
    }
}

using BudClock.SimulatedPlants;

namespace BudClock.Practice;

public static partial class PracticeSituations
{
    /// <summary>A thumb tells what no calendar can.</summary>
    static PracticeSituation DormantOrDead
    {
        get
        {
            var day = new DateOnly(2032, 3, 1);
            return new(
                "dormant-or-dead",
                "Dormant or dead",
                "Two Caladium pots have shown nothing since autumn. One sleeps, one does not. Keep the one that sleeps, and see it wake.",
                day,
                Of([Bench, Store], Asleep("CAL-01", day), Asleep("CAL-02", day)),
                Hidden(
                    ("CAL-01", Habits.Tuber, state =>
                        (state.Stage, state.StageDays, state.Reserve, state.Moisture, state.Roots) = (Stage.Resting, 110, 0.7, 0.05, 0.5)
                    ),
                    ("CAL-02", Habits.Tuber, state =>
                        (state.Stage, state.StageDays, state.Rot, state.Moisture, state.Roots) = (Stage.Resting, 110, 0.8, 0.05, 0)
                    )
                ),
                view =>
                {
                    var plant = view.Plants["CAL-01"];
                    if (!plant.Alive || plant.State.Rot >= 0.5)
                        return new(
                            false,
                            "The sleeper was lost as well: water on a tuber that sleeps makes it rot. Warmth wakes it, and water follows "
                                + "the shoot."
                        );
                    if (plant.State.Stage is Stage.Growing or Stage.Waking)
                        return new(
                            true,
                            $"CAL-01 woke, and CAL-02 had been dead all along: "
                                + $"{(view.Plants["CAL-02"].Alive ? "soft under the thumb" : "soft, and gone by now")}. A thumb tells "
                                + $"what no calendar can."
                        );
                    return view.Day > new DateOnly(2032, 8, 1)
                        ? new(false, "Summer came and it slept on: it wanted warmth, about 21 °C by day and 15 °C by night.")
                        : null;
                }
            );
        }
    }

    static Plant Asleep(string tag, DateOnly day) =>
        Plant(
            tag,
            $"Caladium {tag[^1..]}",
            "Caladium bicolor",
            Store,
            "peat and bark",
            (new(day.Year - 1, 10, 28), EntryKinds.LeavesGone, null, null),
            (new(day.Year - 1, 11, 2), EntryKinds.Stored, null, "in the pot")
        );
}

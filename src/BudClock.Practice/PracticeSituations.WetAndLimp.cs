using BudClock.SimulatedPlants;

namespace BudClock.Practice;

public static partial class PracticeSituations
{
    /// <summary>Limp though wet: roots, not thirst.</summary>
    static PracticeSituation WetAndLimp
    {
        get
        {
            var day = new DateOnly(2031, 6, 10);
            return new(
                "wet-and-limp",
                "Wet and limp",
                "A violet hangs its leaves, two days after it was watered. What now?",
                day,
                Of(
                    [Sill],
                    Plant(
                        "SAI-01",
                        "Violet, practice",
                        "Saintpaulia ionantha",
                        Sill,
                        "peat and perlite",
                        (day.AddDays(-9), EntryKinds.Watered, Ml(150), null),
                        (day.AddDays(-5), EntryKinds.Watered, Ml(150), null),
                        (day.AddDays(-2), EntryKinds.Watered, Ml(150), null),
                        (day, EntryKinds.Medium, null, "wet"),
                        (day, EntryKinds.Leaves, null, "limp")
                    )
                ),
                Hidden(
                    ("SAI-01", Habits.Rosette, state =>
                        (state.Roots, state.Rot, state.Reserve, state.Moisture, state.WetDays) = (0.3, 0.2, 0.32, 0.9, 7)
                    )
                ),
                view =>
                {
                    var plant = view.Plants["SAI-01"];
                    if (!plant.Alive || plant.State.Rot >= 0.6)
                        return new(
                            false,
                            view.FirstWater("SAI-01") is { } more
                                ? $"It rotted. It was limp because its roots were drowning; the water of {Dates.Short(more.On)} finished "
                                    + $"them."
                                : "It rotted: its medium stayed wet for too long. Tipped out and potted drier, it could have lived."
                        );
                    return plant.State is { Rot: 0, Reserve: > 0.75 }
                        ? new(
                            true,
                            "It stands firm again. Limp though wet meant roots, not thirst: let dry, and potted afresh, it made new ones."
                        )
                        : null;
                }
            );
        }
    }
}

using BudClock.SimulatedPlants;

namespace BudClock.Practice;

public static partial class PracticeSituations
{
    /// <summary>Cold first, then dryness.</summary>
    static PracticeSituation CoolMonth
    {
        get
        {
            var day = new DateOnly(2031, 10, 25);
            return new(
                "cool-month",
                "A cool month for a Clivia",
                "A grown Clivia has stood on the warm sill for years and never bloomed. Bring it to a flower stalk before April.",
                day,
                Of(
                    [Sill, Bench],
                    Plant(
                        "CLI-01",
                        "Clivia, practice",
                        "Clivia miniata",
                        Sill,
                        "peat and bark",
                        (day.AddDays(-12), EntryKinds.Watered, Ml(300), null),
                        (day.AddDays(-1), EntryKinds.Medium, null, "damp"),
                        (day.AddDays(-1), EntryKinds.Leaves, null, "firm")
                    )
                ),
                Hidden(("CLI-01", Habits.ThickRoots, state => state.Moisture = 0.4)),
                view =>
                {
                    var plant = view.Plants["CLI-01"];
                    if (!plant.Alive)
                        return new(false, $"It did not live: {plant.State.DiedOf}.");
                    if (plant.State.Spike || plant.State.Blooms > 0)
                        return new(
                            true,
                            "A stalk rises from between its leaves. Thirty cool nights, then dry weeks that no dry pot was allowed to "
                                + "end: the whole secret of it."
                        );
                    return view.Day > new DateOnly(2032, 4, 1)
                        ? new(
                            false,
                            "April came without a stalk. It wants thirty nights at or below 10 °C, and then four dry weeks, in that order."
                        )
                        : null;
                }
            );
        }
    }
}

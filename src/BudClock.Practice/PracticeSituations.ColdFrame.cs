using BudClock.SimulatedPlants;

namespace BudClock.Practice;

public static partial class PracticeSituations
{
    /// <summary>Each plant by its own limit of cold.</summary>
    static PracticeSituation ColdFrame
    {
        get
        {
            var day = new DateOnly(2031, 5, 1);
            return new(
                "cold-frame",
                "The cold frame in May",
                "Two moth orchids and a Clivia went out into the frame in a warm week of April, and shivered once already. Bring them "
                    + "through until 31 May.",
                day,
                Of(
                    [Sill, Frame],
                    Out("PHA-01", "Moth orchid, practice", "Phalaenopsis amabilis", day),
                    Out("PHA-02", "Moth orchid, younger", "Phalaenopsis amabilis", day),
                    Out("CLI-01", "Clivia, practice", "Clivia miniata", day)
                ),
                Hidden(
                    ("PHA-01", Habits.SingleStem, Chilly),
                    ("PHA-02", Habits.SingleStem, Chilly),
                    ("CLI-01", Habits.ThickRoots, state => state.Moisture = 0.4)
                ),
                view =>
                {
                    var lost = view.Plants.Where(one => !one.Value.Alive).Select(one => one.Key).ToList();
                    if (lost.Count > 0)
                        return new(
                            false,
                            $"{string.Join(" and ", lost)} did not live: {view.Plants[lost[0]].State.DiedOf}. The forecast had said those "
                                + $"nights days before."
                        );
                    return view.Day >= new DateOnly(2031, 5, 31)
                        ? new(
                            true,
                            "All three came through. Moth orchids suffer in nights that a Clivia hardly feels: each by its own limit."
                        )
                        : null;
                }
            )
            {
                Seed = 141, // with a cold week in the middle of May
            };
        }
    }

    /// <summary>Weakened by a first cold night: the next ones count.</summary>
    static void Chilly(PlantState state) => (state.Moisture, state.Chill) = (0.4, 0.35);

    static Plant Out(string tag, string name, string taxon, DateOnly day) =>
        Plant(
            tag,
            name,
            taxon,
            Frame,
            "bark",
            (day.AddDays(-20), EntryKinds.Watered, Ml(200), null),
            (day.AddDays(-6), EntryKinds.Watered, Ml(200), null),
            (day.AddDays(-1), EntryKinds.Leaves, null, "firm")
        );
}

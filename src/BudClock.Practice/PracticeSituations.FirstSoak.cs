using BudClock.SimulatedPlants;

namespace BudClock.Practice;

public static partial class PracticeSituations
{
    /// <summary>New roots before water.</summary>
    static PracticeSituation FirstSoak
    {
        get
        {
            var day = new DateOnly(2031, 4, 24);
            return new(
                "first-soak",
                "The first soak",
                "A Catasetum woke two weeks ago. Its bulbs are a little wrinkled and its new roots are short. Bring it into growth.",
                day,
                Of(
                    [Bench, Sill],
                    Plant(
                        "CTM-01",
                        "Catasetum, practice",
                        "Catasetum pileatum",
                        Bench,
                        "bark",
                        (new(2030, 11, 20), EntryKinds.LeavesGone, null, null),
                        (day.AddDays(-14), EntryKinds.GrowthStarted, null, null),
                        (day.AddDays(-2), EntryKinds.RootLength, Cm(2.5), null),
                        (day.AddDays(-1), EntryKinds.Bulbs, null, "wrinkled")
                    )
                ),
                Hidden(
                    ("CTM-01", Habits.LeaflessBulbs, state =>
                        (state.Stage, state.StageDays, state.RootCm, state.ShootCm, state.Reserve, state.Moisture) = (
                            Stage.Waking,
                            20,
                            2.5,
                            3,
                            0.55,
                            0.05
                        )
                    )
                ),
                view =>
                {
                    var (plant, water) = (view.Plants["CTM-01"], view.FirstWater("CTM-01"));
                    if (!plant.Alive || plant.State.Rot >= 0.5)
                        return new(
                            false,
                            water is { } early && early.Stood is not Stood.With
                                ? $"It rotted. It was watered on {Dates.Short(early.On)}, before its new roots could drink: the water "
                                    + $"stood in the bark, and the base went first."
                                : "It did not live. Without water in time its bulbs were emptied; with roots this long it could have drunk."
                        );
                    if (plant.State is not { Stage: Stage.Growing, Reserve: > 0.85 } || water is null)
                        return null;
                    return water.Stood is Stood.With
                        ? new(
                            true,
                            $"Its bulbs filled. You waited until its roots were long enough, and soaked it on {Dates.Short(water.On)}. "
                                + $"That patience is the whole art of it."
                        )
                        : new(
                            false,
                            $"It lives, this time: it was soaked on {Dates.Short(water.On)}, before its new roots could drink, and the "
                                + $"bark dried soon enough. Another year the base would have gone first; waiting is the surer way."
                        );
                }
            );
        }
    }
}

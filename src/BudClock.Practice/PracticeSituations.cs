using BudClock.Core.Programmes;
using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>The set situations, each with its traps.</summary>
public static class PracticeSituations
{
    static readonly Garden Place = new("Practice garden", 51.5, 0.7, "Europe/London");

    static readonly Place Bench = new("bench", "South bench", "glasshouse") { Window = "roof", Light = "bright" };
    static readonly Place Sill = new("sill", "Potting-room sill", "indoors") { Window = "south-east", Light = "bright" };
    static readonly Place Frame = new("frame", "Cold frame", "cold-frame") { Window = "roof" };
    static readonly Place Store = new("store", "Dry store", "store") { Window = "none" };
    static readonly Place Cellar = new("cellar", "Cellar", "store") { Window = "none" };

    /// <summary>Every situation.</summary>
    public static IReadOnlyList<PracticeSituation> All => [FirstSoak, WetAndLimp, ColdFrame, CoolMonth, ChristmasBowl, DormantOrDead];

    /// <summary>One by its name; null for none.</summary>
    public static PracticeSituation? Named(string? name) => All.FirstOrDefault(one => one.Name == name);

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
                        "Catasetum tenebrosum",
                        Bench,
                        "bark",
                        (new(2030, 11, 20), EntryKinds.LeavesGone, null, null),
                        (day.AddDays(-14), EntryKinds.GrowthStarted, null, null),
                        (day.AddDays(-2), EntryKinds.RootLength, Cm(2.5), null),
                        (day.AddDays(-1), EntryKinds.Bulbs, null, "wrinkled")
                    )
                ),
                Hidden(
                    (
                        "CTM-01",
                        Habits.LeaflessBulbs,
                        state =>
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
                    return plant.State is { Stage: Stage.Growing, Reserve: > 0.85 } && water is not null
                        ? new(
                            true,
                            $"Its bulbs filled. You waited until its roots were long enough, and soaked it on {Dates.Short(water.On)}. "
                                + $"That patience is the whole art of it."
                        )
                        : null;
                }
            );
        }
    }

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
                    (
                        "SAI-01",
                        Habits.Rosette,
                        state => (state.Roots, state.Rot, state.Reserve, state.Moisture, state.WetDays) = (0.3, 0.2, 0.32, 0.9, 7)
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
                    (
                        "NAR-01",
                        Habits.ForcedBulb,
                        state =>
                            (state.Stage, state.Lifted, state.Planted, state.Moisture, state.Reserve) = (
                                Stage.Resting,
                                true,
                                false,
                                0,
                                0.95
                            )
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
                    (
                        "CAL-01",
                        Habits.Tuber,
                        state =>
                            (state.Stage, state.StageDays, state.Reserve, state.Moisture, state.Roots) = (
                                Stage.Resting,
                                110,
                                0.7,
                                0.05,
                                0.5
                            )
                    ),
                    (
                        "CAL-02",
                        Habits.Tuber,
                        state => (state.Stage, state.StageDays, state.Rot, state.Moisture, state.Roots) = (Stage.Resting, 110, 0.8, 0.05, 0)
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

    static GardenRecord Of(IReadOnlyList<Place> places, params IReadOnlyList<Plant> plants) => new(Place, places, plants, [], []);

    static Dictionary<string, PlantState> Hidden(params (string Tag, Habit Habit, Action<PlantState> Set)[] plants) =>
        plants.ToDictionary(
            one => one.Tag,
            one =>
            {
                var state = Beginnings.Fresh(one.Habit, 1, one.Tag);
                one.Set(state);
                return state;
            }
        );

    static Plant Plant(
        string tag,
        string name,
        string taxon,
        Place place,
        string medium,
        params (DateOnly On, EntryKind Kind, Quantity? Amount, string? Text)[] log
    ) =>
        new()
        {
            Tag = tag,
            Name = name,
            Taxon = taxon,
            Place = place.Code,
            Medium = medium,
            Acquired = log[0].On.AddYears(-3),
            Pot = new(11, 10, "plastic"),
            Entries =
            [
                .. log.Select(
                    (line, index) =>
                        new Entry
                        {
                            Id = Guid.CreateVersion7(),
                            On = line.On,
                            Kind = line.Kind,
                            Amount = line.Amount,
                            Text = line.Text,
                            Logged = new DateTimeOffset(line.On, new(8, 0), TimeSpan.Zero).AddSeconds(index),
                        }
                ),
            ],
        };

    static Quantity Cm(double cm) => new(cm, Unit.Find("cm"));

    static Quantity Ml(double ml) => new(ml, Unit.Find("ml"));
}

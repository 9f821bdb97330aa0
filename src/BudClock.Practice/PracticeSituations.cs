using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>The set situations, each with its traps in a file of its own.</summary>
public static partial class PracticeSituations
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

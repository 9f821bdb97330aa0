using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Culture;

/// <summary>The usual caution for work that can hurt someone, shown where the act is.</summary>
/// <param name="Acts">The entries beside which it is shown; a caution of a sheet is shown beside these only.</param>
public sealed record Caution(string Name, string Words, IReadOnlyList<EntryKind> Acts);

/// <summary>The cautions that Bud Clock knows (rules S). Labels, local law and licensed practice come first.</summary>
public static class Cautions
{
    const string Swallowed =
        "keep it from children and pets. If swallowed or in the eye, call poison control or a doctor; for an animal, a vet.";

    static readonly EntryKind[] Handling = [Repotted, Divided, Lifted, Planted, Stored, Cut, CutSpike, FlowerRemoved];

    /// <summary>Every caution that is known.</summary>
    public static readonly IReadOnlyList<Caution> All =
    [
        new(
            "calcium-oxalate",
            $"Sap and tubers burn the mouth and irritate skin and eyes (calcium oxalate). Wear gloves; {Swallowed}",
            Handling
        ),
        new("lycorine", $"The bulb is poisonous (lycorine), and its sap irritates skin. Wear gloves; {Swallowed}", Handling),
        new(
            "colchicine",
            $"Every part is deadly if eaten (colchicine), the tuber most of all. Wear gloves, label the store; {Swallowed}",
            Handling
        ),
        new("latex", $"The milky sap is harsh on skin and dangerous in the eyes. Wear gloves and glasses; {Swallowed}", Handling),
        new("heart-poison", $"The sap is poisonous (cardiac glycosides). Wear gloves; {Swallowed}", Handling),
        new("mild-sap", $"The milky sap can irritate. Wash it off; {Swallowed}", Handling),
        new("spines", "Thorns: wrap the plant in newspaper or hold it with tongs, and wear gloves.", [Repotted, Moved, Cut, Turned]),
        new("dust", "Dry peat, perlite and vermiculite make dust: damp them first and wear a mask.", [Repotted, Planted]),
        new(
            "treatments",
            "Use pesticides, fungicides and sulphur dust only by their label and local law, with gloves and mask, never where people "
                + "sleep. Several old granular insecticides are banned in many countries.",
            [Treated]
        ),
        new(
            "electric",
            "Lamps, heat mats and pumps near water: a drip loop on every cord, a residual-current device, rated timers; fixed wiring is "
                + "for a licensed electrician.",
            [Moved]
        ),
    ];

    /// <summary>These hold for every plant.</summary>
    static readonly string[] ForAll = ["dust", "treatments"];

    /// <summary>Their names, as sheets write them.</summary>
    public static IEnumerable<string> Names => All.Select(caution => caution.Name);

    /// <summary>The caution of a name; null where there is none.</summary>
    public static Caution? Find(string name) => All.FirstOrDefault(caution => caution.Name == name);

    /// <summary>What to say beside an act on a plant of this sheet.</summary>
    public static IEnumerable<Caution> For(EntryKind act, CultureSheet? sheet) =>
        All.Where(caution =>
            caution.Acts.Contains(act) && (ForAll.Contains(caution.Name) || sheet?.Cautions.Contains(caution.Name) == true)
        );
}

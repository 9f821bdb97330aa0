using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule V2: from a soft base, step by step, to what can be saved: by kind, not by one recipe.</summary>
/// <param name="Steps">What is done, in order.</param>
/// <param name="Methods">Names of the methods by which saved parts are raised, the likeliest first.</param>
/// <param name="After">How what is left of it is kept.</param>
public sealed record RescuePlan(IReadOnlyList<string> Steps, IReadOnlyList<string> Methods, string After)
{
    const string Blade = "A clean blade; wipe it with alcohol before every cut, away from any flame.";

    /// <summary>Reads the plan for a plant's kind.</summary>
    public static RescuePlan Read(Situation now) =>
        now.Sheet.Is(Traits.StandsInWater)
            ? new(
                [
                    Blade,
                    "Lift it out and rinse the crown in pure water.",
                    "Cut away what is black; leave a crown that is white inside.",
                    "Set it into fresh rinsed peat and perlite.",
                ],
                ["leaf-water"],
                "Standing in pure water as ever, bright and cool, under a clear cover: without roots it dies of drying, not of wet."
            )
        : now.Sheet.Is(Traits.Corms)
            ? new(
                [
                    Blade,
                    "Take it out and wash the roots; the stem may be gone, the corms beside it are often firm.",
                    "Press each corm: firm ones are the plant. A stem that is white inside above the rot is one too.",
                ],
                ["corm", "cutting"],
                "Warm from below, closed, in damp perlite: not dry."
            )
        : now.Sheet.Is(Traits.Succulent)
            ? new(
                [
                    Blade,
                    "Cut above the soft part, slice by slice, until the cut shows no brown at all.",
                    "Stand the top in dry air and shade: the cut dries first, days to two weeks.",
                    "Then on dry grit; no water before roots pull.",
                ],
                ["cutting", "leaf-dry"],
                "Dry, warm and shaded. Water on an open cut is the second rot."
            )
        : now.Sheet.Is(Traits.FromBelow)
            ? new(
                [
                    Blade,
                    "Cut the rosette above the rot, until the neck is green through.",
                    "Take three firm leaves of the second ring besides.",
                ],
                ["leaf-wick", "cutting"],
                "Closed and damp, in shade, nothing into the crown."
            )
        : now.Sheet.Is(Traits.RootsInFlushes) && now.Sheet.Organs.Stores.Contains(Organ.Bulb)
            ? new(
                [
                    Blade,
                    "Cut along the rhizome from the soft part to the firm, one bulb at a time, until the cut is white.",
                    "Dust and dry the cuts for some days.",
                    "Lay firm back bulbs on damp moss; the front part into a pot as small as its roots allow.",
                ],
                ["back-bulb", "division"],
                "Damp around rather than in the pot, shaded, no feed."
            )
        : now.Sheet.Is(Traits.Tuber)
            ? new(
                [Blade, "Cut to firm clean flesh; every piece needs an eye.", "Dry the cuts two days, dusted."],
                ["tuber"],
                "Barely damp and warm, or back into its dry store if it slept."
            )
        : new(
            [Blade, "Cut until the cut shows no brown.", "Take what is firm: a top, a leaf, an offset."],
            ["cutting", "pup", "leaf-dry"],
            "Warm and shaded, damp around rather than in the pot."
        );
}

using BudClock.Core.Advising;

namespace BudClock.Core.Tests;

/// <summary>
/// Every act of care by its name in the open format, with what it does to a plant, written down here by hand: tests of safety ask this
/// list and never the product's own.
/// </summary>
static class Acts
{
    /// <summary>Water is given, in whatever way: of these a plant is never told both to do and to hold.</summary>
    public static readonly string[] Waters = ["give-water", "wet-lightly", "top-up", "fill-tray"];

    /// <summary>Water comes into the pot.</summary>
    public static readonly string[] Wets = [.. Waters, "flush"];

    /// <summary>Feed comes to roots or leaf.</summary>
    public static readonly string[] Feeds = ["feed", "mist"];

    /// <summary>Roots are disturbed or wounded.</summary>
    public static readonly string[] Roots = ["repot", "divide", "lift", "look-at-roots"];

    /// <summary>Neither water, nor feed, nor a hand at the roots.</summary>
    public static readonly string[] Others =
    [
        "take-water-away",
        "take-out",
        "put-back",
        "humidify",
        "store",
        "let-rest",
        "wake",
        "move",
        "bring-in",
        "cool",
        "shelter",
        "lighten",
        "turn",
        "cut-out",
        "treat",
        "rinse",
        "feel",
        "look",
        "measure",
        "compare",
        "trigger",
        "leave-alone",
    ];

    /// <summary>What cannot both be done to a plant on one day.</summary>
    public static readonly (string[] One, string[] Other)[] Exclusive =
    [
        (Wets, ["take-water-away", "let-rest", "store", "lift", "take-out"]),
        (["bring-in"], ["cool"]),
        (["lighten"], ["shelter"]),
        (["feed"], ["flush"]),
        (["wake"], ["let-rest", "store", "lift"]),
        (["repot", "divide"], ["leave-alone"]),
    ];

    /// <summary>Whether one of some acts is ordered.</summary>
    public static bool Does(this Assessment said, params string[] acts) =>
        said.Settled.Any(advice => advice.Verdict is Verdict.Do && acts.Contains(advice.Care.Facts().Name));
}

/// <summary>The list has no hole.</summary>
public class ActsTests
{
    [Fact]
    public void Every_act_stands_in_the_list_once() =>
        Assert.Equal(
            Enum.GetValues<Care>().Select(care => care.Facts().Name).Order(StringComparer.Ordinal),
            Acts.Wets.Concat(Acts.Feeds).Concat(Acts.Roots).Concat(Acts.Others).Order(StringComparer.Ordinal)
        );
}

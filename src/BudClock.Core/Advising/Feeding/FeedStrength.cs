using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F3: how strong, as a share of the label's dose, and why.</summary>
/// <remarks>
/// Common practice: orchids and gesneriads ¼; a growing monopodial nearly ½ while roots lengthen; at each watering ½ at most;
/// reservoirs ¼; few or stressed roots ¼; heavy feeders full.
/// </remarks>
public sealed record FeedStrength(double Percent, string Why)
{
    /// <summary>The question how often it is fed.</summary>
    public const string Question = "feed-rhythm";

    /// <summary>Its answer: a little at each watering.</summary>
    public const string EachWatering = "each-watering";

    /// <summary>How strong the plant bears its bottle now, with the reason.</summary>
    public static FeedStrength Of(Situation now, BottleChoice bottle)
    {
        var (share, weak) = (now.Limits<FeedShareLimits>().Share, now.Limits<FeedShareLimits>().Weak);
        if (bottle.Bottle == Bottles.Recovery || now.TwoGrowths is not null)
            return new(Math.Min(share, weak), "few or stressed roots");
        if (now.Levels.OverWater)
            return new(Math.Min(share, weak), share > weak ? "a pot with a reservoir" : "");
        if (now.School(Question) is { Chosen.Name: EachWatering })
            return new(Math.Min(share, now.Limits<FeedShareLimits>().Frequent), "at each watering");
        if (
            now.Sheet.Organs.Shoot == Organ.Leaf
            && now.Limits<FeedShareLimits>().Rising > share
            && now.Lanes.Any(lane => lane is { Kind: LaneKind.Roots, Open: true })
        )
            return new(now.Limits<FeedShareLimits>().Rising, "its roots lengthen");
        return new(share, "");
    }

    /// <summary>"25 % of the label (its roots lengthen)".</summary>
    public string Words =>
        string.Create(CultureInfo.InvariantCulture, $"{Percent:0.#} % of the label{(Why.Length > 0 ? $" ({Why})" : "")}");
}

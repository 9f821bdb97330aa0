using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W3: let it dry right out, then water. The sign is the leaf giving way, or dry medium two finger joints down.</summary>
/// <remarks>Common practice: every 7 to 14 days; thin-leaved kinds are watered before the leaf gives way. In bloom indoors sparingly (W12), at the end of the season less (W17).</remarks>
public sealed class DryOutAdviser : IAdviser
{
    public string Rule => "W3";

    public IReadOnlyList<string> Thresholds => ["every-from", "every-to", "finger", "leaf-sign"];

    public Advice? Advise(Situation now)
    {
        if (!now.InGrowth) return null;
        var leaf = now.Needs(Rule, "leaf-sign") > 0;
        var feel = leaf ? $"feel the leaves, and the medium {now.Needs(Rule, "finger"):0.#} cm down" : $"feel the medium {now.Needs(Rule, "finger"):0.#} cm down, before the leaves give way";
        var (stretch, because) = Stretch.Read(now);
        return new WaterAsked(Rule, now.Needs(Rule, "every-from"), now.Needs(Rule, "every-to"), "water until it runs through, and let it drain", feel) { Stretch = stretch, Because = because }.Judge(now);
    }
}

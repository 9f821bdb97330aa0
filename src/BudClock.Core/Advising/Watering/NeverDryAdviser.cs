using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W4: never soggy, never dry. A top that is pale and dry by morning asks; bent stems are thirst.</summary>
/// <remarks>Common practice: daily in full sun outdoors, every few days indoors; growing aroids are kept drier as the season goes down (W17).</remarks>
public sealed class NeverDryAdviser : IAdviser
{
    public string Rule => "W4";

    public IReadOnlyList<string> Thresholds => ["every-indoors", "every-outdoors"];

    public Advice? Advise(Situation now)
    {
        if (!now.InGrowth) return null;
        var every = now.Needs(Rule, now.Around.Outdoors ? "every-outdoors" : "every-indoors");
        var (stretch, because) = Stretch.Read(now);
        return new WaterAsked(Rule, every, every, "water, not so much that it stands", "look whether the top is pale and dry") { Stretch = stretch, Because = because }.Judge(now);
    }
}

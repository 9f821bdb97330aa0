using BudClock.Core.Culture;

namespace BudClock.Core.Advising.Why;

/// <summary>Rule K5: how far back a cause is looked for, and how much of something counts.</summary>
[Rule("K5", "what may have been the cause")]
public sealed record CauseLimits(
    [Limit("days", 14, 200, "a leaf, a bud or a base that fails is put down to what happened so shortly before")] int Back,
    [Limit("days", 7, 60, "a move, a draught or a new place is felt so long")] int Unsettled,
    [Limit("days", 200, 800, "why it does not bloom is looked for so far back")] int BloomBack,
    [Limit("days", 1, 30, "so many signs on different days make a spell and not a moment")] int Spell,
    [Limit("nights", 1, 30, "so many nights past a limit make it likely")] int Nights,
    [Limit("kPa", 0.8, 4, "drier air than this on average is hard on buds and thin leaves")] double DryAir,
    [Limit("days", 7, 120, "so long after a sign or a spike was last longer it stands still")] int Still,
    [Limit("days", 14, 400, "so long past its usual waking it is late")] int Late
);

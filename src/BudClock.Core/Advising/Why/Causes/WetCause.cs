using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>A medium that stayed wet, or was watered before it had dried.</summary>
public sealed class WetCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "kept wet";

    /// <inheritdoc/>
    public override int Order => 6;

    /// <inheritdoc/>
    public override Care? Act => Care.TakeWaterAway;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(YellowQuestion),
        typeof(LeavesGoneQuestion),
        typeof(LimpQuestion),
        typeof(ShrivelledQuestion),
        typeof(LeafInLeafOutQuestion),
        typeof(BudsLostQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Feel it a finger deep three days after water: still wet is too wet.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Now.Levels.OverWater || about.Now.Sheet.Is(Traits.StandsInWater))
            return null;
        List<Claim> speaks = [];
        var wet = about.In(Medium).Where(entry => entry.Text == "wet").ToList();
        if (wet is [.., var last])
            speaks.Add(
                Inquiry.By(
                    last,
                    wet.DistinctBy(entry => entry.On).Count() >= about.Limits.Spell ? Strength.Sure : Strength.Likely,
                    wet.Count > 1
                        ? $"the medium was wet on {wet.Count} looks, last on {about.Day(last.On)}"
                        : $"the medium was wet on {about.Day(last.On)}"
                )
            );
        if (TooOften(about) is { } often)
            speaks.Add(often);
        if (speaks.Count == 0)
            return null;
        var dry = about.Newest(entry => entry.Text == "dry", Medium);
        var (soft, firm) = about.Felt();
        return new(
            this,
            [.. speaks.OrderByDescending(claim => claim.Strength), .. soft],
            [.. firm, .. dry is null ? (Claim[])[] : [about.By(dry, Strength.Hint)]],
            "Let it dry, then water by the finger; look at the roots if it goes on."
        );
    }

    /// <summary>Watered again and again within half of what its kind takes, in the last weeks.</summary>
    static Claim? TooOften(Inquiry about)
    {
        var gaps = new List<int>();
        var waters = about
            .Now.Journal.Waterings.Where(e => e.On <= about.Matter.To && e.On > about.Matter.To.AddDays(-about.Limits.Back))
            .ToList();
        for (var i = 1; i < waters.Count; i++)
            gaps.Add(waters[i].On.DayNumber - waters[i - 1].On.DayNumber);
        if (gaps.Count < 3)
            return null;
        var usual = gaps.Order().ElementAt(gaps.Count / 2);
        var guide = Interval.Usual(about.Now).Days;
        return usual <= guide / 2
            ? Inquiry.By(
                waters[^1],
                Strength.Likely,
                $"watered every {usual} days up to {about.Day(waters[^1].On)}, about {guide:0} are usual for its pot"
            )
            : null;
    }
}

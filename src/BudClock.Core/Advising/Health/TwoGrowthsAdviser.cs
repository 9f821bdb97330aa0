using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule G3: a new growth that itself sprouts before it is finished is a sign of stress.</summary>
/// <remarks>
/// Common practice: water, humid air at the base, nitrogen or balanced feed, ¼ strength with few roots, no bloom feed; one may be given
/// up.
/// </remarks>
public sealed class TwoGrowthsAdviser : IAdviser
{
    const int SaidForDays = 60;

    /// <inheritdoc/>
    public string Rule => "G3";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => [];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (Open(now) is not { } open || now.Journal.Of(EntryKinds.Looked).Any(e => e.On >= open.Young.From))
            yield break;
        var (parent, young) = open;
        Condition[] conditions =
        [
            Condition.Known($"growth {Label(now, parent.Organ)} under way since", null, null, parent.From),
            Condition.Known($"growth {Label(now, young.Organ)} sprouted from it", null, null, young.From),
        ];
        yield return new(
            Topics.GrowthCheck,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            $"Growth {Label(now, young.Organ)} sprouted from {Label(now, parent.Organ)}, which is not finished: a sign of stress. Keep "
                + $"the base humid, feed nitrogen or balanced (¼ with few roots), no bloom feed. One of the two may be given up; that is "
                + $"normal.",
            conditions
        )
        {
            AnsweredBy = EntryKinds.Looked,
        };
    }

    /// <summary>The two growths, both under way, while the younger is news; null where there are none.</summary>
    public static (Lane Parent, Lane Young)? Open(Situation now)
    {
        var growths = now.Lanes.Where(lane => lane is { Kind: LaneKind.Growth, Organ: not null }).ToList();
        return
            growths.LastOrDefault(lane =>
                lane.Open && lane.From > now.Today.AddDays(-SaidForDays) && SproutedFrom(now, lane, growths) is not null
            )
                is { } young
            ? (SproutedFrom(now, young, growths)!, young)
            : null;
    }

    static Lane? SproutedFrom(Situation now, Lane young, List<Lane> growths)
    {
        var parent = now.Plant.Organs.FirstOrDefault(organ => organ.Id == young.Organ)?.Parent;
        return parent is null
            ? null
            : growths.FirstOrDefault(lane => lane.Organ == parent && lane.From < young.From && (lane.To is null || lane.To > young.From));
    }

    static string Label(Situation now, string? organ) => now.Plant.Organs.FirstOrDefault(o => o.Id == organ)?.Label ?? organ ?? "";
}

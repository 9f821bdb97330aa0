using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule G3: a new growth that itself sprouts before it is finished is a sign of stress.</summary>
/// <remarks>
/// Common practice: water, humid air at the base, nitrogen or balanced feed, ¼ strength with few roots, no bloom feed; one may be given
/// up.
/// </remarks>
public sealed class TwoGrowthsAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "G3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.TwoGrowths is not { } open || now.Journal.Of(EntryKinds.Looked).Any(e => e.On >= open.Young.From))
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
            Since = now.Journal.Entries.LastOrDefault(e => e.Organ is { } organ && (organ == parent.Organ || organ == young.Organ))?.On,
        };
    }

    static string Label(Situation now, string? organ) => now.Plant.Organs.FirstOrDefault(o => o.Id == organ)?.Label ?? organ ?? "";
}

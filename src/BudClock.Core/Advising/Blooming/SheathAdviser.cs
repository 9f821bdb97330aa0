using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Blooming;

/// <summary>Rule L3: a sheath that has turned brown, or has stood for weeks with nothing showing, is held against a light.</summary>
/// <remarks>A brown sheath may still have buds in it, and an empty one is normal; neither is cut before somebody has looked.</remarks>
public sealed class SheathAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "L3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.In<Sheathed>() is not { } sheath || sheath.Since.Any(entry => entry.Kind == EntryKinds.Looked))
            yield break;
        var brown = sheath.Since.LastOrDefault();
        var (days, look) = (now.Today.DayNumber - sheath.Sign.On.DayNumber, now.Limits<SheathLimits>().Look);
        if (brown is null && days < look)
            yield break;
        yield return new(
            Topics.GrowthCheck,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            (
                brown is null
                    ? $"A sheath since {Dates.Near(sheath.Sign.On, now.Today)}, and nothing shows"
                    : $"Its sheath was brown {Dates.Ago(brown.On, now.Today)}"
            )
                + ": hold a light behind it. A shadow is a bud, and the sheath is opened carefully; without one it stays empty, which is "
                + "normal.",
            [new("days since the sheath showed", new(days), new(look), "days", days >= look, sheath.Sign.On)]
        )
        {
            AnsweredBy = EntryKinds.Looked,
            Since = brown?.On,
        };
    }
}

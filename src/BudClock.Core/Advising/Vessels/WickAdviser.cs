using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W9: a medium that stays dry over a reservoir that holds water, since the wick lifts no more.</summary>
/// <remarks>More water below does not help; wetting it from above once does.</remarks>
public sealed class WickAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W9";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (
            !now.InGrowth
            || !Evidence.Vessels.OverReservoir(now)
            || now.Wetness is not { IsDry: true, Felt: { } felt }
            || now.Levels is not { Low: null, Level: { } level }
            || level.On > felt.On
            || !(now.StandsIn.Has("wick") || now.Thirst.Sign is not null)
        )
            yield break;
        var because = $"The medium was dry {Dates.Ago(felt.On, now.Today)}, although the reservoir held {level.Words}";
        yield return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Do,
            now.Today,
            $"{because}: the water is no longer lifted. Wet it from above until it is damp through, then see that the wick is wet, not "
                + $"clogged, and reaches the water.",
            [
                Condition.Sign("medium dry", felt.On),
                Condition.Known("reservoir", new(level.Cm), "cm", level.On),
                .. now.Thirst.Sign is { } sign ? [Condition.Sign(now.Thirst.Words, sign.On)] : (Condition[])[],
            ]
        )
        {
            Because = because,
        };
    }
}

using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rules R1, R3, R4 and R7: whether a repot is wanted at all, whether its window is open, and into what.</summary>
/// <remarks>
/// Wanted: an old medium, roots all round the pot, leaves that have outgrown it. For what roots in flushes the window opens with
/// new root tips and closes as they lengthen. Common practice; pot-bound bloomers stay until roots heave out or they decline.
/// </remarks>
public sealed class RepotAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "R1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (
            now.Arrival is { WrongMedium: not null }
            || RepotWant.Collapsed(now) is not null
            || now.Rot is { Open: true }
            || now.Roots.Unrooted
            || now.Resting && !now.Sheet.Is(Traits.RepottedDry)
        )
            yield break;
        if (RepotWant.Read(now) is not { } wanted)
            yield break;
        if (now.Sheet.Is(Traits.PotBound) && !now.Sheet.Is(Traits.FromBelow))
            yield return Say(
                Verdict.Hold,
                $"{wanted.Words}, but it blooms when its pot is full: it stays until roots heave out at the top, or it declines.",
                wanted.Evidence
            );
        else if (now.Sheet.Is(Traits.RootsInFlushes))
            yield return InWindow(now, wanted);
        else
            yield return Act(now, wanted);
    }

    Advice InWindow(Situation now, RepotWant wanted)
    {
        var (open, late) = (now.Limits<RepotWindowLimits>().Open, now.Limits<RepotWindowLimits>().Late);
        if (RootTips.Read(now) is not { } roots)
            return Say(
                Verdict.Hold,
                $"{wanted.Words}: wait for new root tips; the window opens with them.{LastTime(now)}",
                wanted.Evidence,
                Condition.Sign("new root tips", null)
            );
        var tips = roots.Last;
        if (tips.Cm > late)
            return Say(
                Verdict.Hold,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{wanted.Words}, but roots of {tips.Cm:0.#} cm are likely to break: the window is missed, tide over to the next "
                        + $"growth."
                ),
                wanted.Evidence,
                new("new roots", new(tips.Cm), new(open), "cm at most", false, tips.On)
            );
        var grown = roots.At(now.Today);
        if (grown > late)
            return Outgrown(now, wanted, roots, late);
        return Act(now, wanted) is var act && grown <= open
            ? act
            : act with
            {
                Verdict = act.Verdict is Verdict.Hold ? Verdict.Hold : Verdict.Look,
                Since = tips.On,
                Reason = string.Create(
                    CultureInfo.InvariantCulture,
                    $"{wanted.Words}, and {Tips(now, tips)}: now or not before the next growth; longer ones break."
                ),
            };
    }

    /// <summary>What was measured so long ago says nothing of today: it is measured first, or the window is past.</summary>
    Advice Outgrown(Situation now, RepotWant wanted, RootTips roots, double late)
    {
        var (tips, grown) = (roots.Last, roots.At(now.Today));
        var missed = grown > late * 2;
        var by = missed
            ? "by now they are too long. Tide over to the next growth."
            : string.Create(
                CultureInfo.InvariantCulture,
                $"by now they are likely to be over {late:0.#} cm, which break. Measure them first."
            );
        return Say(
            missed ? Verdict.Hold : Verdict.Look,
            $"{wanted.Words}, and {Tips(now, tips)}: {by}",
            wanted.Evidence,
            new("new roots", new(tips.Cm), new(late), "cm at most", false, tips.On)
        ) with
        {
            Since = roots.Reach(late),
        };
    }

    static string Tips(Situation now, Measurement tips) =>
        tips.Cm > 0
            ? string.Create(CultureInfo.InvariantCulture, $"new roots were {tips.Cm:0.#} cm {Dates.Ago(tips.On, now.Today)}")
            : $"new root tips showed {Dates.Ago(tips.On, now.Today)}";

    /// <summary>When this plant made its roots before, which says more than any calendar.</summary>
    static string LastTime(Situation now) =>
        RootTips.Before(now) is { } last ? $" Last time this plant made them from {Dates.Near(last, now.Today)} on." : "";

    Advice Act(Situation now, RepotWant wanted)
    {
        var dry =
            now.Sheet.Is(Traits.RepottedDry) && now.Resting ? " Keep it dry after: no water for 30 to 60 days, then its first water." : "";
        return Say(
            now.Sheet.Is(Traits.RepottedDry) && now.Resting ? Verdict.Look : Verdict.Do,
            $"{wanted.Words}: repot{wanted.Into}.{dry}",
            wanted.Evidence
        ) with
        {
            Because = wanted.Words,
        };
    }

    Advice Say(Verdict verdict, string reason, params Condition[] conditions) =>
        new(Topics.Repot, Rule, Care.Repot, verdict, null, reason, conditions);
}

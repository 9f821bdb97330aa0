using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using static BudClock.Core.Journal.EntryKinds;

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
            || WrongMediumAdviser.Collapsed(now) is not null
            || now.Rot is { Open: true }
            || now.Roots.Unrooted
            || now.Resting && !now.Sheet.Is(Traits.RepottedDry)
        )
            yield break;
        if (Wanted(now) is not { } wanted)
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

    /// <summary>Why a repot is wanted, what that rests on, and into what.</summary>
    internal sealed record Want(string Words, Condition Evidence, string Into);

    /// <summary>Why it wants a repot at all; null for no reason.</summary>
    internal static Want? Wanted(Situation now)
    {
        var last = now.Journal.Last(Repotted)?.On;
        if (last > now.Today.AddDays(-now.Limits<RepotWindowLimits>().Recent))
            return null;
        if (LeafSpanAsks(now) is { } span)
            return span;
        if (
            now.Journal.Last(RootsAtBase) is { } roots
            && roots.On > now.Today.AddDays(-now.Limits<RepotWindowLimits>().Recent)
            && !now.Sheet.Is(Traits.DryRest)
            && !(last >= roots.On)
        )
            return new("Roots at the bottom of the pot", Condition.Sign("roots at the bottom of the pot", roots.On), Larger(now));
        var months = now.Limits<RepotWindowLimits>().Medium;
        // A rough date counts from the end of its span: the medium is at least so old.
        var about = last is null ? now.Plant.PottedAbout : null;
        if (
            (last ?? about?.Latest(now.Around.Garden.Southern)) is not { } repotted
            || now.Today < repotted.AddMonths((int)months)
            || now.Sheet.Is(Traits.PotBound)
            || now.Sheet.Is(Traits.Succulent)
        )
            return null;
        var age = ((now.Today.Year - repotted.Year) * 12) + now.Today.Month - repotted.Month;
        return new(
            $"Its medium is {(about is null ? "" : "at least ")}{age} months old",
            Condition.AtLeast("age of the medium", new(age, repotted), months, "months"),
            " into fresh medium, the pot the roots need"
        );
    }

    /// <summary>Rule R4 for rosettes: a third of the leaf span.</summary>
    static Want? LeafSpanAsks(Situation now)
    {
        if (
            !now.Sheet.Is(Traits.FromBelow)
            || now.Journal.Last(LeafSpan) is not { Amount: { } span } entry
            || now.Plant.Pot?.DiameterCm is not { } pot
        )
            return null;
        var third = Math.Round(span.InBase / 3);
        return pot >= third * 0.8
            ? null
            : new(
                string.Create(CultureInfo.InvariantCulture, $"Leaves {span.InBase:0.#} cm across in a pot of {pot:0.#} cm"),
                Condition.AtLeast("pot", new(pot, entry.On), third, "cm"),
                string.Create(
                    CultureInfo.InvariantCulture,
                    $" into {third:0} cm, a third of the leaf span"
                        + $"{(third > pot * 1.5 ? $", in two steps, {(pot + third) / 2:0} cm first" : "")}"
                )
            );
    }

    static string Larger(Situation now) =>
        now.Plant.Pot?.DiameterCm is { } pot
            ? string.Create(CultureInfo.InvariantCulture, $" into {pot + 2.5:0.#}–{pot + 5:0.#} cm, no larger")
            : " into the next size, no larger";

    Advice InWindow(Situation now, Want wanted)
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
    Advice Outgrown(Situation now, Want wanted, RootTips roots, double late)
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
        RootTips.Earlier(now.Journal, now.Today) is [var last, ..]
            ? $" Last time this plant made them from {Dates.Near(last, now.Today)} on."
            : "";

    Advice Act(Situation now, Want wanted)
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

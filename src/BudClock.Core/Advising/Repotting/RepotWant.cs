using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rules R1, R4 and R7: whether a repot is wanted at all, before anything is said of when.</summary>
/// <param name="Words">Why, as the beginning of a sentence.</param>
/// <param name="Evidence">What that rests on.</param>
/// <param name="Into">Into what, as the end of one: " into 12 cm".</param>
public sealed record RepotWant(string Words, Condition Evidence, string Into)
{
    static readonly string[] NoAir = ["collapsed", "sour", "soggy"];

    /// <summary>Why it wants a repot at all; null for no reason.</summary>
    public static RepotWant? Read(Situation now)
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
    static RepotWant? LeafSpanAsks(Situation now)
    {
        if (
            !now.Sheet.Is(Traits.FromBelow)
            || now.Journal.Last(LeafSpan) is not { Amount: { } span } entry
            || now.Plant.Pot?.DiameterCm is not { } pot
        )
            return null;
        var third = PotSize.Third(span.InBase);
        return pot >= third * 0.8
            ? null
            : new(
                string.Create(CultureInfo.InvariantCulture, $"Leaves {span.InBase:0.#} cm across in a pot of {pot:0.#} cm"),
                Condition.AtLeast("pot", new(pot, entry.On), third, "cm"),
                string.Create(
                    CultureInfo.InvariantCulture,
                    $" into {third:0.#} cm, a third of the leaf span"
                        + $"{(PotSize.StepTo(third, pot) is { } step ? $", in two steps, {step:0.#} cm first" : "")}"
                )
            );
    }

    static string Larger(Situation now) =>
        PotSize.Read(now) is { } size
            ? string.Create(CultureInfo.InvariantCulture, $" into {size.FromCm:0.#}–{size.ToCm:0.#} cm, no larger")
            : " into the next size, no larger";

    /// <summary>
    /// The word that says that its medium holds no air any more; null for none. A repot ends it: one written down after the words,
    /// or, where nobody knows when they were written, one within the life of a medium.
    /// </summary>
    public static string? Collapsed(Situation now)
    {
        if (NoAir.FirstOrDefault(now.StandsIn.Has) is not { } word)
            return null;
        if (now.Journal.Last(Repotted) is not { } repot)
            return word;
        var said = now.Journal.Entries.LastOrDefault(entry => entry.Sets.Any(change => change.What == Facts.Medium));
        var since = said is not null && PlantJournal.IsAfter(said, repot);
        return since || repot.On < now.Today.AddMonths(-(int)now.Limits<RepotWindowLimits>().Medium) ? word : null;
    }
}

using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule R4: how wide this plant's next pot is, and why.</summary>
/// <param name="FromCm">At least so wide.</param>
/// <param name="ToCm">No wider.</param>
/// <param name="Reason">By which rule of the trade, as a sentence.</param>
public sealed record PotSize(double FromCm, double ToCm, string Reason)
{
    /// <summary>Rulers and pots are not that exact, cm.</summary>
    const double Exact = 0.5;

    /// <summary>In less nothing stands, cm.</summary>
    const double LeastCm = 3;

    /// <summary>The pot by the plant's own rule; null where neither its pot nor its leaves were measured.</summary>
    public static PotSize? Read(Situation now)
    {
        var lost = now.Rot is { Open: true } || now.Roots.State is RootState.None or RootState.Few;
        if (lost && now.Plant.Pot?.DiameterCm is { } stood)
            return new(
                Math.Max(LeastCm, stood / 2),
                stood,
                "Few roots are left, or rot takes them: as small as they allow, and no larger than it was."
            );
        if (now.Sheet.Is(Traits.FromBelow) && now.Journal.Last(EntryKinds.LeafSpan)?.Amount is { } span)
            return OfLeaves(span.InBase, now.Plant.Pot?.DiameterCm);
        if (now.Plant.Pot?.DiameterCm is not { } pot)
            return null;
        if (now.Sheet.Is(Traits.Succulent))
            return new(pot, pot + 4, "The next size or two, wide or deep to match its roots.");
        return now.Sheet.Is(Traits.RootsInFlushes)
            ? new(pot, pot + 5, "Room for two years of growth in front of the newest, and no more.")
            : new(
                pot + 2.5,
                pot + 5,
                $"The root ball and 2.5 to 5 cm{(now.Sheet.Is(Traits.PotBound) ? ": it blooms when its pot is full" : "")}."
            );
    }

    /// <summary>The pot of a rosette, cm: a third of its leaf span.</summary>
    public static double Third(double spanCm) => Math.Round(spanCm / 3, 1);

    /// <summary>The pot between, cm, where a third of the leaves is too far from the one it stands in; null where it is not.</summary>
    public static double? StepTo(double thirdCm, double potCm) => thirdCm > potCm * 1.5 ? Math.Round((potCm + thirdCm) / 2, 1) : null;

    static PotSize OfLeaves(double span, double? pot)
    {
        var third = Third(span);
        var step = pot is { } now ? StepTo(third, now) : null;
        return new(
            (step ?? third) - Exact,
            (step ?? third) + Exact,
            string.Create(
                CultureInfo.InvariantCulture,
                $"A third of the leaf span: {span:0.#} cm of leaves, {third:0.#} cm of pot{(step is null ? "" : ", in two steps")}."
            )
        );
    }

    /// <summary>What speaks against a pot of some width; null for nothing.</summary>
    /// <param name="cm">Across the top, above 0.</param>
    /// <param name="pot">The one it stands in; null where it is not known.</param>
    public string? Warning(double cm, double? pot) =>
        cm > ToCm + Exact
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"{cm:0.#} cm is a big jump: spare wet medium rots roots. Up to {ToCm:0.#} cm now, and more when that is full."
            )
        : cm < FromCm - Exact
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"{cm:0.#} cm is tight{(cm < pot ? ", smaller than it stands in" : "")}: only where roots were lost, or for one more year."
            )
        : null;
}

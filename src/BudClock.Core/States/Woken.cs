using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule W1: awake after a dry rest, by its first growth or root, and dry until its first water.</summary>
/// <remarks>
/// A rest that nobody wrote down has been one all the same: nobody waters a plant that rests dry, so that a growth after two dry months,
/// with none before it still growing, ends one.
/// </remarks>
public sealed class Woken : State
{
    /// <inheritdoc/>
    public override string Name => "waking, before its first water";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [
        new(GrowthStarted, "a new growth after a dry rest, logged or not"),
        new(RootsStarted, "new roots after its leaves were gone"),
        Mark.Some(GrowthHeight, "a growth is measured after its leaves were gone"),
        Mark.Some(RootLength, "a root is measured after its leaves were gone"),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } = [.. Mark.Doing(Effects.WetsMedium), new(LeavesGone, "its leaves gone once more")];

    /// <inheritdoc/>
    public override string Afterwards => "It is watered by its signs and its own rhythm.";

    /// <inheritdoc/>
    protected override Span? Opened(Entry sign, PlantLog log)
    {
        var (journal, limits) = (log.Journal, log.Sheet.Limits<SleepLimits>());
        var ends = RestEnds(sign, journal) || (sign.Kind == GrowthStarted && IsAfterDry(sign, journal, limits));
        // Watered for it, whichever of the two was written first.
        return ends ? new(this, sign, sign, [], journal.Waterings.FirstOrDefault(water => water.On == sign.On), null) : null;
    }

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log) =>
        end.Kind == LeavesGone && end.On == open.Opened.On ? open : base.Ended(open, end, log);

    /// <inheritdoc/>
    protected override bool MayBegin(PlantLog log) => log.Sheet.Is(Traits.DryRest) && base.MayBegin(log);

    /// <summary>The first sign since its leaves were gone, that day included.</summary>
    bool RestEnds(Entry sign, PlantJournal journal)
    {
        if (journal.Of(LeavesGone).LastOrDefault(gone => gone.On <= sign.On) is not { On: var rest })
            return false;
        foreach (var mark in Opens)
        {
            var signs = journal.Of(mark.Kind);
            for (var i = signs.Count - 1; i >= 0 && signs[i].On >= rest; i--)
                if (mark.Fits(signs[i]) && PlantJournal.IsAfter(sign, signs[i]))
                    return false;
        }
        return true;
    }

    static bool IsAfterDry(Entry growth, PlantJournal journal, SleepLimits limits) =>
        !journal.Waterings.Any(water => water.On < growth.On && water.On > growth.On.AddDays(-limits.Dry))
        && !IsStillGrowing(growth, journal, limits);

    static bool IsStillGrowing(Entry growth, PlantJournal journal, SleepLimits limits) =>
        journal.Of(GrowthStarted, GrowthMatured, GrowthStopped, LeavesGone).LastOrDefault(entry => entry.On < growth.On) is { } before
        && before.Kind == GrowthStarted
        && before.On > growth.On.AddDays(-limits.LongestGrowth);
}

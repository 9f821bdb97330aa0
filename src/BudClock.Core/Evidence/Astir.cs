using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Leaves that were written of while the log says leafless and asleep: it may have woken without a word.</summary>
/// <param name="Sign">The newest entry that speaks of a leaf.</param>
/// <param name="AsleepSince">The day its rest began, by the log.</param>
public sealed record Astir(Entry Sign, DateOnly AsleepSince)
{
    /// <summary>The sign in words: "leaves limp".</summary>
    public string Words => Sign.Kind == Leaves ? $"leaves {Sign.Text}" : Sign.Kind.Words.ToLowerInvariant();

    /// <summary>Null where the log does not contradict itself.</summary>
    /// <remarks>
    /// A winter rosette keeps its small leaves, so they say nothing there. Whoever wrote later that it is bare, or put it away, has
    /// answered.
    /// </remarks>
    public static Astir? Read(Situation now)
    {
        if (!now.Sheet.Is(Traits.LeaflessRest) || now.In<AtRest>() is not { Opened.On: var since })
            return null;
        var journal = now.Journal;
        var sign = journal
            .Of(Leaves, LeafCount, LeafSpan)
            .LastOrDefault(e => e.On > since.AddDays(now.Limits<SleepLimits>().LastLeaf) && e.Amount is not { InBase: <= 0 });
        if (sign is null || journal.Last(LeavesGone, Lifted, Stored, WinterRosette) is { } answer && PlantJournal.IsAfter(answer, sign))
            return null;
        return journal.Has(WinterRosette) && journal.Last(WinterRosette)!.On >= since ? null : new(sign, since);
    }
}

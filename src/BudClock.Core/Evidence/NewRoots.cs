using BudClock.Core.Measuring;

namespace BudClock.Core.Evidence;

/// <summary>What is known of the new roots since the plant woke.</summary>
/// <param name="Series">Their lengths, oldest first, those above nothing.</param>
/// <param name="Checked">The last day anybody looked at them.</param>
/// <param name="Started">The day they were first seen.</param>
/// <param name="AtBase">The day they were seen at the bottom of the pot or turning round it.</param>
/// <param name="Lost">The day they were found dead, unless new ones followed.</param>
public sealed record NewRoots(IReadOnlyList<Measurement> Series, DateOnly? Checked, DateOnly? Started, DateOnly? AtBase, DateOnly? Lost)
{
    /// <summary>Nothing seen.</summary>
    public static readonly NewRoots None = new([], null, null, null, null);

    /// <summary>At least one new root lives.</summary>
    public bool Live => Started is not null && Lost is null;

    /// <summary>The longest that was measured, cm; null where none was.</summary>
    public Seen<double>? Longest => Series is [.., var last] ? new(last.Cm, last.On) : null;

    /// <summary>Reads the roots from the day the plant woke. Roots that were lost count no more, nor does their length.</summary>
    public static NewRoots Read(PlantJournal journal, DateOnly? since)
    {
        if (since is not { } day)
            return None;
        var lost = journal.Last(EntryKinds.RootsLost) is { } gone && gone.On >= day ? gone.On : (DateOnly?)null;
        var signs = journal
            .Of(EntryKinds.RootsStarted, EntryKinds.RootLength, EntryKinds.RootCount, EntryKinds.RootsAtBase)
            .Where(e => e.On >= day && !(e.On <= lost))
            .ToList();
        var live = signs.Where(e => e.Amount is not { InBase: <= 0 }).ToList();
        return new(
            Lengths(live),
            signs.LastOrDefault()?.On ?? lost,
            live.FirstOrDefault()?.On,
            live.LastOrDefault(e => e.Kind == EntryKinds.RootsAtBase)?.On,
            live.Count > 0 ? null : lost
        );
    }

    /// <summary>One length a day: the last one written down.</summary>
    static List<Measurement> Lengths(IEnumerable<Entry> signs) =>
        [
            .. signs
                .Where(e => e.Kind == EntryKinds.RootLength)
                .GroupBy(e => e.On)
                .Select(g => new Measurement(g.Key, g.Last().Amount!.Value.InBase)),
        ];
}

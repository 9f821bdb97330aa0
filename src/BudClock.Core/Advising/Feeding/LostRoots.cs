using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Roots that were lost within the season, and how far new ones have come since (rules F3 and F7).</summary>
/// <param name="On">The day they were lost.</param>
/// <param name="Live">New ones were seen since.</param>
/// <param name="Longest">The longest new root measured since; null when none was.</param>
/// <param name="SafeCm">From here on feed does more good than harm.</param>
/// <param name="StrongCm">From here on the plant feeds as before.</param>
public sealed record LostRoots(DateOnly On, bool Live, Seen<double>? Longest, double SafeCm, double StrongCm)
{
    const int SeasonDays = 270; // roots lost longer ago are a former season's story

    public bool Safe => Live && Longest?.Value >= SafeCm;

    public bool Strong => Live && Longest?.Value >= StrongCm;

    public static LostRoots? Read(Situation now)
    {
        if (now.Journal.Last(EntryKinds.RootsLost) is not { } lost || lost.On <= now.Today.AddDays(-SeasonDays)) return null;
        var atBase = now.Journal.Of(EntryKinds.RootsAtBase).Any(e => e.On > lost.On);
        var length = now.Journal.Of(EntryKinds.RootLength).LastOrDefault(e => e.On > lost.On && e.Amount!.Value.InBase > 0);
        var strong = now.Needs("F7", "strong");
        var measured = length is null ? null : new Seen<double>(length.Amount!.Value.InBase, length.On);
        var longest = atBase ? new Seen<double>(Math.Max(strong, measured?.Value ?? 0), lost.On) : measured;
        return new(lost.On, now.RootsDeadSince is null, longest, now.Needs("F7", "safe"), strong);
    }
}

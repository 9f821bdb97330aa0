using BudClock.Core.Culture.Limits;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>What is known of a plant's roots.</summary>
public enum RootState
{
    /// <summary>Nobody wrote of them; taken for sound.</summary>
    Unknown,

    /// <summary>No live root.</summary>
    None,

    /// <summary>A few, counted or new after a loss: recovering.</summary>
    Few,

    /// <summary>Live roots were seen.</summary>
    Alive,
}

/// <summary>Rule V3: has it live roots? The one answer for every rule, page and report.</summary>
/// <param name="Rests">The entry that it rests on; null when nobody wrote of roots.</param>
/// <param name="NoneSince">The day from which there were none, while there are none or few; null for a plant that never lost them.</param>
/// <param name="Longest">The newest length since they were lost, cm; null when none was measured.</param>
/// <param name="Unrooted">A cutting, leaf or corm before its first roots: kept damp rather than dry (rule P3).</param>
public sealed record RootsFound(RootState State, Entry? Rests, DateOnly? NoneSince, Seen<double>? Longest, bool Unrooted)
{
    /// <summary>Kinds of entries that speak of roots.</summary>
    public static readonly IReadOnlyList<EntryKind> Signs = [RootsStarted, RootLength, RootCount, RootsAtBase, RootsLost];

    static readonly string[] Rootless = ["cutting", "leaf", "corm"];

    /// <summary>No live root, and no cutting that is about to make its first.</summary>
    public bool Dead => State is RootState.None && !Unrooted;

    /// <summary>The roots of a plant now.</summary>
    public static RootsFound Read(Situation now)
    {
        var gone = now.In<RootsGone>();
        var (state, rests) = gone is null
            ? Alive(now.Journal) is { } alive
                ? (RootState.Alive, alive)
                : (RootState.Unknown, null)
            : RootsGone.Few(gone)
                ? (RootState.Few, gone.Newest)
                : (RootState.None, gone.Sign);
        var lost = gone is { Opened.Amount: null or { InBase: <= 0 } } ? gone.Opened.On : (DateOnly?)null;
        return new(state, rests, lost, LengthSince(now.Journal, lost), IsUnrooted(now, state));
    }

    /// <summary>The newest entry that saw live roots.</summary>
    static Entry? Alive(PlantJournal journal)
    {
        for (var i = journal.Entries.Count - 1; i >= 0; i--)
            if (journal.Entries[i] is var entry && Live(entry))
                return entry;
        return null;
    }

    static bool Live(Entry entry) =>
        entry.Kind == RootsStarted
        || entry.Kind == RootsAtBase
        || ((entry.Kind == RootLength || entry.Kind == RootCount) && entry.Amount is { InBase: > 0 })
        || (
            (entry.Kind == Inspected || entry.Kind == Repotted || entry.Kind == Acquired || entry.Kind == Divided)
            && entry.Said.Has(SaidFacts.SoundRoots)
        );

    static Seen<double>? LengthSince(PlantJournal journal, DateOnly? lost)
    {
        var lengths = journal.Of(RootLength);
        for (var i = lengths.Count - 1; i >= 0 && !(lengths[i].On < lost); i--)
            if (lengths[i].Amount is { InBase: > 0 } cm)
                return new(cm.InBase, lengths[i].On);
        return null;
    }

    static bool IsUnrooted(Situation now, RootState state)
    {
        if (state is RootState.Few or RootState.Alive)
            return false;
        var journal = now.Journal;
        var planted = journal.Last(Planted);
        var cutting = Rootless.Contains(now.Plant.Origin) || planted?.Said.Has(SaidFacts.Cutting) == true;
        if (!cutting || (planted?.On ?? journal.Last(Acquired)?.On ?? now.Plant.Acquired) is not { } began)
            return false;
        if (now.Today.DayNumber - began.DayNumber > now.Limits<RootLimits>().Rooting)
            return false;
        return journal.FirstSince(began, RootsLost) is null
            && (state is RootState.None || journal.FirstSince(began, GrowthStarted, LeafStarted) is null);
    }
}

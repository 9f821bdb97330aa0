using BudClock.Core.Culture.Limits;
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
/// <remarks>
/// The newest evidence by day decides, within a day what was written down last. Roots found dead, a count or a length of nothing,
/// and an arrival or division without roots mean none; one to three counted, or new ones after a loss, mean few.
/// </remarks>
/// <param name="Rests">The entry that it rests on; null when nobody wrote of roots.</param>
/// <param name="NoneSince">The day from which there were none, while there are none or few; null for a plant that never lost them.</param>
/// <param name="Longest">The newest length since they were lost, cm; null when none was measured.</param>
/// <param name="Unrooted">A cutting, leaf or corm before its first roots: kept damp rather than dry (rule P3).</param>
public sealed record RootsFound(RootState State, Entry? Rests, DateOnly? NoneSince, Seen<double>? Longest, bool Unrooted)
{
    /// <summary>Kinds of entries that speak of roots.</summary>
    public static readonly IReadOnlyList<EntryKind> Signs = [RootsStarted, RootLength, RootCount, RootsAtBase, RootsLost];

    /// <summary>What a plant without roots does not do for long: it has made some that nobody wrote of (rule L4).</summary>
    static readonly EntryKind[] Shows = [GrowthHeight, LeafStarted, SpikeStarted, SpikeLength, Buds, BloomOpened, Blooms];

    static readonly EntryKind[] Told = [.. Signs, .. Shows, Acquired, Inspected, Divided, Repotted];

    static readonly string[] Rootless = ["cutting", "leaf", "corm"];

    /// <summary>No live root, and no cutting that is about to make its first.</summary>
    public bool Dead => State is RootState.None && !Unrooted;

    /// <summary>Reads the roots from a journal.</summary>
    /// <param name="limits">How many are few, and how long a cutting, leaf or corm may take to its first roots.</param>
    /// <param name="strongCm">New roots this long count as before the loss.</param>
    public static RootsFound Read(Plant plant, PlantJournal journal, DateOnly today, RootLimits limits, double strongCm)
    {
        var (state, lost) = (RootState.Unknown, (DateOnly?)null);
        Entry? rests = null;
        Seen<double>? longest = null;
        foreach (var entry in journal.Of(Told))
        {
            if (Shows.Contains(entry.Kind))
            {
                // From its reserves it pushes a growth all the same; a month later it lives by roots of its own, though few.
                if (entry.Amount is { InBase: <= 0 })
                    continue;
                if (state is RootState.None && entry.On >= rests!.On.AddDays(limits.Shows))
                    (state, rests) = (RootState.Few, entry);
                else if (state is RootState.Few && entry.On >= rests!.On.AddDays(limits.Settled))
                    (state, rests, lost) = (RootState.Alive, entry, null);
                continue;
            }
            if (Says(entry, state, limits.Few, strongCm) is not { } said)
                continue;
            // A shoot without roots is a shoot without roots: it says nothing of a plant whose other parts have some (rule L1).
            if (said is RootState.None && entry.Organ is not null && HasOthers(plant, entry, state))
                continue;
            if (said is RootState.None)
                (lost, longest) = (state is RootState.None ? lost : entry.On, null);
            if (said is RootState.Alive && entry.Kind != RootLength)
                lost = null;
            if (entry.Kind == RootLength && entry.Amount is { InBase: > 0 } cm)
                longest = new(cm.InBase, entry.On);
            (state, rests) = (said, entry);
        }
        // Few roots of a former season have become many, or there would be no plant to ask about.
        if (state is RootState.Few && rests!.On < today.AddDays(-limits.Season))
            (state, lost) = (RootState.Alive, null);
        return new(state, rests, lost, longest, IsUnrooted(plant, journal, today, state, limits.Rooting));
    }

    static RootState? Says(Entry entry, RootState before, double few, double strongCm)
    {
        if (entry.Kind == RootsLost)
            return RootState.None;
        if (entry.Kind == RootCount)
            return entry.Amount?.Value switch
            {
                null => null,
                <= 0 => RootState.None,
                var n when n <= few => RootState.Few,
                _ => RootState.Alive,
            };
        if (entry.Kind == RootsAtBase)
            return RootState.Alive;
        if (entry.Kind == RootsStarted)
            return Recovering(before);
        if (entry.Kind == RootLength)
            return entry.Amount?.InBase switch
            {
                null => null,
                <= 0 => RootState.None,
                var cm when cm >= strongCm => RootState.Alive,
                _ => Recovering(before),
            };
        return entry.Said.Has(SaidFacts.Rootless) ? RootState.None
            : entry.Said.Has(SaidFacts.SoundRoots) ? RootState.Alive
            : null;
    }

    static bool HasOthers(Plant plant, Entry entry, RootState state) =>
        state is RootState.Alive or RootState.Few || plant.Organs.Any(other => other.Id != entry.Organ && other.Kind == Organ.Bulb);

    /// <summary>A live root after none is the first of few; a few stay few until more are counted.</summary>
    static RootState Recovering(RootState before) => before is RootState.None or RootState.Few ? RootState.Few : RootState.Alive;

    static bool IsUnrooted(Plant plant, PlantJournal journal, DateOnly today, RootState state, int rootingDays)
    {
        if (state is RootState.Few or RootState.Alive)
            return false;
        var planted = journal.Last(Planted);
        var cutting = Rootless.Contains(plant.Origin) || planted?.Said.Has(SaidFacts.Cutting) == true;
        if (!cutting || (planted?.On ?? journal.Last(Acquired)?.On ?? plant.Acquired) is not { } began)
            return false;
        if (today.DayNumber - began.DayNumber > rootingDays)
            return false;
        return journal.FirstSince(began, RootsLost) is null
            && (state is RootState.None || journal.FirstSince(began, GrowthStarted, LeafStarted) is null);
    }
}

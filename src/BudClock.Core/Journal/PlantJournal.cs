namespace BudClock.Core.Journal;

/// <summary>
/// What a plant's journal says up to a day: entries in force, oldest first. Struck entries and entries of later
/// days are left out, so that any past day can be asked about.
/// </summary>
public sealed class PlantJournal
{
    readonly List<Entry> entries;
    readonly List<Entry>?[] byKind = new List<Entry>?[EntryKind.Made];

    PlantJournal(List<Entry> entries)
    {
        this.entries = entries;
        foreach (var entry in entries)
            (byKind[entry.Kind.Index] ??= []).Add(entry);
    }

    List<Entry>? waterings;

    /// <summary>What counts: not struck, by day and by when it was written.</summary>
    public IReadOnlyList<Entry> Entries => entries;

    /// <summary>Every entry that put water into the pot, oldest first.</summary>
    public IReadOnlyList<Entry> Waterings => waterings ??= [.. entries.Where(entry => entry.IsWatering)];

    /// <summary>The journal as it stood on a day.</summary>
    public static PlantJournal UpTo(DateOnly today, IEnumerable<Entry> entries)
    {
        var inForce = entries.Where(e => !e.Struck && e.On <= today).ToList();
        if (!Ordered(inForce))
            inForce.Sort(InOrder);
        return new(inForce);
    }

    /// <summary>Most journals were written as things happened.</summary>
    static bool Ordered(List<Entry> entries)
    {
        for (var i = 1; i < entries.Count; i++)
            if (InOrder(entries[i - 1], entries[i]) > 0)
                return false;
        return true;
    }

    static int InOrder(Entry a, Entry b)
    {
        var order = a.On.CompareTo(b.On);
        if (order == 0)
            order = a.Logged.CompareTo(b.Logged);
        // In one line, or where no time is known: it was felt dry, and then watered.
        if (order == 0)
            order = b.AsksForWater.CompareTo(a.AsksForWater);
        return order == 0 ? a.Id.CompareTo(b.Id) : order;
    }

    /// <summary>Whether anything of that kind is in it.</summary>
    public bool Has(EntryKind kind) => byKind[kind.Index] is not null;

    /// <summary>Whether an entry comes after another: by day, within a day by when it was written down.</summary>
    public static bool IsAfter(Entry entry, Entry other) => InOrder(entry, other) > 0;

    /// <summary>Entries of a kind, oldest first.</summary>
    public IReadOnlyList<Entry> Of(EntryKind kind) => byKind[kind.Index] ?? [];

    /// <summary>Entries of some kinds, oldest first.</summary>
    /// <remarks>Every rule asks for some: those that are there are marked, and the journal is walked once.</remarks>
    public IReadOnlyList<Entry> Of(params ReadOnlySpan<EntryKind> kinds)
    {
        Span<bool> wanted = stackalloc bool[EntryKind.Made];
        List<Entry>? only = null;
        var count = 0;
        foreach (var kind in kinds)
            if (byKind[kind.Index] is { } same && !wanted[kind.Index])
            {
                wanted[kind.Index] = true;
                only = count == 0 ? same : null;
                count += same.Count;
            }
        if (count == 0 || only is not null)
            return only ?? [];
        var found = new List<Entry>(count);
        foreach (var entry in entries)
            if (wanted[entry.Kind.Index])
                found.Add(entry);
        return found;
    }

    /// <summary>The newest entry of some kinds; null for none.</summary>
    public Entry? Last(params ReadOnlySpan<EntryKind> kinds)
    {
        Entry? last = null;
        foreach (var kind in kinds)
            if (byKind[kind.Index] is { } same && (last is null || InOrder(same[^1], last) > 0))
                last = same[^1];
        return last;
    }

    /// <summary>The last state of a kind among the entries that fit, such as what the bulbs looked like before a soak.</summary>
    public Seen<string>? State(EntryKind kind, Func<Entry, bool> when) =>
        Of(kind).LastOrDefault(when) is { Text: { } state } entry ? new(state, entry.On) : null;

    /// <summary>The first entry of these kinds on or after a day.</summary>
    public Entry? FirstSince(DateOnly day, params ReadOnlySpan<EntryKind> kinds)
    {
        Entry? first = null;
        foreach (var kind in kinds)
            if (byKind[kind.Index]?.Find(e => e.On >= day) is { } entry && (first is null || InOrder(entry, first) < 0))
                first = entry;
        return first;
    }
}

namespace BudClock.Core.Journal;

/// <summary>
/// What a plant's journal says up to a day: entries in force, oldest first. Struck entries and entries of later
/// days are left out, so that any past day can be asked about.
/// </summary>
public sealed class PlantJournal
{
    PlantJournal(IReadOnlyList<Entry> entries) => Entries = entries;

    public IReadOnlyList<Entry> Entries { get; }

    public static PlantJournal UpTo(DateOnly today, IEnumerable<Entry> entries) => new(
        [.. entries.Where(e => !e.Struck && e.On <= today).OrderBy(e => e.On).ThenBy(e => e.Logged).ThenBy(e => e.Id)]);

    public IEnumerable<Entry> Of(params EntryKind[] kinds) => Entries.Where(e => kinds.Contains(e.Kind));

    public Entry? Last(params EntryKind[] kinds) => Entries.LastOrDefault(e => kinds.Contains(e.Kind));

    /// <summary>The last state of a kind among the entries that fit, such as what the bulbs looked like before a soak.</summary>
    public Seen<string>? State(EntryKind kind, Func<Entry, bool> when) =>
        Of(kind).LastOrDefault(when) is { Text: { } state } entry ? new(state, entry.On) : null;

    /// <summary>The first entry of these kinds on or after a day.</summary>
    public Entry? FirstSince(DateOnly day, params EntryKind[] kinds) =>
        Entries.FirstOrDefault(e => e.On >= day && kinds.Contains(e.Kind));
}

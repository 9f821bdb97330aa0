namespace BudClock.Core.Organs;

/// <summary>A plant's organs on a day, and where new entries belong among them.</summary>
public sealed record OrganBook(Plant Plant, IReadOnlyList<Lane> Lanes, PlantJournal Journal, OrganHabit Habit)
{
    /// <summary>Names another organ of its kind in a note.</summary>
    public const string New = "new";

    /// <summary>Names the organ that was logged without a name.</summary>
    public const string Unnamed = "unnamed";

    /// <summary>
    /// Places entries in their order; what one starts, the next may be about. A start makes a new organ; anything else
    /// belongs to the organ of its kind that was under way on that day. Where there are several, the answer asks.
    /// </summary>
    public PlacedEntries Place(IReadOnlyList<EntryDraft> entries) => new OrganPlacing(this).Place(entries);

    /// <summary>The id behind a reference as typed, an id or a label in any case; null when the plant has no such organ.</summary>
    public string? Find(string reference) =>
        reference.ToLowerInvariant() is New or Unnamed
            ? reference.ToLowerInvariant()
            : Plant
                .Organs.FirstOrDefault(o => Same(o.Id, reference) || Same(o.Label?.Replace(" ", "", StringComparison.Ordinal), reference))
                ?.Id;

    /// <summary>An organ as people say it; null for an id the plant has not.</summary>
    public string? Words(string? id) => Plant.Organs.FirstOrDefault(organ => organ.Id == id)?.Words;

    static bool Same(string? a, string b) => string.Equals(a, b, StringComparison.OrdinalIgnoreCase);
}

/// <summary>Entries with the organs they are about.</summary>
/// <param name="Added">Organs that the entries start.</param>
/// <param name="Questions">Entries that could mean more than one organ; they were placed on the likeliest.</param>
public sealed record PlacedEntries(IReadOnlyList<EntryDraft> Entries, IReadOnlyList<Organ> Added, IReadOnlyList<OrganQuestion> Questions);

/// <summary>An entry that could mean more than one organ.</summary>
/// <param name="Index">Which of the entries.</param>
/// <param name="Choices">What it could mean, the likeliest first.</param>
public sealed record OrganQuestion(int Index, IReadOnlyList<OrganChoice> Choices);

/// <param name="Reference">How a note names it, behind a #.</param>
/// <param name="Words">"spike 2031 b, 12 cm on 15 May".</param>
public sealed record OrganChoice(string Reference, string Words);

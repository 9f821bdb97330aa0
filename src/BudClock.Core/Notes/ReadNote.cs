namespace BudClock.Core.Notes;

/// <summary>What was understood of a typed line, and what was not. Nothing is dropped and no plant is guessed.</summary>
/// <param name="Tags">The plants' tags as the garden writes them; none when the line names no known plant.</param>
/// <param name="Unread">Pieces that were not understood, in their order.</param>
public sealed record ReadNote(string Text, IReadOnlyList<string> Tags, IReadOnlyList<EntryDraft> Entries, IReadOnlyList<Unread> Unread)
{
    /// <summary>The first plant; null when the line names none.</summary>
    public string? Tag => Tags.Count > 0 ? Tags[0] : null;

    /// <summary>Entries that could mean more than one organ of the plant.</summary>
    public IReadOnlyList<NoteQuestion> Questions { get; init; } = [];

    /// <summary>All of it was understood and can be logged.</summary>
    public bool Complete => Tag is not null && Entries.Count > 0 && Unread.Count == 0 && Questions.Count == 0;

    /// <summary>The line in plain form; reading it again gives the same entries.</summary>
    public string Canonical => $"{string.Join(", ", Tags)}: {string.Join(", ", Entries.Select(entry => entry.Canonical))}";
}

/// <summary>Which organ did this mean? Each answer is the line again, with the organ named.</summary>
/// <param name="Entry">"Spike 12 cm".</param>
public sealed record NoteQuestion(string Entry, IReadOnlyList<NoteAnswer> Answers);

public sealed record NoteAnswer(string Words, string Text);

/// <summary>A piece of a line that was not understood.</summary>
/// <param name="Start">Where it begins in the typed line.</param>
/// <param name="Why">What is wrong, as a sentence.</param>
/// <param name="Nearest">The nearest thing known, where one is near.</param>
public sealed record Unread(int Start, string Fragment, string Why, string? Nearest = null);

/// <summary>What a line is read against.</summary>
/// <param name="Tags">The garden's tags.</param>
/// <param name="Today">The day that "today" means, and the last day that may be logged.</param>
public sealed record NoteContext(IReadOnlyCollection<string> Tags, DateOnly Today, bool UsUnits = false)
{
    /// <summary>The organs of a plant, by tag; without them no organ can be named and none is asked for.</summary>
    public Func<string, OrganBook?> Books { get; init; } = _ => null;

    /// <summary>Codes of batches that can be given: "fed #G310520".</summary>
    public IReadOnlyCollection<string> Batches { get; init; } = [];

    /// <summary>Places by name and by code, with the tags that stand there: "south bench: soaked" means all of them.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<string>> Places { get; init; } = new Dictionary<string, IReadOnlyList<string>>();
}

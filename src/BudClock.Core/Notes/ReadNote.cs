using System.Globalization;
using BudClock.Core.Journal;
using BudClock.Core.Lanes;

namespace BudClock.Core.Notes;

/// <summary>What was understood of a typed line, and what was not. Nothing is dropped and no plant is guessed.</summary>
/// <param name="Tags">The plants' tags as the garden writes them; none when the line names no known plant.</param>
/// <param name="Unread">Pieces that were not understood, in their order.</param>
public sealed record ReadNote(string Text, IReadOnlyList<string> Tags, IReadOnlyList<NoteEntry> Entries, IReadOnlyList<Unread> Unread)
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

/// <summary>One entry understood from a line.</summary>
/// <param name="Organ">The id of the organ it names, or one of <see cref="OrganBook"/>'s words; null when it names none.</param>
/// <param name="Mix">The code of the batch that was given, or of a recipe; null when it names none.</param>
public sealed record NoteEntry(EntryKind Kind, DateOnly On, Quantity? Amount = null, string? Text = null, string? Organ = null, string? Mix = null)
{
    /// <summary>For the live reading: "Roots 8.5 cm".</summary>
    public string Words => string.Join(' ', new[] { Kind.Words, Amount?.ToString(), Mix, Text }.Where(part => part is not null));

    internal string Canonical
    {
        get
        {
            var amount = Amount is { } a ? $" {a.Value.ToString("R", CultureInfo.InvariantCulture)} {a.Unit}".TrimEnd() : "";
            var organ = $"{(Organ is null ? "" : $" #{Organ}")}{(Mix is null ? "" : $" #{Mix}")}";
            var date = On.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
            // A free text runs to the end of its clause, so the date stands before it.
            return Text is null || Kind.States.Length > 0
                ? $"{Kind.Words.ToLowerInvariant()}{amount}{(Text is null ? "" : " " + Text)}{organ} {date}"
                : $"{date} {Kind.Words.ToLowerInvariant()}{amount}{organ} {Text}";
        }
    }
}

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

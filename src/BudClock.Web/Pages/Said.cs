using BudClock.Core.Culture;
using BudClock.Core.Notes;
using BudClock.Core.Saying;

namespace BudClock.Web.Pages;

/// <summary>The line under the note: how a text is read, what was done, or what is wrong.</summary>
/// <param name="Hints">What is normal, and the cautions of the act.</param>
public sealed record Said(ReadNote? Note, string? Words, bool Trouble, bool CanUndo, IReadOnlyList<string> Hints)
{
    /// <summary>The undo that can be taken back; null for anything else.</summary>
    public Guid? Redo { get; init; }

    public static Said Undone(Outcome undo) =>
        Done($"Taken back: {undo.Words}. Nothing is lost: it can stand again.") with
        {
            Redo = undo.Act,
        };

    public static readonly Said Nothing = new(null, null, false, false, []);

    public static Said Reading(ReadNote note, GardenDay today) => new(note, null, false, false, CautionsOf(note.Tags, note.Entries, today));

    public static Said Refused(ReadNote note) =>
        new(note, note.Unread.Count == 0 && note.Questions.Count > 0 ? "Which one?" : "Nothing was logged yet.", true, false, []);

    public static Said Wrong(string words) => new(null, words, true, false, []);

    public static Said Done(string words) => new(null, words, false, false, []);

    public static Said Logged(IReadOnlyList<string> tags, IReadOnlyList<EntryDraft> entries, GardenDay today) =>
        new(
            null,
            $"Logged on {Plants(tags)}: "
                + $"{string.Join(", ", entries.Select(e => e.Words + (e.On == today.Day ? "" : $", {Dates.Near(e.On, today.Day)}")))}.",
            false,
            true,
            tags.Count == 1 && today.Find(tags[0]) is { } plant
                ? [.. entries.Select(e => Normal.Say(e.Kind, e.Text, plant)).OfType<string>().Distinct()]
                : []
        );

    /// <summary>One tag, or how many plants a line means.</summary>
    public static string Plants(IReadOnlyList<string> tags) => tags.Count == 1 ? tags[0] : $"{tags.Count} plants";

    static string[] CautionsOf(IReadOnlyList<string> tags, IReadOnlyList<EntryDraft> entries, GardenDay today) =>
        [
            .. tags.Select(tag => today.Find(tag)?.Situation?.Sheet)
                .Distinct()
                .SelectMany(sheet => entries.SelectMany(e => Cautions.For(e.Kind, sheet)))
                .Select(caution => caution.Words)
                .Distinct(),
        ];
}

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
        Done($"Taken back: {undo.Words}.{Stays(undo)} Nothing is lost: it can stand again.") with
        {
            Redo = undo.Act,
        };

    public static readonly Said Nothing = new(null, null, false, false, []);

    static string Stays(Outcome undo) => undo.Stays is { } stays ? $" What stays is {stays}: secrets are not taken back." : "";

    /// <summary>How the line could go on; the first is what Tab takes.</summary>
    public IReadOnlyList<Completion> Completions { get; init; } = [];

    /// <summary>The line as a note, for a second Enter; null where that is not offered.</summary>
    public string? Keep { get; init; }

    /// <summary>How a line reads while it is typed; a word that may still become one of the line's is no fault yet.</summary>
    public static Said Reading(ReadNote note, GardenDay today)
    {
        var completions = NoteCompletion.Of(note.Text, today.NoteContext());
        if (completions.Count > 0)
            note = note with { Unread = [.. note.Unread.Where(unread => !StillTyped(unread, note.Text))] };
        var cautions = note.Groups.SelectMany(group => CautionsOf(group.Tags, group.Entries, today)).Distinct();
        return new(note, null, false, false, [.. cautions]) { Completions = completions };
    }

    static bool StillTyped(Unread unread, string text) => unread.Start + unread.Fragment.Length == text.Length;

    public static Said Refused(ReadNote note) => new(note, "Nothing was logged yet.", true, false, []) { Keep = note.AsNote };

    public static Said Wrong(string words) => new(null, words, true, false, []);

    public static Said Done(string words) => new(null, words, false, false, []);

    public static Said Logged(IReadOnlyList<string> tags, IReadOnlyList<EntryDraft> entries, GardenDay today) =>
        Logged(new ReadNote("", tags, entries, []), today);

    public static Said Logged(ReadNote note, GardenDay today)
    {
        var plants = note.Groups.Select(group => $"on {Plants(group.Tags)}: {Listed(group.Entries, today)}");
        var normals = note.Groups.Where(group => group.Tags.Count == 1).SelectMany(group => Normals(group, today));
        return new(null, $"Logged {string.Join("; ", plants.Concat(Places(note, today)))}.", false, true, [.. normals.Distinct()]);
    }

    static IEnumerable<string> Places(ReadNote note, GardenDay today) =>
        note
            .Readings.GroupBy(reading => reading.Place)
            .Select(place => $"at {today.PlaceAt(place.Key)?.Name}: {string.Join(", ", place.Select(reading => reading.Words))}");

    static string Listed(IReadOnlyList<EntryDraft> entries, GardenDay today) =>
        string.Join(", ", entries.Select(e => e.Words + (e.On == today.Day ? "" : $", {Dates.Near(e.On, today.Day)}")));

    static IEnumerable<string> Normals(NoteGroup group, GardenDay today) =>
        today.Find(group.Tags[0]) is { } plant ? group.Entries.Select(e => Normal.Say(e.Kind, e.Text, plant)).OfType<string>() : [];

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

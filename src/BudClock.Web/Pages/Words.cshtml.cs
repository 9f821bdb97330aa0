using BudClock.Core.Notes;

namespace BudClock.Web.Pages;

/// <summary>The words of the note line, made from the data that it is read with, with examples of this garden.</summary>
public sealed class WordsModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    readonly Dictionary<EntryKind, string?> tags = [];

    public IReadOnlyList<WordSection> Sections => NoteWords.All(Today.Garden.UsUnits);

    public void OnGet() { }

    /// <summary>The name of a section in the address.</summary>
    public static string Anchor(WordSection part) => part.Title.Replace(' ', '-').ToLowerInvariant();

    /// <summary>A line that can be written here: with a plant that has such a part; null where no plant has.</summary>
    public string? Example(WordRow row)
    {
        if (row.Kind is not { } kind)
            return Today.Tags.FirstOrDefault() is { } any ? $"{any} {row.Example}" : null;
        if (!tags.TryGetValue(kind, out var tag))
            tags.Add(kind, tag = Today.Plants.FirstOrDefault(plant => Fits(plant, kind))?.Plant.Tag);
        return tag is null ? null : $"{tag} {row.Example}".ToLowerInvariant();
    }

    bool Fits(Core.Advising.Assessment plant, EntryKind kind) =>
        !plant.Gone
        && plant.Situation.Sheet is { } sheet
        && PossibleKinds.Of(sheet).Contains(kind)
        && (
            plant.Plant.Entries.Any(entry => entry.Kind == kind) || !Today.Plants.Any(other => other.Plant.Entries.Any(e => e.Kind == kind))
        );
}

using BudClock.Core.Advising;

namespace BudClock.Web.Pages;

/// <summary>One thing to write down on the first day.</summary>
/// <param name="Line">The line that would do it in this garden.</param>
public sealed record FirstLine(string Words, string Line, bool Done);

/// <summary>
/// The first day's practice: five lines to write in this garden, ticked as they are done, gone for good when wished away.
/// </summary>
public sealed record FirstDay(IReadOnlyList<FirstLine> Steps)
{
    /// <summary>A garden with so many entries needs no practice.</summary>
    const int PractisedEntries = 60;

    const string Marker = "practised";

    /// <summary>The practice of a young garden; null where it is over or was wished away.</summary>
    public static FirstDay? Of(GardenDay today, ServerOptions options)
    {
        var plants = today.Plants.Where(plant => !plant.Gone).ToList();
        if (plants.Count == 0 || plants.Sum(plant => plant.Plant.Entries.Count) > PractisedEntries || File.Exists(PathOf(options)))
            return null;
        var practice = new FirstDay([.. StepsOf(plants, today)]);
        return practice.Steps.All(step => step.Done) ? null : practice;
    }

    /// <summary>Wished away.</summary>
    public static void End(ServerOptions options) => File.WriteAllText(PathOf(options), "The practice of the first day is over.\n");

    static string PathOf(ServerOptions options) => Path.Combine(options.DataFolder, Marker);

    static IEnumerable<FirstLine> StepsOf(List<Assessment> plants, GardenDay today)
    {
        var tag = plants[0].Plant.Tag.ToLowerInvariant();
        var entries = plants.SelectMany(plant => plant.Plant.Entries).Where(entry => !entry.Struck).ToList();
        var length = today.Garden.UsUnits ? "2 1/2 in" : "6 cm";
        yield return new("Measure something", $"{tag} growth {length}", entries.Exists(e => e.Amount is { Dimension: Dimension.Length }));
        yield return new("Say how the pot feels", $"{tag} damp", entries.Exists(e => e.Kind == EntryKinds.Medium));
        yield return new("Say what you did, and when", $"{tag} watered yesterday", entries.Exists(e => e.IsWatering));
        var bench = today.Places.FirstOrDefault(place => plants.Any(plant => plant.Plant.Place == place.Code));
        if (bench is not null)
            yield return new(
                "Write down a night",
                $"{bench.Name}: night {(today.Garden.UsUnits ? "57 F" : "14 C")}",
                today.CoolestNightC(bench.Code) is not null
            );
        yield return new(
            "Keep a thought, with Enter twice",
            $"{tag} stands well by the window",
            entries.Exists(e => e.Kind == EntryKinds.Note)
        );
    }
}

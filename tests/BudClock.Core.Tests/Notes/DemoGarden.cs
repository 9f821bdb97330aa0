using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>The garden that ships as the demo, as a line is read against it on its day.</summary>
static class DemoGarden
{
    public static readonly GardenRecord Record = GardenFileReader
        .Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "lighthouse.json")), CultureSheets.Shipped)
        .Garden!;

    public static readonly NoteContext Context = Make();

    static NoteContext Make()
    {
        var plants = Record.Plants.Select(plant => plant.On(Specimens.Today)).ToDictionary(plant => plant.Tag);
        var assessed = plants.ToDictionary(pair => pair.Key, pair => Specimens.Assess(pair.Value));
        var named = plants.Values.Select(p => new NamedPlant(p.Tag, p.Name, p.Taxon, assessed[p.Tag].Gone)).ToList();
        var places = Record.Places.Select(place => new NamedPlace(
            place.Code,
            place.Name,
            [.. plants.Values.Where(plant => plant.Place == place.Code && !assessed[plant.Tag].Gone).Select(plant => plant.Tag)]
        ));
        return new(new SubjectIndex(named, [.. places]), Specimens.Today)
        {
            Books = tag => assessed.GetValueOrDefault(tag)?.Book,
            Sheets = tag => assessed.GetValueOrDefault(tag)?.Situation?.Sheet,
            Batches = [.. Record.Shelf.Batches.Where(batch => batch.ThrownAway is null).Select(batch => batch.Code)],
            Mixes = [.. Record.Shelf.Recipes.Select(recipe => recipe.Name)],
        };
    }
}

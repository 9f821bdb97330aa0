using System.Text.Json;
using BudClock.Core.Culture;
using BudClock.Core.Measuring;
using BudClock.Core.Mixing;
using BudClock.Core.Potting;
using BudClock.Core.Programmes;

namespace BudClock.Core.Formats;

/// <summary>What reading a garden file gave: the garden, or every fault with its place.</summary>
public sealed record GardenFileRead(GardenRecord? Garden, IReadOnlyList<FileFault> Faults);

/// <summary>Reads the open garden format, version 1. A file is taken whole or refused whole.</summary>
public sealed partial class GardenFileReader
{
    /// <summary>What a garden file calls its format.</summary>
    public const string Format = "bud-clock-garden";

    /// <summary>The version that is read.</summary>
    public const int Version = 1;

    readonly List<FileFault> faults = [];
    readonly CultureSheets sheets;
    readonly DateOnly latest;

    GardenFileReader(CultureSheets sheets, DateOnly latest) => (this.sheets, this.latest) = (sheets, latest);

    /// <summary>Reads a garden from JSON text.</summary>
    /// <param name="latest">The last day an entry may have; later ones are faults. By default any day.</param>
    public static GardenFileRead Read(string json, CultureSheets sheets, DateOnly? latest = null)
    {
        var reader = new GardenFileReader(sheets, latest ?? DateOnly.MaxValue);
        try
        {
            using var document = JsonDocument.Parse(
                json,
                new() { CommentHandling = JsonCommentHandling.Disallow, AllowDuplicateProperties = false }
            );
            if (document.RootElement.ValueKind is not JsonValueKind.Object)
                return new(null, [new("file", "expected a garden, an object with format, version and plants")]);
            var garden = reader.Garden(new(document.RootElement, "", reader.faults));
            return reader.faults.Count == 0 ? new(garden, []) : new(null, reader.faults);
        }
        catch (InvalidOperationException)
        {
            return new(null, [new("file", "holds half of a sign (a lone surrogate) in a name, which no text can")]);
        }
        catch (JsonException e)
        {
            return new(
                null,
                [new($"line {(e.LineNumber ?? 0) + 1}, column {(e.BytePositionInLine ?? 0) + 1}", $"not JSON: {Plain(e.Message)}")]
            );
        }
    }

    GardenRecord Garden(JsonPlace root)
    {
        root.Known(
            "format",
            "version",
            "garden",
            "places",
            "plants",
            "readings",
            "forecast",
            "vessels",
            "mixing",
            "potting",
            "sheetChanges",
            "programmes",
            "devices"
        );
        if (root.Text("format") is var format && format != Format)
            root.Fault("format", $"expected \"{Format}\", got \"{format}\"");
        if (root.Number("version") is var version && version != Version)
            root.Fault("version", $"this reads version {Version}, got {version}");

        var places = root.List("places").Select(Place).ToList();
        Unique(places.Select(p => p.Code), "places", "code");
        var codes = places.Select(p => p.Code).ToHashSet();
        var plants = root.List("plants").Select(plant => Plant(plant, codes)).ToList();
        Unique(plants.Select(p => p.Tag.ToUpperInvariant()), "plants", "tag");
        OwnParents(plants);
        Unique(plants.SelectMany(p => p.Entries).Select(e => e.Id.ToString()), "entries", "id");
        return new(
            GardenItself(root.Object("garden")),
            places,
            [.. plants.Select(plant => plant.Settled(places))],
            [.. root.List("readings").Select(reading => Reading(reading, codes))],
            [.. root.List("forecast").Select(day => Forecast(day, codes))]
        )
        {
            Devices = Devices(root, codes),
            Vessels = Vessels(root, codes, plants),
            Shelf = root.Object("mixing") is { } mixing ? new ShelfFile(latest, faults).Read(mixing) : Shelf.Empty,
            Shed = root.Object("potting") is { } potting ? new ShedFile(latest, codes, faults).Read(potting) : PottingShed.Empty,
            SheetChanges = [.. root.List("sheetChanges").SelectMany(SheetChanges)],
            Programmes = [.. root.List("programmes").Select(Programme)],
        };
    }

    /// <summary>Rule P5: nothing is made from itself, nor from what was made from it.</summary>
    void OwnParents(List<Plant> plants)
    {
        var parents = plants
            .DistinctBy(plant => plant.Tag, StringComparer.OrdinalIgnoreCase)
            .ToDictionary(plant => plant.Tag, plant => plant.Parent, StringComparer.OrdinalIgnoreCase);
        foreach (var (index, plant) in plants.Index())
        {
            var (parent, steps) = (plant.Parent, 0);
            while (parent is not null && !parent.Equals(plant.Tag, StringComparison.OrdinalIgnoreCase) && steps++ < plants.Count)
                parent = parents.GetValueOrDefault(parent);
            if (parent is not null && steps <= plants.Count)
                faults.Add(new($"plants[{index}].parent", $"{plant.Tag} would be made from itself"));
        }
    }

    OwnProgramme Programme(JsonPlace at)
    {
        at.Known("name", "yaml");
        var own = new OwnProgramme(Required(at, "name"), Required(at, "yaml"));
        var reader = new ProgrammeReader(own.Name);
        var read = reader.Read(own.Yaml);
        foreach (var fault in reader.Faults)
            at.Fault("yaml", $"line {fault.Line}: {fault.What}");
        if (read is not null && read.Name != own.Name)
            at.Fault("name", $"the text calls it {read.Name}");
        return own;
    }

    List<Vessel> Vessels(JsonPlace root, HashSet<string> places, List<Plant> plants)
    {
        var vessels = root.List("vessels")
            .Select(at =>
            {
                at.Known("code", "name", "kind", "place");
                var code = Required(at, "code");
                return new Vessel(code, at.Text("name") ?? code, at.OneOf("kind", Vessel.Kinds) ?? Vessel.Tray, at.KnownPlace(places));
            })
            .ToList();
        Unique(vessels.Select(vessel => vessel.Code), "vessels", "code");
        foreach (var (index, plant) in plants.Index())
            if (plant.Vessel is not null && vessels.All(vessel => vessel.Code != plant.Vessel))
                faults.Add(new($"plants[{index}].vessel", $"\"{plant.Vessel}\" is not among the vessels"));
        return vessels;
    }

    List<SheetChange> SheetChanges(JsonPlace at)
    {
        at.Known("sheet", "plant", "name", "value", "school");
        if (at.Has("value") == at.Has("school"))
            at.Fault("value", "a change has a value, or a school");
        var change = new SheetChange(
            at.OneOf("sheet", [.. sheets.All.Select(sheet => sheet.Name)]) ?? Required(at, "sheet"),
            at.Text("plant"),
            Required(at, "name"),
            at.Number("value"),
            at.Text("school")
        );
        List<SheetChange> named = [.. change.ByTodaysNames()];
        if (sheets.Find(change.Sheet) is { } sheet && named.FirstOrDefault()?.Fault(sheet) is { } fault)
            at.Fault(change.School is null ? "value" : "school", fault);
        return named;
    }

    static Garden GardenItself(JsonPlace? at)
    {
        if (at is not { } garden)
            return Gardens.Garden.Unnamed;
        garden.Known("name", "latitude", "longitude", "timeZone", "units");
        var zone = garden.Text("timeZone");
        if (zone is not null && !TimeZoneInfo.TryFindSystemTimeZoneById(zone, out _))
            garden.Fault("timeZone", $"expected a time zone such as Europe/London, got \"{zone}\"");
        return new(
            garden.Text("name") ?? Gardens.Garden.Unnamed.Name,
            garden.Number("latitude", -90, 90),
            garden.Number("longitude", -180, 180),
            zone,
            garden.OneOf("units", ["metric", "us"]) == "us"
        );
    }

    static readonly string[] PlantMembers = [.. PlantFields.All.Select(field => field.Member), "organs", "forecasts", "entries"];

    Plant Plant(JsonPlace at, HashSet<string> places)
    {
        at.Known(PlantMembers);
        var around = new FileAround(sheets, places);
        var plant = PlantFields.All.Aggregate(new Plant { Tag = "" }, (plant, field) => field.Read(at, around, plant));
        if (!at.Has("taxon") && !at.Has("sheet"))
            at.Fault("taxon", "a plant needs its taxon or its sheet");
        plant = plant with { Forecasts = [.. at.List("forecasts").Select(Kept)], Organs = [.. at.List("organs").Select(Organ)] };
        Unique(plant.Organs.Select(organ => organ.Id), $"{at.Path}.organs", "id");
        var same = new Dictionary<string, int>();
        return plant with { Entries = [.. at.List("entries").Select((entry, index) => Entry(entry, index, plant, same))] };
    }

    static Organ Organ(JsonPlace at)
    {
        at.Known("id", "kind", "label", "parent");
        return new(Required(at, "id"), at.OneOf("kind", Gardens.Organ.Kinds) ?? "growth", at.Text("label"), at.Text("parent"));
    }

    static Forecast Kept(JsonPlace at)
    {
        at.Known("of", "organ", "made", "from", "likely", "to", "source");
        foreach (var day in (string[])["made", "from", "likely", "to"])
            if (!at.Has(day))
                at.Fault(day, "missing");
        return new(
            at.OneOf("of", Forecasts.Turns) ?? Required(at, "of"),
            at.Text("organ"),
            at.Date("made") ?? default,
            at.Date("from") ?? default,
            at.Date("likely") ?? default,
            at.Date("to") ?? default,
            at.Text("source") ?? ""
        );
    }

    Entry Entry(JsonPlace at, int index, Plant plant, Dictionary<string, int> same)
    {
        at.Known("id", "on", "kind", "organ", "value", "unit", "text", "file", "mix", "said", "logged", "act", "sets", "amends", "struck");
        if (!at.Has("on"))
            at.Fault("on", "an entry needs its date");
        var on = at.Date("on") ?? DateOnly.MinValue;
        var (name, amount, text) = (Required(at, "kind"), Amount(at), at.Text("text"));
        var kind = EntryKinds.Find(name);
        if (kind is null && name.Length > 0)
            at.Fault("kind", $"\"{name}\" is no kind of entry");
        else if (kind is not null && at.Has("on") && EntryCheck.Fault(kind, on, amount, text, latest) is { } fault)
            at.Fault(
                kind.Measure is not null && EntryCheck.AmountFault(kind, amount) is not null ? "value"
                    : on > latest ? "on"
                    : "text",
                fault
            );

        var organ = at.Text("organ");
        if (organ is not null && plant.Organs.All(known => known.Id != organ))
            at.Fault("organ", $"\"{organ}\" is not among this plant's organs");
        var file = at.Text("file");
        if (file is not null && !Pictures.Sound(file))
            at.Fault("file", $"\"{file}\" is no name of a picture, such as 0198f3c2.jpg");
        var entry = new Entry
        {
            File = file,
            Mix = at.Text("mix"),
            Id = at.Id("id") ?? Guid.Empty,
            On = on,
            Kind = kind ?? EntryKinds.Note,
            Organ = organ,
            Amount = amount,
            Text = text,
            // Without its own time an entry stands where the file lists it.
            Logged = at.Instant("logged") ?? new DateTimeOffset(on, TimeOnly.MinValue, TimeSpan.Zero).AddSeconds(index),
            Act = at.Id("act") ?? Guid.Empty,
            Sets = at.Has("sets") ? [.. at.List("sets").Select(Set)] : [],
            Amends = at.Id("amends"),
            Struck = at.Flag("struck"),
        };
        if (SaidOf(at) is { Words.Count: > 0 } said)
            entry = entry with { Said = said };
        return entry.Id == Guid.Empty ? entry with { Id = EntryIds.FromContent(plant.Tag, entry, same) } : entry;
    }

    /// <summary>What its words say, as they were read when it was written; a file without it, or with none, has them read anew.</summary>
    static Said SaidOf(JsonPlace at)
    {
        var said = Said.Read(at.Texts("said"), out var unknown);
        if (unknown is not null)
            at.Fault("said", $"\"{unknown}\" is nothing that an entry says; known are {string.Join(", ", Said.Known)} and share 0.25");
        return said;
    }

    static FactChange Set(JsonPlace at)
    {
        at.Known("what", "from", "to");
        var what = Required(at, "what");
        if (what.Length > 0 && !Facts.Known(what))
            at.Fault("what", $"\"{what}\" is nothing of a plant that an entry changes");
        return new(what, at.Text("from"), at.Text("to"));
    }

    static Quantity? Amount(JsonPlace at)
    {
        if (at.Number("value") is not { } value)
        {
            if (at.Has("unit") && !at.Has("value"))
                at.Fault("unit", "stands without a value");
            return null;
        }
        if (at.Text("unit") is not { } written)
            return new(value);
        if (Unit.Find(written) is { } unit)
            return new(value, unit);
        at.Fault("unit", $"\"{written}\" is no unit known here");
        return null;
    }

    static string RequiredPlace(JsonPlace at, HashSet<string> places)
    {
        if (!at.Has("place"))
            at.Fault("place", "missing");
        return at.KnownPlace(places) ?? "";
    }

    static string Required(JsonPlace at, string member) => at.Required(member);

    void Unique(IEnumerable<string> values, string list, string member) => FileFault.Twice(values, list, member, faults);

    static string Plain(string message) => message.Split(" LineNumber:")[0].Split(" Path:")[0];
}

using System.Text.Json;

namespace BudClock.Core.Formats;

/// <summary>Every field of a plant but its entries, in the order in which a file has them.</summary>
static class PlantFields
{
    public static readonly IReadOnlyList<PlantField> All =
    [
        PlantField.Of(
            "tag",
            null,
            PlantField.Described(
                "\"type\": \"string\", \"pattern\": \"^[A-Za-z0-9][A-Za-z0-9-]{0,19}$\"",
                "Permanent, unique in any case."
            ),
            plant => plant.Tag,
            (plant, tag) => plant with { Tag = tag },
            (at, _) => Tag(at),
            (json, tag) => json.WriteString("tag", tag)
        ),
        PlantField.Texts(
            "formerTags",
            plant => plant.FormerTags,
            (plant, tags) => plant with { FormerTags = tags },
            "Tags it had before: it is still found by them."
        ),
        PlantField.Text("name", "its name", plant => plant.Name, (plant, name) => plant with { Name = name }),
        PlantField.Text("taxon", "its botanical name", plant => plant.Taxon, (plant, taxon) => plant with { Taxon = taxon }),
        PlantField.Of(
            "sheet",
            "its sheet",
            PlantField.Described("\"type\": \"string\"", "Found from the genus when left out."),
            plant => plant.Sheet,
            (plant, sheet) => plant with { Sheet = sheet },
            (at, around) => at.OneOf("sheet", [.. around.Sheets.All.Select(sheet => sheet.Name)]),
            PlantField.Optional("sheet")
        ),
        PlantField.Of(
            "place",
            "its place",
            PlantField.Described("\"type\": \"string\"", "The code of a place; unplaced when left out."),
            plant => plant.Place,
            (plant, place) => plant with { Place = place },
            (at, around) => at.KnownPlace(around.Places),
            PlantField.Optional("place")
        ),
        PlantField.Text(
            "vessel",
            "its tray",
            plant => plant.Vessel,
            (plant, vessel) => plant with { Vessel = vessel },
            "The code of the tray, reservoir or cover pot it stands in."
        ),
        PlantField.Day("acquired", "the day it came", plant => plant.Acquired, (plant, day) => plant with { Acquired = day }),
        PlantField.Rough(
            "acquiredAbout",
            "when it came",
            plant => plant.AcquiredAbout,
            (plant, about) => plant with { AcquiredAbout = about },
            "When it came, where no day is known: a year, a month or a season."
        ),
        PlantField.Rough(
            "pottedAbout",
            "when it was potted",
            plant => plant.PottedAbout,
            (plant, about) => plant with { PottedAbout = about },
            "When it was last potted before its log began, where no day is known."
        ),
        ItsPot,
        PlantField.Text("medium", "its medium", plant => plant.Medium, (plant, medium) => plant with { Medium = medium }),
        PlantField.Flag(
            "doubtful",
            "its doubt",
            plant => plant.Doubtful,
            (plant, doubtful) => plant with { Doubtful = doubtful },
            "The identity is a guess."
        ),
        PlantField.Texts(
            "synonyms",
            plant => plant.Synonyms,
            (plant, names) => plant with { Synonyms = names },
            "Earlier names; the plant is still found by them."
        ),
        PlantField.Text(
            "parent",
            "its parent",
            plant => plant.Parent,
            (plant, parent) => plant with { Parent = parent },
            "The tag of the plant it was made from."
        ),
        PlantField.OneOf(
            "origin",
            "how it was made",
            Plant.Origins,
            plant => plant.Origin,
            (plant, origin) => plant with { Origin = origin }
        ),
        PlantField.Text(
            "source",
            "where it came from",
            plant => plant.Source,
            (plant, source) => plant with { Source = source },
            "Where it came from."
        ),
        PlantField.Day(
            "quarantineUntil",
            "its quarantine",
            plant => plant.QuarantineUntil,
            (plant, until) => plant with { QuarantineUntil = until }
        ),
        ItsSchools,
    ];

    static string Tag(JsonPlace at)
    {
        var tag = at.Required("tag");
        if (tag.Length > 0 && !Tags.Sound(tag))
            at.Fault("tag", Tags.Rule(tag));
        return tag;
    }

    static PlantField ItsPot =>
        PlantField.Of(
            "pot",
            null,
            """
            {
              "type": "object",
              "additionalProperties": false,
              "properties": {
                "diameterCm": { "type": "number", "minimum": 1, "maximum": 200 },
                "heightCm": { "type": "number", "minimum": 1, "maximum": 200 },
                "kind": { "type": "string" }
              }
            }
            """,
            plant => plant.Pot,
            (plant, pot) => plant with { Pot = pot },
            (at, _) => ReadPot(at.Object("pot")),
            WritePot
        ) with
        {
            Compared =
            [
                new("the pot's diameter", plant => plant.Pot?.DiameterCm, (to, from) => Part(to, from, Facts.PotDiameter)),
                new("the pot's height", plant => plant.Pot?.HeightCm, (to, from) => Part(to, from, Facts.PotHeight)),
                new("the pot's kind", plant => plant.Pot?.Kind, (to, from) => Part(to, from, Facts.PotKind)),
            ],
        };

    static Plant Part(Plant to, Plant from, string fact) => to.With(fact, from.Fact(fact));

    static Pot? ReadPot(JsonPlace? at)
    {
        if (at is not { } pot)
            return null;
        pot.Known("diameterCm", "heightCm", "kind");
        return new(pot.Number("diameterCm", 1, 200), pot.Number("heightCm", 1, 200), pot.Text("kind"));
    }

    static void WritePot(Utf8JsonWriter json, Pot? pot)
    {
        if (pot is null)
            return;
        json.WriteStartObject("pot");
        json.Optional("diameterCm", pot.DiameterCm);
        json.Optional("heightCm", pot.HeightCm);
        json.Optional("kind", pot.Kind);
        json.WriteEndObject();
    }

    static PlantField ItsSchools =>
        PlantField.Of(
            "schools",
            "its schools",
            """{ "type": "object", "additionalProperties": { "type": "string" } }""",
            plant => plant.Schools,
            (plant, schools) => plant with { Schools = schools },
            (at, around) => ReadSchools(at.Object("schools"), around),
            WriteSchools
        );

    static Choices ReadSchools(JsonPlace? at, FileAround around)
    {
        if (at is not { } schools)
            return Choices.None;
        var chosen = new Dictionary<string, string>();
        foreach (var question in schools.Members())
        {
            if (schools.Text(question) is not { } school)
                continue;
            if (around.Sheets.SchoolFault(question, school) is { } fault)
                schools.Fault(question, fault);
            chosen[question] = school;
        }
        return new(chosen);
    }

    static void WriteSchools(Utf8JsonWriter json, Choices schools)
    {
        if (schools.All.Count == 0)
            return;
        json.WriteStartObject("schools");
        foreach (var (question, school) in schools.All.OrderBy(pair => pair.Key, StringComparer.Ordinal))
            json.WriteString(question, school);
        json.WriteEndObject();
    }
}

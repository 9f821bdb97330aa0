using System.Text.Json;
using BudClock.Core.Culture;

namespace BudClock.Core.Formats;

/// <summary>What the members of a plant are checked against.</summary>
/// <param name="Sheets">The culture sheets there are.</param>
/// <param name="Places">The codes of the places in the same file.</param>
sealed record FileAround(CultureSheets Sheets, IReadOnlySet<string> Places);

/// <summary>How a field of a plant that is here already is compared with the one a file brings.</summary>
/// <param name="What">What it is called in a sentence: "its place".</param>
/// <param name="Get">Its value; null where there is none.</param>
/// <param name="Take">The first plant with the value of the second.</param>
sealed record Compared(string What, Func<Plant, object?> Get, Func<Plant, Plant, Plant> Take);

/// <summary>
/// One field of a plant in the open format: how it is called, described, read and checked, written, and compared. Reading, writing, the
/// schema and taking in are made from these.
/// </summary>
/// <param name="Member">Its name in the file; it stays for good.</param>
/// <param name="Schema">Its JSON Schema, as text.</param>
/// <param name="Read">The plant with what the file says; faults are noted at the place.</param>
/// <param name="Write">Writes the member, or nothing where the plant has nothing of it.</param>
sealed record PlantField(string Member, string Schema, Func<JsonPlace, FileAround, Plant, Plant> Read, Action<Utf8JsonWriter, Plant> Write)
{
    /// <summary>What of it is compared; nothing for lists that only grow.</summary>
    public IReadOnlyList<Compared> Compared { get; init; } = [];

    /// <summary>A field of one value.</summary>
    /// <param name="what">What it is called in a sentence; null where it is not compared.</param>
    public static PlantField Of<T>(
        string member,
        string? what,
        string schema,
        Func<Plant, T> get,
        Func<Plant, T, Plant> with,
        Func<JsonPlace, FileAround, T> read,
        Action<Utf8JsonWriter, T> write
    ) =>
        new(member, schema, (at, around, plant) => with(plant, read(at, around)), (json, plant) => write(json, get(plant)))
        {
            Compared = what is null ? [] : [new(what, plant => get(plant), (to, from) => with(to, get(from)))],
        };

    /// <summary>A text.</summary>
    public static PlantField Text(
        string member,
        string what,
        Func<Plant, string?> get,
        Func<Plant, string?, Plant> with,
        string? about = null
    ) => Of(member, what, Described("\"type\": \"string\"", about), get, with, (at, _) => at.Text(member), Optional(member));

    /// <summary>One of a list of words.</summary>
    public static PlantField OneOf(
        string member,
        string what,
        IReadOnlyList<string> words,
        Func<Plant, string?> get,
        Func<Plant, string?, Plant> with
    ) =>
        Of(
            member,
            what,
            $"{{ \"enum\": {JsonSerializer.Serialize(words)} }}",
            get,
            with,
            (at, _) => at.OneOf(member, words),
            Optional(member)
        );

    /// <summary>Several texts, which are not compared.</summary>
    public static PlantField Texts(
        string member,
        Func<Plant, IReadOnlyList<string>> get,
        Func<Plant, IReadOnlyList<string>, Plant> with,
        string about
    ) =>
        Of(
            member,
            null,
            Described("\"type\": \"array\", \"items\": { \"type\": \"string\" }", about),
            get,
            with,
            (at, _) => at.Texts(member),
            (json, texts) => json.Texts(member, texts)
        );

    /// <summary>A day.</summary>
    public static PlantField Day(string member, string what, Func<Plant, DateOnly?> get, Func<Plant, DateOnly?, Plant> with) =>
        Of(
            member,
            what,
            "{ \"type\": \"string\", \"format\": \"date\" }",
            get,
            with,
            (at, _) => at.Date(member),
            (json, day) => json.Optional(member, day)
        );

    /// <summary>A year, a month or a season.</summary>
    public static PlantField Rough(
        string member,
        string what,
        Func<Plant, RoughDate?> get,
        Func<Plant, RoughDate?, Plant> with,
        string about
    ) =>
        Of(
            member,
            what,
            Described($"\"type\": \"string\", \"pattern\": \"{RoughDate.Pattern}\"", about),
            get,
            with,
            (at, _) => at.Rough(member),
            (json, rough) => json.Optional(member, rough?.Code)
        );

    /// <summary>True, or left out.</summary>
    public static PlantField Flag(string member, string what, Func<Plant, bool> get, Func<Plant, bool, Plant> with, string about) =>
        Of(
            member,
            what,
            Described("\"type\": \"boolean\"", about),
            get,
            with,
            (at, _) => at.Flag(member),
            (json, holds) =>
            {
                if (holds)
                    json.WriteBoolean(member, true);
            }
        );

    /// <summary>A schema with its description, where it has one.</summary>
    public static string Described(string schema, string? about) =>
        about is null ? $"{{ {schema} }}" : $"{{ {schema}, \"description\": {JsonSerializer.Serialize(about)} }}";

    /// <summary>Writes a text where there is one.</summary>
    public static Action<Utf8JsonWriter, string?> Optional(string member) => (json, text) => json.Optional(member, text);
}

using System.Globalization;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;

namespace BudClock.Core.Formats;

/// <summary>How every JSON of Bud Clock is written: indented, UTF-8, signs such as ° readable, the same bytes each time.</summary>
static class JsonText
{
    static readonly JsonWriterOptions Options = new()
    {
        Indented = true,
        NewLine = "\n",
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>The text of what the writer was told, indented.</summary>
    public static string Write(Action<Utf8JsonWriter> write)
    {
        using var stream = new MemoryStream();
        using (var json = new Utf8JsonWriter(stream, Options))
            write(json);
        return Encoding.UTF8.GetString(stream.ToArray()) + "\n";
    }

    /// <summary>An array under a name, each item written by the given action; an empty one too.</summary>
    public static void Each<T>(this Utf8JsonWriter json, string name, IEnumerable<T> items, Action<Utf8JsonWriter, T> write)
    {
        json.WriteStartArray(name);
        foreach (var item in items)
        {
            json.WriteStartObject();
            write(json, item);
            json.WriteEndObject();
        }
        json.WriteEndArray();
    }

    /// <summary>A list of texts; nothing where there are none.</summary>
    public static void Texts(this Utf8JsonWriter json, string name, IReadOnlyList<string> texts)
    {
        if (texts.Count == 0)
            return;
        json.WriteStartArray(name);
        foreach (var text in texts)
            json.WriteStringValue(text);
        json.WriteEndArray();
    }

    /// <summary>Writes the member where it has a value, and nothing where it is null.</summary>
    public static void Optional(this Utf8JsonWriter json, string name, string? value)
    {
        if (value is not null)
            json.WriteString(name, value);
    }

    /// <summary>Writes the number where there is one, and nothing where it is null.</summary>
    public static void Optional(this Utf8JsonWriter json, string name, double? value)
    {
        if (value is not null)
            json.WriteNumber(name, value.Value);
    }

    /// <summary>Writes the day as yyyy-mm-dd where there is one, and nothing where it is null.</summary>
    public static void Optional(this Utf8JsonWriter json, string name, DateOnly? value)
    {
        if (value is not null)
            json.WriteString(name, Iso(value.Value));
    }

    /// <summary>A date, or null written out.</summary>
    public static void OrNull(this Utf8JsonWriter json, string name, DateOnly? value)
    {
        if (value is null)
            json.WriteNull(name);
        else
            json.WriteString(name, Iso(value.Value));
    }

    static string Iso(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}

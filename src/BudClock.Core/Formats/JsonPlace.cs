using System.Globalization;
using System.Text.Json;

namespace BudClock.Core.Formats;

/// <summary>A JSON object at a known place in a file. Reading a member of the wrong kind notes a fault and goes on.</summary>
readonly struct JsonPlace(JsonElement element, string path, List<FileFault> faults)
{
    const int LongestText = 4000;

    /// <summary>Where this stands in the file, as its faults name it: <c>plants[3].pot</c>; empty at the top.</summary>
    public string Path => path;

    /// <summary>Notes what is wrong with a member; reading goes on, so that all faults are told at once.</summary>
    public void Fault(string member, string what) => faults.Add(new(At(member), what));

    /// <summary>Refuses, by name, every member that the format does not have.</summary>
    public void Known(params string[] members)
    {
        foreach (var member in element.EnumerateObject().Where(member => !members.Contains(member.Name)))
            Fault(member.Name, $"not a member of this format; known here are {string.Join(", ", members)}");
    }

    /// <summary>Whether the member is there and not null.</summary>
    public bool Has(string member) => Find(member) is not null;

    /// <summary>The member as text; null where it is missing; another type is a fault.</summary>
    public string? Text(string member)
    {
        if (Find(member) is not { } value)
            return null;
        if (value.ValueKind is not JsonValueKind.String)
            return Refuse(member, $"expected a text, got {Shown(value)}");
        if (Whole(value) is not { } text)
            return Refuse(member, "holds half of a sign (a lone surrogate), which no text can");
        return text.Length <= LongestText ? text : Refuse(member, $"holds at most {LongestText} characters, got {text.Length}");
    }

    /// <summary>A text that has to be there; empty, with a fault, when it is not.</summary>
    public string Required(string member)
    {
        if (!Has(member))
            Fault(member, "missing");
        return Text(member) ?? "";
    }

    /// <summary>The member as a number; null where it is missing; another type is a fault.</summary>
    public double? Number(string member)
    {
        if (Find(member) is not { } value)
            return null;
        if (value.ValueKind is JsonValueKind.Number && value.TryGetDouble(out var number) && double.IsFinite(number))
            return number;
        Fault(member, $"expected a number, got {Shown(value)}");
        return null;
    }

    /// <summary>The member as a number from min to max, both included; outside of them is a fault.</summary>
    public double? Number(string member, double min, double max)
    {
        if (Number(member) is not { } number)
            return null;
        if (number >= min && number <= max)
            return number;
        Fault(member, string.Create(CultureInfo.InvariantCulture, $"expected {min} to {max}, got {number}"));
        return null;
    }

    /// <summary>The member as true or false; false where it is missing.</summary>
    public bool Flag(string member)
    {
        if (Find(member) is not { } value || value.ValueKind is JsonValueKind.False)
            return false;
        if (value.ValueKind is JsonValueKind.True)
            return true;
        Fault(member, $"expected true or false, got {Shown(value)}");
        return false;
    }

    /// <summary>The member as a day, yyyy-mm-dd; null where it is missing; another form is a fault.</summary>
    public DateOnly? Date(string member)
    {
        if (Text(member) is not { } text)
            return null;
        if (DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date))
            return date;
        Fault(member, $"expected a date such as 2031-05-24, got \"{text}\"");
        return null;
    }

    /// <summary>The member as an instant with its offset (ISO 8601); null where it is missing; another form is a fault.</summary>
    public DateTimeOffset? Instant(string member)
    {
        if (Text(member) is not { } text)
            return null;
        if (DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at))
            return at.ToUniversalTime();
        Fault(member, $"expected a time such as 2031-05-20T03:00:00Z, got \"{text}\"");
        return null;
    }

    /// <summary>The member as a UUID; null where it is missing; another form is a fault.</summary>
    public Guid? Id(string member)
    {
        if (Text(member) is not { } text)
            return null;
        if (Guid.TryParse(text, out var id))
            return id;
        Fault(member, $"expected a UUID, got \"{text}\"");
        return null;
    }

    /// <summary>A text that has to be one of a list.</summary>
    public string? OneOf(string member, IReadOnlyList<string> choices) =>
        Text(member) is not { } text || choices.Contains(text)
            ? Text(member)
            : Refuse(member, $"expected one of {string.Join(", ", choices)}, got \"{text}\"");

    /// <summary>The member as a year, month or season; null where it is missing; another form is a fault.</summary>
    public RoughDate? Rough(string member)
    {
        if (Text(member) is not { } text)
            return null;
        if (RoughDate.Parse(text) is { } rough)
            return rough;
        Fault(member, $"expected a year, month or season such as 2017, 2018-05 or 2018-spring, got \"{text}\"");
        return null;
    }

    /// <summary>The code of a place; one that the file does not have is a fault.</summary>
    public string? KnownPlace(IReadOnlySet<string> places)
    {
        var place = Text("place");
        if (place is not null && !places.Contains(place))
            Fault("place", $"\"{place}\" is not among the places");
        return place;
    }

    /// <summary>The object below, or null when it is not there.</summary>
    public JsonPlace? Object(string member)
    {
        if (Find(member) is not { } value)
            return null;
        if (value.ValueKind is JsonValueKind.Object)
            return new(value, At(member), faults);
        Fault(member, $"expected an object, got {Shown(value)}");
        return null;
    }

    /// <summary>The objects of a list; none when it is not there.</summary>
    public List<JsonPlace> List(string member)
    {
        if (Find(member) is not { } value)
            return [];
        if (value.ValueKind is not JsonValueKind.Array)
        {
            Fault(member, $"expected a list, got {Shown(value)}");
            return [];
        }
        var items = new List<JsonPlace>();
        foreach (var (index, item) in value.EnumerateArray().Index())
        {
            if (item.ValueKind is JsonValueKind.Object)
                items.Add(new(item, $"{At(member)}[{index}]", faults));
            else
                faults.Add(new($"{At(member)}[{index}]", $"expected an object, got {Shown(item)}"));
        }
        return items;
    }

    /// <summary>The texts of a list; none when it is not there.</summary>
    public List<string> Texts(string member)
    {
        if (Find(member) is not { } value)
            return [];
        if (value.ValueKind is JsonValueKind.Array && value.EnumerateArray().All(item => Whole(item)?.Length <= LongestText))
            return [.. value.EnumerateArray().Select(item => item.GetString()!)];
        Fault(member, $"expected a list of texts, got {Shown(value)}");
        return [];
    }

    /// <summary>The names of all members, in the order of the file.</summary>
    public IEnumerable<string> Members() => element.EnumerateObject().Select(member => member.Name);

    string At(string member) => path.Length == 0 ? member : $"{path}.{member}";

    JsonElement? Find(string member) =>
        element.TryGetProperty(member, out var value) && value.ValueKind is not JsonValueKind.Null ? value : null;

    /// <summary>The text of a value; null where it is none, or cannot be written as UTF-8.</summary>
    static string? Whole(JsonElement value)
    {
        try
        {
            return value.ValueKind is JsonValueKind.String ? value.GetString() : null;
        }
        catch (InvalidOperationException)
        {
            return null;
        }
    }

    string? Refuse(string member, string what)
    {
        Fault(member, what);
        return null;
    }

    static string Shown(JsonElement value)
    {
        var raw = value.ValueKind switch
        {
            JsonValueKind.Object => "an object",
            JsonValueKind.Array => "a list",
            _ => value.GetRawText(),
        };
        return raw.Length <= 60 ? raw : raw[..60] + "…";
    }
}

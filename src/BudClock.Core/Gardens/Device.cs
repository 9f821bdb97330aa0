namespace BudClock.Core.Gardens;

/// <summary>A thermometer or another device that sends readings by itself.</summary>
/// <param name="Code">Its own short name, in readings and addresses.</param>
/// <param name="Place">The code of the place it hangs at.</param>
/// <param name="Way">How it sends, one of <see cref="Ways"/>.</param>
public sealed record Device(string Code, string Name, string Place, string Way)
{
    /// <summary>It asks for the page of readings with its token.</summary>
    public const string Http = "http";

    /// <summary>It speaks to a broker.</summary>
    public const string Mqtt = "mqtt";

    /// <summary>It keeps a file that the grower brings.</summary>
    public const string File = "file";

    /// <summary>How a device can send.</summary>
    public static readonly IReadOnlyList<string> Ways = [Http, Mqtt, File];

    /// <summary>Minutes from one reading to the next at the most, 1 to 10,080; after that, and a tenth more, it is missed.</summary>
    public int DueMinutes { get; init; } = 60;

    /// <summary>Its temperatures are °F.</summary>
    public bool Fahrenheit { get; init; }

    /// <summary>The topics it speaks under, with + and # as wildcards; null where it does not speak to a broker.</summary>
    public string? Topic { get; init; }

    /// <summary>Where in its message each measure stands, by <see cref="Measures"/>: "sensors[0].temperature".</summary>
    public IReadOnlyDictionary<string, string> Paths { get; init; } = new Dictionary<string, string>();

    /// <summary>What a device can measure, and the time it measured.</summary>
    public static readonly IReadOnlyList<string> Measures = ["temperature", "humidity", "lux", "ppfd", "at"];

    /// <summary>Longest topic or path, characters.</summary>
    public const int LongestPath = 200;

    /// <summary>What is wrong with a topic filter; null for nothing. + stands for one whole level, # for all that follow.</summary>
    /// <remarks>Source: MQTT 5.0, sections 4.7.1 to 4.7.3: no empty filter, no null character, wildcards alone in their level.</remarks>
    public static string? TopicFault(string? topic)
    {
        if (topic is null)
            return null;
        var levels = topic.Split('/');
        var bad = levels.Where(
            (level, index) => (level.Contains('#') && (level != "#" || index < levels.Length - 1)) || (level.Contains('+') && level != "+")
        );
        return topic.Length is 0 or > LongestPath || topic.Any(char.IsControl) || bad.Any()
            ? $"\"{topic}\" is no topic: + stands for one whole level, # for all at the end, as in home/+/climate/#."
            : null;
    }

    /// <summary>
    /// What is wrong with a path into a message: brackets that do not close, quotes
    /// without a pair, what cannot be printed.
    /// </summary>
    /// <returns>Null for nothing.</returns>
    public static string? PathFault(string? path) =>
        path is null
        || (
            path.Length is > 0 and <= LongestPath
            && !path.Any(char.IsControl)
            && path.Count(c => c == '[') == path.Count(c => c == ']')
            && path.Count(c => c == '(') == path.Count(c => c == ')')
            && path.Count(c => c == '\'') % 2 == 0
            && !path.Contains("..", StringComparison.Ordinal)
        )
            ? null
            : $"\"{path}\" is not written as a path, such as sensors[0].temperature.";

    /// <summary>Compared by what it says.</summary>
    public bool Equals(Device? other) =>
        other is not null
        && (Code, Name, Place, Way, DueMinutes, Fahrenheit, Topic)
            == (other.Code, other.Name, other.Place, other.Way, other.DueMinutes, other.Fahrenheit, other.Topic)
        && Paths.OrderBy(path => path.Key).SequenceEqual(other.Paths.OrderBy(path => path.Key));

    /// <inheritdoc/>
    public override int GetHashCode() => Code.GetHashCode(StringComparison.Ordinal);
}

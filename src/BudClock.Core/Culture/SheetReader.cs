using System.Globalization;
using YamlDotNet.Core;
using YamlDotNet.RepresentationModel;

namespace BudClock.Core.Culture;

/// <summary>A fault in a culture sheet, with the line it is on.</summary>
public sealed record SheetFault(string File, long Line, string What)
{
    /// <inheritdoc/>
    public override string ToString() => $"{File}, line {Line}: {What}";
}

/// <summary>Reads one culture sheet from YAML and lists every fault with its line.</summary>
public sealed class SheetReader(string file)
{
    readonly List<SheetFault> faults = [];

    /// <summary>What is wrong with the sheet, each with its place; empty for a sound one.</summary>
    public IReadOnlyList<SheetFault> Faults => faults;

    /// <summary>The sheet, or null when it has any fault.</summary>
    public CultureSheet? Read(string yaml)
    {
        var stream = new YamlStream();
        try
        {
            stream.Load(new StringReader(yaml));
        }
        catch (YamlException e)
        {
            faults.Add(new(file, e.Start.Line, e.Message));
            return null;
        }
        if (stream.Documents.Count == 0 || stream.Documents[0].RootNode is not YamlMappingNode root)
        {
            faults.Add(new(file, 1, "expected a sheet with name, title, genera and rules"));
            return null;
        }
        Known(
            root,
            "name",
            "title",
            "about",
            "genera",
            "rules",
            "schools",
            "usual",
            "organs",
            "phases",
            "signs",
            "cautions",
            "media",
            "traits",
            "light",
            "rescue",
            "wrong-media",
            "like"
        );
        var sheet = new CultureSheet(
            Text(root, "name"),
            Text(root, "title"),
            Text(root, "about"),
            Words(root, "genera"),
            Map(root, "rules", (_, node) => Rule(node)),
            Map(root, "schools", School),
            Rows(root, "usual", Usual)
        )
        {
            Organs = Organs(root),
            Media = Words(root, "media"),
            Traits = [.. Words(root, "traits").Select(name => Trait(root, name))],
            Light = Light(root),
            Rescue = root.Children.ContainsKey("rescue") ? Text(root, "rescue") : "whatever is firm",
            WrongMedia = Words(root, "wrong-media"),
            Like = root.Children.ContainsKey("like") ? Text(root, "like") : null,
            Phases = Rows(
                root,
                "phases",
                row => new UsualPhase(Phase(row, Text(row, "phase")), Day(row, "from"), Day(row, "to"), Text(row, "about"))
            ),
            Signs = Rows(root, "signs", Sign),
            Cautions = [.. Words(root, "cautions").Select(name => Caution(root, name))],
        };
        return faults.Count == 0 ? sheet : null;
    }

    RuleSheet Rule(YamlMappingNode rule) => new(Children(rule).ToDictionary(pair => pair.Key, pair => Threshold(pair.Node)));

    Threshold Threshold(YamlMappingNode node)
    {
        Known(node, "value", "range", "unit", "reason", "genera");
        var (value, (least, most)) = (Number(node, "value"), Range(node));
        if (value < least || value > most)
            Fault(node, Numbers($"the value {value} is outside its own range, {least} to {most}"));
        return new(value, least, most, Text(node, "unit"), Text(node, "reason"), Words(node, "genera"));
    }

    (double Least, double Most) Range(YamlMappingNode node)
    {
        var ends = Words(node, "range")
            .Select(word => double.TryParse(word, CultureInfo.InvariantCulture, out var end) ? end : double.NaN)
            .ToList();
        if (ends is [var least, var most] && least <= most)
            return (least, most);
        Fault(node, "range: expected the least and the most that make sense, such as [1, 60]");
        return (double.MinValue, double.MaxValue);
    }

    static string Numbers(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);

    string Trait(YamlNode at, string name)
    {
        if (!Traits.All.Contains(name))
            Fault(at, $"\"{name}\" is no trait; known are {string.Join(", ", Traits.All)}");
        return name;
    }

    LightClass Light(YamlMappingNode root)
    {
        if (!root.Children.ContainsKey("light"))
            return LightClass.Bright;
        var name = Text(root, "light");
        foreach (var light in Enum.GetValues<LightClass>())
            if (light.Name() == name)
                return light;
        Fault(
            root,
            $"light: \"{name}\" is no light class; known are {string.Join(", ", Enum.GetValues<LightClass>().Select(LightWords.Name))}"
        );
        return default;
    }

    SchoolQuestion School(string question, YamlMappingNode node)
    {
        var answers = Children(node, except: "default")
            .ToDictionary(pair => pair.Key, pair => new School(pair.Key, Text(pair.Node, "does"), Text(pair.Node, "risks")));
        var chosen = Text(node, "default");
        if (!answers.ContainsKey(chosen))
            Fault(node, $"the default school \"{chosen}\" is not one of {string.Join(", ", answers.Keys)}");
        return new(question, chosen, answers);
    }

    UsualLane Usual(YamlMappingNode row)
    {
        var lane = Text(row, "lane");
        if (!Enum.TryParse<LaneKind>(lane, ignoreCase: true, out var kind))
            Fault(row, $"\"{lane}\" is no lane");
        return new(kind, Day(row, "from"), Day(row, "to"));
    }

    OrganHabit Organs(YamlMappingNode root)
    {
        if (!root.Children.TryGetValue("organs", out var node) || node is not YamlMappingNode organs)
            return OrganHabit.Usual;
        Known(organs, "shoot", "flower");
        return new(Organ(organs, "shoot"), Organ(organs, "flower"));
    }

    string Organ(YamlMappingNode node, string key)
    {
        var kind = Text(node, key);
        if (!Gardens.Organ.Kinds.Contains(kind))
            Fault(node, $"{key}: \"{kind}\" is no kind of organ; known are {string.Join(", ", Gardens.Organ.Kinds)}");
        return kind;
    }

    /// <summary>"leaves limp" is a kind of entry and one of its states.</summary>
    SheetSign Sign(YamlMappingNode row)
    {
        Known(row, "sign", "means", "phases");
        var words = Text(row, "sign").Split(' ', 2);
        var (kind, state) = (EntryKinds.Find(words[0]), words.ElementAtOrDefault(1));
        if (kind is null)
            Fault(row, $"\"{words[0]}\" is no kind of entry");
        else if (state is not null && !kind.States.Contains(state))
            Fault(row, $"\"{state}\" is no state of {kind.Name}");
        return new(kind ?? EntryKinds.Note, state, Text(row, "means"), [.. Words(row, "phases").Select(word => Phase(row, word))]);
    }

    Phase Phase(YamlNode at, string name)
    {
        foreach (var phase in Enum.GetValues<Phase>())
            if (phase.Name() == name)
                return phase;
        Fault(at, $"\"{name}\" is no phase");
        return default;
    }

    string Caution(YamlNode at, string name)
    {
        if (Cautions.Find(name) is null)
            Fault(at, $"\"{name}\" is no caution; known are {string.Join(", ", Cautions.Names)}");
        return name;
    }

    List<T> Rows<T>(YamlMappingNode root, string key, Func<YamlMappingNode, T> read) =>
        root.Children.TryGetValue(key, out var list) && list is YamlSequenceNode rows
            ? [.. rows.OfType<YamlMappingNode>().Select(read)]
            : [];

    MonthDay Day(YamlMappingNode node, string key)
    {
        if (DateOnly.TryParseExact($"2031-{Text(node, key)}", "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return new(day.Month, day.Day);
        Fault(node, $"{key}: expected a month and day such as 04-10");
        return default;
    }

    Dictionary<string, T> Map<T>(YamlMappingNode root, string key, Func<string, YamlMappingNode, T> read) =>
        root.Children.TryGetValue(key, out var node) && node is YamlMappingNode map
            ? Children(map).ToDictionary(pair => pair.Key, pair => read(pair.Key, pair.Node))
            : [];

    IEnumerable<(string Key, YamlMappingNode Node)> Children(YamlMappingNode map, string? except = null)
    {
        foreach (var (key, node) in map.Children)
        {
            if (key.ToString() == except)
                continue;
            if (node is YamlMappingNode child)
                yield return (key.ToString(), child);
            else
                Fault(node, $"{key}: expected entries below it");
        }
    }

    string Text(YamlMappingNode node, string key)
    {
        if (node.Children.TryGetValue(key, out var value) && value is YamlScalarNode { Value: { Length: > 0 } text })
            return text;
        Fault(node, $"{key} is missing");
        return "";
    }

    double Number(YamlMappingNode node, string key)
    {
        var text = Text(node, key);
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
            return number;
        if (text.Length > 0)
            Fault(node, $"{key}: expected a number, got \"{text}\"");
        return 0;
    }

    static List<string> Words(YamlMappingNode node, string key) =>
        node.Children.TryGetValue(key, out var list) && list is YamlSequenceNode words ? [.. words.Select(word => word.ToString())] : [];

    void Known(YamlMappingNode node, params string[] keys)
    {
        foreach (var key in node.Children.Keys.Where(key => !keys.Contains(key.ToString())))
            Fault(key, $"\"{key}\" is not known here; known are {string.Join(", ", keys)}");
    }

    void Fault(YamlNode at, string what) => faults.Add(new(file, at.Start.Line, what));
}

using System.Globalization;
using YamlDotNet.RepresentationModel;

namespace BudClock.Core.Culture;

/// <summary>Reads one culture sheet from YAML and lists every fault with its line.</summary>
public sealed class SheetReader(string file) : YamlFile(file)
{
    /// <summary>The sheet, or null when it has any fault.</summary>
    public CultureSheet? Read(string yaml)
    {
        if (Root(yaml, "a sheet with name, title, genera and rules") is not { } root)
            return null;
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
            Phases = Rows(root, "phases", row => new UsualPhase(
                Phase(row, Text(row, "phase")),
                Day(row, "from"),
                Day(row, "to"),
                Text(row, "about")
            )),
            Signs = Rows(root, "signs", Sign),
            Cautions = [.. Words(root, "cautions").Select(name => Caution(root, name))],
        };
        return Faults.Count == 0 ? sheet : null;
    }

    RuleSheet Rule(YamlMappingNode rule) => new(Children(rule).ToDictionary(pair => pair.Key, pair => Threshold(pair.Node)));

    Threshold Threshold(YamlMappingNode node)
    {
        Known(node, "value", "range", "unit", "reason", "genera");
        var (value, (least, most)) = (Number(node, "value"), Range(node));
        if (value < least || value > most)
            Fault(node, string.Create(CultureInfo.InvariantCulture, $"the value {value} is outside its own range, {least} to {most}"));
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
}

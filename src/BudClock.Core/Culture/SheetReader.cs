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
            "habit-rules",
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
            Rules(root, "rules"),
            Map(root, "schools", School),
            Rows(root, "usual", Usual)
        )
        {
            Organs = Organs(root),
            HabitRules = Rules(root, "habit-rules"),
            Media = Words(root, "media"),
            Traits = [.. Words(root, "traits").Select(name => Trait(root, name))],
            Light = Light(root),
            Rescue = root.Children.ContainsKey("rescue") ? Text(root, "rescue") : "whatever is firm",
            WrongMedia = [.. Words(root, "wrong-media").Select(name => WrongMedium(root, name))],
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

    SheetRules Rules(YamlMappingNode root, string key) => new(Map(root, key, Rule));

    RuleSheet Rule(string id, YamlMappingNode rows)
    {
        var limits = RuleLimits.Of(id);
        var read = new Dictionary<string, Threshold>();
        foreach (var (key, row) in rows.Children)
            if (limits?.Find(key.ToString()) is { } limit)
                read[limit.Name] = Threshold(limit, row);
            else
                Fault(
                    key,
                    limits is null
                        ? $"{id} is decided by no number"
                        : $"{id} knows no \"{key}\"; it knows {string.Join(", ", limits.Limits.Select(one => one.Name))}"
                );
        return new(read, PlaceOf(rows));
    }

    /// <summary>"7 days" alone, which has the usual reason; or a value with a reason of its own.</summary>
    Threshold Threshold(Limit limit, YamlNode row)
    {
        if (row is not YamlMappingNode node)
            return new(Value(limit, row, row.ToString()), limit, "");
        Known(node, "value", "reason");
        return new(Value(limit, node, Text(node, "value")), limit, Find(node, "reason") ?? "");
    }

    double Value(Limit limit, YamlNode at, string text)
    {
        if (limit.Kind == typeof(bool))
        {
            if (text is not ("yes" or "no"))
                Fault(at, $"{limit.Name}: expected yes or no, got \"{text}\"");
            return text == "yes" ? 1 : 0;
        }
        var parts = text.Split(' ', 2);
        if (!double.TryParse(parts[0], NumberStyles.Float, CultureInfo.InvariantCulture, out var value))
            Fault(at, $"{limit.Name}: expected a number, got \"{text}\"");
        else if (parts.ElementAtOrDefault(1) != limit.Unit)
            Fault(at, $"{limit.Name}: expected {limit.Unit}, got \"{text}\"");
        else if (!limit.Allows(value))
            Fault(at, string.Create(CultureInfo.InvariantCulture, $"{limit.Name}: {value} is outside {limit.Least} to {limit.Most}"));
        return value;
    }

    string Trait(YamlNode at, string name)
    {
        if (!Traits.All.Contains(name))
            Fault(at, $"\"{name}\" is no trait; known are {string.Join(", ", Traits.All)}");
        return name;
    }

    string WrongMedium(YamlNode at, string name)
    {
        var bad = PottingMedium.Table.Where(part => part.Bad).Select(part => part.Name).ToList();
        if (!bad.Contains(name))
            Fault(at, $"\"{name}\" is no medium to forbid; known are {string.Join(", ", bad)}");
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
        Known(organs, "shoot", "flower", "stores");
        return new(Organ(organs, "shoot", Text(organs, "shoot")), Organ(organs, "flower", Text(organs, "flower")))
        {
            Stores = [.. Words(organs, "stores").Select(kind => Organ(organs, "stores", kind))],
        };
    }

    string Organ(YamlMappingNode node, string key, string kind)
    {
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

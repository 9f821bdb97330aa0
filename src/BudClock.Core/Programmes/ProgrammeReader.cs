using BudClock.Core.Culture;
using YamlDotNet.RepresentationModel;

namespace BudClock.Core.Programmes;

/// <summary>Reads one programme from YAML and lists every fault with its line.</summary>
public sealed class ProgrammeReader(string file) : YamlFile(file)
{
    /// <summary>Limits of what makes sense: nights and days, and °C.</summary>
    const int MostDays = 400;
    const double ColdestC = -10;
    const double WarmestC = 40;

    /// <summary>The programme, or null when it has any fault.</summary>
    public Programme? Read(string yaml)
    {
        if (Root(yaml, "a programme with name, title, rule, about, words and steps") is not { } root)
            return null;
        Known(root, "name", "title", "rule", "about", "words", "sheets", "season", "not-while", "done", "source", "steps");
        var programme = new Programme(
            Text(root, "name"),
            Text(root, "title"),
            Text(root, "rule"),
            Text(root, "about"),
            Words(root, "words"),
            Words(root, "sheets"),
            Rows(root, "steps", Step)
        )
        {
            Done = Kinds(root, "done"),
            NotWhile = [.. Words(root, "not-while").Select(veto => Veto(root, veto))],
            Season = Season(root),
            Source = Text(root, "source"),
        };
        Check(root, programme);
        return Faults.Count == 0 ? programme : null;
    }

    void Check(YamlMappingNode root, Programme programme)
    {
        if (programme.Words.Count == 0)
            Fault(root, "words: at least one, by which a log names it");
        if (programme.Steps.Count == 0)
            Fault(root, "steps: at least one");
        foreach (var twice in programme.Steps.GroupBy(step => step.Name).Where(group => group.Count() > 1))
            Fault(root, $"two steps are called {twice.Key}");
        foreach (var unknown in programme.Sheets.Where(name => CultureSheets.Shipped.Find(name) is null))
            Fault(root, $"sheets: \"{unknown}\" is no sheet");
        if (programme.Name.Any(c => !char.IsAsciiLetterLower(c) && !char.IsAsciiDigit(c) && c != '-'))
            Fault(root, "name: small letters, digits and hyphens, such as cool-nights");
    }

    Step Step(YamlMappingNode node)
    {
        Known(node, "name", "title", "turn", "until", "water", "feed", "light", "breaks", "turned-by");
        return new(Text(node, "name"), Text(node, "title"), Measure(node), Text(node, "turn"))
        {
            Water = OneOf(node, "water", ("as-usual", StepWater.AsUsual), ("none", StepWater.None)),
            Feed = OneOf(node, "feed", ("no", false), ("yes", true)),
            Light = OneOf(node, "light", ("as-usual", StepLight.AsUsual), ("long-nights", StepLight.LongNights), ("dark", StepLight.Dark)),
            Breaks = Rows(node, "breaks", Break),
            TurnedBy = Kinds(node, "turned-by"),
        };
    }

    /// <summary>The measure stands below <c>until</c>, with one of the names below.</summary>
    StepMeasure Measure(YamlMappingNode step)
    {
        if (!step.Children.TryGetValue("until", out var below) || below is not YamlMappingNode node)
        {
            Fault(step, "until is missing: when the step is done");
            return new PlainDays(1);
        }
        switch (Text(node, "count"))
        {
            case "cool-nights":
                Known(node, "count", "at-or-below", "need");
                return new CoolNights(Celsius(node), Days(node, "need"));
            case "cool-days":
                Known(node, "count", "at-or-below", "need");
                return new CoolDays(Celsius(node), Days(node, "need"));
            case "long-nights":
                Known(node, "count", "hours", "need");
                return new LongNights(Within(node, "hours", 8, 24), Days(node, "need"));
            case "dry-days":
                Known(node, "count", "need", "most");
                var (least, most) = Span(node, "need", "most");
                return new DryDays(least, most);
            case "dark-days":
                Known(node, "count", "need");
                return new DarkDays(Days(node, "need"));
            case "days":
                Known(node, "count", "need");
                return new PlainDays(Days(node, "need"));
            case "seen":
                Known(node, "count", "entries", "usual", "latest");
                var (usual, latest) = Span(node, "usual", "latest");
                var kinds = Kinds(node, "entries");
                if (kinds.Count == 0)
                    Fault(node, "entries: at least one kind of entry");
                return new EntrySeen(kinds, usual, latest);
            case var other:
                Fault(
                    node,
                    $"count: \"{other}\" is not known; known are cool-nights, cool-days, long-nights, dry-days, dark-days, days, seen"
                );
                return new PlainDays(1);
        }
    }

    (int Least, int Most) Span(YamlMappingNode node, string from, string to)
    {
        var (least, most) = (Days(node, from), Days(node, to));
        if (most < least)
            Fault(node, $"{to}: expected at least {least}");
        return (least, most);
    }

    double Celsius(YamlMappingNode node) => Within(node, "at-or-below", ColdestC, WarmestC);

    int Days(YamlMappingNode node, string key)
    {
        var days = Within(node, key, 0, MostDays);
        if (days != Math.Floor(days))
            Fault(node, $"{key}: expected a whole number");
        return (int)days;
    }

    double Within(YamlMappingNode node, string key, double least, double most)
    {
        var number = Number(node, key);
        if (number < least || number > most)
            Fault(node, string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{key}: expected {least} to {most}"));
        return number;
    }

    StepBreak Break(YamlMappingNode node)
    {
        Known(node, "by", "costs");
        var by = Text(node, "by");
        if (EntryKinds.Find(by) is null)
            Fault(node, $"by: \"{by}\" is no kind of entry");
        return new(EntryKinds.Find(by) ?? EntryKinds.Note, Text(node, "costs"));
    }

    IReadOnlyList<EntryKind> Kinds(YamlMappingNode node, string key)
    {
        var kinds = new List<EntryKind>();
        foreach (var name in Words(node, key))
            if (EntryKinds.Find(name) is { } kind)
                kinds.Add(kind);
            else
                Fault(node, $"{key}: \"{name}\" is no kind of entry");
        return kinds;
    }

    T OneOf<T>(YamlMappingNode node, string key, params (string Name, T Value)[] known)
    {
        if (Find(node, key) is not { } name)
            return known[0].Value;
        foreach (var one in known)
            if (one.Name == name)
                return one.Value;
        Fault(node, $"{key}: \"{name}\" is not known; known are {string.Join(", ", known.Select(one => one.Name))}");
        return known[0].Value;
    }

    string Veto(YamlMappingNode root, string name)
    {
        if (!Vetoes.All.Contains(name))
            Fault(root, $"not-while: \"{name}\" is not known; known are {string.Join(", ", Vetoes.All)}");
        return name;
    }

    (MonthDay From, MonthDay To)? Season(YamlMappingNode root)
    {
        if (!root.Children.TryGetValue("season", out var below) || below is not YamlMappingNode node)
            return null;
        Known(node, "from", "to");
        return (Day(node, "from"), Day(node, "to"));
    }
}

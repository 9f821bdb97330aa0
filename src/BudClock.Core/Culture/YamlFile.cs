using System.Globalization;
using YamlDotNet.Core;
using YamlDotNet.RepresentationModel;

namespace BudClock.Core.Culture;

/// <summary>A fault in a culture sheet or a programme, with the line it is on.</summary>
public sealed record SheetFault(string File, long Line, string What)
{
    /// <inheritdoc/>
    public override string ToString() => $"{File}, line {Line}: {What}";
}

/// <summary>Reads data files in YAML and lists every fault with its line; nothing is thrown.</summary>
public abstract class YamlFile(string file)
{
    readonly List<SheetFault> faults = [];

    /// <summary>What is wrong with the file, each with its place; empty for a sound one.</summary>
    public IReadOnlyList<SheetFault> Faults => faults;

    /// <summary>The file's root; null, with a fault, where it is no YAML or holds nothing.</summary>
    /// <param name="expected">What such a file holds, for who wrote another: "a sheet with name and rules".</param>
    protected YamlMappingNode? Root(string yaml, string expected)
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
        catch (InvalidOperationException e) // nodes that do not close
        {
            faults.Add(new(file, 1, e.Message));
            return null;
        }
        if (stream.Documents.Count > 0 && stream.Documents[0].RootNode is YamlMappingNode root)
            return root;
        faults.Add(new(file, 1, $"expected {expected}"));
        return null;
    }

    /// <summary>The rows below a key; none where it is missing.</summary>
    protected static List<T> Rows<T>(YamlMappingNode root, string key, Func<YamlMappingNode, T> read) =>
        root.Children.TryGetValue(key, out var list) && list is YamlSequenceNode rows
            ? [.. rows.OfType<YamlMappingNode>().Select(read)]
            : [];

    /// <summary>A month and day.</summary>
    protected MonthDay Day(YamlMappingNode node, string key)
    {
        if (DateOnly.TryParseExact($"2031-{Text(node, key)}", "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return new(day.Month, day.Day);
        Fault(node, $"{key}: expected a month and day such as 04-10");
        return default;
    }

    /// <summary>A text that has to be there.</summary>
    protected string Text(YamlMappingNode node, string key)
    {
        if (Find(node, key) is { } text)
            return text;
        Fault(node, $"{key} is missing");
        return "";
    }

    /// <summary>A text that may be left out.</summary>
    protected static string? Find(YamlMappingNode node, string key) =>
        node.Children.TryGetValue(key, out var value) && value is YamlScalarNode { Value: { Length: > 0 } text } ? text : null;

    /// <summary>A number that has to be there.</summary>
    protected double Number(YamlMappingNode node, string key)
    {
        var text = Text(node, key);
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number))
            return number;
        if (text.Length > 0)
            Fault(node, $"{key}: expected a number, got \"{text}\"");
        return 0;
    }

    /// <summary>The words of a list; none where it is missing.</summary>
    protected static List<string> Words(YamlMappingNode node, string key) =>
        node.Children.TryGetValue(key, out var list) && list is YamlSequenceNode words ? [.. words.Select(word => word.ToString())] : [];

    /// <summary>Every key has to be one of these.</summary>
    protected void Known(YamlMappingNode node, params string[] keys)
    {
        foreach (var key in node.Children.Keys.Where(key => !keys.Contains(key.ToString())))
            Fault(key, $"\"{key}\" is not known here; known are {string.Join(", ", keys)}");
    }

    /// <summary>Where something stands.</summary>
    protected SheetPlace PlaceOf(YamlNode node) => new(file, node.Start.Line);

    /// <summary>Notes a fault.</summary>
    protected void Fault(YamlNode at, string what) => faults.Add(new(file, at.Start.Line, what));
}

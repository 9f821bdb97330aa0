namespace BudClock.Core.Formats;

/// <summary>A fault in a file, with the place it is at: <c>plants[3].entries[7].value: expected a number, got "long"</c>.</summary>
public sealed record FileFault(string Place, string What)
{
    /// <inheritdoc/>
    public override string ToString() => $"{Place}: {What}";

    /// <summary>Notes a fault for each value that stands in a list for the second time.</summary>
    internal static void Twice(IEnumerable<string> values, string list, string member, List<FileFault> faults)
    {
        var seen = new HashSet<string>();
        foreach (var (index, value) in values.Index())
            if (!seen.Add(value) && value.Length > 0)
                faults.Add(new($"{list}[{index}].{member}", $"\"{value}\" stands here twice"));
    }
}

namespace BudClock.Core.Gardens;

/// <summary>A grower's own number or school in place of the sheet's, for the whole sheet or for one plant.</summary>
/// <param name="Plant">A plant's tag; null changes the sheet for all its plants.</param>
/// <param name="Name">A threshold as rule.name ("W3.every-from"), or the question of a school ("tuber-rest").</param>
/// <param name="Value">The number, for a threshold; null for a school.</param>
/// <param name="School">The school, for a question; null for a threshold.</param>
public sealed record SheetChange(string Sheet, string? Plant, string Name, double? Value, string? School)
{
    /// <summary>Names that numbers had in earlier versions, with the one sheet on which they meant something, and today's names.</summary>
    static readonly Dictionary<string, (string Sheet, string[] Names)> Earlier = new()
    {
        // One length stood for pots of any depth, for kinds that hate a long drought.
        ["W1.root-length-thirsty"] = ("leafless-pseudobulb-thirsty", ["W1.root-length-small", "W1.root-length-large"]),

        // Who writes of a plant without an answer is asked once anew; how often is no number any more.
        ["L5.visits"] = ("", []),
    };

    /// <summary>The same change by today's names; itself for most, nothing where it held for no plant of its sheet.</summary>
    public IEnumerable<SheetChange> ByTodaysNames() =>
        !Earlier.TryGetValue(Name, out var earlier) ? [this]
        : earlier.Sheet == Sheet ? earlier.Names.Select(name => this with { Name = name })
        : [];

    /// <summary>What it replaces: later changes of the same thing stand in its place.</summary>
    public bool Replaces(SheetChange other) => (Sheet, Plant, Name) == (other.Sheet, other.Plant, other.Name);
}

namespace BudClock.Core.Gardens;

/// <summary>A grower's own number or school in place of the sheet's, for the whole sheet or for one plant.</summary>
/// <param name="Plant">A plant's tag; null changes the sheet for all its plants.</param>
/// <param name="Name">A threshold as rule.name ("W3.every-from"), or the question of a school ("tuber-rest").</param>
/// <param name="Value">The number, for a threshold; null for a school.</param>
/// <param name="School">The school, for a question; null for a threshold.</param>
public sealed record SheetChange(string Sheet, string? Plant, string Name, double? Value, string? School)
{
    /// <summary>What it replaces: later changes of the same thing stand in its place.</summary>
    public bool Replaces(SheetChange other) => (Sheet, Plant, Name) == (other.Sheet, other.Plant, other.Name);
}

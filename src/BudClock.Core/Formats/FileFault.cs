namespace BudClock.Core.Formats;

/// <summary>A fault in a file, with the place it is at: <c>plants[3].entries[7].value: expected a number, got "long"</c>.</summary>
public sealed record FileFault(string Place, string What)
{
    public override string ToString() => $"{Place}: {What}";
}

namespace BudClock.Web.Pages;

/// <summary>A list to choose one answer from, or none.</summary>
/// <param name="Says">The words of an answer; its name with spaces where left out.</param>
/// <param name="None">The words of no answer.</param>
public sealed record ChoiceView(
    string Name,
    string? Chosen,
    IReadOnlyList<string> Answers,
    Func<string, string>? Says = null,
    string None = "not known"
)
{
    /// <summary>The words of an answer.</summary>
    public string Words(string answer) => Says?.Invoke(answer) ?? answer.Replace('-', ' ');
}

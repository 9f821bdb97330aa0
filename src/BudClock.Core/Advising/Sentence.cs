namespace BudClock.Core.Advising;

/// <summary>Clauses made into sentences.</summary>
static class Sentence
{
    /// <summary>The same words with a capital first; they are never empty.</summary>
    public static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];
}

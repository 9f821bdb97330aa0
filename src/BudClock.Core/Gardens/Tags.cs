using System.Text.RegularExpressions;

namespace BudClock.Core.Gardens;

/// <summary>Rule K1: the permanent tag of a plant. Short enough for a label, one word so that a note can begin with it.</summary>
public static partial class Tags
{
    /// <summary>Most characters of a tag.</summary>
    public const int Longest = 20;

    /// <summary>Letters, digits and hyphens, beginning with a letter or digit, at most twenty, at least one of them a letter.</summary>
    public static bool Sound(string tag) => Pattern().IsMatch(tag) && tag.Any(char.IsAsciiLetter);

    /// <summary>Why it cannot be a tag, as a sentence.</summary>
    public static string Rule(string tag) => $"\"{tag}\" cannot be a tag: letters, digits and hyphens, at most {Longest}, such as LYC-01";

    /// <summary>A tag that is free: the first three letters of the genus and the next number, such as LYC-02.</summary>
    /// <param name="name">A botanical name; any name where there is none.</param>
    public static string Propose(string? name, IEnumerable<string> taken)
    {
        const int letters = 3;
        var begins = string.Concat((name ?? "").Normalize(System.Text.NormalizationForm.FormD).Where(char.IsAsciiLetter).Take(letters))
            .ToUpperInvariant();
        if (begins.Length == 0)
            begins = "PLT";
        var used = taken
            .Where(tag => tag.StartsWith(begins + "-", StringComparison.OrdinalIgnoreCase))
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        return Enumerable.Range(1, used.Count + 1).Select(number => $"{begins}-{number:00}").First(tag => !used.Contains(tag));
    }

    [GeneratedRegex(@"^[A-Za-z0-9][A-Za-z0-9-]{0,19}\z")]
    private static partial Regex Pattern();
}

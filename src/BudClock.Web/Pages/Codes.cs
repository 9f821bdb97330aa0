namespace BudClock.Web.Pages;

/// <summary>Codes of what people name: places, waters, feeds, recipes.</summary>
public static class Codes
{
    /// <summary>A short code from a name, made unique with a number where needed.</summary>
    /// <param name="otherwise">The stem where the name has no letters or digits.</param>
    public static string For(string name, string otherwise, IEnumerable<string> taken)
    {
        var known = taken.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var plain = new string([.. name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')]).Trim('-');
        var stem = plain.Length == 0 ? otherwise : plain;
        return !known.Contains(stem) ? stem : Enumerable.Range(2, 998).Select(n => $"{stem}-{n}").First(code => !known.Contains(code));
    }
}
